import type { RideGears } from '../core/exposure/ride-gears.ts'
import type { DoubtfulDay } from '../formats/rides/doubtful-day.ts'
import type { RecordedRide } from '../formats/rides/recorded-ride.ts'
import type { RideTable } from '../formats/rides/ride-table.ts'

/** A recorded ride without its samples: what the log keeps of it. */
export type ReadRide = Omit<RecordedRide, 'samples'> & { readonly told?: RideGears }

/** A ride out of a ride file, a table in one, or in plain words why it could not be read. */
export type RideFile =
  | {
      readonly file: string
      readonly form: 'ride'
      readonly ride: ReadRide
      readonly print: string
      /** Why the day it bears cannot be believed. */
      readonly doubt?: DoubtfulDay
    }
  | {
      readonly file: string
      readonly form: 'table'
      readonly table: RideTable
      /** It holds the points of a ride, not rides. */
      readonly isTrack: boolean
    }
  | { readonly file: string; readonly form: 'fault'; readonly fault: string }
