import { betweenTable, logBetweenAt } from '../measure/between-table.ts'
import { evidenceOf, logSumExp, type Evidence } from '../measure/likelihood.ts'
import { biasOf, toolOf } from '../measure/instrument-likelihood.ts'
import { densityOf, summariseDensity } from '../measure/posterior.ts'
import type { Interval } from '../stats/interval.ts'
import { seededRandom, type Random } from '../stats/random.ts'
import { quantile, weighted } from '../stats/weighted.ts'
import { chainDraws, elongationDraws, fewDraws, wearKmDraws, type RiderDraws } from './draws.ts'
import type { AskedChain } from './asked-chain.ts'
import { CHAIN_LOG_SD, START_SD, UNKNOWN_FROM, UNKNOWN_TO, type RiderReading } from './rider-model.ts'

/** What may lie behind a look that was not to be expected. */
export type SurpriseCause =
  /** Another chain was read, or the reading was written to the wrong one. */
  | { readonly kind: 'wrong-chain'; readonly chain: string }
  /** A fresh chain was fitted and not written down. */
  | { readonly kind: 'swapped' }
  /** More was ridden, or in worse, than the log tells. */
  | { readonly kind: 'missing-road' }
  /** The tool adds more, or less, than such tools do, or was misread. */
  | { readonly kind: 'gauge' }

/** A look that is far from what was to be expected, and the questions to ask of it, the likeliest first. */
export interface Surprise {
  /** What the chain was to be expected at, %, before the look. */
  readonly expected: { readonly p05: number; readonly p50: number; readonly p95: number }
  /** What the look alone says, %. */
  readonly read: number
  /** Chance that all is as the log tells it after all. */
  readonly asLogged: number
  /** How worn the chain is now if so, %. */
  readonly ifAsLogged: Interval
  readonly causes: readonly PossibleCause[]
}

/** One thing that may lie behind an odd look. */
export interface PossibleCause {
  readonly cause: SurpriseCause
  readonly p: number
  /** How worn the chain is now if this is so, %. */
  readonly ifSo: Interval
}

/** Whether it is the reading that is in doubt, rather than what the log tells of the chain. */
export const doubtsReading = ({ causes }: Surprise): boolean =>
  causes.reduce(
    (sum, { cause, p }) => sum + (cause.kind === 'gauge' || cause.kind === 'wrong-chain' ? p : 0),
    0,
  ) >= 0.5

/** How often each is so when a chain is read, before the reading is known. Ours, guesses. */
const BEFORE = { 'as-logged': 0.86, 'wrong-chain': 0.03, swapped: 0.03, 'missing-road': 0.05, gauge: 0.03 }
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
/** Ways tried for each draw. */
const TRIES = 12
const MOST_DRAWS = 300
/** With fewer effective ways than this nothing is claimed. */
const LEAST_EFFECTIVE = 25

/** What a reading says, and the number of its tool among the model's; -1 for one the model does not know. */
interface Heard {
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

const heardOf = ({ model }: RiderDraws, readings: readonly RiderReading[]): Heard[] =>
  readings.map((taken) => ({
    logAt: logOf(evidenceOf(taken.reading)),
    tool: model.tools.findIndex(({ tool }) => tool === toolOf(taken)),
    usual: biasOf(taken).b,
    name: toolOf(taken),
  }))

/** Log-likelihood of readings at an elongation, each tool adding what it is drawn to add. */
function readingsLog(readings: readonly Heard[], at: number, addedBy: (heard: Heard) => number): number {
  let log = 0
  for (const heard of readings) log += heard.logAt(at + addedBy(heard))
  return log
}

/** What may lie behind the look, of this chain itself. */
const KINDS = ['as-logged', 'swapped', 'missing-road', 'gauge'] as const
type Kind = (typeof KINDS)[number]

/** One way in which a chain may have come to its last look. */
interface Way {
  /** Log-weight by the earlier readings. */
  readonly weight: number
  readonly expected: number
  readonly logs: Readonly<Record<Kind, number>>
  /** Where the chain then is now, %. */
  readonly now: Readonly<Record<Kind, number>>
}

interface Told {
  readonly earlier: readonly Heard[]
  readonly look: readonly Heard[]
  /** Wear-km by draw at each earlier reading, at the look, and now. */
  readonly wearEarlier: readonly Float64Array[]
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
function tryWay(draws: RiderDraws, past: AskedChain['past'], told: Told, n: number, random: Random): Way {
  const beta = draws.beta[n] ?? 1
  const rider = draws.rider[n] ?? 1
  const rate = rider * Math.exp(random.normal(0, CHAIN_LOG_SD))
  const start = past === 'unknown' ? random.between(UNKNOWN_FROM, UNKNOWN_TO) : random.normal(0, START_SD)
  const grown = (wearKm: number, by = rate): number => by * (wearKm / 1000) ** beta
  const added = ({ tool, usual }: Heard): number => draws.offsets[tool]?.[n] ?? usual
  let weight = 0
  told.earlier.forEach((heard, i) => {
    weight += readingsLog([heard], start + grown(told.wearEarlier[i]?.[n] ?? 0), added)
  })
  const at = told.wearLook[n] ?? 0
  const since = Math.max(0, at - (told.wearEarlier.at(-1)?.[n] ?? 0))
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
  const fresh = freshStart + grown(freshKm, freshRate)
  const off = random.chance(0.5) ? misread(told.look, random) : toolOff(told.look, random)
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
    },
    logs: {
      'as-logged': readingsLog(told.look, expected, added),
      swapped: readingsLog(told.look, fresh, added),
      'missing-road': readingsLog(told.look, start + grown(at + missing), added),
      gauge: readingsLog(told.look, expected, (heard) => added(heard) + off(heard)),
    },
  }
}

