import type { JobStep } from '../job.ts'
import { seededRandom } from '../stats/random.ts'
import { effectiveSize, rHat } from '../stats/diagnostics.ts'
import { sampleHmcSteps, type LogDensity, type Sample, type SampleOptions } from './hmc.ts'
import { biasSpreads } from '../measure/bias-tail.ts'
import { summitsAbove, summitsOf } from './summits.ts'
import { lateWear, plainWear } from './late-wear.ts'
import type { ChainPast } from './rate-grid.ts'
import { RATE_MEDIAN } from './rate-grid.ts'
import { logDensityOf } from './rider-density.ts'
import {
  CHAIN_LOG_SD,
  chainState,
  factorTimes,
  kindTimes,
  RIDER_LOG_SD,
  riderModel,
  START_SD,
  UNKNOWN_FROM,
  UNKNOWN_TO,
  wearKmOf,
  type RiderChain,
  type RiderModel,
} from './rider-model.ts'
import type { RoadPiece } from '../exposure/roads.ts'

/** Draws of everything that is unknown of a rider, one after another. */
export interface RiderDraws {
  readonly model: RiderModel
  readonly options: SampleOptions
  readonly count: number
  /** What each draw makes of each kind of road. */
  readonly kinds: readonly Float64Array[]
  /** The rider's median rate, % per 1000 wear-km. */
  readonly rider: Float64Array
  readonly beta: Float64Array
  /** So many times as fast a chain wears late, and from where on, %. */
  readonly lateTimes: Float64Array
  readonly lateFrom: Float64Array
  /** Multipliers over their defaults, in the order of the model's factors. */
  readonly times: readonly Float64Array[]
  /** Biases of the tools, %, in the order of the model's tools. */
  readonly offsets: readonly Float64Array[]
  /** For each chain of the sampler its coordinates, one draw after another. */
  readonly sampled: readonly Float64Array[]
  readonly accepted: number
}

/** How well the sampling went, at the worst of all coordinates. */
export interface Settled {
  /** 1 where the chains of the sampler agree; below 1.02 is good enough. */
  readonly rHat: number
  readonly effectiveSize: number
}

/** What every draw says of one chain. */
export interface ChainDraws {
  readonly rate: Float64Array
  readonly start: Float64Array
}

/**
 * Chains of the sampler that disagree by more, or draws worth less, are drawn again: where few are asked for, for less. A log
 * of many chains takes seconds for one round; there it takes a plain disagreement.
 */
function unsettled(
  { rHat: hat, effectiveSize: size }: Settled,
  { draws, chains }: SampleOptions,
  dimension: number,
): boolean {
  if (dimension > MANY_UNKNOWNS) return hat > 1.1
  return draws < FEW_DRAWS ? hat > 1.04 || size < 0.12 * draws * chains : hat > 1.015 || size < 250
}
const FEW_DRAWS = 300
const MANY_UNKNOWNS = 150
/** So many times as many draws then, of which every so many-th is kept. */
const AGAIN = 4
const MOST_ROUNDS = 2

/** Every so many-th draw. */
const thinnedSample = ({ chains, dimension, accepted }: Sample, step: number): Sample => ({
  dimension,
  accepted,
  chains: chains.map((draws) =>
    Float64Array.from({ length: draws.length / step }, (_, i) => {
      const n = Math.floor(i / dimension)
      return draws[(n * step + step - 1) * dimension + (i % dimension)] ?? 0
    }),
  ),
})

/**
 * Draws until the sampler's chains agree: where they do not, each has found its own hill; they are drawn again for longer, with
 * leaps between all the summits that were found.
 */
function* settledSample(
  model: RiderModel,
  density: LogDensity,
  options: SampleOptions,
): Generator<JobStep, Sample, undefined> {
  const { dimension } = model
  let sample = yield* sampleHmcSteps(density, dimension, options, summitsOf(model, density))
  for (
    let round = 1;
    round <= MOST_ROUNDS && unsettled(settled(sample, options.draws), options, dimension);
    round++
  ) {
    const ends = sample.chains.map((draws) => draws.subarray(draws.length - dimension))
    const more = {
      ...options,
      draws: AGAIN * options.draws,
      warmUp: 2 * options.warmUp,
      seed: options.seed + round,
    }
    const summits = summitsAbove(model, density, ends)
    sample = thinnedSample(yield* sampleHmcSteps(density, dimension, more, summits), AGAIN)
  }
  return sample
}

/**
 * Draws from the posterior of all of a rider's chains at once (methods 4).
 * @param ahead roads that will be asked about
 * @throws RangeError where a reading or a distance cannot be
 */
export function* drawRiderSteps(
  chains: readonly RiderChain[],
  ahead: readonly RoadPiece[],
  options: SampleOptions,
): Generator<JobStep, RiderDraws, undefined> {
  const model = riderModel(chains, ahead)
  const density = logDensityOf(model)
  const sample = yield* settledSample(model, density, options)
  const { dimension, places, tools } = model
  const zs = sample.chains.flatMap((draws) =>
    Array.from({ length: options.draws }, (_, n) => draws.subarray(n * dimension, (n + 1) * dimension)),
  )
  const timesOf = zs.map((z) => factorTimes(model, z))
  const states = zs.map((z) => chainState(model, z, 0))
  return {
    model,
    options,
    count: zs.length,
    kinds: zs.map((z) => kindTimes(model, z)),
    rider: Float64Array.from(zs, (z) => RATE_MEDIAN * Math.exp(RIDER_LOG_SD * (z[places.rider] ?? 0))),
    beta: Float64Array.from(states, ({ beta }) => beta),
    lateTimes: Float64Array.from(states, ({ lateTimes }) => lateTimes),
    lateFrom: Float64Array.from(states, ({ lateFrom }) => lateFrom),
    times: model.factors.map((_, f) => Float64Array.from(timesOf, (times) => times[f] ?? 1)),
    offsets: tools.map(({ place, bias }) =>
      Float64Array.from(zs, (z) => bias.b + bias.sb * biasSpreads(z[place] ?? 0)),
    ),
    sampled: sample.chains,
    accepted: sample.accepted,
  }
}

