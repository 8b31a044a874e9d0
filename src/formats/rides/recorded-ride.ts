import { cleanPoints, ridesApart } from '../../core/exposure/clean-points.ts'
import {
  checkedDistance,
  runningDistance,
  type DeviceDistance,
  type DeviceFault,
} from '../../core/exposure/device-distance.ts'
import { MOST_CADENCE_RPM, MOST_POWER_W } from '../../core/exposure/sensors.ts'
import { gearSamples, type GearRecord } from '../../core/exposure/track-samples.ts'
import { steepStretches, type SteepStretches } from '../../core/exposure/steep.ts'
import type { TrackPoint } from '../../core/exposure/track-point.ts'
import { summariseTrack, type TrackSummary } from '../../core/exposure/track.ts'
import { RideFileError } from './ride-file-error.ts'
import { words } from '../../words/formats/rides/recorded-ride.ts'

/** What of a file was not used, in counts. */
export interface LeftOut {
  /** Points that no bike reached in the time. */
  readonly stray: number
  /** Points without a usable position or time. */
  readonly bad: number
  /** Points written twice. */
  readonly twice: number
  /** Figures of power or cadence that no rider has. */
  readonly wild: number
}

/** A recorded ride as its file tells it. */
export interface RecordedRide extends TrackSummary {
  /** The device's own distance, km, where it gave one that can be. */
  readonly deviceKm?: number
  /** Why the device's distance is not used, where it gave one that cannot be. */
  readonly deviceFault?: DeviceFault
  readonly name?: string
  readonly hasCadence: boolean
  readonly hasPower: boolean
  /** What the file says it was, where it says so: "running". */
  readonly sport?: string
  /** Where it began. */
  readonly place?: { readonly lat: number; readonly lon: number }
  /** Its steepest stretches; absent without heights. */
  readonly steep?: SteepStretches
  readonly leftOut: LeftOut
  /** Speed, cadence, power and height for the gears; empty without either sensor. */
  readonly samples: readonly GearRecord[]
}

export interface Recording {
  readonly segments: readonly (readonly TrackPoint[])[]
  readonly name?: string | undefined
  readonly sport?: string | undefined
  /** The device's own total, km, where it stands apart from the points. */
  readonly deviceKm?: number | undefined
  /** Points of the file that could not even be read. */
  readonly badPoints?: number
}

/** What the device says of the distance, held against what else is known. */
function deviceDistanceOf(
  segments: readonly (readonly TrackPoint[])[],
  summary: TrackSummary,
  totalKm: number | undefined,
): DeviceDistance | undefined {
  const device = runningDistance(segments) ?? (totalKm === undefined ? undefined : { km: totalKm })
  const elapsedS = (Date.parse(summary.endedAt) - Date.parse(summary.startedAt)) / 1000
  return device && checkedDistance(device, summary.km, summary.placed, elapsedS)
}

/** What the points carry beside their places. */
function lookThrough(segments: readonly (readonly TrackPoint[])[]) {
  let [hasCadence, hasPower] = [false, false]
  let [wild, bad] = [0, 0]
  let place: { lat: number; lon: number } | undefined
  for (const segment of segments)
    for (const { cadenceRpm, powerW, lat, lon, timeS } of segment) {
      if (cadenceRpm !== undefined) hasCadence = true
      if (powerW !== undefined) hasPower = true
      if ((cadenceRpm ?? 0) > MOST_CADENCE_RPM || (powerW ?? 0) > MOST_POWER_W) wild++
      if (Number.isNaN(timeS)) bad++
      if (!place && !Number.isNaN(lat)) place = { lat, lon }
    }
  return { hasCadence, hasPower, wild, bad, place }
}

function rideOf(
  segments: readonly (readonly TrackPoint[])[],
  { name, sport, deviceKm }: Recording,
  twice: number,
): RecordedRide | undefined {
  const summary = summariseTrack(segments)
  if (!summary) return undefined
  const device = deviceDistanceOf(segments, summary, deviceKm)
  const { hasCadence, hasPower, wild, bad, place } = lookThrough(segments)
  const steep = steepStretches(segments)
  return {
    ...summary,
    ...(device && (device.fault ? { deviceFault: device.fault } : { deviceKm: device.km })),
    hasCadence,
    hasPower,
    leftOut: { stray: summary.dropped, bad, twice, wild },
    samples: hasCadence || hasPower ? gearSamples(segments) : [],
    ...(name !== undefined && name !== '' && { name }),
    ...(sport !== undefined && sport !== '' && { sport }),
    ...(place && { place }),
    ...(steep && { steep }),
  }
}

/**
 * The rides of a recording, by methods 12: one, or several where its points lie hours apart.
 * @throws RideFileError where there are no points, or no times
 */
export function recordedRides(recording: Recording): RecordedRide[] {
  const { segments, badPoints = 0 } = recording
  if (segments.every((segment) => segment.length === 0)) throw new RideFileError(words.thereAreNoPoints)
  const clean = cleanPoints(segments)
  const apart = ridesApart(clean.segments)
  // A total for the file is no total for one of its days.
  const told = apart.length > 1 ? { ...recording, deviceKm: undefined } : recording
  const rides = apart.flatMap((one, i) => rideOf(one, told, i === 0 ? clean.twice : 0) ?? [])
  const [first, ...others] = rides
  if (!first) throw new RideFileError(words.itsPointsHaveNo)
  return [{ ...first, leftOut: { ...first.leftOut, bad: first.leftOut.bad + badPoints } }, ...others]
}

/**
 * What recognises the same recording when it is offered again, whatever its file is called.
 */
export const ridePrint = (ride: TrackSummary): string => `${ride.startedAt} ${ride.endedAt} ${ride.points}`
