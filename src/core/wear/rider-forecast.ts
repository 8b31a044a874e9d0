import { meanOf } from '../stats/mean.ts'
import {
  chainDraws,
  drawRiderSteps,
  elongationDraws,
  limitWearKm,
  settledOf,
  wearKmDraws,
  type RiderDraws,
  type Settled,
} from './draws.ts'
import { toEnd } from '../job.ts'
import type { SampleOptions } from './hmc.ts'
import { intervalOf, quantileOf, type Interval } from '../stats/interval.ts'
import type { RiderChain } from './rider-model.ts'
import type { RoadPiece } from '../exposure/roads.ts'

/** A chain that outlasts this is called "more than" this, km. */
export const FORECAST_CAP_KM = 50_000

/** What is asked of one chain, with a road ahead that is the same all along. */
export interface RiderQuestion {
  readonly chains: readonly RiderChain[]
  /** The chain asked about, by its id. */
  readonly chain: string
  /** All it has been through so far. */
  readonly now: readonly RoadPiece[]
  readonly limit: number
  /** What a kilometre ahead is made of: shares of a kilometre. */
  readonly ahead: readonly RoadPiece[]
}

export interface RiderAnswer extends Settled {
  readonly now: { readonly mean: number; readonly p05: number; readonly p95: number }
  /** Distance to the limit from now, km, never below 0. */
  readonly toLimitKm: Interval
  /** Distance at which one in ten such chains is past the limit, km. */
  readonly nextLookKm: number
  readonly ratePer1000: Interval
}

/** What every draw says of the chain asked about, in the order they were drawn. */
export interface AskedDraws {
  /** Elongation now, %. */
  readonly worn: Float64Array
  /** Distance to the limit from now, km, 0 to the cap. */
  readonly toLimitKm: Float64Array
  /** % per 1000 wear-km. */
  readonly rate: Float64Array
  readonly draws: RiderDraws
}

/**
 * Draws from the posterior of all of a rider's chains at once (methods 4), as one chain sees it.
 * @throws RangeError where the chain is not among them, or a reading or distance cannot be
 */
export function drawRider(question: RiderQuestion, options: SampleOptions): AskedDraws {
  const { chains, now, ahead, limit } = question
  const asked = chains.find(({ id }) => id === question.chain)
  if (!asked) throw new RangeError(`There is no chain "${question.chain}".`)
  const draws = toEnd(drawRiderSteps(chains, [...now, ...ahead], options))
  const chain = chainDraws(draws, asked, options.seed)
  const gone = wearKmDraws(draws, now)
  const perKm = wearKmDraws(draws, ahead)
  return {
    worn: elongationDraws(draws, chain, gone),
    toLimitKm: limitWearKm(draws, chain, limit).map((at, n) =>
      Math.min(FORECAST_CAP_KM, Math.max(0, at - (gone[n] ?? 0)) / (perKm[n] ?? 1)),
    ),
    rate: chain.rate,
    draws,
  }
}

/**
 * How worn a chain is and how far it still goes, from all of a rider's chains at once (methods 4).
 * @throws RangeError where the chain is not among them, or a reading or distance cannot be
 */
export function forecastRider(question: RiderQuestion, options: SampleOptions): RiderAnswer {
  const { worn, toLimitKm, rate, draws } = drawRider(question, options)
  const sorted = Float64Array.from(worn).sort()
  const interval = intervalOf(toLimitKm)
  return {
    now: {
      mean: meanOf(worn),
      p05: quantileOf(sorted, 0.05),
      p95: quantileOf(sorted, 0.95),
    },
    toLimitKm: interval,
    nextLookKm: interval.p10,
    ratePer1000: intervalOf(rate),
    ...settledOf(draws),
  }
}
