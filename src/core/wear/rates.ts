import { meanOf } from '../stats/mean.ts'
import { CONDITION_MULTIPLIER, type Condition, type Quarter } from '../exposure/conditions.ts'
import { seededRandom } from '../stats/random.ts'
import { lubeMultiplier } from '../exposure/wear-km.ts'
import type { Lube } from '../lube/lubes.ts'
import { wearKmDraws, type RiderDraws } from './draws.ts'
import { intervalOf, shareFrom, type Interval } from '../stats/interval.ts'
import { RATE_MEDIAN } from './rate-grid.ts'
import { CHAIN_LOG_SD, kindTimes, RIDER_LOG_SD, wearKmOf, type RiderChain } from './rider-model.ts'
import { defaultWearKm, factorsOf, type Factor, type RoadPiece } from '../exposure/roads.ts'

/** What a quantity was taken to be, and what the readings made of it. */
export interface Learned {
  readonly before: Interval
  readonly after: Interval
  /** Share of the uncertainty, as a spread of the logarithm, that the readings took away, 0 to 1. */
  readonly learned: number
}

/** A multiplier on wear. */
export interface FactorRate extends Learned {
  readonly of: Factor
  /** Wear-km of the readings' roads that bear it, at the defaults: what there was to learn from. */
  readonly wearKm: number
  /** Chance that it wears less than the unit: dry road, drip lube. */
  readonly less: number
}

export interface ChainRate extends Learned {
  readonly id: string
  readonly readings: number
}

/** A part of the year, and how fast its riding wears a chain. */
export interface SeasonRoad {
  readonly quarter: Quarter
  readonly km: number
  /** What one kilometre of it is made of. */
  readonly perKm: readonly RoadPiece[]
}
export interface SeasonRate {
  readonly quarter: Quarter
  readonly km: number
  /** % per 1000 km as they come: as it was taken to be, and as the readings made it. */
  readonly before: Interval
  readonly after: Interval
}

/** What wears a rider's chains, and how much of it was learned. */
export interface RiderRates {
  /** % per 1000 wear-km: dry road, drip lube, ordinary effort. */
  readonly rider: Learned
  readonly chains: readonly ChainRate[]
  readonly factors: readonly FactorRate[]
  readonly seasons: readonly SeasonRate[]
}

/** Quantiles of 0.1 and 0.9 of a standard normal (Abramowitz & Stegun 26.2). */
const Z90 = 1.2815515655

const logNormal = (median: number, logSd: number): Interval => ({
  p10: median * Math.exp(-Z90 * logSd),
  p50: median,
  p90: median * Math.exp(Z90 * logSd),
})

function logSdOf(values: Float64Array): number {
  const logs = values.map(Math.log)
  const mean = meanOf(logs)
  return Math.sqrt(logs.reduce((sum, log) => sum + (log - mean) ** 2, 0) / logs.length)
}

function learnedOf(median: number, logSd: number, values: Float64Array): Learned {
  return {
    before: logNormal(median, logSd),
    after: intervalOf(values),
    learned: Math.max(0, 1 - logSdOf(values) / logSd),
  }
}

/** A multiplier's default: wet lube's is that in dust, where alone it differs from drip lube. */
export function defaultOf(of: Factor): number {
  if (of === 'not-set' || of === 'energy-unknown') return 1
  if (of in CONDITION_MULTIPLIER) return CONDITION_MULTIPLIER[of as Condition]
  return lubeMultiplier(of as Lube, of === 'wet-lube' ? 'dry-gravel' : 'dry-road')
}

/** Wear-km under each multiplier, over the last reading of every chain. */
function wearUnder(chains: readonly RiderChain[]): Map<Factor, number> {
  const sums = new Map<Factor, number>()
  for (const { readings } of chains)
    for (const piece of readings.at(-1)?.road ?? [])
      for (const factor of factorsOf(piece)) sums.set(factor, (sums.get(factor) ?? 0) + defaultWearKm(piece))
  return sums
}

const PRIOR_DRAWS = 800

/** What a road's rate was taken to be before anything was read, by draw of the prior. */
function seasonBefore({ model }: RiderDraws, perKm: readonly RoadPiece[]): Float64Array {
  const random = seededRandom(PRIOR_DRAWS)
  const laid = model.lay(perKm)
  const z = new Float64Array(model.dimension)
  return Float64Array.from({ length: PRIOR_DRAWS }, () => {
    for (let i = 0; i < z.length; i++) z[i] = random.normal(0, 1)
    const rider = RATE_MEDIAN * Math.exp(RIDER_LOG_SD * (z[model.places.rider] ?? 0))
    return rider * wearKmOf(kindTimes(model, z), laid)
  })
}

/**
 * The rider's rate, each chain's, each multiplier and each part of the year: what they were taken to be and what the
 * readings made of them.
 * @param seasons roads by part of the year, for the same model
 * @param rateOf what is drawn of a chain's rate, % per 1000 wear-km
 */
export function riderRates(
  draws: RiderDraws,
  chains: readonly RiderChain[],
  seasons: readonly SeasonRoad[],
  rateOf: (chain: string) => Float64Array,
): RiderRates {
  const { model, rider, times } = draws
  const under = wearUnder(chains)
  return {
    rider: learnedOf(RATE_MEDIAN, RIDER_LOG_SD, rider),
    chains: model.chains.map((chain) => ({
      id: chain.id,
      readings: chain.readings.length,
      ...learnedOf(RATE_MEDIAN, Math.hypot(RIDER_LOG_SD, CHAIN_LOG_SD), rateOf(chain.id)),
    })),
    factors: model.factors.map(({ of, logSd }, f) => {
      const values = (times[f] ?? new Float64Array(1)).map((over) => over * defaultOf(of))
      return {
        of,
        wearKm: under.get(of) ?? 0,
        less: 1 - shareFrom(values, 1),
        ...learnedOf(defaultOf(of), logSd, values),
      }
    }),
    seasons: seasons.map(({ quarter, km, perKm }) => ({
      quarter,
      km,
      before: intervalOf(seasonBefore(draws, perKm)),
      after: intervalOf(wearKmDraws(draws, perKm).map((perRidden, n) => perRidden * (rider[n] ?? 0))),
    })),
  }
}
