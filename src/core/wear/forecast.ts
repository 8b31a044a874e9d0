import type { RidingPlan } from '../exposure/riding-plan.ts'
import { summariseDensity, type Density, type Summary } from '../measure/posterior.ts'
import { disagreements, type ToolVoice } from '../measure/disagreement.ts'
import type { Instrument } from '../measure/reading.ts'
import { smoothDensity } from './density.ts'
import {
  elongationsAt,
  rateBelief,
  wearKmToReach,
  type ChainPast,
  wearKmUnder,
  type RateBelief,
  type WearDistance,
  type WearObservation,
} from './rate-grid.ts'
import { quantile, weighted } from './weighted.ts'

/** Everything a forecast depends on: plain data, so that it can go to a worker and be the key of a cache. */
export interface WearQuestion {
  readonly past: ChainPast
  readonly observations: readonly WearObservation[]
  /** How many of them, the last, are of the last look. */
  readonly lookSize: number
  readonly links: number
  /** The chain's wear-distance now. */
  readonly now: WearDistance
  readonly limit: number
  readonly plan: RidingPlan
  /** Wear-distances at which to draw the way here. */
  readonly drawAt: readonly WearDistance[]
}

export interface Interval {
  readonly p10: number
  readonly p50: number
  readonly p90: number
}
/** Two tools of the last look that contradict one another, with no third to settle it. */
export interface OpenConflict {
  readonly high: { readonly tool: string; readonly mean: number }
  readonly low: { readonly tool: string; readonly mean: number }
  readonly settle: Instrument
}

export interface BandPoint extends Interval {
  /** km from now in the fan ahead; wear-km from new in the way here. */
  readonly x: number
}

export interface WearAnswer {
  readonly now: Summary
  readonly density: Density
  /** Distance to the limit from now, km, never below 0. */
  readonly toLimitKm: Interval
  /** Days to the limit; absent where nothing is being ridden. */
  readonly toLimitDays?: Interval
  /** Distance from now at which one in ten such chains is past the limit, km. */
  readonly nextLookKm: number
  readonly ratePer1000: Interval
  readonly fan: readonly BandPoint[]
  readonly wayHere: readonly BandPoint[]
  readonly readings: number
  /** Chance that rides or a swap are missing from the log. */
  readonly untoldPast: number
  readonly conflict?: OpenConflict
}

/** Marks for which the chance of being past is always reported, %. */
const MARKS = [0.5, 0.75, 0.9, 1]
const FAN_STEPS = 24
/** A chain that outlasts this is called "more than" this, km. */
export const FORECAST_CAP_KM = 50_000

function intervalOf(values: ArrayLike<number>, weights: ArrayLike<number>): Interval {
  const sample = weighted(values, weights)
  return { p10: quantile(sample, 0.1), p50: quantile(sample, 0.5), p90: quantile(sample, 0.9) }
}

/** Days to ride a distance, given what a week brings: five likely weekly distances for each likely distance. */
function daysInterval(km: Float64Array, weight: Float64Array, plan: RidingPlan): Interval | undefined {
  if (plan.weeklyKm <= 0) return undefined
  // Nodes and weights of five-point Gauss-Hermite quadrature for a standard normal (Abramowitz & Stegun 25.10).
  const nodes = [-2.85697, -1.355626, 0, 1.355626, 2.85697]
  const shares = [0.011257, 0.222076, 0.533333, 0.222076, 0.011257]
  const logSd = Math.sqrt(Math.log(1 + plan.weeklySpread ** 2))
  const days = new Float64Array(km.length * nodes.length)
  const weights = new Float64Array(days.length)
  km.forEach((distance, i) => {
    nodes.forEach((node, k) => {
      days[i * nodes.length + k] = (7 * distance) / (plan.weeklyKm * Math.exp(node * logSd))
      weights[i * nodes.length + k] = (weight[i] ?? 0) * (shares[k] ?? 0)
    })
  })
  return intervalOf(days, weights)
}

function openConflict({ observations, lookSize, links }: WearQuestion): OpenConflict | undefined {
  if (lookSize < 2) return undefined
  const [first] = disagreements(observations.slice(-lookSize), links)
  if (!first || first.settled) return undefined
  const voice = ({ tool, mean }: ToolVoice) => ({ tool, mean })
  return { high: voice(first.high), low: voice(first.low), settle: first.settle }
}

const bandAt = (belief: RateBelief, x: number, distance: WearDistance): BandPoint => ({
  x,
  ...intervalOf(elongationsAt(belief, distance), belief.weight),
})

/** Wear-distance after so many km more. */
const further = (now: WearDistance, perKm: WearDistance, km: number): WearDistance => ({
  wearKm: now.wearKm + km * perKm.wearKm,
  unsureWearKm: (now.unsureWearKm ?? 0) + km * (perKm.unsureWearKm ?? 0),
})

/**
 * How worn one chain is now and how far it still goes (methods 4, first form). The distance to look again is
 * where P(e >= limit) reaches 10 %, which is the 10th percentile of the distance to the limit.
 * @throws RangeError where a reading cannot be
 */
export function forecastWear(question: WearQuestion): WearAnswer {
  const { plan, limit, now } = question
  const unsure = [now, plan.perKm].some(({ unsureWearKm = 0 }) => unsureWearKm > 0)
  const belief = rateBelief(question.past, question.observations, unsure)
  const density = smoothDensity(elongationsAt(belief, now), belief.weight)
  const km = wearKmToReach(belief, limit).map((wearKm, i) => {
    const factor = belief.unsure[i] ?? 1
    const left = Math.max(0, wearKm - wearKmUnder(now, factor))
    return Math.min(FORECAST_CAP_KM, left / wearKmUnder(plan.perKm, factor))
  })
  const toLimitKm = intervalOf(km, belief.weight)
  const toLimitDays = daysInterval(km, belief.weight, plan)
  const conflict = openConflict(question)
  const reach = Math.min(FORECAST_CAP_KM, Math.max(300, toLimitKm.p90 * 1.1))
  return {
    now: summariseDensity(density, [...new Set([...MARKS, limit])]),
    density,
    toLimitKm,
    ...(toLimitDays && { toLimitDays }),
    nextLookKm: toLimitKm.p10,
    ratePer1000: intervalOf(belief.rate, belief.weight),
    fan: Array.from({ length: FAN_STEPS + 1 }, (_, i) => {
      const ahead = (reach * i) / FAN_STEPS
      return bandAt(belief, ahead, further(now, plan.perKm, ahead))
    }),
    wayHere: question.drawAt.map((distance) => bandAt(belief, distance.wearKm, distance)),
    readings: question.observations.length,
    untoldPast: belief.untoldPast,
    ...(conflict && { conflict }),
  }
}
