import type { EntryBase, PartId, WearWord } from '../entry.ts'
import type { Kind } from './kind.ts'

/** A look at teeth, by eye. */
export interface LookEntry extends EntryBase {
  readonly kind: 'look'
  readonly part: PartId
  /** Tooth count of the cog looked at, when the part is a cassette. */
  readonly cog?: number
  readonly word: WearWord
  /** Of a ring: where it is worn most, degrees clockwise from the drive-side crank arm, seen from that side, 0 to 359. */
  readonly worstFromCrankDeg?: number
}

export const look: Kind<LookEntry> = {
  fields: { part: 'own', cog: 'measure', word: 'measure', worstFromCrankDeg: 'measure' },
  isAbout: ({ part }) => [part],
  key: ({ part }) => part,
  onRoad: true,
}
