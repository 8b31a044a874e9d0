import { baseRates, lubeMoves, type BaseRates, type FaultFacts } from './base-rates.ts'
import { rankingOf, readyFor, testsLeft, weigh } from './infer.ts'
import type { Answer, Answers, NextTest, Ranking, Ready } from './infer.ts'
import type { Need, Way } from './network.ts'
import type { NoiseCause, ShiftCause } from './causes.ts'
import { NOISES, type NoiseFinding } from './noise-network.ts'
import { SHIFTING, type ShiftFinding } from './shifting-network.ts'

/** What is looked for: why it slips, skips or will not shift; or where a noise comes from. */
export type About = 'shifting' | 'noise'
export type AnyCause = ShiftCause | NoiseCause
export type AnyFinding = ShiftFinding | NoiseFinding

/** A network made ready for each kind of bike once: it takes a moment, and bikes of a kind share it. */
const READY = new Map<string, Ready<AnyCause, AnyFinding>>()

/** The network for a bike that has these things. */
export function networkFor(about: About, has: ReadonlySet<Need>): Ready<AnyCause, AnyFinding> {
  const key = `${about} ${[...has].sort().join()}`
  const kept = READY.get(key)
  if (kept) return kept
  const made =
    about === 'noise'
      ? readyFor<NoiseCause, NoiseFinding>(NOISES, has)
      : readyFor<ShiftCause, ShiftFinding>(SHIFTING, has)
  // Either network is read by its own names alone; the screens hold both in the same hands.
  const ready = made as unknown as Ready<AnyCause, AnyFinding>
  READY.set(key, ready)
  return ready
}

/** A search on one bike: its network, and what its log says. */
export interface Search {
  readonly about: About
  readonly ready: Ready<AnyCause, AnyFinding>
  readonly rates: Readonly<Record<AnyCause, number>>
  /** What the log answers by itself. */
  readonly known: Answers<AnyFinding>
  readonly moved: BaseRates['moved']
}

/** The rates as they are everywhere; those of the other network stand beside them, and are never asked for. */
function ratesOf(about: About): Record<AnyCause, number> {
  const [others, own] = about === 'noise' ? [SHIFTING, NOISES] : [NOISES, SHIFTING]
  return Object.fromEntries(
    [...Object.entries(others.causes), ...Object.entries(own.causes)].map(([cause, { rate }]) => [
      cause,
      rate,
    ]),
  ) as Record<AnyCause, number>
}

/** Starts a search from what a bike's log says. */
export function searchOn(about: About, facts: FaultFacts): Search {
  const ready = networkFor(about, facts.has)
  if (about === 'shifting') {
    const { rates, known, moved } = baseRates(facts)
    return { about, ready, rates: { ...ratesOf(about), ...rates }, known, moved }
  }
  const rates = ratesOf(about)
  const dry = lubeMoves(rates['dry-chain'], facts.lubeUsed)
  return {
    about,
    ready,
    rates: { ...rates, 'dry-chain': dry },
    known: {},
    moved:
      dry === rates['dry-chain']
        ? []
        : [{ cause: 'dry-chain', from: rates['dry-chain'], to: dry, by: 'lube' }],
  }
}

/** A search with nothing known from a log: rates as they are everywhere. */
export const searchWithout = (about: About, has: ReadonlySet<Need>): Search => ({
  about,
  ready: networkFor(about, has),
  rates: ratesOf(about),
  known: {},
  moved: [],
})

/** Causes that throw a rider: where one of them may be true, nothing is tested by riding. */
const THROWS: readonly AnyCause[] = [
  'worn-cogs',
  'worn-chain',
  'worn-ring',
  'freehub',
  'broken-tooth',
  'stiff-link',
]

/** What happens, in the rider's words: several may be so. */
export const COMPLAINTS = [
  'slips',
  'jumps',
  'grinds',
  'one-way',
  'drops',
] as const satisfies readonly ShiftFinding[]
export type Complaint = (typeof COMPLAINTS)[number]

/** Somebody who has it taps it so often; what was not tapped is there with the rest. Ours, a guess. */
const TAPPED = 0.7

/** The answers that the complaints tapped come to: those are so; the others are probably not, once one was tapped. */
export function complaintAnswers(tapped: readonly Complaint[]): Answers<ShiftFinding> {
  if (tapped.length === 0) return {}
  return Object.fromEntries(
    COMPLAINTS.map((one): [Complaint, Answer] => [
      one,
      tapped.includes(one) ? 'yes' : { yes: 1 - TAPPED, no: 1 },
    ]),
  )
}

