import { CONDITION_MULTIPLIER, type Condition } from '../exposure/conditions.ts'
import { lubeMultiplier, REFERENCE_KJ_PER_KM, type WearKmInput } from '../exposure/wear-km.ts'
import type { Lube } from '../lube/lubes.ts'
import { betweenTable, type BetweenTable } from '../measure/between-table.ts'
import { biasOf, toolOf } from '../measure/instrument-likelihood.ts'
import { evidenceOf } from '../measure/likelihood.ts'
import type { Bias, TakenReading } from '../measure/reading.ts'
import { RATE_MEDIAN, type ChainPast } from './rate-grid.ts'

/** Spreads of methods 4, as logarithms where they are of factors. */
const RIDER_LOG_SD = 0.5
const CHAIN_LOG_SD = 0.3
const BETA_LOG_SD = 0.08
const START_SD = 0.02
const CONDITION_LOG_SD = 0.35
const LUBE_LOG_SD = 0.2
/** A chain of unknown past may start anywhere between these, %. */
const UNKNOWN_FROM = -0.05
const UNKNOWN_TO = 1.2

/** Some distance of one kind: how far, in what, on what lubricant. */
export interface RoadPiece {
  /** km, times the energy over the reference where it is known */
  readonly km: number
  readonly condition: Condition
  readonly lube?: Lube | undefined
}

/** A stretch of riding as a piece of road: its energy over the reference counts as distance (methods 3). */
export const roadPiece = ({ km, condition, lube, energyKjPerKm }: WearKmInput): RoadPiece => ({
  km: km * (energyKjPerKm === undefined ? 1 : energyKjPerKm / REFERENCE_KJ_PER_KM),
  condition,
  lube,
})

/** A reading and all that the chain had been through when it was taken. */
export interface RiderReading extends TakenReading {
  readonly road: readonly RoadPiece[]
}

export interface RiderChain {
  readonly id: string
  readonly past: ChainPast
  readonly readings: readonly RiderReading[]
}

/** What a multiplier is of. Dry road and drip lube are the units. */
type Factor = Condition | Exclude<Lube, 'dry-lube'>

/** A multiplier that is learned: its default, and how far from it it may be. */
interface LearnedFactor {
  readonly of: Factor
  readonly place: number
  readonly logSd: number
}

/** A road in terms of the model: kilometres of each kind, and which multipliers they bear. */
export interface Road {
  /** Wear-km at the default multipliers. */
  readonly km: Float64Array
  /** Places of the condition's and the lubricant's factor; for a unit the place past the last coordinate. */
  readonly condition: Int32Array
  readonly lube: Int32Array
}

interface PlacedReading extends Road {
  readonly chain: number
  readonly tool: number
  readonly value: number
  readonly sd: number
  /** For a limit reading; a value reading has none. */
  readonly table: BetweenTable | undefined
}

/**
 * The model of all of a rider's chains at once (methods 4), over standard normal coordinates: every unknown is its
 * prior's median where its coordinate is 0.
 */
export interface RiderModel {
  readonly dimension: number
  readonly chains: readonly RiderChain[]
  readonly factors: readonly LearnedFactor[]
  readonly tools: readonly { readonly tool: string; readonly place: number; readonly bias: Bias }[]
  readonly roads: readonly PlacedReading[]
  readonly places: { readonly rider: number; readonly beta: number; readonly chains: number }
  /** A road in the model's terms. Multipliers the model was not laid out for keep their defaults. */
  readonly lay: (road: readonly RoadPiece[]) => Road
}

/** What one set of coordinates says of a chain. */
export interface ChainState {
  /** % per 1000 wear-km */
  readonly rate: number
  /** Elongation when fitted, % */
  readonly start: number
  readonly beta: number
}

const isLearnedLube = (lube: Lube | undefined): lube is Exclude<Lube, 'dry-lube'> =>
  lube !== undefined && lube !== 'dry-lube'

/** The pieces of a road by kind, their kilometres added up. */
function gathered(road: readonly RoadPiece[]): RoadPiece[] {
  const kinds = new Map<string, RoadPiece>()
  for (const piece of road) {
    if (!(piece.km >= 0)) throw new RangeError('A distance must be 0 km or more.')
    const key = `${piece.condition} ${piece.lube ?? ''}`
    const held = kinds.get(key)
    kinds.set(key, { ...piece, km: piece.km + (held?.km ?? 0) })
  }
  return [...kinds.values()]
}

function roadOf(road: readonly RoadPiece[], placeOf: (factor: Factor) => number, unit: number): Road {
  const pieces = gathered(road)
  const wetLubeAsDrip = (lube: Lube | undefined, condition: Condition): boolean =>
    lube === 'wet-lube' && condition !== 'dry-gravel'
  return {
    km: Float64Array.from(
      pieces,
      ({ km, condition, lube }) => km * CONDITION_MULTIPLIER[condition] * lubeMultiplier(lube, condition),
    ),
    condition: Int32Array.from(pieces, ({ condition }) => placeOf(condition)),
    lube: Int32Array.from(pieces, ({ lube, condition }) =>
      isLearnedLube(lube) && !wetLubeAsDrip(lube, condition) ? placeOf(lube) : unit,
    ),
  }
}

