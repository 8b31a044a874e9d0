import type { JobStep } from '../../job.ts'
import { live } from './life.ts'
import { EVENTS, keyedUnit } from './luck.ts'
import type { LifeCounts } from './life-kinds.ts'
import type { Plan } from './plans.ts'
import { lifeOf, planRoads, type PlansAsk } from './plans-steps.ts'
import { MINUTES, type Prices } from './price.ts'

/** When would the mounted chain best be swapped? Plain data. */
export interface WaitAsk extends Omit<PlansAsk, 'plans' | 'part'> {
  /** Followed from the swap on. */
  readonly plan: Plan
  /** Distances from now at which the swap is tried, km, the nearest first. */
  readonly waits: readonly number[]
}

/** What is counted of every life, in this order; parts less what is left of them at the end. */
const WAITED = [
  'chains',
  'cassettes',
  'singleCogs',
  'rings',
  'pulleys',
  'mountings',
  'looks',
  'skips',
  'skipsSoon',
  'renewedCogs',
] as const
type Waited = (typeof WAITED)[number]

/** Lives in which the chain goes after so many km. */
export interface WaitLives {
  readonly km: number
  /** By life, in turn, each of what is counted. */
  readonly counts: Float32Array
}

export interface WaitAnswer {
  readonly lives: number
  readonly waits: readonly WaitLives[]
}

const counted = (counts: LifeCounts, name: Waited): number => {
  switch (name) {
    case 'chains':
      return counts.chains - counts.chainsLeft
    case 'cassettes':
      return counts.cassettes - counts.cogsLeft
    case 'rings':
      return counts.rings - counts.ringLeft
    case 'renewedCogs':
      return counts.cassettes
    default:
      return counts[name]
  }
}

/**
 * Lives in which the mounted chain is swapped now, or after so many km, and the same plan is followed from then on (methods 8): all
 * with the same luck, so that they differ by the wait alone. What is left of each part at the end is worth its share of a new
 * one, so that a life that has just bought is not the dearer for it.
 * @yields how many lives are done
 * @throws RangeError where no wait or no life is asked about
 */
export function* waitSteps(ask: WaitAsk): Generator<JobStep, WaitAnswer, undefined> {
  const { waits, lives, plan } = ask
  if (!(lives >= 1) || waits.length === 0) throw new RangeError('Nothing to try: no distance, or no life.')
  const roads = planRoads({ ...ask, plans: [plan], part: [0, lives] })
  const counts = waits.map(() => new Float32Array(lives * WAITED.length))
  for (let life = 0; life < lives; life++) {
    const made = lifeOf({ ...ask, plans: [plan], part: [0, lives] }, roads, life)(plan)
    // Looks fall anywhere between swaps: were they at the same places in all lives, one wait would suit them better than another.
    const firstLookKm = made.lookKm * keyedUnit(ask.seed, life, EVENTS.firstLook, 0)
    waits.forEach((firstSwapKm, w) => {
      const lived = live({ ...made, firstSwapKm, firstLookKm }, plan.policy)
      WAITED.forEach((name, i) => {
        ;(counts[w] as Float32Array)[life * WAITED.length + i] = counted(lived, name)
      })
    })
    if (life % 20 === 19) yield { done: life + 1, of: lives }
  }
  return { lives, waits: waits.map((km, w) => ({ km, counts: counts[w] as Float32Array })) }
}

/** What one wait comes to beside the best one. Money in minor units. */
export interface WaitCost {
  readonly km: number
  /** Dearer than the best, in the mean, and how unsure that is, as a standard error. */
  readonly more: number
  readonly moreSe: number
  /** Skips under load that are expected in the first 1000 km from now. */
  readonly skipsSoon: number
}

/** When to swap, by what it costs. */
export interface WaitChoice {
  readonly costs: readonly WaitCost[]
  readonly best: WaitCost
}

/** A life's cost, minor units: parts used up, the hands' time, and what skips are worth. */
function costOf(counts: Float32Array, life: number, prices: Prices, isHard: boolean): number {
  const of = (name: Waited): number => counts[life * WAITED.length + WAITED.indexOf(name)] as number
  const minutes =
    of('mountings') * MINUTES.mounting +
    (of('renewedCogs') + of('singleCogs') * 0.5) * MINUTES.cassette +
    of('rings') * MINUTES.ring +
    of('looks') * MINUTES.look
  return (
    of('chains') * (isHard ? prices.hardChain : prices.chain) +
    of('cassettes') * prices.cassette +
    of('singleCogs') * prices.singleCog +
    of('rings') * prices.ring +
    of('pulleys') * prices.pulleys +
    (minutes / 60) * prices.hour +
    of('skips') * prices.skip
  )
}

const SKIPS_SOON = WAITED.indexOf('skipsSoon')

/**
 * What each wait costs beside the best one, priced. Differences are taken life by life, so that what the lives have in common
 * cancels out.
 * @returns undefined for no waits
 */
export function waitCosts(
  { lives, waits }: WaitAnswer,
  prices: Prices,
  isHard: boolean,
): WaitChoice | undefined {
  const all = waits.map(({ km, counts }) => {
    const costs = Float64Array.from({ length: lives }, (_, life) => costOf(counts, life, prices, isHard))
    let skips = 0
    for (let life = 0; life < lives; life++) skips += counts[life * WAITED.length + SKIPS_SOON] as number
    return { km, costs, mean: costs.reduce((a, b) => a + b, 0) / lives, skipsSoon: skips / lives }
  })
  const cheapest = all.reduce(
    (best, one) => (one.mean < best.mean ? one : best),
    all[0] as (typeof all)[number],
  )
  if (!cheapest) return undefined
  const told = all.map(({ km, costs, mean, skipsSoon }): WaitCost => {
    const more = mean - cheapest.mean
    const squares = costs.reduce(
      (sum, cost, life) => sum + (cost - (cheapest.costs[life] as number) - more) ** 2,
      0,
    )
    return { km, more, moreSe: Math.sqrt(squares / Math.max(1, lives - 1) / lives), skipsSoon }
  })
  const best = told.find(({ km }) => km === cheapest.km)
  return best && { costs: told, best }
}
