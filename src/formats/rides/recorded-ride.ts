import { gearSamples, type GearRecord } from '../../core/exposure/track-samples.ts'
import { summariseTrack, type TrackPoint, type TrackSummary } from '../../core/exposure/track.ts'
import { RideFileError } from './ride-file-error.ts'

/** A recorded ride as its file tells it. */
export interface RecordedRide extends TrackSummary {
  readonly name?: string
  readonly hasCadence: boolean
  readonly hasPower: boolean
  /** What the file says it was, where it says so: "running". */
  readonly sport?: string
  /** Where it began. */
  readonly place?: { readonly lat: number; readonly lon: number }
  /** Speed, cadence, power and height for the gears; empty without cadence. */
  readonly samples: readonly GearRecord[]
}

export interface Recording {
  readonly segments: readonly (readonly TrackPoint[])[]
  readonly name?: string | undefined
  readonly sport?: string | undefined
  /** The device's own total, km, where it stands apart from the points. */
  readonly deviceKm?: number | undefined
}

const EARLIEST = Date.UTC(1990, 0, 1) / 1000

/**
 * A ride out of its points, by methods 12.
 * @throws RideFileError where there are no points, no times, or times that no ride had
 */
export function recordedRide({ segments, name, sport, deviceKm }: Recording): RecordedRide {
  if (segments.every((segment) => segment.length === 0))
    throw new RideFileError('There are no points in the file. Export the ride again, or add it by hand.')
  const summary = summariseTrack(segments)
  if (!summary)
    throw new RideFileError(
      'Its points have no times, so it cannot be told when it was ridden. Add the ride by hand.',
    )
  const km = summary.deviceKm ?? deviceKm ?? summary.km
  if (Date.parse(summary.startedAt) / 1000 < EARLIEST)
    throw new RideFileError(
      `The device’s clock stood at ${summary.startedAt.slice(0, 10)}, so it cannot be told when this was ridden. Add its ${km.toFixed(1)} km by hand, on the day you rode it.`,
    )
  let hasCadence = false
  let hasPower = false
  let place: { lat: number; lon: number } | undefined
  for (const segment of segments)
    for (const point of segment) {
      if (point.cadenceRpm !== undefined) hasCadence = true
      if (point.powerW !== undefined) hasPower = true
      if (!place && !Number.isNaN(point.lat)) place = { lat: point.lat, lon: point.lon }
    }
  return {
    ...summary,
    ...(summary.deviceKm === undefined && deviceKm !== undefined && { deviceKm }),
    hasCadence,
    hasPower,
    samples: hasCadence || hasPower ? gearSamples(segments) : [],
    ...(name !== undefined && name !== '' && { name }),
    ...(sport !== undefined && sport !== '' && { sport }),
    ...(place && { place }),
  }
}

/**
 * What recognises the same recording when it is offered again, whatever its file is called.
 */
export const ridePrint = (ride: TrackSummary): string => `${ride.startedAt} ${ride.endedAt} ${ride.points}`