/** The coordinates of one draw. */
export function coordinatesOf(
  { sampled, model: { dimension }, options: { draws } }: RiderDraws,
  n: number,
): Float64Array {
  const chain = sampled[Math.floor(n / draws)] ?? new Float64Array(dimension)
  return chain.subarray((n % draws) * dimension, ((n % draws) + 1) * dimension)
}

/**
 * What every draw says of one chain. A chain nobody has read is drawn from what is known of the rider.
 * @param seed for a chain without readings
 */
export function chainDraws(
  draws: RiderDraws,
  { id, past }: { readonly id: string; readonly past: ChainPast },
  seed: number,
): ChainDraws {
  const { count, model, rider } = draws
  const rate = new Float64Array(count)
  const start = new Float64Array(count)
  const number = model.chains.findIndex((chain) => chain.id === id)
  const random = seededRandom(seed)
  for (let n = 0; n < count; n++) {
    if (number >= 0) {
      const state = chainState(model, coordinatesOf(draws, n), number)
      rate[n] = state.rate
      start[n] = state.start
    } else {
      rate[n] = (rider[n] ?? 0) * Math.exp(random.normal(0, CHAIN_LOG_SD))
      start[n] = past === 'unknown' ? random.between(UNKNOWN_FROM, UNKNOWN_TO) : random.normal(0, START_SD)
    }
  }
  return { rate, start }
}

/** Every so many-th of some values. */
function everyNth(values: Float64Array, step: number): Float64Array {
  const few = new Float64Array(Math.ceil(values.length / step))
  for (let i = 0; i < few.length; i++) few[i] = values[i * step] as number
  return few
}

/** Some of the draws, evenly, for what is only drawn or tried; and what they say of a chain. */
export interface FewDraws {
  readonly draws: RiderDraws
  readonly of: (chain: ChainDraws) => ChainDraws
}

/** So many of the draws at most. */
export function fewDraws(draws: RiderDraws, most: number): FewDraws {
  const step = Math.max(1, Math.ceil(draws.count / most))
  if (step === 1) return { draws, of: (chain) => chain }
  const kinds = draws.kinds.filter((_, n) => n % step === 0)
  const few = (values: Float64Array) => everyNth(values, step)
  return {
    draws: {
      ...draws,
      count: kinds.length,
      kinds,
      rider: few(draws.rider),
      beta: few(draws.beta),
      lateTimes: few(draws.lateTimes),
      lateFrom: few(draws.lateFrom),
      times: draws.times.map(few),
      offsets: draws.offsets.map(few),
    },
    of: ({ rate, start }) => ({ rate: few(rate), start: few(start) }),
  }
}

/** Wear-km of a road, by draw. */
export function wearKmDraws({ model, kinds, count }: RiderDraws, road: readonly RoadPiece[]): Float64Array {
  const laid = model.lay(road)
  const wearKm = new Float64Array(count)
  for (let n = 0; n < count; n++) wearKm[n] = wearKmOf(kinds[n] as Float64Array, laid)
  return wearKm
}

/** Elongation, %, of a chain after some wear-km, by draw. */
export function elongationDraws(
  { beta, lateTimes, lateFrom, count }: RiderDraws,
  { rate, start }: ChainDraws,
  wearKm: Float64Array,
): Float64Array {
  const elongation = new Float64Array(count)
  for (let n = 0; n < count; n++)
    elongation[n] = lateWear(
      (start[n] as number) + (rate[n] as number) * ((wearKm[n] as number) / 1000) ** (beta[n] as number),
      lateTimes[n] as number,
      lateFrom[n] as number,
    )
  return elongation
}

/** Wear-km from new at which a chain reaches a limit, by draw; 0 where it starts past it. */
export function limitWearKm(
  { beta, lateTimes, lateFrom }: RiderDraws,
  { rate, start }: ChainDraws,
  limit: number,
): Float64Array {
  return start.map((from, n) => {
    const plain = plainWear(limit, lateTimes[n] ?? 1, lateFrom[n] ?? 0)
    return from >= plain ? 0 : 1000 * ((plain - from) / (rate[n] ?? 1)) ** (1 / (beta[n] ?? 1))
  })
}

/** How well the sampling went, at the worst of all coordinates. */
function settled({ dimension, chains }: Pick<Sample, 'dimension' | 'chains'>, draws: number): Settled {
  let [hat, size] = [1, Infinity]
  for (let i = 0; i < dimension; i++) {
    const traces = chains.map((chain) =>
      Float64Array.from({ length: draws }, (_, n) => chain[n * dimension + i] ?? 0),
    )
    hat = Math.max(hat, rHat(traces))
    size = Math.min(size, effectiveSize(traces))
  }
  return { rHat: hat, effectiveSize: size }
}

/** How well the sampling went. */
export const settledOf = ({ model: { dimension }, sampled, options: { draws } }: RiderDraws): Settled =>
  settled({ dimension, chains: sampled }, draws)
