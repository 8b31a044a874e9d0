import { effectiveSize, rHat } from './diagnostics.ts'
import { FORECAST_CAP_KM, type Interval } from './forecast.ts'
import { sampleHmc, type SampleOptions } from './hmc.ts'
import {
  chainState,
  factorTimes,
  logDensityOf,
  riderModel,
  wearKmOf,
  type RiderChain,
  type RiderModel,
  type RoadPiece,
} from './rider-model.ts'

/** What is asked of one chain. */
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

export interface RiderAnswer {
  readonly now: { readonly mean: number; readonly p05: number; readonly p95: number }
  /** Distance to the limit from now, km, never below 0. */
  readonly toLimitKm: Interval
  /** Distance at which one in ten such chains is past the limit, km. */
  readonly nextLookKm: number
  readonly ratePer1000: Interval
  /** What was learned of each multiplier: times its default. */
  readonly factors: readonly { readonly of: string; readonly times: Interval }[]
  /** The worst of all coordinates. */
  readonly rHat: number
  readonly effectiveSize: number
}

const quantileOf = (sorted: Float64Array, share: number): number => {
  const place = share * (sorted.length - 1)
  const low = Math.floor(place)
  const a = sorted[low] ?? 0
  return a + (place - low) * ((sorted[low + 1] ?? a) - a)
}
function intervalOf(values: Float64Array): Interval {
  const sorted = Float64Array.from(values).sort()
  return { p10: quantileOf(sorted, 0.1), p50: quantileOf(sorted, 0.5), p90: quantileOf(sorted, 0.9) }
}

/** The worst diagnostics of all coordinates. */
function worstOf(model: RiderModel, chains: readonly Float64Array[]) {
  let [hat, size] = [1, Infinity]
  for (let i = 0; i < model.dimension; i++) {
    const traces = chains.map((draws) =>
      Float64Array.from(
        { length: draws.length / model.dimension },
        (_, n) => draws[n * model.dimension + i] ?? 0,
      ),
    )
    hat = Math.max(hat, rHat(traces))
    size = Math.min(size, effectiveSize(traces))
  }
  return { rHat: hat, effectiveSize: size }
}

/** What every draw says of the chain asked about, in the order they were drawn. */
export interface RiderDraws {
  /** Elongation now, %. */
  readonly worn: Float64Array
  /** Distance to the limit from now, km, 0 to the cap. */
  readonly toLimitKm: Float64Array
  /** % per 1000 wear-km. */
  readonly rate: Float64Array
  /** Multipliers over their defaults, in the order of the model's factors. */
  readonly times: readonly Float64Array[]
  readonly model: RiderModel
  readonly sampled: readonly Float64Array[]
}

/**
 * Draws from the posterior of all of a rider's chains at once (methods 4), as one chain sees it.
 * @returns undefined where the sampling was stopped
 * @throws RangeError where the chain is not among them, or a reading or distance cannot be
 */
export function drawRider(question: RiderQuestion, options: SampleOptions): RiderDraws | undefined {
  const { chains, chain, now, ahead, limit } = question
  const place = chains.findIndex(({ id }) => id === chain)
  if (place < 0) throw new RangeError(`There is no chain "${chain}".`)
  const model = riderModel(chains, [...now, ...ahead])
  const sample = sampleHmc(logDensityOf(model), model.dimension, options)
  if (!sample) return undefined
  const roadNow = model.lay(now)
  const roadAhead = model.lay(ahead)
  const { dimension } = model
  const count = options.chains * options.draws
  const [worn, toLimitKm, rate] = [new Float64Array(count), new Float64Array(count), new Float64Array(count)]
  const times = model.factors.map(() => new Float64Array(count))
  sample.chains.forEach((draws, c) => {
    for (let n = 0; n < options.draws; n++) {
      const z = draws.subarray(n * dimension, (n + 1) * dimension)
      const i = c * options.draws + n
      const state = chainState(model, z, place)
      const wearKm = wearKmOf(model, z, roadNow)
      worn[i] = state.start + state.rate * (wearKm / 1000) ** state.beta
      const atLimit =
        state.start >= limit ? 0 : 1000 * ((limit - state.start) / state.rate) ** (1 / state.beta)
      const perKm = wearKmOf(model, z, roadAhead)
      toLimitKm[i] = Math.min(FORECAST_CAP_KM, Math.max(0, atLimit - wearKm) / perKm)
      rate[i] = state.rate
      factorTimes(model, z).forEach((value, f) => {
        const held = times[f]
        if (held) held[i] = value
      })
    }
  })
  return { worn, toLimitKm, rate, times, model, sampled: sample.chains }
}

/**
 * How worn a chain is and how far it still goes, from all of a rider's chains at once (methods 4).
 * @returns undefined where the sampling was stopped
 * @throws RangeError where the chain is not among them, or a reading or distance cannot be
 */
export function forecastRider(question: RiderQuestion, options: SampleOptions): RiderAnswer | undefined {
  const drawn = drawRider(question, options)
  if (!drawn) return undefined
  const { worn, rate, times, model, sampled } = drawn
  const sorted = Float64Array.from(worn).sort()
  const toLimitKm = intervalOf(drawn.toLimitKm)
  return {
    now: {
      mean: worn.reduce((a, b) => a + b, 0) / worn.length,
      p05: quantileOf(sorted, 0.05),
      p95: quantileOf(sorted, 0.95),
    },
    toLimitKm,
    nextLookKm: toLimitKm.p10,
    ratePer1000: intervalOf(rate),
    factors: model.factors.map(({ of }, f) => ({ of, times: intervalOf(times[f] ?? new Float64Array(1)) })),
    ...worstOf(model, sampled),
  }
}
