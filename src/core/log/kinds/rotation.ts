import type { BikeId, EntryBase } from '../entry.ts'
import type { Kind } from './kind.ts'

/** How a bike's chains take turns. The last one counts; without one they are kept evenly worn. */
export interface RotationEntry extends EntryBase {
  readonly kind: 'rotation'
  readonly bike: BikeId
  /** A chain's turn ends after so many km; absent: when it gets ahead of the others. */
  readonly everyKm?: number
}

/** The shortest and the longest turn, km. */
export const ROTATION_KM = [20, 10_000] as const

export const rotation: Kind<RotationEntry> = {
  fields: { bike: 'own', everyKm: 'measure' },
  isAbout: ({ bike }) => [bike],
  key: ({ bike }) => bike,
}
