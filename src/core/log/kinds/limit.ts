import type { EntryBase, BikeId } from '../entry.ts'
import type { Kind } from './kind.ts'

/** Which limit the owner goes by: 0.5 %, the usual rule for the drivetrain, or 1.0 %. */
export type School = 'early' | 'usual' | 'late'

/** Which limit a bike goes by. The last one counts. */
export interface LimitEntry extends EntryBase {
  readonly kind: 'limit'
  readonly bike: BikeId
  readonly school: School
  /** A limit set for this bike, %, in place of the school's. */
  readonly percent?: number
  /** Why, in the owner's words. */
  readonly reason?: string
}

/** An owner's own limit, %. */
export const LIMIT_PERCENT = [0.1, 2] as const

export const limit: Kind<LimitEntry> = {
  fields: { bike: 'own', school: 'measure', percent: 'measure', reason: 'words' },
  isAbout: ({ bike }) => [bike],
  key: ({ bike }) => bike,
}
