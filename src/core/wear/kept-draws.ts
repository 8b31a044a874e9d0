import type { Factor, RoadPiece } from '../exposure/roads.ts'
import { defaultWearKm, factorLogSd, factorsOf } from '../exposure/roads.ts'
import { seededRandom } from '../stats/random.ts'
import { lateWear, plainWear } from './late-wear.ts'
import type { RiderDraws } from './draws.ts'
import type { DrawnChain } from './in-doubt.ts'

/** What the draws say of one chain, draw by draw. */
export interface KeptChainDraws {
  /** % per 1000 wear-km */
  readonly rate: Float32Array
  /** Elongation when fitted, % */
  readonly start: Float32Array
  /** Behind it so far, wear-km */
  readonly wearKm: Float32Array
  /** The exponent of wear over wear-distance */
  readonly beta: Float32Array
  /** So many times as fast a chain wears late, and from where on, % */
  readonly lateTimes: Float32Array
  readonly lateFrom: Float32Array
}

/**
 * Some of the posterior's draws as an answer carries them, so that whatever is to come (teeth, rotation, prices) can be
 * simulated from what is known of a rider, without sampling again. The n-th numbers of all lists belong together, but for those
 * of a chain about which a question is open: they are of every answer as often as it is likely.
 */
export interface KeptDraws {
  readonly count: number
  /** The exponent of wear over wear-distance */
  readonly beta: Float32Array
  /** So many times as fast a chain wears late, and from where on, % */
  readonly lateTimes: Float32Array
  readonly lateFrom: Float32Array
  /** The rider's median rate, % per 1000 wear-km: for chains that are yet to come */
  readonly rider: Float32Array
  /** The multipliers that were learned, over their defaults */
  readonly times: Readonly<Partial<Record<Factor, Float32Array>>>
  /** By chain */
  readonly chains: Readonly<Record<string, KeptChainDraws>>
}

/** Every so many-th draw, so that there are `count`. */
function thinned(values: ArrayLike<number>, count: number): Float32Array {
  const all = values.length
  return Float32Array.from({ length: count }, (_, n) => values[Math.floor((n * all) / count)] ?? 0)
}

/**
 * Thins the draws and lays them out to be kept.
 * @param chains what is drawn of each chain
 * @param most so many draws at most
 */
export function keepDraws(
  draws: RiderDraws,
  chains: readonly { readonly id: string; readonly drawn: DrawnChain }[],
  most: number,
): KeptDraws {
  const count = Math.min(most, draws.count)
  const few = (values: ArrayLike<number>) => thinned(values, count)
  return {
    count,
    beta: few(draws.beta),
    lateTimes: few(draws.lateTimes),
    lateFrom: few(draws.lateFrom),
    rider: few(draws.rider),
    times: Object.fromEntries(
      draws.model.factors.map(({ of }, f) => [of, few(draws.times[f] ?? [])] as const),
    ),
    chains: Object.fromEntries(
      chains.map(({ id, drawn: { draws: of, own, gone } }) => [
        id,
        {
          rate: few(own.rate),
          start: few(own.start),
          wearKm: few(gone),
          beta: few(of.beta),
          lateTimes: few(of.lateTimes),
          lateFrom: few(of.lateFrom),
        },
      ]),
    ),
  }
}

/** A chain's draws; one that nothing is known of is one of the rider's, new when it was fitted. */
export function keptChain(draws: KeptDraws, id: string): KeptChainDraws {
  const known = draws.chains[id]
  if (known) return known
  const none = new Float32Array(draws.count)
  const { beta, lateTimes, lateFrom, rider } = draws
  return { rate: rider, start: none, wearKm: none, beta, lateTimes, lateFrom }
}

/** A seed of its own for each multiplier, whatever else is asked. */
const seedOf = (factor: Factor): number =>
  [...factor].reduce((seed, letter) => Math.imul(seed, 31) + letter.charCodeAt(0), 17)

/** A multiplier, draw by draw: as learned, or, where the rider never met it, as believed beforehand. */
function timesOf({ times, count }: KeptDraws, factor: Factor): Float32Array {
  const learned = times[factor]
  if (learned) return learned
  const random = seededRandom(seedOf(factor))
  const logSd = factorLogSd(factor)
  return Float32Array.from({ length: count }, () => Math.exp(random.normal(0, logSd)))
}

/** Wear-km of any road, draw by draw. */
export function keptWearKm(draws: KeptDraws, road: readonly RoadPiece[]): Float64Array {
  const sum = new Float64Array(draws.count)
  for (const piece of road) {
    const base = defaultWearKm(piece)
    const factors = factorsOf(piece).map((factor) => timesOf(draws, factor))
    for (let n = 0; n < sum.length; n++)
      sum[n] = (sum[n] ?? 0) + factors.reduce((product, times) => product * (times[n] ?? 1), base)
  }
  return sum
}

/** Elongation of a chain, %, draw by draw, after so many wear-km in all. */
export const keptElongation = (
  { rate, start, beta, lateTimes, lateFrom }: KeptChainDraws,
  wearKm: Float64Array | Float32Array,
): Float64Array =>
  Float64Array.from(wearKm, (km, n) =>
    lateWear(
      (start[n] ?? 0) + (rate[n] ?? 0) * (Math.max(0, km) / 1000) ** (beta[n] ?? 1),
      lateTimes[n] ?? 1,
      lateFrom[n] ?? 0,
    ),
  )

/** Wear-km from new at which a chain reaches a limit, draw by draw; 0 where it starts past it. */
export const keptLimitWearKm = (
  { rate, start, beta, lateTimes, lateFrom }: KeptChainDraws,
  limit: number,
): Float64Array =>
  Float64Array.from(start, (from, n) => {
    const plain = plainWear(limit, lateTimes[n] ?? 1, lateFrom[n] ?? 0)
    return from >= plain ? 0 : 1000 * ((plain - from) / (rate[n] ?? 1)) ** (1 / (beta[n] ?? 1))
  })

/** A name for draws: changes where they do. */
export function drawsName({ count, rider, beta, chains }: KeptDraws): string {
  const ends = (list: Float32Array): string => `${list[0]} ${list[count >> 1]} ${list[count - 1]}`
  return [
    ends(rider),
    ends(beta),
    ...Object.entries(chains).map(([id, { rate, wearKm }]) => `${id} ${ends(rate)} ${ends(wearKm)}`),
  ].join(';')
}
