import type { EntryBase, BikeId } from '../entry.ts'
import type { RideKind } from './kind.ts'

/** What the bike's computer shows. Distance that no ride accounts for is the difference of two readings. */
export interface OdometerEntry extends EntryBase {
  readonly kind: 'odometer'
  readonly bike: BikeId
  readonly km: number
  /** The count started over here: another computer, or a reset one. */
  readonly restarted?: boolean
}

/** The most that a bike's computer shows, km. */
export const MOST_ODOMETER_KM = 1e6

export const odometer: RideKind<OdometerEntry> = {
  fields: { bike: 'own', km: 'measure', restarted: 'measure' },
  isAbout: ({ bike }) => [bike],
  key: ({ bike }) => bike,
  changesRides: true,
}
