import type { BikeId, EntryBase } from '../entry.ts'
import type { Kind } from './kind.ts'

/** What can put a drivetrain out of line in one moment. */
export const MISHAPS = ['crash', 'wheel-change'] as const
export type Mishap = (typeof MISHAPS)[number]

/** A fall on the bike's right side, or another wheel put in: what a later fault may come from. */
export interface MishapEntry extends EntryBase {
  readonly kind: 'mishap'
  readonly bike: BikeId
  readonly what: Mishap
}

export const mishap: Kind<MishapEntry> = {
  fields: { bike: 'own', what: 'measure' },
  isAbout: ({ bike }) => [bike],
  key: ({ bike }) => bike,
}
