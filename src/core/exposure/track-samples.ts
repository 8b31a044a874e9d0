import type { EffortSample } from './chain-energy.ts'
import { MOST_STEP_S } from './stretches.ts'
import { greatCircleM, MAX_SPEED_MS, type TrackPoint } from './track-point.ts'

/** A moment of a ride with all that gears and energy are worked out from. */
export type GearRecord = EffortSample

/** Positions scatter by metres: speed from them is taken over this many seconds either side, or to the neighbours. */
const HALF_WINDOW_S = 2

/**
 * Way gone, speed, cadence, power and height at each point of a track: the device's own speed where it gave one, else from
 * its distance, else from the positions. Points without a time are passed over, and those that do not come after the
 * one before.
 * @param segments in order of time
 */
export function gearSamples(segments: readonly (readonly TrackPoint[])[]): GearRecord[] {
  let gone = 0
  let lastS = -Infinity
  return segments.flatMap((segment) => {
    const points: TrackPoint[] = []
    for (const point of segment)
      if (point.timeS > lastS) {
        points.push(point)
        lastS = point.timeS
      }
    const along = new Float64Array(points.length)
    along[0] = gone
    for (let i = 1; i < points.length; i++) {
      const [a, b] = [points[i - 1], points[i]]
      if (!a || !b) continue
      along[i] = (along[i - 1] ?? 0) + wayBetween(a, b)
    }
    gone = along.at(-1) ?? gone
    return points.map((point, i): GearRecord => {
      const near = (at: number): boolean =>
        Math.abs((points[at]?.timeS ?? Infinity) - point.timeS) <= MOST_STEP_S
      let [from, to] = [near(i - 1) ? i - 1 : i, near(i + 1) ? i + 1 : i]
      while (from > 0 && point.timeS - (points[from - 1]?.timeS ?? 0) <= HALF_WINDOW_S) from--
      while (to < points.length - 1 && (points[to + 1]?.timeS ?? 0) - point.timeS <= HALF_WINDOW_S) to++
      const seconds = (points[to]?.timeS ?? 0) - (points[from]?.timeS ?? 0)
      return {
        t: point.timeS,
        speedMs: point.speedMs ?? (seconds > 0 ? ((along[to] ?? 0) - (along[from] ?? 0)) / seconds : 0),
        alongM: along[i],
        heightM: point.heightM,
        cadenceRpm: point.cadenceRpm,
        powerW: point.powerW,
      }
    })
  })
}

/** The way from a point to the next, m: by the device's distance, else by the positions, else by its speed; 0 where it cannot be. */
function wayBetween(a: TrackPoint, b: TrackPoint): number {
  const seconds = b.timeS - a.timeS
  const isWay = (metres: number): boolean => metres > 0 && metres <= MAX_SPEED_MS * seconds
  if (a.distanceM !== undefined && b.distanceM !== undefined && isWay(b.distanceM - a.distanceM))
    return b.distanceM - a.distanceM
  if (!Number.isNaN(a.lat) && !Number.isNaN(b.lat)) {
    const metres = greatCircleM(a, b)
    return isWay(metres) ? metres : 0
  }
  if (a.speedMs === undefined || b.speedMs === undefined || seconds > MOST_STEP_S) return 0
  const metres = ((a.speedMs + b.speedMs) / 2) * seconds
  return isWay(metres) ? metres : 0
}
