import type { IsoTime } from '../log/entry.ts'
import { runningDistance } from './device-distance.ts'
import { greatCircleM, MAX_SPEED_MS, type TrackPoint } from './track-point.ts'

/** Slower than this is standing, m/s. */
export const MOVING_SPEED_MS = 0.5
/** A longer gap between points is a stop, s. */
export const MAX_GAP_S = 30

export interface TrackSummary {
  readonly km: number
  readonly movingSeconds: number
  /** All points read, dropped ones included. */
  readonly points: number
  /** Points left out because they imply an impossible speed. */
  readonly dropped: number
  readonly startedAt: IsoTime
  readonly endedAt: IsoTime
  /** Share of the points that have a position. */
  readonly placed: number
}

/** So many points in a row that fit one another but not the last good one: the last good one was the wild one. */
const NEW_GROUND = 5

interface Walk {
  metres: number
  movingSeconds: number
  dropped: number
}

/** Distance and moving time along one segment's points with a fix and a time. */
function walk(points: readonly TrackPoint[], sum: Walk): void {
  let anchor = points[0]
  /** Points since the anchor that do not fit it but fit one another. */
  let away: TrackPoint[] = []
  const step = (a: TrackPoint, b: TrackPoint, metres: number): void => {
    const seconds = b.timeS - a.timeS
    sum.metres += metres
    if (seconds > 0 && seconds <= MAX_GAP_S && metres / seconds >= MOVING_SPEED_MS)
      sum.movingSeconds += seconds
  }
  const fits = (a: TrackPoint, b: TrackPoint, metres: number): boolean =>
    b.timeS >= a.timeS && metres <= MAX_SPEED_MS * (b.timeS - a.timeS)
  for (let i = 1; i < points.length; i++) {
    const point = points[i]
    if (!anchor || !point) return
    const metres = greatCircleM(anchor, point)
    if (fits(anchor, point, metres)) {
      step(anchor, point, metres)
      anchor = point
      if (away.length > 0) away = []
      continue
    }
    sum.dropped++
    const last = away.at(-1)
    away = last && fits(last, point, greatCircleM(last, point)) ? [...away, point] : [point]
    if (away.length < NEW_GROUND) continue
    // The ride goes on over there: the jump is nobody's distance, the steps since are.
    for (let j = 1; j < away.length; j++) {
      const [a, b] = [away[j - 1] ?? point, away[j] ?? point]
      step(a, b, greatCircleM(a, b))
    }
    sum.dropped -= away.length - 1
    anchor = point
    away = []
  }
}

/** Moving time by the device's own distance, for a ride without positions. */
function movingByDevice(points: readonly TrackPoint[]): number {
  let moving = 0
  points.forEach((point, i) => {
    const before = points[i - 1]
    if (!before) return
    const seconds = point.timeS - before.timeS
    const metres = (point.distanceM ?? 0) - (before.distanceM ?? 0)
    if (seconds > 0 && seconds <= MAX_GAP_S && metres / seconds >= MOVING_SPEED_MS) moving += seconds
  })
  return moving
}

/** The points that are sound; the very list where all are, as they mostly are. */
const sound = (
  points: readonly TrackPoint[],
  isSound: (point: TrackPoint) => boolean,
): readonly TrackPoint[] => (points.every(isSound) ? points : points.filter(isSound))

/**
 * Distance and moving time of a recorded track (methods 12): great circles between successive points of a
 * segment, none across segments; points over 35 m/s dropped; steps of 0.5 m/s or more and of at most 30 s moving.
 * Where five points in a row fit one another but not the last good one, as after a first fix on another continent,
 * the ride is taken up again from them. A ride without positions counts by the device's own distance.
 * @param segments in the order of the file; points without a time are passed over
 * @returns undefined where no point carries a time
 */
export function summariseTrack(segments: readonly (readonly TrackPoint[])[]): TrackSummary | undefined {
  const sum: Walk = { metres: 0, movingSeconds: 0, dropped: 0 }
  let first = Infinity
  let last = -Infinity
  let placed = 0
  for (const segment of segments) {
    const timed = sound(segment, ({ timeS }) => !Number.isNaN(timeS))
    for (const { timeS } of timed) {
      if (timeS < first) first = timeS
      if (timeS > last) last = timeS
    }
    const fixed = sound(timed, ({ lat, lon }) => !Number.isNaN(lat) && !Number.isNaN(lon))
    placed += fixed.length
    walk(fixed, sum)
  }
  if (first === Infinity) return undefined
  const device = placed > 0 ? undefined : runningDistance(segments)
  const points = segments.reduce((total, segment) => total + segment.length, 0)
  return {
    km: placed > 0 ? sum.metres / 1000 : (device?.km ?? 0),
    movingSeconds:
      placed > 0
        ? sum.movingSeconds
        : segments.reduce((total, segment) => total + movingByDevice(segment), 0),
    points,
    dropped: sum.dropped,
    startedAt: new Date(first * 1000).toISOString(),
    endedAt: new Date(last * 1000).toISOString(),
    placed: placed / points,
  }
}