/** Logarithm of the mean of likelihoods under weights. */
const logMean = (ways: readonly Way[], total: number, log: (way: Way) => number): number =>
  logSumExp(ways.map((way) => way.weight + log(way))) - total

/** Where the chain is now under one kind, by the ways weighted by how well they foretell what was read; unread: without the look. */
function nowUnder(ways: readonly Way[], kind: Kind, isRead: boolean): Interval {
  const logs = ways.map(({ weight, logs: of }) => weight + (isRead ? of[kind] : 0))
  const most = logs.reduce((a, b) => Math.max(a, b), -Infinity)
  const sample = weighted(
    ways.map(({ now }) => now[kind]),
    logs.map((log) => Math.exp(log - most)),
  )
  return { p10: quantile(sample, 0.1), p50: quantile(sample, 0.5), p90: quantile(sample, 0.9) }
}

/** Log-likelihood of the look had it been another chain's. */
function otherLog(draws: RiderDraws, other: AskedChain, look: readonly Heard[]): number {
  const { draws: few, of } = fewDraws(draws, MOST_DRAWS)
  const worn = elongationDraws(few, of(chainDraws(draws, other, 5)), wearKmDraws(few, other.now))
  const values = Array.from(worn, (at, n) =>
    readingsLog(look, at, ({ tool, usual }) => few.offsets[tool]?.[n] ?? usual),
  )
  return logSumExp(values) - Math.log(values.length)
}

function expectedOf(
  ways: readonly Way[],
  total: number,
): Surprise['expected'] & { readonly effective: number } {
  const sorted = [...ways].sort((a, b) => a.expected - b.expected)
  const weights = sorted.map(({ weight }) => Math.exp(weight - total))
  const at = (share: number): number => {
    let sum = 0
    for (let i = 0; i < sorted.length; i++) {
      sum += weights[i] ?? 0
      if (sum >= share) return sorted[i]?.expected ?? NaN
    }
    return sorted.at(-1)?.expected ?? NaN
  }
  return {
    p05: at(0.05),
    p50: at(0.5),
    p95: at(0.95),
    effective: 1 / weights.reduce((sum, weight) => sum + weight * weight, 0),
  }
}

/**
 * Whether a chain's last look is as was to be expected from the earlier ones and from the rider's other chains, and
 * what else may lie behind it: each possibility weighed by how well it foretells what was read. Rates and starts are
 * drawn from what is known of the rider and weighed by the earlier readings.
 * @param draws of the rider, best without that look
 * @param others chains it might have been instead
 * @param below the chance of being as logged from which on nothing is made of it
 * @returns undefined where it is as expected, or where there is nothing to go by
 */
export function surpriseAt(
  draws: RiderDraws,
  chain: AskedChain,
  others: readonly AskedChain[],
  below: number,
): Surprise | undefined {
  const { readings, lookSize } = chain
  if (lookSize < 1) return undefined
  const earlier = readings.slice(0, readings.length - lookSize)
  const look = readings.slice(-lookSize)
  const [first] = look
  // Where a chain of unknown past begins, nothing is to be expected.
  if (!first || (chain.past === 'unknown' && earlier.length === 0)) return undefined
  const told: Told = {
    earlier: heardOf(draws, earlier),
    look: heardOf(draws, look),
    wearEarlier: earlier.map(({ road }) => wearKmDraws(draws, road)),
    wearLook: wearKmDraws(draws, first.road),
    wearNow: wearKmDraws(draws, chain.now),
  }
  const random = seededRandom(11)
  const step = Math.max(1, Math.ceil(draws.count / MOST_DRAWS))
  const ways: Way[] = []
  for (let n = 0; n < draws.count; n += step)
    for (let k = 0; k < TRIES; k++) ways.push(tryWay(draws, chain.past, told, n, random))
  const total = logSumExp(ways.map(({ weight }) => weight))
  const { effective, ...expected } = expectedOf(ways, total)
  if (!(effective >= LEAST_EFFECTIVE)) return undefined
  const own = KINDS.map((kind) => ({
    kind,
    log: Math.log(BEFORE[kind]) + logMean(ways, total, ({ logs }) => logs[kind]),
  }))
  const wrong = others.map((other) => ({
    kind: 'wrong-chain' as const,
    chain: other.id,
    log: Math.log(BEFORE['wrong-chain'] / others.length) + otherLog(draws, other, told.look),
  }))
  const sum = logSumExp([...own, ...wrong].map(({ log }) => log))
  const chance = (log: number): number => Math.exp(log - sum)
  const asLogged = chance(own[0]?.log ?? -Infinity)
  if (asLogged >= below) return undefined
  const causes = [
    ...own.flatMap(({ kind, log }) =>
      kind === 'as-logged' ? [] : [{ cause: { kind }, p: chance(log), ifSo: nowUnder(ways, kind, true) }],
    ),
    ...wrong.map(({ kind, chain: id, log }) => ({
      cause: { kind, chain: id },
      p: chance(log),
      ifSo: nowUnder(ways, 'as-logged', false),
    })),
  ]
  return {
    expected,
    read: summariseDensity(densityOf(look), []).mean,
    asLogged,
    ifAsLogged: nowUnder(ways, 'as-logged', true),
    causes: causes.filter(({ p }) => p >= 0.02).sort((a, b) => b.p - a.p),
  }
}
