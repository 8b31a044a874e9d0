import type { EffortSample } from './chain-energy.ts'
import { greatCircleM, MAX_SPEED_MS, type TrackPoint } from './track.ts'

/** A moment of a ride with all that gears and energy are told from. */
export type GearRecord = EffortSample

/** Positions scatter by metres: speed from them is taken over this many seconds either side. */
const HALF_WINDOW_S = 2

/**
 * Speed, cadence, power and height at each point of a track: the device's own speed where it gave one, else from its
 * distance, else from the positions over some seconds. Points without a time are passed over.
 */
export function gearSamples(segments: readonly (readonly TrackPoint[])[]): GearRecord[] {
  return segments.flatMap((segment) => {
    const points = segment.filter((point) => !Number.isNaN(point.timeS))
    const along = new Float64Array(points.length)
    for (let i = 1; i < points.length; i++) {
      const [a, b] = [points[i - 1], points[i]]
      if (!a || !b) continue
      const seconds = b.timeS - a.timeS
      const byDevice =
        a.distanceM !== undefined && b.distanceM !== undefined ? b.distanceM - a.distanceM : undefined
      const step = byDevice ?? (Number.isNaN(a.lat) || Number.isNaN(b.lat) ? 0 : greatCircleM(a, b))
      along[i] = (along[i - 1] ?? 0) + (step > 0 && step <= MAX_SPEED_MS * seconds ? step : 0)
    }
    return points.map((point, i): GearRecord => {
      let [from, to] = [i, i]
      while (from > 0 && point.timeS - (points[from - 1]?.timeS ?? 0) <= HALF_WINDOW_S) from--
      while (to < points.length - 1 && (points[to + 1]?.timeS ?? 0) - point.timeS <= HALF_WINDOW_S) to++
      const seconds = (points[to]?.timeS ?? 0) - (points[from]?.timeS ?? 0)
      const speed = point.speedMs ?? (seconds > 0 ? ((along[to] ?? 0) - (along[from] ?? 0)) / seconds : 0)
      return {
        t: point.timeS,
        speedMs: speed,
        heightM: point.heightM,
        cadenceRpm: point.cadenceRpm,
        powerW: point.powerW,
      }
    })
  })
}
