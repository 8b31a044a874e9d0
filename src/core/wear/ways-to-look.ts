import { betweenTable, logBetweenAt } from '../measure/between-table.ts'
import { biasOf, toolOf } from '../measure/instrument-likelihood.ts'
import { evidenceOf, logSumExp, type Evidence } from '../measure/likelihood.ts'
import type { Interval } from '../stats/interval.ts'
import type { Random } from '../stats/random.ts'
import { quantile, weighted } from '../stats/weighted.ts'
import type { AskedChain } from './asked-chain.ts'
import type { RiderDraws } from './draws.ts'
import { CHAIN_LOG_SD, START_SD, UNKNOWN_FROM, UNKNOWN_TO, type RiderReading } from './rider-model.ts'

/** How far a tool that is off is off, as a spread, %. */
const TOOL_OFF_SD = 0.2
/** As often as a tool is off, one reading is: by this in half of all cases, %, now and then by far more: a pitch miscounted. */
const MISREAD_BY = 0.2
const MISREAD_MOST = 5
/** How much wear the log lacks where some is missing: so many times what it holds since the last look, about. */
const MISSING_LOG_TIMES = Math.log(1.5)
const MISSING_LOG_SD = 0.7
/** And at least so much, wear-km, about. */
const MISSING_LEAST_KM = 300

/** Where the log tells of less than this since the last look, wear-km, it is not kept, and may lack about so much. */
const HARDLY_RIDDEN_KM = 30
const UNKEPT_KM = 1500
const UNKEPT_LOG_SD = 1

/** What a reading says, and the number of its tool among the model's; -1 for one the model does not know. */
export interface Heard {
  /** Log-likelihood at a centre, %. */
  readonly logAt: (centre: number) => number
  readonly tool: number
  /** What such tools add, % */
  readonly usual: number
  readonly name: string
}

function logOf(evidence: Evidence): Heard['logAt'] {
  if (evidence.form === 'value') return (centre) => -0.5 * ((evidence.value - centre) / evidence.sd) ** 2
  const table = betweenTable(evidence.low, evidence.high, evidence.sd)
  return (centre) => logBetweenAt(table, centre)
}

export const heardOf = ({ model }: RiderDraws, readings: readonly RiderReading[]): Heard[] =>
  readings.map((taken) => ({
    logAt: logOf(evidenceOf(taken.reading)),
    tool: model.tools.findIndex(({ tool }) => tool === toolOf(taken)),
    usual: biasOf(taken).b,
    name: toolOf(taken),
  }))

/** Log-likelihood of readings at an elongation, each tool adding what it is drawn to add. */
export function readingsLog(
  readings: readonly Heard[],
  at: number,
  addedBy: (heard: Heard) => number,
): number {
  let log = 0
  for (const heard of readings) log += heard.logAt(at + addedBy(heard))
  return log
}

/** What may lie behind the look, of this chain itself. */
export const KINDS = ['as-logged', 'swapped', 'missing-road', 'gauge'] as const
/** `unread`: as the log tells it, but for the look, which was another chain's. */
export type Kind = (typeof KINDS)[number] | 'unread'

/** One way in which a chain may have come to its last look. */
export interface Way {
  /** Log-weight by the earlier readings. */
  readonly weight: number
  readonly expected: number
  readonly logs: Readonly<Record<Kind, number>>
  /** Where the chain then is now, %. */
  readonly now: Readonly<Record<Kind, number>>
}

/** A reading, and wear-km by draw where it was taken. */
export interface Placed {
  readonly heard: Heard
  readonly wear: Float64Array
}

export interface Told {
  readonly earlier: readonly Placed[]
  /** The look itself. */
  readonly look: readonly Heard[]
  /** Its readings and all later ones: what lies behind it must agree with those too. */
  readonly from: readonly Placed[]
  readonly wearLook: Float64Array
  readonly wearNow: Float64Array
}

const oneOf = (look: readonly Heard[], random: Random): Heard | undefined =>
  look[Math.floor(random.unit() * look.length)]

/** One of a look's tools reads high or low: what it adds to each reading. */
function toolOff(look: readonly Heard[], random: Random): (heard: Heard) => number {
  const tool = oneOf(look, random)?.name
  const off = random.normal(0, TOOL_OFF_SD)
  return ({ name }) => (name === tool ? off : 0)
}

