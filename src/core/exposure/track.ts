import type { IsoTime } from '../log/entries.ts'

/** Mean earth radius, m (IUGG). */
export const EARTH_RADIUS_M = 6_371_008.8
/** Nobody rides faster than this, m/s: a point that needs it is a fault of the receiver. */
export const MAX_SPEED_MS = 35
/** Slower than this is standing, m/s. */
export const MOVING_SPEED_MS = 0.5
/** A longer gap between points is a stop, s. */
export const MAX_GAP_S = 30

export interface TrackPoint {
  /** degrees, -90 to 90 */
  readonly lat: number
  /** degrees, -180 to 180 */
  readonly lon: number
  /** s since 1970; NaN where the file gave none */
  readonly timeS: number
  /** the device's own running distance, m */
  readonly distanceM?: number
}

/**
 * Great-circle distance between two points, m, by the haversine formula on a sphere of {@link EARTH_RADIUS_M}.
 * Accurate for close points, where the cosine rule is not.
 */
export function greatCircleM(a: TrackPoint, b: TrackPoint): number {
  const toRad = Math.PI / 180
  const dLat = (b.lat - a.lat) * toRad
  const dLon = (b.lon - a.lon) * toRad
  const h =
    Math.sin(dLat / 2) ** 2 + Math.cos(a.lat * toRad) * Math.cos(b.lat * toRad) * Math.sin(dLon / 2) ** 2
  return 2 * EARTH_RADIUS_M * Math.asin(Math.min(1, Math.sqrt(h)))
}

export interface TrackSummary {
  readonly km: number
  readonly movingSeconds: number
  /** All points read, dropped ones included. */
  readonly points: number
  /** Points left out because they imply an impossible speed. */
  readonly dropped: number
  readonly startedAt: IsoTime
  readonly endedAt: IsoTime
  /** The device's own distance, km, where the points carry one. */
  readonly deviceKm?: number
}

/** The device's running distance, km, summed over the stretches in which it grows. */
function deviceDistanceKm(points: readonly TrackPoint[]): number | undefined {
  const held = points.map((point) => point.distanceM).filter((m): m is number => m !== undefined)
  if (held.length < 2) return undefined
  let total = 0
  for (let i = 1; i < held.length; i++) total += Math.max(0, (held[i] ?? 0) - (held[i - 1] ?? 0))
  return total / 1000
}

/**
 * Distance and moving time of a recorded track (methods 12): great circles between successive points of a
 * segment, none across segments; points over 35 m/s dropped; steps of 0.5 m/s or more and of at most 30 s moving.
 * @param segments in the order of the file; points without a time are passed over
 * @returns undefined where no point carries a time
 */
export function summariseTrack(segments: readonly (readonly TrackPoint[])[]): TrackSummary | undefined {
  let metres = 0
  let movingSeconds = 0
  let dropped = 0
  let first = Infinity
  let last = -Infinity
  for (const segment of segments) {
    let before: TrackPoint | undefined
    for (const point of segment) {
      if (Number.isNaN(point.timeS)) continue
      if (before) {
        const seconds = point.timeS - before.timeS
        const step = greatCircleM(before, point)
        if (seconds < 0 || step > MAX_SPEED_MS * seconds) {
          if (step > 0) dropped++
          continue
        }
        metres += step
        if (seconds > 0 && seconds <= MAX_GAP_S && step / seconds >= MOVING_SPEED_MS) movingSeconds += seconds
      }
      before = point
      first = Math.min(first, point.timeS)
      last = Math.max(last, point.timeS)
    }
  }
  if (first === Infinity) return undefined
  const deviceKm = deviceDistanceKm(segments.flat())
  return {
    km: metres / 1000,
    movingSeconds,
    points: segments.reduce((sum, segment) => sum + segment.length, 0),
    dropped,
    startedAt: new Date(first * 1000).toISOString(),
    endedAt: new Date(last * 1000).toISOString(),
    ...(deviceKm !== undefined && { deviceKm }),
  }
}
