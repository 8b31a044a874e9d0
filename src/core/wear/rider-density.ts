import { rowAt } from '../measure/log-table.ts'
import { biasSpreads, biasSpreadsSlope, tailLog, tailSlope } from '../measure/bias-tail.ts'
import type { LogDensity } from './hmc.ts'
import { BEND, LATE_FROM, LATE_FROM_SD, lateTimesSlope, lateTimesAt } from './late-wear.ts'
import { looksOf, type Looks } from './looks.ts'
import { expNearZero, nearLogs } from './near-power.ts'
import { RATE_MEDIAN } from './rate-grid.ts'
import {
  BETA_LOG_SD,
  CHAIN_LOG_SD,
  RIDER_LOG_SD,
  START_SD,
  UNKNOWN_FROM,
  UNKNOWN_TO,
  type RiderModel,
} from './rider-model.ts'

/** What coordinates make of every kind of road, chain and tool, and what readings pull each of them by. */
interface Working {
  /** The multipliers of every kind of road, one kind after another: where each kind's begin, their places and spreads. */
  readonly kindFrom: Int32Array
  readonly kindPlace: Int32Array
  readonly kindLogSd: Float64Array
  readonly toolPlace: Int32Array
  readonly toolB: Float64Array
  readonly toolSb: Float64Array
  beta: number
  lateTimes: number
  lateTimesSlope: number
  lateFrom: number
  readonly times: Float64Array
  readonly offsets: Float64Array
  readonly offsetSlope: Float64Array
  readonly rate: Float64Array
  readonly start: Float64Array
  readonly startSlope: Float64Array
  readonly timesPull: Float64Array
  readonly offsetPull: Float64Array
  readonly growthPull: Float64Array
  readonly startPull: Float64Array
  betaPull: number
  lateTimesPull: number
  lateFromPull: number
}

function workingOf({ factors, kinds, tools, chains, places }: RiderModel): Working {
  const of = (list: readonly unknown[]) => new Float64Array(list.length)
  const kindFrom = new Int32Array(kinds.length + 1)
  kinds.forEach((places, k) => (kindFrom[k + 1] = (kindFrom[k] ?? 0) + places.length))
  return {
    kindFrom,
    kindPlace: Int32Array.from(kinds.flat()),
    kindLogSd: Float64Array.from(kinds.flat(), (place) => factors[place - places.factors]?.logSd ?? 0),
    toolPlace: Int32Array.from(tools, ({ place }) => place),
    toolB: Float64Array.from(tools, ({ bias }) => bias.b),
    toolSb: Float64Array.from(tools, ({ bias }) => bias.sb),
    beta: 1,
    lateTimes: 1,
    lateTimesSlope: 0,
    lateFrom: LATE_FROM,
    times: of(kinds),
    offsets: of(tools),
    offsetSlope: of(tools),
    rate: of(chains),
    start: of(chains),
    startSlope: of(chains),
    timesPull: of(kinds),
    offsetPull: of(tools),
    growthPull: of(chains),
    startPull: of(chains),
    betaPull: 0,
    lateTimesPull: 0,
    lateFromPull: 0,
  }
}