/** The multipliers that some road bears, each with its place among the coordinates. */
function factorsOn(roads: readonly (readonly RoadPiece[])[], first: number): LearnedFactor[] {
  const seen = new Set<Factor>()
  for (const { condition, lube } of roads.flat()) {
    if (condition !== 'dry-road') seen.add(condition)
    // Wet lube is drip lube like any other but in dust, which it holds.
    if (isLearnedLube(lube) && (lube !== 'wet-lube' || condition === 'dry-gravel')) seen.add(lube)
  }
  return [...seen].sort().map((of, i) => ({
    of,
    place: first + i,
    logSd: of in CONDITION_MULTIPLIER ? CONDITION_LOG_SD : LUBE_LOG_SD,
  }))
}

/**
 * Lays the model out for some chains.
 * @param ahead roads that will be asked about: multipliers nothing was learned of keep their prior
 * @throws RangeError where a reading or a distance cannot be
 */
export function riderModel(chains: readonly RiderChain[], ahead: readonly RoadPiece[] = []): RiderModel {
  const readings = chains.flatMap((chain, c) => chain.readings.map((reading) => ({ reading, c })))
  const factors = factorsOn([...readings.map(({ reading }) => reading.road), ahead], 2)
  const tools = [...new Map(readings.map(({ reading }) => [toolOf(reading), biasOf(reading)]))].map(
    ([tool, bias], i) => ({ tool, bias, place: 2 + factors.length + i }),
  )
  const firstChain = 2 + factors.length + tools.length
  const dimension = firstChain + 2 * chains.length
  const placeOf = (factor: Factor): number => factors.find(({ of }) => of === factor)?.place ?? dimension
  const roads = readings.map(({ reading, c }): PlacedReading => {
    const evidence = evidenceOf(reading.reading)
    return {
      ...roadOf(reading.road, placeOf, dimension),
      chain: c,
      tool: tools.findIndex(({ tool }) => tool === toolOf(reading)),
      value: evidence.form === 'value' ? evidence.value : 0,
      sd: evidence.sd,
      table: evidence.form === 'between' ? betweenTable(evidence.low, evidence.high, evidence.sd) : undefined,
    }
  })
  return {
    dimension,
    chains,
    factors,
    tools,
    roads,
    places: { rider: 0, beta: 1, chains: firstChain },
    lay: (road) => roadOf(road, placeOf, dimension),
  }
}

const sigmoid = (u: number): number => 1 / (1 + Math.exp(-u))

/** What coordinates say of a chain by its number. */
export function chainState(model: RiderModel, z: Float64Array, chain: number): ChainState {
  const { rider, beta, chains } = model.places
  const place = chains + 2 * chain
  const u = z[place + 1] ?? 0
  return {
    rate: RATE_MEDIAN * Math.exp(RIDER_LOG_SD * (z[rider] ?? 0) + CHAIN_LOG_SD * (z[place] ?? 0)),
    start:
      model.chains[chain]?.past === 'unknown'
        ? UNKNOWN_FROM + (UNKNOWN_TO - UNKNOWN_FROM) * sigmoid(u)
        : START_SD * u,
    beta: Math.exp(BETA_LOG_SD * (z[beta] ?? 0)),
  }
}

/** Wear-km of a road under the multipliers of some coordinates. */
export function wearKmOf(model: RiderModel, z: Float64Array, { km, condition, lube }: Road): number {
  let sum = 0
  for (let i = 0; i < km.length; i++) sum += (km[i] ?? 0) * factorAt(model, z, condition[i], lube[i])
  return sum
}

const factorAt = (model: RiderModel, z: Float64Array, condition = 0, lube = 0): number =>
  Math.exp(logOf(model, z, condition) + logOf(model, z, lube))
const logOf = (model: RiderModel, z: Float64Array, place: number): number =>
  (z[place] ?? 0) * (model.factors[place - 2]?.logSd ?? 0)

/** The multipliers of some coordinates over their defaults, in the order of the model's factors. */
export const factorTimes = (model: RiderModel, z: Float64Array): number[] =>
  model.factors.map(({ place, logSd }) => Math.exp(logSd * (z[place] ?? 0)))

/** What coordinates make of every chain, tool and multiplier, kept in place from one call to the next. */
interface Working {
  beta: number
  /** By place; 1 for a unit, which stands at the end. */
  readonly times: Float64Array
  readonly logSds: Float64Array
  readonly offsets: Float64Array
  readonly rate: Float64Array
  readonly start: Float64Array
  readonly startSlope: Float64Array
}

function workingOf({ factors, tools, chains, dimension }: RiderModel): Working {
  const logSds = new Float64Array(dimension + 1)
  for (const { place, logSd } of factors) logSds[place] = logSd
  return {
    beta: 1,
    times: new Float64Array(dimension + 1).fill(1),
    logSds,
    offsets: new Float64Array(tools.length),
    rate: new Float64Array(chains.length),
    start: new Float64Array(chains.length),
    startSlope: new Float64Array(chains.length),
  }
}

