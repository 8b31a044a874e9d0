import { rideGears, type RideSetup } from '../core/exposure/ride-gears.ts'
import { doubtfulDay } from '../formats/rides/doubtful-day.ts'
import { ridePrint, type RecordedRide } from '../formats/rides/recorded-ride.ts'
import type { RideFile } from './ride-file.ts'

/** A recorded ride as the log keeps it: energy and gears told for the bike it is for, its samples let go. */
export function readRide(file: string, recorded: RecordedRide, setup: RideSetup): RideFile {
  const { samples, ...ride } = recorded
  const doubt = doubtfulDay(ride.startedAt, Date.now())
  return {
    file,
    form: 'ride',
    ride: { ...ride, told: rideGears(samples, setup) },
    print: ridePrint(ride),
    ...(doubt && { doubt }),
  }
}
