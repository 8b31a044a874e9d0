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

/**
 * How worn a chain is and how far it still goes, from all of a rider's chains at once (methods 4).
 * @returns undefined where the sampling was stopped
 * @throws RangeError where the chain is not among them, or a reading or distance cannot be
 */
export function forecastRider(question: RiderQuestion, options: SampleOptions): RiderAnswer | undefined {
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
  const [worn, toLimit, rates] = [new Float64Array(count), new Float64Array(count), new Float64Array(count)]
  const times = model.factors.map(() => new Float64Array(count))
  sample.chains.forEach((draws, c) => {
    for (let n = 0; n < options.draws; n++) {
      const z = draws.subarray(n * dimension, (n + 1) * dimension)
      const i = c * options.draws + n
      const { rate, start, beta } = chainState(model, z, place)
      const wearKm = wearKmOf(model, z, roadNow)
      worn[i] = start + rate * (wearKm / 1000) ** beta
      const atLimit = start >= limit ? 0 : 1000 * ((limit - start) / rate) ** (1 / beta)
      const perKm = wearKmOf(model, z, roadAhead)
      toLimit[i] = Math.min(FORECAST_CAP_KM, Math.max(0, atLimit - wearKm) / perKm)
      rates[i] = rate
      factorTimes(model, z).forEach((value, f) => {
        const held = times[f]
        if (held) held[i] = value
      })
    }
  })
  const sorted = Float64Array.from(worn).sort()
  const toLimitKm = intervalOf(toLimit)
  return {
    now: {
      mean: worn.reduce((a, b) => a + b, 0) / count,
      p05: quantileOf(sorted, 0.05),
      p95: quantileOf(sorted, 0.95),
    },
    toLimitKm,
    nextLookKm: toLimitKm.p10,
    ratePer1000: intervalOf(rates),
    factors: model.factors.map(({ of }, f) => ({ of, times: intervalOf(times[f] ?? new Float64Array(1)) })),
    ...worstOf(model, sample.chains),
  }
}
