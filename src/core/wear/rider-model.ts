import { biasOf, toolOf } from '../measure/instrument-likelihood.ts'
import type { Bias, TakenReading } from '../measure/reading.ts'
import { LATE_FROM, LATE_FROM_SD, lateTimesAt } from './late-wear.ts'
import { RATE_MEDIAN, type ChainPast } from './rate-grid.ts'
import {
  factorLogSd,
  factorsOf,
  kindOf,
  roadByKind,
  type Factor,
  type Road,
  type RoadPiece,
} from '../exposure/roads.ts'

/** Spreads of methods 4, as logarithms where they are of factors. */
export const RIDER_LOG_SD = 0.5
export const CHAIN_LOG_SD = 0.3
export const BETA_LOG_SD = 0.08
export const START_SD = 0.02
/** A chain of unknown past may start anywhere between these, %. */
export const UNKNOWN_FROM = -0.05
export const UNKNOWN_TO = 1.2

/** A reading and all that the chain had been through when it was taken. */
export interface RiderReading extends TakenReading {
  readonly road: readonly RoadPiece[]
}

export interface RiderChain {
  readonly id: string
  readonly past: ChainPast
  readonly readings: readonly RiderReading[]
}

/** A multiplier that is learned: its place among the coordinates, and how far from its default it may be. */
export interface LearnedFactor {
  readonly of: Factor
  readonly place: number
  readonly logSd: number
}

/**
 * The model of all of a rider's chains at once (methods 4), over standard normal coordinates: every unknown is its
 * prior's median where its coordinate is 0. Only chains that were read have coordinates; of the others nothing can be
 * learned but through the rider.
 */
export interface RiderModel {
  readonly dimension: number
  /** Those with readings. */
  readonly chains: readonly RiderChain[]
  readonly factors: readonly LearnedFactor[]
  /** For each kind of road the places of its multipliers. */
  readonly kinds: readonly (readonly number[])[]
  readonly tools: readonly { readonly tool: string; readonly place: number; readonly bias: Bias }[]
  readonly places: {
    readonly rider: number
    readonly beta: number
    /** How many times as fast a chain wears late, and from where on. */
    readonly lateTimes: number
    readonly lateFrom: number
    readonly factors: number
    readonly chains: number
  }
  /** A road in the model's terms. @throws RangeError for a distance below 0, or a kind it was not laid out for */
  readonly lay: (road: readonly RoadPiece[]) => Road
}

/** What is shared by all chains stands before the multipliers: four coordinates. */
const FIRST_FACTOR = 4

/** What one set of coordinates says of a chain. */
export interface ChainState {
  /** % per 1000 wear-km */
  readonly rate: number
  /** Elongation when fitted, % */
  readonly start: number
  readonly beta: number
  /** So many times as fast from there on, %. */
  readonly lateTimes: number
  readonly lateFrom: number
}

/**
 * Lays the model out for some chains.
 * @param ahead roads that will be asked about: multipliers nothing was learned of keep their prior
 * @throws RangeError where a reading or a distance cannot be
 */
export function riderModel(all: readonly RiderChain[], ahead: readonly RoadPiece[] = []): RiderModel {
  const chains = all.filter(({ readings }) => readings.length > 0)
  const readings = chains.flatMap((chain) => chain.readings)
  const pieces = [...readings.flatMap(({ road }) => road), ...ahead]
  const byKind = new Map(pieces.map((piece) => [kindOf(piece), factorsOf(piece)]))
  const factors = [...new Set([...byKind.values()].flat())]
    .sort()
    .map((of, i): LearnedFactor => ({ of, place: FIRST_FACTOR + i, logSd: factorLogSd(of) }))
  const placeOf = new Map(factors.map(({ of, place }) => [of, place]))
  const tools = [...new Map(readings.map((reading) => [toolOf(reading), biasOf(reading)]))].map(
    ([tool, bias], i) => ({ tool, bias, place: FIRST_FACTOR + factors.length + i }),
  )
  const numbers = new Map([...byKind.keys()].map((kind, i) => [kind, i]))
  const numberOf = (kind: string): number => {
    const number = numbers.get(kind)
    if (number === undefined) throw new RangeError('The model knows no such road.')
    return number
  }
  const firstChain = FIRST_FACTOR + factors.length + tools.length
  return {
    dimension: firstChain + 2 * chains.length,
    chains,
    factors,
    kinds: [...byKind.values()].map((of) => of.map((factor) => placeOf.get(factor) ?? 0)),
    tools,
    places: { rider: 0, beta: 1, lateTimes: 2, lateFrom: 3, factors: FIRST_FACTOR, chains: firstChain },
    lay: (road) => roadByKind(road, numberOf),
  }
}

const sigmoid = (u: number): number => 1 / (1 + Math.exp(-u))

/** The start of a chain of unknown past at its coordinate, %: even between its ends. */
export const unknownStart = (u: number): number => UNKNOWN_FROM + (UNKNOWN_TO - UNKNOWN_FROM) * sigmoid(u)

/** What coordinates say of a chain that was read, by its number. */
export function chainState({ chains, places }: RiderModel, z: Float64Array, chain: number): ChainState {
  const place = places.chains + 2 * chain
  const u = z[place + 1] ?? 0
  return {
    rate: RATE_MEDIAN * Math.exp(RIDER_LOG_SD * (z[places.rider] ?? 0) + CHAIN_LOG_SD * (z[place] ?? 0)),
    start: chains[chain]?.past === 'unknown' ? unknownStart(u) : START_SD * u,
    beta: Math.exp(BETA_LOG_SD * (z[places.beta] ?? 0)),
    lateTimes: lateTimesAt(z[places.lateTimes] ?? 0),
    lateFrom: LATE_FROM + LATE_FROM_SD * (z[places.lateFrom] ?? 0),
  }
}

/** The multipliers of some coordinates over their defaults, in the order of the model's factors. */
export const factorTimes = ({ factors }: RiderModel, z: Float64Array): number[] =>
  factors.map(({ place, logSd }) => Math.exp(logSd * (z[place] ?? 0)))

/** What some coordinates make of each kind of road: its wear over the default's. */
export function kindTimes({ kinds, factors, places: at }: RiderModel, z: Float64Array): Float64Array {
  return Float64Array.from(kinds, (places) => {
    let log = 0
    for (const place of places) log += (z[place] ?? 0) * (factors[place - at.factors]?.logSd ?? 0)
    return Math.exp(log)
  })
}

/** Wear-km of a road under the multipliers of its kinds. */
export function wearKmOf(times: Float64Array, { kind, km }: Road): number {
  let sum = 0
  for (let i = 0; i < km.length; i++) sum += (km[i] ?? 0) * (times[kind[i] ?? 0] ?? 0)
  return sum
}
