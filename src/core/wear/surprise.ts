import { logSumExp } from '../measure/likelihood.ts'
import { densityOf, summariseDensity } from '../measure/posterior.ts'
import type { Interval } from '../stats/interval.ts'
import { quantile, weighted } from '../stats/weighted.ts'
import { seededRandom, type Random } from '../stats/random.ts'
import { chainDraws, elongationDraws, fewDraws, wearKmDraws, type RiderDraws } from './draws.ts'
import type { AskedChain, LookPlace } from './asked-chain.ts'
import { drawnInDoubt, type ChainInDoubt } from './in-doubt.ts'
import {
  heardOf,
  KINDS,
  logMean,
  nowUnder,
  readingsLog,
  tryWay,
  type Heard,
  type Placed,
  type Told,
  type Tried,
  type Way,
} from './ways-to-look.ts'

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
  readonly look: LookPlace
  /** Whether the chain was not looked at since. */
  readonly isLast: boolean
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
const BEFORE = { 'as-logged': 0.86, 'wrong-chain': 0.015, swapped: 0.025, 'missing-road': 0.04, gauge: 0.06 }
/** Ways tried for each draw. */
const TRIES = 12
/** Of so many draws at most, of fewer where it is only asked whether a look is odd at all. */
const MOST_DRAWS = 300
const FEW_DRAWS = 120
/** With fewer effective ways than this nothing is claimed: more are tried before, up to so many rounds. */
const LEAST_EFFECTIVE = 25
const MOST_ROUNDS = 8

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
  const weights = ways.map(({ weight }) => Math.exp(weight - total))
  const sample = weighted(
    ways.map(({ expected }) => expected),
    weights,
  )
  return {
    p05: quantile(sample, 0.05),
    p50: quantile(sample, 0.5),
    p95: quantile(sample, 0.95),
    effective: 1 / weights.reduce((sum, weight) => sum + weight * weight, 0),
  }
}

/** For each reading from one on, how many looks after its look it was taken. */
function looksAfter({ readings, examined }: AskedChain, first: number): number[] {
  const begins = examined.map((look) => look.first)
  return readings.slice(first).map((_, i) => begins.filter((at) => at > first && at <= first + i).length)
}

/** Ways to have come to a look, and what is believed of it before it, %. */
function waysTo(
  tried: Tried,
  told: Told,
  random: Random,
): { readonly ways: Way[]; readonly total: number } & ReturnType<typeof expectedOf> {
  const { count } = tried.draws
  const step = Math.max(1, Math.ceil(count / (tried.own ? MOST_DRAWS : FEW_DRAWS)))
  const ways: Way[] = []
  for (let round = 1; ; round++) {
    for (let n = 0; n < count; n += step)
      for (let k = 0; k < TRIES; k++) ways.push(tryWay(tried, told, n, random))
    const total = logSumExp(ways.map(({ weight }) => weight))
    const expected = expectedOf(ways, total)
    if (expected.effective >= LEAST_EFFECTIVE || round === MOST_ROUNDS) return { ways, total, ...expected }
  }
}

/** A question about a look, and what the chain is believed to be while it is open. */
export interface FoundSurprise {
  readonly surprise: Surprise
  /** How well it foretells all that was read of the chain, as a logarithm: of several odd looks the best is asked about. */
  readonly evidence: number
  readonly inDoubt: () => ChainInDoubt
}

/**
 * Whether a look at a chain is as was to be expected from the earlier ones and from the rider's other chains, and what
 * else may lie behind it: each possibility weighed by how well it foretells what was read then and since. Rates and
 * starts are drawn from what is known of the rider and weighed by the earlier readings.
 * @param draws of the rider, best without that look
 * @param others chains it might have been instead
 * @param below the chance of being as logged from which on nothing is made of it
 * @param isBefore whether the draws know only what was known before the look
 * @returns undefined where it is as expected, or where there is nothing to go by
 */
export function surpriseAt(
  draws: RiderDraws,
  chain: AskedChain,
  { first, size }: LookPlace,
  others: readonly AskedChain[],
  below: number,
  isBefore: boolean,
): FoundSurprise | undefined {
  const { readings } = chain
  const look = readings.slice(first, first + size)
  const [start] = look
  // Where a chain of unknown past begins, nothing is to be expected.
  if (!start || (chain.past === 'unknown' && first === 0)) return undefined
  const heard = heardOf(draws, readings)
  const placed = readings.flatMap(({ road }, i): Placed[] => {
    const one = heard[i]
    return one ? [{ heard: one, wear: wearKmDraws(draws, road) }] : []
  })
  const told: Told = {
    earlier: placed.slice(0, first),
    look: heard.slice(first, first + size),
    from: placed.slice(first),
    after: looksAfter(chain, first),
    wearLook: wearKmDraws(draws, start.road),
    wearNow: wearKmDraws(draws, chain.now),
  }
  const random = seededRandom(11)
  const { ways, total, effective, ...expected } = waysTo(
    { draws, past: chain.past, ...(isBefore && { own: chainDraws(draws, chain, 7) }) },
    told,
    random,
  )
  if (!(effective >= LEAST_EFFECTIVE)) return undefined
  const own = KINDS.map((kind) => ({
    kind,
    log: Math.log(BEFORE[kind]) + logMean(ways, total, ({ logs }) => logs[kind]),
  }))
  const unread = logMean(ways, total, ({ logs }) => logs.unread)
  const wrong = others.map((other) => ({
    kind: 'wrong-chain' as const,
    chain: other.id,
    log: Math.log(BEFORE['wrong-chain'] / others.length) + otherLog(draws, other, told.look) + unread,
  }))
  const sum = logSumExp([...own, ...wrong].map(({ log }) => log))
  const chance = (log: number): number => Math.exp(log - sum)
  const asLogged = chance(own[0]?.log ?? -Infinity)
  if (asLogged >= below) return undefined
  const causes = [
    ...own.flatMap(({ kind, log }) =>
      kind === 'as-logged' ? [] : [{ cause: { kind }, p: chance(log), ifSo: nowUnder(ways, kind) }],
    ),
    ...wrong.map(({ kind, chain: id, log }) => ({
      cause: { kind, chain: id },
      p: chance(log),
      ifSo: nowUnder(ways, 'unread'),
    })),
  ]
  const surprise: Surprise = {
    look: { first, size },
    isLast: first + size === readings.length,
    expected,
    read: summariseDensity(densityOf(look), []).mean,
    asLogged,
    ifAsLogged: nowUnder(ways, 'as-logged'),
    causes: causes.filter(({ p }) => p >= 0.02).sort((a, b) => b.p - a.p),
  }
  const possibilities = [
    ...own.map(({ kind, log }) => ({ kind, p: chance(log) })),
    { kind: 'unread' as const, p: wrong.reduce((p, { log }) => p + chance(log), 0) },
  ]
  return {
    surprise,
    evidence: total - Math.log(ways.length) + sum,
    inDoubt: () => drawnInDoubt(draws, ways, possibilities, random),
  }
}
