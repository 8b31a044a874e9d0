import type { RoadStretch } from '../exposure/road-ahead.ts'
import { seededRandom } from '../stats/random.ts'
import { wearKmDraws, type RiderDraws } from './draws.ts'
import { FORECAST_CAP_KM } from './rider-forecast.ts'

/** Riding to come from now on, in order. */
export interface AheadQuestion {
  /** At least one; the last goes on for as long as it is asked about. */
  readonly stretches: readonly RoadStretch[]
  /** How unsure the usual pace is, as a spread of its logarithm. */
  readonly paceLogSd: number
  /** Nothing is being ridden: there are distances, but no dates. */
  readonly idle: boolean
}

/** One draw's way ahead: what has been gathered by the end of each stretch, from 0 at its first place. */
export interface DrawnWay {
  readonly km: Float64Array
  readonly wearKm: Float64Array
  readonly days: Float64Array
}

/** Where one draw stands. */
interface Place {
  readonly km: number
  readonly days: number
}

/** Between two ends in a straight line; where they are one, the first. */
const between = (a: number, b: number, share: number): number => (b > a ? a + share * (b - a) : a)

/** The stretch whose end is the first at or past a value, counted from 0. */
function stretchTo(ends: Float64Array, value: number): number {
  let i = 0
  while (i < ends.length - 2 && (ends[i + 1] ?? 0) < value) i++
  return i
}

/**
 * The ways ahead, one for each draw: the pace is drawn, once for each, and the wear of every stretch is what the draw
 * makes of its roads.
 * @param seed for the pace
 */
export function drawWays(
  draws: RiderDraws,
  { stretches, paceLogSd }: AheadQuestion,
  seed: number,
): DrawnWay[] {
  const random = seededRandom(seed)
  const perKm = stretches.map((stretch) => wearKmDraws(draws, stretch.perKm))
  return Array.from({ length: draws.count }, (_, n): DrawnWay => {
    const pace = Math.exp(random.normal(0, paceLogSd))
    const way = {
      km: new Float64Array(stretches.length + 1),
      wearKm: new Float64Array(stretches.length + 1),
      days: new Float64Array(stretches.length + 1),
    }
    stretches.forEach((stretch, i) => {
      const last = i === stretches.length - 1
      const usual = stretch.event === undefined ? stretch.km * pace : stretch.km
      // The last stretch goes on to the cap, at its own number of kilometres a day.
      const km = last ? Math.max(usual, FORECAST_CAP_KM) : usual
      const days = last && usual > 0 ? (stretch.days * km) / usual : stretch.days
      way.km[i + 1] = (way.km[i] ?? 0) + km
      way.wearKm[i + 1] = (way.wearKm[i] ?? 0) + km * (perKm[i]?.[n] ?? 1)
      way.days[i + 1] = (way.days[i] ?? 0) + days
    })
    return way
  })
}

/** Wear-km of one draw after so many km more. */
export function wearAhead({ km, wearKm }: DrawnWay, distanceKm: number): number {
  const i = stretchTo(km, distanceKm)
  const [from, to] = [km[i] ?? 0, km[i + 1] ?? 0]
  const share = to > from ? (distanceKm - from) / (to - from) : 0
  return between(wearKm[i] ?? 0, wearKm[i + 1] ?? 0, share)
}

/** Days of one draw after so many km more. */
export function daysAhead({ km, days }: DrawnWay, distanceKm: number): number {
  const i = stretchTo(km, distanceKm)
  const [from, to] = [km[i] ?? 0, km[i + 1] ?? 0]
  const share = to > from ? (distanceKm - from) / (to - from) : 0
  return between(days[i] ?? 0, days[i + 1] ?? 0, share)
}

/** Where one draw has gathered so much more wear, at the cap at the latest. */
export function placeAtWear({ km, wearKm, days }: DrawnWay, more: number): Place {
  const i = stretchTo(wearKm, more)
  const [from, to] = [wearKm[i] ?? 0, wearKm[i + 1] ?? 0]
  const share = to > from ? Math.min(1, Math.max(0, (more - from) / (to - from))) : 0
  return {
    km: Math.min(FORECAST_CAP_KM, between(km[i] ?? 0, km[i + 1] ?? 0, share)),
    days: between(days[i] ?? 0, days[i + 1] ?? 0, share),
  }
}