/** One of a look's readings was misread, by Cauchy's distribution: its tails are long. */
function misread(look: readonly Heard[], random: Random): (heard: Heard) => number {
  const one = oneOf(look, random)
  const off = MISREAD_BY * Math.tan(Math.PI * (random.unit() - 0.5))
  return (heard) => (heard === one ? Math.max(-MISREAD_MOST, Math.min(MISREAD_MOST, off)) : 0)
}

/** Tries one way: a rate and a start drawn from what is known of the rider. */
export function tryWay(
  draws: RiderDraws,
  past: AskedChain['past'],
  told: Told,
  n: number,
  random: Random,
): Way {
  const beta = draws.beta[n] ?? 1
  const rider = draws.rider[n] ?? 1
  const rate = rider * Math.exp(random.normal(0, CHAIN_LOG_SD))
  const start = past === 'unknown' ? random.between(UNKNOWN_FROM, UNKNOWN_TO) : random.normal(0, START_SD)
  const grown = (wearKm: number, by = rate): number => by * (wearKm / 1000) ** beta
  const added = ({ tool, usual }: Heard): number => draws.offsets[tool]?.[n] ?? usual
  let weight = 0
  for (const { heard, wear } of told.earlier)
    weight += heard.logAt(start + grown(wear[n] ?? 0) + added(heard))
  const at = told.wearLook[n] ?? 0
  const since = Math.max(0, at - (told.earlier.at(-1)?.wear[n] ?? 0))
  const expected = start + grown(at)
  const missing =
    since < HARDLY_RIDDEN_KM
      ? UNKEPT_KM * Math.exp(random.normal(0, UNKEPT_LOG_SD))
      : (since + MISSING_LEAST_KM) *
        Math.exp(random.normal(MISSING_LOG_TIMES, MISSING_LOG_SD)) *
        random.unit()
  const [freshStart, freshKm, freshRate] = [
    random.normal(0, START_SD),
    since * random.unit(),
    rider * Math.exp(random.normal(0, CHAIN_LOG_SD)),
  ]
  const off = random.chance(0.5) ? misread(told.look, random) : toolOff(told.look, random)
  const logs = { 'as-logged': 0, swapped: 0, 'missing-road': 0, gauge: 0, unread: 0 }
  told.from.forEach(({ heard, wear }, i) => {
    const there = wear[n] ?? at
    const [logged, tool] = [start + grown(there), added(heard)]
    const asLogged = heard.logAt(logged + tool)
    logs['as-logged'] += asLogged
    logs.unread += i < told.look.length ? 0 : asLogged
    logs.gauge += heard.logAt(logged + tool + off(heard))
    logs['missing-road'] += heard.logAt(start + grown(there + missing) + tool)
    logs.swapped += heard.logAt(freshStart + grown(freshKm + Math.max(0, there - at), freshRate) + tool)
  })
  const atNow = Math.max(at, told.wearNow[n] ?? at)
  const expectedNow = start + grown(atNow)
  return {
    weight,
    expected,
    now: {
      'as-logged': expectedNow,
      swapped: freshStart + grown(freshKm + atNow - at, freshRate),
      'missing-road': start + grown(atNow + missing),
      gauge: expectedNow,
      unread: expectedNow,
    },
    logs,
  }
}

/** Logarithm of the mean of likelihoods under weights. */
export const logMean = (ways: readonly Way[], total: number, log: (way: Way) => number): number =>
  logSumExp(ways.map((way) => way.weight + log(way))) - total

/** Where the chain is now under one kind, the ways weighted by how well they foretell what was read. */
export function nowUnder(ways: readonly Way[], kind: Kind): Interval {
  const logs = ways.map(({ weight, logs: of }) => weight + of[kind])
  const most = logs.reduce((a, b) => Math.max(a, b), -Infinity)
  const sample = weighted(
    ways.map(({ now }) => now[kind]),
    logs.map((log) => Math.exp(log - most)),
  )
  return { p10: quantile(sample, 0.1), p50: quantile(sample, 0.5), p90: quantile(sample, 0.9) }
}
