import type { SwapChoice } from '../log/kinds/lesson.ts'
import { SWAP_CHOICES } from '../log/kinds/lesson.ts'
import { seededRandom } from '../stats/random.ts'
import { cogSet } from '../strategy/plans/cogs.ts'
import type { ChainWay, Life, LifeCounts } from '../strategy/plans/life-kinds.ts'
import { live } from '../strategy/plans/life.ts'
import { EVENTS, keyedNormal } from '../strategy/plans/luck.ts'
import type { Policy } from '../strategy/plans/policy.ts'
import { FUTURES } from './skip-lesson.ts'

/** A story of a worn chain: what was read, what things cost, how it is ridden. */
export interface SwapStory {
  readonly seed: number
  /** What was read, %, and how surely, as a standard deviation. */
  readonly read: number
  readonly readSd: number
  /** Chains that ran on these cogs before, each to the limit. */
  readonly chainsBefore: number
  /** What the cogs have shaped themselves to, %. */
  readonly cogsWorn: number
  /** Money, whole units. */
  readonly chainPrice: number
  readonly cassettePrice: number
  readonly limit: number
  /** How fast chains wear here, % per 1000 km. */
  readonly rate: number
}

const PRICES = [
  [20, 30],
  [25, 60],
  [40, 110],
  [45, 220],
] as const
/** So far ahead is looked, km; the owner looks every so many, and pushes hard so often. */
const HORIZON_KM = 12_000
const LOOK_KM = 400
const PUSHES_PER_KM = 0.02
const STEP_KM = 50
const LOOK_SD = 0.05
const RATE_SD = 0.25
/** All is run until the chain is so long, %, and then all is new: cogs, ring and pulleys have gone with it. */
const RUN_OUT_AT = 1.1
const RING_PRICE = 35
const PULLEYS_PRICE = 20
/** Rings of aluminium, as on many bikes (methods 5). */
const RING_FOLLOW = 0.2
/** Ring and pulleys have worn so much of what the cogs have. */
const RING_SHARE = 0.7

/**
 * What cogs have followed a chain that wears at a rate up to some elongation, %: the conforming law of methods 5 while the lag is
 * nearly all of the elongation, `0.18 e^2 / (2 rate)`.
 */
const followedBy = (e: number, rate: number): number => (0.18 * e * e) / (2 * rate)

/** A story from a seed. */
export function madeUpSwap(seed: number): SwapStory {
  const random = seededRandom(seed)
  const [chainPrice, cassettePrice] = PRICES[Math.floor(random.unit() * PRICES.length)] ?? PRICES[1]
  const read = Math.round(100 * random.between(0.3, 1.15)) / 100
  const limit = random.chance(0.5) ? 0.5 : 0.75
  const rate = Math.round(100 * random.between(0.12, 0.3)) / 100
  const chainsBefore = Math.floor(random.between(0, 4))
  const worn = followedBy(read, rate) + chainsBefore * followedBy(limit, rate)
  return {
    seed,
    read,
    readSd: 0.04,
    chainsBefore,
    cogsWorn: Math.round(20 * Math.min(1.1, worn * Math.exp(random.normal(0, 0.25)))) / 20,
    chainPrice,
    cassettePrice,
    limit,
    rate,
  }
}

const COGS = cogSet(
  [11, 13, 15, 17, 19, 21, 24, 28].map((teeth, i) => ({
    teeth,
    share: [0.06, 0.24, 0.26, 0.18, 0.12, 0.08, 0.04, 0.02][i] ?? 0,
    material: 'steel' as const,
  })),
)

const policyFor = (choice: SwapChoice, limit: number): Policy =>
  choice === 'run-out' ? { kind: 'runout', at: RUN_OUT_AT } : { kind: 'replace', at: limit }

/** What one choice comes to in a hundred futures. */
export interface SwapOutcome {
  readonly choice: SwapChoice
  /** Money per 1000 km in each future, parts less what is left of them at the end. */
  readonly costs: readonly number[]
  readonly mean: number
  /** Expected skips under a hard push in 1000 km. */
  readonly skips: number
}

function lifeOf(story: SwapStory, future: number, choice: SwapChoice): Life {
  const { seed, read, readSd, cogsWorn, rate } = story
  const way = (start: number, nth: number): ChainWay => ({
    rate: rate * Math.exp(RATE_SD * keyedNormal(seed, future, EVENTS.chain, nth)),
    beta: 1,
    start,
    lateTimes: 1,
    lateFrom: 9,
    wearKm: 0,
  })
  const own = read + readSd * keyedNormal(seed, future, EVENTS.firstLook, 0)
  const times = Math.exp(0.25 * keyedNormal(seed, future, EVENTS.firstLook, 1))
  return {
    cogs: COGS,
    horizonKm: HORIZON_KM,
    stepKm: STEP_KM,
    wearPerKm: 1,
    pushesPerKm: PUSHES_PER_KM,
    shift: 0.1 * keyedNormal(seed, future, EVENTS.firstLook, 2),
    lookKm: LOOK_KM,
    lookError: (nth) => LOOK_SD * keyedNormal(seed, future, EVENTS.look, nth),
    has: [way(Math.max(0, own), 99)],
    chain: (nth) => way(0, nth),
    // The cogs that are ridden most have followed furthest.
    worn: COGS.load.map((load) => Math.min(1.5, cogsWorn * times * Math.min(1.15, 0.4 + 0.6 * load))),
    ring: { follow: RING_FOLLOW, worn: RING_SHARE * cogsWorn },
    pulleysWorn: RING_SHARE * cogsWorn,
    ...(choice === 'swap-now' && { firstSwapKm: 0 }),
  }
}

const costOf = (
  { chains, cassettes, rings, pulleys, chainsLeft, cogsLeft, ringLeft }: LifeCounts,
  { chainPrice, cassettePrice }: SwapStory,
): number =>
  (1000 *
    ((chains - chainsLeft) * chainPrice +
      (cassettes - cogsLeft) * cassettePrice +
      (rings - ringLeft) * RING_PRICE +
      pulleys * PULLEYS_PRICE)) /
  HORIZON_KM

/** Every choice in the same hundred futures. */
export const swapOutcomes = (story: SwapStory): readonly SwapOutcome[] =>
  SWAP_CHOICES.map((choice) => {
    const counts = Array.from({ length: FUTURES }, (_, future) =>
      live(lifeOf(story, future, choice), policyFor(choice, story.limit)),
    )
    const costs = counts.map((one) => costOf(one, story))
    return {
      choice,
      costs,
      mean: costs.reduce((sum, cost) => sum + cost, 0) / FUTURES,
      skips: counts.reduce((sum, { skips }) => sum + (1000 * skips) / HORIZON_KM, 0) / FUTURES,
    }
  })

/** More skips than this in 1000 km are not put up with. Ours. */
const MOST_SKIPS = 1

/** What the app would do: the cheapest of what does not slip too often; where all do, what slips least. */
export function bestSwap(outcomes: readonly SwapOutcome[]): SwapOutcome | undefined {
  const safe = outcomes.filter(({ skips }) => skips <= MOST_SKIPS)
  return safe.length > 0
    ? [...safe].sort((a, b) => a.mean - b.mean)[0]
    : [...outcomes].sort((a, b) => a.skips - b.skips)[0]
}