/** Unpacks the coordinates, and starts the pulls at nothing. Returns the prior's log-density and sets its slope. */
function prepare(model: RiderModel, z: Float64Array, slope: Float64Array, held: Working): number {
  const { chains, places, dimension } = model
  let log = 0
  for (let i = 0; i < dimension; i++) {
    const value = z[i] as number
    log -= 0.5 * value * value
    slope[i] = -value
  }
  held.beta = Math.exp(BETA_LOG_SD * (z[places.beta] as number))
  held.lateTimes = lateTimesAt(z[places.lateTimes] as number)
  held.lateTimesSlope = lateTimesSlope(z[places.lateTimes] as number)
  held.lateFrom = LATE_FROM + LATE_FROM_SD * (z[places.lateFrom] as number)
  const { kindFrom, kindPlace, kindLogSd, toolPlace, toolB, toolSb } = held
  for (let k = 0; k < held.times.length; k++) {
    let sum = 0
    const end = kindFrom[k + 1] as number
    for (let i = kindFrom[k] as number; i < end; i++)
      sum += (z[kindPlace[i] as number] as number) * (kindLogSd[i] as number)
    held.times[k] = Math.exp(sum)
  }
  for (let t = 0; t < toolPlace.length; t++) {
    const place = toolPlace[t] as number
    const y = z[place] as number
    held.offsets[t] = (toolB[t] as number) + (toolSb[t] as number) * biasSpreads(y)
    held.offsetSlope[t] = (toolSb[t] as number) * biasSpreadsSlope(y)
    log += 0.5 * y * y + tailLog(y)
    slope[place] = tailSlope(y)
  }
  const rider = RIDER_LOG_SD * (z[places.rider] as number)
  for (let c = 0; c < chains.length; c++) {
    const place = places.chains + 2 * c
    const u = z[place + 1] as number
    held.rate[c] = RATE_MEDIAN * Math.exp(rider + CHAIN_LOG_SD * (z[place] as number))
    if (chains[c]?.past === 'unknown') {
      const share = 1 / (1 + Math.exp(-u))
      held.start[c] = UNKNOWN_FROM + (UNKNOWN_TO - UNKNOWN_FROM) * share
      held.startSlope[c] = (UNKNOWN_TO - UNKNOWN_FROM) * share * (1 - share)
      // Even over the start is logistic, not normal, over its coordinate.
      log += 0.5 * u * u - Math.abs(u) - 2 * Math.log1p(Math.exp(-Math.abs(u)))
      slope[place + 1] = 1 - 2 * share
    } else {
      held.start[c] = START_SD * u
      held.startSlope[c] = START_SD
    }
  }
  held.timesPull.fill(0)
  held.offsetPull.fill(0)
  return log
}

/** Adds to one place. */
function addTo(sums: Float64Array, place: number, by: number): void {
  sums[place] = (sums[place] as number) + by
}

/** How a chain's looks pull at the roads before them: what lies behind a look's road lies behind all later ones too. */
function pullRoads(
  { pieceFrom, kind, more }: Looks,
  firstLook: number,
  endLook: number,
  perWear: Float64Array,
  timesPull: Float64Array,
): void {
  let behind = 0
  for (let look = endLook - 1; look >= firstLook; look--) {
    behind += perWear[look] as number
    const endPiece = pieceFrom[look + 1] as number
    for (let i = pieceFrom[look] as number; i < endPiece; i++) {
      const k = kind[i] as number
      timesPull[k] = (timesPull[k] as number) + behind * (more[i] as number)
    }
  }
}