/** A chance that is too large to ride on. Ours, a judgement: a slip throws a knee into the bar. */
const TOO_LIKELY = 0.05

/** Sure enough to mend it rather than test on; mending a likely cause is a test of it, too. Ours. */
export const SURE_ENOUGH = 0.8

/** What is thought of a fault, and what to do next. */
export interface FaultView {
  readonly ranking: Ranking<AnyCause>
  /** The tests that are left, the best first; empty once nothing tells more. */
  readonly next: readonly NextTest<AnyFinding>[]
  /** It may skip under load: not ridden hard, and no test by riding. */
  readonly mayThrow: boolean
}

/** A test that tells less than this many bits is not worth its minutes. Ours. */
const WORTH_TELLING = 0.02

/**
 * What is behind a fault, by what was answered and what the log knows; and the next test. An answer given now takes the place of what the
 * log says.
 */
export function viewOf({ about, ready, rates, known }: Search, given: Answers<AnyFinding>): FaultView {
  const answers: Answers<AnyFinding> = { ...known, ...given }
  const ranking = rankingOf(ready, weigh(ready, rates, answers))
  const mayThrow =
    about === 'shifting' &&
    (answers.slips === 'yes' ||
      answers.load === 'hard-only' ||
      ranking.causes.some(({ cause, p }) => THROWS.includes(cause) && p > TOO_LIKELY))
  const isBarred = (_: AnyFinding, way: Way): boolean => way === 'ride' && mayThrow
  const next = testsLeft(ready, ranking, answers, isBarred).filter(({ gain }) => gain >= WORTH_TELLING)
  // Riding comes last, whatever it would tell.
  const isRide = ({ finding }: NextTest<AnyFinding>): boolean =>
    ready.network.findings[finding].way === 'ride'
  return { ranking, next: [...next.filter((one) => !isRide(one)), ...next.filter(isRide)], mayThrow }
}

/** What an answer moved a cause from and to. */
export interface Moved {
  readonly cause: AnyCause
  readonly from: number
  readonly to: number
}

/**
 * What one answer, given or known from the log, moved: the ranking without it beside the one with it, what moved most first.
 * @param after the ranking with it, where that is at hand
 */
export function movedBy(
  search: Search,
  given: Answers<AnyFinding>,
  finding: AnyFinding,
  after: Ranking<AnyCause>['causes'] = viewRanking(search, given),
): readonly Moved[] {
  const { [finding]: _given, ...others } = given
  const { [finding]: _known, ...otherKnown } = search.known
  const without = given[finding] === undefined ? { ...search, known: otherKnown } : search
  const before = new Map(viewRanking(without, others).map(({ cause, p }) => [cause, p]))
  return after
    .map(({ cause, p }) => ({ cause, from: before.get(cause) ?? 0, to: p }))
    .sort((a, b) => Math.abs(b.to - b.from) - Math.abs(a.to - a.from))
}

const viewRanking = ({ ready, rates, known }: Search, given: Answers<AnyFinding>) =>
  rankingOf(ready, weigh(ready, rates, { ...known, ...given })).causes

/** Two answers that cannot both be so: never under load, and only while standing. */
export interface Contradiction {
  readonly findings: readonly [AnyFinding, AnyFinding]
}

/** Pairs of answers of which one must be wrong. Both are counted all the same: each moves the ranking its own way. */
const AT_ODDS: readonly (readonly [[AnyFinding, string], [AnyFinding, string]])[] = [
  [
    ['load', 'light-too'],
    ['standing', 'yes'],
  ],
  [
    ['gauge', 'fresh'],
    ['ring-lift', 'half-tooth'],
  ],
  [
    ['pedalling', 'coasting-too'],
    ['rhythm', 'crank'],
  ],
  [
    ['seated', 'only-seated'],
    ['bars', 'yes'],
  ],
]

const isSaid = (answer: Answer | undefined, value: string): boolean =>
  answer === value || (Array.isArray(answer) && answer.length === 1 && answer[0] === value)

/** The answers that contradict one another: pairs of them, and questions with two answers at once, as a pair of the same. */
export function contradictions(given: Answers<AnyFinding>): readonly Contradiction[] {
  const pairs = AT_ODDS.filter(([[a, va], [b, vb]]) => isSaid(given[a], va) && isSaid(given[b], vb)).map(
    ([[a], [b]]): Contradiction => ({ findings: [a, b] }),
  )
  const twice = (Object.keys(given) as AnyFinding[])
    .filter((one) => Array.isArray(given[one]) && (given[one] as readonly string[]).length > 1)
    .map((one): Contradiction => ({ findings: [one, one] }))
  return [...pairs, ...twice]
}
