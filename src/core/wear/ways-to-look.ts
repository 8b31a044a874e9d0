import { biasOf, toolOf } from '../measure/instrument-likelihood.ts'
import { evidenceOf, logSumExp, type Evidence } from '../measure/likelihood.ts'
import { logAt } from '../measure/log-table.ts'
import { betweenTable, readingTable } from '../measure/reading-table.ts'
import { slipOf } from '../measure/slip.ts'
import type { Interval } from '../stats/interval.ts'
import type { Random } from '../stats/random.ts'
import { quantile, weighted } from '../stats/weighted.ts'
import type { AskedChain } from './asked-chain.ts'
import { lateWear } from './late-wear.ts'
import type { ChainDraws, RiderDraws } from './draws.ts'
import { CHAIN_LOG_SD, START_SD, UNKNOWN_FROM, UNKNOWN_TO, type RiderReading } from './rider-model.ts'

/** How far a tool that is off is off, as a spread, %. */
const TOOL_OFF_SD = 0.2
/** Of looks that are not right so many had one reading misread, by this in half of all cases, %, now and then by far more. */
const MISREAD_SHARE = 2 / 3
const MISREAD_BY = 0.3
/** How much wear the log lacks where some is missing: so many times what it holds since the last look, about. */
const MISSING_LOG_TIMES = Math.log(1.5)
const MISSING_LOG_SD = 0.7
/** And at least so much, wear-km, about. */
const MISSING_LEAST_KM = 300

/** Where the log tells of less than this since the last look, wear-km, it is not kept, and may lack about so much. */
const HARDLY_RIDDEN_KM = 30
const UNKEPT_KM = 1000
const UNKEPT_LOG_SD = 1
/** Where rides are missing before one look, as often as this they are missing before all later ones too. */
const GOES_ON = 0.4

/** What a reading says, and the number of its tool among the model's; -1 for one the model does not know. */
export interface Heard {
  /** Log-likelihood at a centre, %. */
  readonly logAt: (centre: number) => number
  /** The same where it may have been a slip. */
  readonly robustAt: (centre: number) => number
  /** The same where it was misread: off by Cauchy's distribution, whose tails are long. */
  readonly misreadAt: (centre: number) => number
  readonly tool: number
  /** What such tools add, % */
  readonly usual: number
  readonly name: string
}

function logOf(evidence: Evidence): Heard['logAt'] {
  if (evidence.form === 'value') return (centre) => -0.5 * ((evidence.value - centre) / evidence.sd) ** 2
  const table = betweenTable(evidence.low, evidence.high, evidence.sd)
  return (centre) => logAt(table, centre)
}

/** The same, slips included. */
function robustLogOf(taken: RiderReading): Heard['logAt'] {
  const evidence = evidenceOf(taken.reading, taken.noise)
  const { table, value } = readingTable(evidence, slipOf(taken, evidence))
  return (centre) => logAt(table, centre - value)
}

/** How much of Cauchy's distribution about a centre lies below a mark. */
const cauchyBelow = (mark: number, centre: number, scale: number): number =>
  0.5 + Math.atan((mark - centre) / scale) / Math.PI

/** The log-likelihood of a misread reading: in closed form, so that none of the ways has to hit on it by chance. */
function misreadLogOf(evidence: Evidence): Heard['misreadAt'] {
  // Noise widens it; for this much of it a wider Cauchy is near enough.
  const scale = MISREAD_BY + evidence.sd
  if (evidence.form === 'value') {
    const height = Math.log((evidence.sd * Math.sqrt(2 * Math.PI)) / (Math.PI * scale))
    return (centre) => height - Math.log1p(((evidence.value - centre) / scale) ** 2)
  }
  const { low, high } = evidence
  return (centre) => Math.log(cauchyBelow(high, centre, scale) - cauchyBelow(low, centre, scale))
}