function prepare({ chains, factors, tools, places }: RiderModel, z: Float64Array, held: Working): void {
  held.beta = Math.exp(BETA_LOG_SD * (z[places.beta] ?? 0))
  for (const { place, logSd } of factors) held.times[place] = Math.exp(logSd * (z[place] ?? 0))
  for (let t = 0; t < tools.length; t++) {
    const tool = tools[t]
    if (tool) held.offsets[t] = tool.bias.b + tool.bias.sb * (z[tool.place] ?? 0)
  }
  const rider = RIDER_LOG_SD * (z[places.rider] ?? 0)
  for (let c = 0; c < chains.length; c++) {
    const place = places.chains + 2 * c
    const u = z[place + 1] ?? 0
    held.rate[c] = RATE_MEDIAN * Math.exp(rider + CHAIN_LOG_SD * (z[place] ?? 0))
    const unknown = chains[c]?.past === 'unknown'
    const share = unknown ? sigmoid(u) : 0
    held.start[c] = unknown ? UNKNOWN_FROM + (UNKNOWN_TO - UNKNOWN_FROM) * share : START_SD * u
    held.startSlope[c] = unknown ? (UNKNOWN_TO - UNKNOWN_FROM) * share * (1 - share) : START_SD
  }
}

/** The prior's log-density: normal along every coordinate but the starts of unknown pasts, which are even. */
function prior({ chains, dimension, places }: RiderModel, z: Float64Array, slope: Float64Array): number {
  let log = 0
  for (let i = 0; i < dimension; i++) {
    const value = z[i] ?? 0
    log -= 0.5 * value * value
    slope[i] = -value
  }
  for (let c = 0; c < chains.length; c++) {
    if (chains[c]?.past !== 'unknown') continue
    const place = places.chains + 2 * c + 1
    const u = z[place] ?? 0
    // Even over the start is logistic over its coordinate.
    log += 0.5 * u * u - Math.abs(u) - 2 * Math.log1p(Math.exp(-Math.abs(u)))
    slope[place] = 1 - 2 * sigmoid(u)
  }
  return log
}

/** Log-likelihood of one reading; what it says of each coordinate is added to the slope. */
function readingLog(
  { places, tools }: RiderModel,
  road: PlacedReading,
  held: Working,
  slope: Float64Array,
  tableSlope: Float64Array,
): number {
  const { km, condition, lube, chain, tool } = road
  const { times, logSds, beta } = held
  const unit = times.length - 1
  let wearKm = 0
  for (let i = 0; i < km.length; i++)
    wearKm += (km[i] ?? 0) * (times[condition[i] ?? unit] ?? 1) * (times[lube[i] ?? unit] ?? 1)
  const grown = wearKm > 0 ? (held.rate[chain] ?? 0) * (wearKm / 1000) ** beta : 0
  const centre = (held.start[chain] ?? 0) + grown + (held.offsets[tool] ?? 0)
  const residual = (road.value - centre) / road.sd
  const log = road.table ? road.table(centre, tableSlope) : -0.5 * residual * residual
  const pull = road.table ? (tableSlope[0] ?? 0) : residual / road.sd
  const add = (place: number, by: number): void => void (slope[place] = (slope[place] ?? 0) + by)
  const place = places.chains + 2 * chain
  const used = tools[tool]
  if (used) add(used.place, pull * used.bias.sb)
  add(place + 1, pull * (held.startSlope[chain] ?? 0))
  if (wearKm <= 0) return log
  add(places.rider, pull * grown * RIDER_LOG_SD)
  add(place, pull * grown * CHAIN_LOG_SD)
  add(places.beta, pull * grown * beta * BETA_LOG_SD * Math.log(wearKm / 1000))
  const perWearKm = (pull * grown * beta) / wearKm
  for (let i = 0; i < km.length; i++) {
    const [c, l] = [condition[i] ?? unit, lube[i] ?? unit]
    const share = perWearKm * (km[i] ?? 0) * (times[c] ?? 1) * (times[l] ?? 1)
    if (c !== unit) add(c, share * (logSds[c] ?? 0))
    if (l !== unit) add(l, share * (logSds[l] ?? 0))
  }
  return log
}

/**
 * The log-density of the posterior, up to a constant, and its slope along every coordinate. The slopes are written
 * out by hand: the chain of derivatives is short, and a sampler asks for it a hundred thousand times.
 * @returns a function that fills `slope` and returns the log-density
 */
export function logDensityOf(model: RiderModel): (z: Float64Array, slope: Float64Array) => number {
  const held = workingOf(model)
  const tableSlope = new Float64Array(1)
  const { roads } = model
  return (z, slope) => {
    prepare(model, z, held)
    let log = prior(model, z, slope)
    for (let r = 0; r < roads.length; r++) {
      const road = roads[r]
      if (road) log += readingLog(model, road, held, slope, tableSlope)
    }
    return log
  }
}
