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

/** Coordinates that every rider has. */
const RIDER_PLACE = 0
const BETA_PLACE = 1

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
    places: { rider: RIDER_PLACE, beta: BETA_PLACE, chains: firstChain },
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

/** All readings laid end to end: the sampler passes over them a hundred thousand times. */
interface Flat {
  /** Where each reading's pieces begin among the pieces; one more than the readings. */
  readonly from: Int32Array
  readonly km: Float64Array
  readonly condition: Int32Array
  readonly lube: Int32Array
  readonly chain: Int32Array
  readonly tool: Int32Array
  readonly value: Float64Array
  readonly sd: Float64Array
  readonly tables: readonly (BetweenTable | undefined)[]
  /** Coordinates of each chain's rate and of each tool's bias, and the spread of that bias. */
  readonly ratePlace: Int32Array
  readonly toolPlace: Int32Array
  readonly toolSpread: Float64Array
}

function flatOf({ roads, places, tools }: RiderModel): Flat {
  const from = new Int32Array(roads.length + 1)
  roads.forEach(({ km }, r) => (from[r + 1] = (from[r] ?? 0) + km.length))
  return {
    from,
    km: Float64Array.from(roads.flatMap(({ km }) => [...km])),
    condition: Int32Array.from(roads.flatMap(({ condition }) => [...condition])),
    lube: Int32Array.from(roads.flatMap(({ lube }) => [...lube])),
    chain: Int32Array.from(roads, ({ chain }) => chain),
    tool: Int32Array.from(roads, ({ tool }) => tool),
    value: Float64Array.from(roads, ({ value }) => value),
    sd: Float64Array.from(roads, ({ sd }) => sd),
    tables: roads.map(({ table }) => table),
    ratePlace: Int32Array.from(roads, ({ chain }) => places.chains + 2 * chain),
    toolPlace: Int32Array.from(roads, ({ tool }) => tools[tool]?.place ?? 0),
    toolSpread: Float64Array.from(roads, ({ tool }) => tools[tool]?.bias.sb ?? 0),
  }
}

/** Adds to one place. */
function addTo(slope: Float64Array, place: number, by: number): void {
  slope[place] = (slope[place] ?? 0) + by
}

/** Log-likelihood of all readings; what they say of each coordinate is added to the slope. */
function readingsLog(
  flat: Flat,
  held: Working,
  slope: Float64Array,
  tableSlope: Float64Array,
  perPiece: Float64Array,
): number {
  const { from, km, condition, lube, chain, tool, value, sd, tables, ratePlace, toolPlace, toolSpread } = flat
  const { times, logSds, beta, rate, start, startSlope, offsets } = held
  const unit = times.length - 1
  let total = 0
  for (let r = 0; r < tables.length; r++) {
    const first = from[r] ?? 0
    const end = from[r + 1] ?? 0
    const c = chain[r] ?? 0
    let wearKm = 0
    for (let i = first; i < end; i++) {
      const piece = (km[i] ?? 0) * (times[condition[i] ?? 0] ?? 0) * (times[lube[i] ?? 0] ?? 0)
      perPiece[i] = piece
      wearKm += piece
    }
    const logWear = wearKm > 0 ? Math.log(wearKm / 1000) : 0
    const grown = wearKm > 0 ? (rate[c] ?? 0) * Math.exp(beta * logWear) : 0
    const centre = (start[c] ?? 0) + grown + (offsets[tool[r] ?? 0] ?? 0)
    const table = tables[r]
    let pull: number
    if (table) {
      total += table(centre, tableSlope)
      pull = tableSlope[0] ?? 0
    } else {
      const residual = ((value[r] ?? 0) - centre) / (sd[r] ?? 1)
      total -= 0.5 * residual * residual
      pull = residual / (sd[r] ?? 1)
    }
    const place = ratePlace[r] ?? 0
    addTo(slope, toolPlace[r] ?? 0, pull * (toolSpread[r] ?? 0))
    addTo(slope, place + 1, pull * (startSlope[c] ?? 0))
    if (grown === 0) continue
    const along = pull * grown
    addTo(slope, RIDER_PLACE, along * RIDER_LOG_SD)
    addTo(slope, place, along * CHAIN_LOG_SD)
    addTo(slope, BETA_PLACE, along * beta * BETA_LOG_SD * logWear)
    const perWearKm = (along * beta) / wearKm
    for (let i = first; i < end; i++) {
      const share = perWearKm * (perPiece[i] ?? 0)
      const inCondition = condition[i] ?? unit
      const onLube = lube[i] ?? unit
      if (inCondition !== unit) addTo(slope, inCondition, share * (logSds[inCondition] ?? 0))
      if (onLube !== unit) addTo(slope, onLube, share * (logSds[onLube] ?? 0))
    }
  }
  return total
}

/**
 * The log-density of the posterior, up to a constant, and its slope along every coordinate. The slopes are written
 * out by hand: the chain of derivatives is short, and a sampler asks for it a hundred thousand times.
 * @returns a function that fills `slope` and returns the log-density
 */
export function logDensityOf(model: RiderModel): (z: Float64Array, slope: Float64Array) => number {
  const held = workingOf(model)
  const flat = flatOf(model)
  const tableSlope = new Float64Array(1)
  const perPiece = new Float64Array(flat.km.length)
  return (z, slope) => {
    prepare(model, z, held)
    return prior(model, z, slope) + readingsLog(flat, held, slope, tableSlope, perPiece)
  }
}
