import type { EntryBase, BikeId } from '../entry.ts'
import type { Kind } from './kind.ts'

/** How far a bike is meant to go from now on. The last word counts. */
export interface PlanEntry extends EntryBase {
  readonly kind: 'plan'
  readonly bike: BikeId
  /** km a week; absent: as it was ridden lately. */
  readonly weeklyKm?: number
}

/** The most that a bike goes in a week, km. */
export const MOST_WEEKLY_KM = 5000

export const plan: Kind<PlanEntry> = {
  fields: { bike: 'own', weeklyKm: 'measure' },
  isAbout: ({ bike }) => [bike],
  key: ({ bike }) => bike,
}