export const heardOf = ({ model }: RiderDraws, readings: readonly RiderReading[]): Heard[] =>
  readings.map((taken) => ({
    logAt: logOf(evidenceOf(taken.reading, taken.noise)),
    robustAt: robustLogOf(taken),
    misreadAt: misreadLogOf(evidenceOf(taken.reading, taken.noise)),
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
  /** Of which draw of the rider. */
  readonly n: number
  /** Log-weight by the earlier readings. */
  readonly weight: number
  readonly expected: number
  readonly logs: Readonly<Record<Kind, number>>
  /** What the chain then is. */
  readonly states: Readonly<Record<Kind, WayState>>
  /** Where it then is now, %. */
  readonly now: (kind: Kind) => number
}

/** A chain as one way has it: wear-km behind it, and with which rate and start it wears. */
export interface WayState {
  readonly rate: number
  readonly start: number
  readonly wearKm: number
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
  /** For each of those how many looks after this one it was taken. */
  readonly after: readonly number[]
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

/** What may be missing of the log where it tells of so much since the look before, wear-km. */
const missingOf = (since: number, random: Random): number =>
  since < HARDLY_RIDDEN_KM
    ? UNKEPT_KM * Math.exp(random.normal(0, UNKEPT_LOG_SD))
    : (since + MISSING_LEAST_KM) * Math.exp(random.normal(MISSING_LOG_TIMES, MISSING_LOG_SD)) * random.unit()

/** Wear-km that are missing by this look and by each later one. */
function missingBy({ from, after }: Told, n: number, since: number, random: Random): number[] {
  const by = [missingOf(since, random)]
  const goesOn = random.chance(GOES_ON)
  from.forEach(({ wear }, i) => {
    const look = after[i] ?? 0
    if (look < by.length) return
    const more = goesOn ? missingOf((wear[n] ?? 0) - (from[i - 1]?.wear[n] ?? 0), random) : 0
    by.push((by.at(-1) ?? 0) + more)
  })
  return by
}

/** Whose rate and start are tried. */
export interface Tried {
  readonly draws: RiderDraws
  readonly past: AskedChain['past']
  /** The chain's own, where the draws know nothing of the look; absent: any that the rider's chains may have. */
  readonly own?: ChainDraws
}

/** Tries one way, of a draw's own rate and start, or of any, which the earlier readings then weigh. */
export function tryWay({ draws, past, own }: Tried, told: Told, n: number, random: Random): Way {
  const beta = draws.beta[n] ?? 1
  const rider = draws.rider[n] ?? 1
  const rate = own?.rate[n] ?? rider * Math.exp(random.normal(0, CHAIN_LOG_SD))
  const anyStart = () =>
    past === 'unknown' ? random.between(UNKNOWN_FROM, UNKNOWN_TO) : random.normal(0, START_SD)
  const start = own?.start[n] ?? anyStart()
  const [lateTimes, lateFrom] = [draws.lateTimes[n] ?? 1, draws.lateFrom[n] ?? 0]
  const worn = (from: number, wearKm: number, by: number): number =>
    lateWear(from + by * (wearKm / 1000) ** beta, lateTimes, lateFrom)
  const grown = (wearKm: number): number => worn(start, wearKm, rate)
  const added = ({ tool, usual }: Heard): number => draws.offsets[tool]?.[n] ?? usual
  let weight = 0
  for (const { heard, wear } of own ? [] : told.earlier)
    weight += heard.robustAt(grown(wear[n] ?? 0) + added(heard))
  const at = told.wearLook[n] ?? 0
  const since = Math.max(0, at - (told.earlier.at(-1)?.wear[n] ?? 0))
  const expected = grown(at)
  const missing = missingBy(told, n, since, random)
  const [freshStart, freshKm, freshRate] = [
    random.normal(0, START_SD),
    since * random.unit(),
    rider * Math.exp(random.normal(0, CHAIN_LOG_SD)),
  ]
  const off = toolOff(told.look, random)
  const logs = { 'as-logged': 0, swapped: 0, 'missing-road': 0, gauge: 0, unread: 0 }
  // What the look is worth where this one of its readings was misread.
  const misread = told.look.map(() => 0)
  told.from.forEach(({ heard, wear }, i) => {
    const there = wear[n] ?? at
    const tool = added(heard)
    // What was read later may have been a slip; whether this look was one is what is asked.
    const isLook = i < told.look.length
    const logAt = isLook ? heard.logAt : heard.robustAt
    const due = grown(there) + tool
    const asLogged = logAt(due)
    logs['as-logged'] += asLogged
    logs.unread += isLook ? 0 : asLogged
    logs.gauge += logAt(due + off(heard))
    misread.forEach((sum, j) => (misread[j] = sum + (i === j ? heard.misreadAt(due) : asLogged)))
    logs['missing-road'] += logAt(grown(there + (missing[told.after[i] ?? 0] ?? 0)) + tool)
    logs.swapped += logAt(worn(freshStart, freshKm + Math.max(0, there - at), freshRate) + tool)
  })
  logs.gauge = logSumExp([
    logs.gauge + Math.log(1 - MISREAD_SHARE),
    logSumExp(misread) + Math.log(MISREAD_SHARE / misread.length),
  ])
  const atNow = Math.max(at, told.wearNow[n] ?? at)
  const logged: WayState = { rate, start, wearKm: atNow }
  const states: Way['states'] = {
    'as-logged': logged,
    gauge: logged,
    unread: logged,
    swapped: { rate: freshRate, start: freshStart, wearKm: freshKm + atNow - at },
    'missing-road': { rate, start, wearKm: atNow + (missing.at(-1) ?? 0) },
  }
  return {
    n,
    weight,
    expected,
    states,
    now: (kind) => worn(states[kind].start, states[kind].wearKm, states[kind].rate),
    logs,
  }
}

/** Logarithm of the mean of likelihoods under weights. */
export const logMean = (ways: readonly Way[], total: number, log: (way: Way) => number): number =>
  logSumExp(ways.map((way) => way.weight + log(way))) - total

/** How much each way counts under one kind: by how well it foretells what was read; the best has 1. */
export function weightsUnder(ways: readonly Way[], kind: Kind): number[] {
  const logs = ways.map(({ weight, logs: of }) => weight + of[kind])
  const most = logs.reduce((a, b) => Math.max(a, b), -Infinity)
  return logs.map((log) => Math.exp(log - most))
}

/** Where the chain is now under one kind, the ways weighted by how well they foretell what was read. */
export function nowUnder(ways: readonly Way[], kind: Kind): Interval {
  const sample = weighted(
    ways.map(({ now }) => now(kind)),
    weightsUnder(ways, kind),
  )
  return { p10: quantile(sample, 0.1), p50: quantile(sample, 0.5), p90: quantile(sample, 0.9) }
}