/** Log-likelihood of all readings; how they pull at each kind, chain and tool is added up on the way. */
function readingsLog(
  looks: Looks,
  held: Working,
  logOf: (x: number, place: number) => number,
  tableSlope: Float64Array,
  perWear: Float64Array,
): number {
  const { lookFrom, pieceFrom, kind, more, readingFrom, tool, row } = looks
  const { times, beta, lateTimes, lateFrom, offsets, timesPull, offsetPull } = held
  let total = 0
  let betaPull = 0
  let [lateTimesPull, lateFromPull] = [0, 0]
  for (let c = 0; c + 1 < lookFrom.length; c++) {
    const firstLook = lookFrom[c] as number
    const endLook = lookFrom[c + 1] as number
    const rate = held.rate[c] as number
    const start = held.start[c] as number
    let wear = 0
    let growthPull = 0
    let startPull = 0
    for (let look = firstLook; look < endLook; look++) {
      const endPiece = pieceFrom[look + 1] as number
      for (let i = pieceFrom[look] as number; i < endPiece; i++)
        wear += (more[i] as number) * (times[kind[i] as number] as number)
      // A chain that was not ridden has rounding for its road.
      const ridden = wear > 1e-12
      const logWear = ridden ? logOf(wear, look) : 0
      const grown = ridden ? rate * wear * expNearZero((beta - 1) * logWear) : 0
      const over = start + grown - lateFrom
      // Both of pastBend and its slope, out of one root.
      const root = Math.sqrt(over * over + BEND * BEND)
      const late = (over + root) / 2
      const here = start + grown + (lateTimes - 1) * late
      let pull = 0
      const last = readingFrom[look + 1] as number
      for (let r = readingFrom[look] as number; r < last; r++) {
        const t = tool[r] as number
        total += rowAt(row, r, here + (offsets[t] as number), tableSlope)
        const one = tableSlope[0] as number
        offsetPull[t] = (offsetPull[t] as number) + one
        pull += one
      }
      const lateSlope = late / root
      lateTimesPull += pull * late
      lateFromPull -= pull * (lateTimes - 1) * lateSlope
      // What is before the late wear feels it too.
      pull *= 1 + (lateTimes - 1) * lateSlope
      startPull += pull
      const along = pull * grown
      growthPull += along
      betaPull += along * logWear
      perWear[look] = ridden ? (along * beta) / wear : 0
    }
    pullRoads(looks, firstLook, endLook, perWear, timesPull)
    held.growthPull[c] = growthPull
    held.startPull[c] = startPull
  }
  held.betaPull = betaPull * beta
  held.lateTimesPull = lateTimesPull
  held.lateFromPull = lateFromPull
  return total
}

/** Hands the pulls on to the coordinates behind them. */
function pullBack({ chains, places }: RiderModel, held: Working, slope: Float64Array) {
  const { kindFrom, kindPlace, kindLogSd, toolPlace, offsetSlope } = held
  for (let k = 0; k < held.times.length; k++) {
    const pull = (held.timesPull[k] as number) * (held.times[k] as number)
    const end = kindFrom[k + 1] as number
    for (let i = kindFrom[k] as number; i < end; i++)
      addTo(slope, kindPlace[i] as number, pull * (kindLogSd[i] as number))
  }
  for (let t = 0; t < toolPlace.length; t++)
    addTo(slope, toolPlace[t] as number, (held.offsetPull[t] as number) * (offsetSlope[t] as number))
  for (let c = 0; c < chains.length; c++) {
    const place = places.chains + 2 * c
    const growth = held.growthPull[c] as number
    addTo(slope, places.rider, growth * RIDER_LOG_SD)
    addTo(slope, place, growth * CHAIN_LOG_SD)
    addTo(slope, place + 1, (held.startPull[c] as number) * (held.startSlope[c] as number))
  }
  addTo(slope, places.beta, held.betaPull * BETA_LOG_SD)
  addTo(slope, places.lateTimes, held.lateTimesPull * held.lateTimesSlope)
  addTo(slope, places.lateFrom, held.lateFromPull * LATE_FROM_SD)
}

/**
 * The log-density of the posterior, up to a constant, and its slope along every coordinate. The slopes are written
 * out by hand: the chain of derivatives is short, and a sampler asks for it a hundred thousand times.
 * @param slips whether readings may be slips
 * @returns a function that fills `slope` and returns the log-density
 * @throws RangeError where a reading or a distance cannot be
 */
export function logDensityOf(model: RiderModel, { slips = true } = {}): LogDensity {
  const held = workingOf(model)
  const looks = looksOf(model, slips)
  const tableSlope = new Float64Array(1)
  const logOf = nearLogs(looks.pieceFrom.length)
  const perWear = new Float64Array(looks.pieceFrom.length)
  return (z, slope) => {
    const prior = prepare(model, z, slope, held)
    const log = prior + readingsLog(looks, held, logOf, tableSlope, perWear)
    pullBack(model, held, slope)
    return log
  }
}
