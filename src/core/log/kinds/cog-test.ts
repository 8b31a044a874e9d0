import type { EntryBase, PartId } from '../entry.ts'
import type { Kind } from './kind.ts'

/** Whether a chain holds on a cog under load: by a tool that simulates it, or on the road. */
export interface CogTestEntry extends EntryBase {
  readonly kind: 'cog-test'
  /** The cassette. */
  readonly part: PartId
  /** Tooth count of the cog. */
  readonly cog: number
  readonly by: 'tool' | 'ride'
  /** `slipped`: the tool condemned the cog, or the chain skipped on it. */
  readonly result: 'held' | 'slipped'
}

export const cogTest: Kind<CogTestEntry> = {
  fields: { part: 'own', cog: 'measure', by: 'measure', result: 'measure' },
  isAbout: ({ part }) => [part],
  key: ({ part }) => part,
  onRoad: true,
}
