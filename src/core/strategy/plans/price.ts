import type { Priced } from '../../log/kinds/prices.ts'
import { intervalOf, type Interval } from '../../stats/interval.ts'
import { COUNTED, type Counted, type PlanLives, type PlansAnswer } from './plans-steps.ts'
import type { PlanId } from './plans.ts'

/** Prices of one bike, minor units: `lube` of one application, `hour` of work. */
export type Prices = Readonly<Record<Priced, number>>

/** Parts of a cost. */
export const COST_PARTS = ['chains', 'cogs', 'rings', 'pulleys', 'lube', 'work', 'skips'] as const
export type CostPart = (typeof COST_PARTS)[number]

/** Minutes of work: a chain put on, a cassette, a ring, a look. Guesses. */
export const MINUTES = { mounting: 8, cassette: 15, ring: 20, look: 3 } as const
/** A part that is not at hand is waited for so many days. A guess, until a supplier tells. */
export const WAIT_DAYS = 3

/** How often a chain is lubricated, and how long that takes, whichever plan it is. */
export interface LubeUse {
  /** Applications in 1000 km. */
  readonly per1000: number
  /** Of hands, for each. */
  readonly minutes: number
}

/** What a plan costs and risks. Money in minor units per 1000 km. */
export interface PlanCost {
  readonly id: PlanId
  readonly cost: Interval
  readonly mean: number
  readonly parts: Readonly<Record<CostPart, number>>
  /** Chains that a cassette sees; `Infinity` where none was renewed. */
  readonly chainsPerCassette: number
  readonly skipsPer1000: number
  readonly minutesPer1000: number
  /** Days off the road while parts that were not at hand are waited for. */
  readonly daysPer1000: number
}

const offset = (what: Counted): number => COUNTED.indexOf(what)

type Horizon = Pick<PlansAnswer, 'lives' | 'horizonKm'>
interface LubeUses {
  readonly now: LubeUse
  readonly other: LubeUse
}

/** A way to price any one life of a plan: its parts of the cost, minor units per 1000 km, its counts, and minutes of hands. */
function lifePricer(
  { plan, counts }: PlanLives,
  { horizonKm }: Pick<Horizon, 'horizonKm'>,
  prices: Prices,
  lube: LubeUses,
) {
  const per1000 = 1000 / horizonKm
  const use = plan.isOtherLube ? lube.other : lube.now
  const chainPrice = plan.isHard ? prices.hardChain : prices.chain
  const lubeCost = use.per1000 * prices.lube
  return (life: number) => {
    const of = (what: Counted): number => counts[life * COUNTED.length + offset(what)] as number
    const minutes =
      per1000 *
        (of('mountings') * MINUTES.mounting +
          (of('cassettes') + of('singleCogs') * 0.5) * MINUTES.cassette +
          of('rings') * MINUTES.ring +
          of('looks') * MINUTES.look) +
      use.per1000 * use.minutes
    const parts: Readonly<Record<CostPart, number>> = {
      chains: per1000 * of('chains') * chainPrice,
      cogs: per1000 * (of('cassettes') * prices.cassette + of('singleCogs') * prices.singleCog),
      rings: per1000 * of('rings') * prices.ring,
      pulleys: per1000 * of('pulleys') * prices.pulleys,
      lube: lubeCost,
      work: (minutes / 60) * prices.hour,
      skips: per1000 * of('skips') * prices.skip,
    }
    return { of, minutes, parts }
  }
}

/** A plan's costs by its lives, priced. */
export function priceOf(
  planLives: PlanLives,
  { lives, horizonKm }: Horizon,
  prices: Prices,
  lube: LubeUses,
): PlanCost {
  const per1000 = 1000 / horizonKm
  const priceLife = lifePricer(planLives, { horizonKm }, prices, lube)
  const costs = new Float64Array(lives)
  const sums = Object.fromEntries(COST_PARTS.map((name) => [name, 0])) as Record<CostPart, number>
  let [chains, cassettes, skips, minutesSum, orders] = [0, 0, 0, 0, 0]
  for (let life = 0; life < lives; life++) {
    const { of, minutes, parts } = priceLife(life)
    for (const name of COST_PARTS) {
      sums[name] += parts[name]
      costs[life] = (costs[life] as number) + parts[name]
    }
    chains += of('chains')
    cassettes += of('cassettes')
    skips += per1000 * of('skips')
    minutesSum += minutes
    orders += per1000 * of('orders')
  }
  const mean = (sum: number): number => sum / lives
  return {
    id: planLives.plan.id,
    cost: intervalOf(costs),
    mean: mean(COST_PARTS.reduce((sum, name) => sum + sums[name], 0)),
    parts: Object.fromEntries(COST_PARTS.map((name) => [name, mean(sums[name])])) as Record<CostPart, number>,
    chainsPerCassette: cassettes > 0 ? chains / cassettes : Infinity,
    skipsPer1000: mean(skips),
    minutesPer1000: mean(minutesSum),
    daysPer1000: WAIT_DAYS * mean(orders),
  }
}

/**
 * The life of a plan at a place among all, by cost: 0 the cheapest, 0.5 a usual one, 1 the dearest.
 * @returns its number, and what it costs, minor units per 1000 km
 */
export function lifeAt(
  planLives: PlanLives,
  { lives, horizonKm }: Horizon,
  prices: Prices,
  lube: LubeUses,
  place: number,
): { readonly life: number; readonly cost: number } {
  const priceLife = lifePricer(planLives, { horizonKm }, prices, lube)
  const costs = Array.from({ length: lives }, (_, life) => ({
    life,
    cost: Object.values(priceLife(life).parts).reduce((sum, part) => sum + part, 0),
  })).sort((a, b) => a.cost - b.cost || a.life - b.life)
  return costs[Math.round(place * (lives - 1))] ?? { life: 0, cost: 0 }
}

/** Two plans whose costs are no further apart than this are as good as alike. */
const ALIKE = 0.03

/** The plan to go by. */
export interface BestPlan {
  readonly best: PlanCost
  /** The next dearest within the tolerance. */
  readonly runnerUp: PlanCost | undefined
  /** The two differ by under 3 %: either will do. */
  readonly isClose: boolean
  /** The cheapest of all, where it skips more often than the rider puts up with. */
  readonly cheaperButSkips: PlanCost | undefined
}

/**
 * The cheapest plan within the rider's skip tolerance (methods 8).
 * @param mostSkips skips under load in 1000 km that the rider puts up with
 * @returns undefined for no plans; where none keeps within the tolerance, the one that skips least
 */
export function bestPlan(costs: readonly PlanCost[], mostSkips: number): BestPlan | undefined {
  const byCost = [...costs].sort((a, b) => a.mean - b.mean)
  const within = byCost.filter(({ skipsPer1000 }) => skipsPer1000 <= mostSkips)
  const best = within[0] ?? [...costs].sort((a, b) => a.skipsPer1000 - b.skipsPer1000)[0]
  if (!best) return undefined
  const runnerUp = within.find((one) => one !== best)
  const cheapest = byCost[0]
  return {
    best,
    runnerUp,
    isClose: runnerUp !== undefined && runnerUp.mean <= best.mean * (1 + ALIKE),
    cheaperButSkips: cheapest !== best && cheapest && cheapest.mean < best.mean ? cheapest : undefined,
  }
}

/** A price at which another plan becomes the cheapest. */
export interface BreakEven {
  readonly of: 'chain' | 'cassette' | 'hour' | 'skip'
  /** Minor units. */
  readonly price: number
  readonly isAbove: boolean
  readonly then: PlanId
}

/**
 * Where the choice tips as one price moves and the others stay: costs are straight lines in each price, so the crossing is worked
 * out and not searched for.
 * @param costAt all plans' costs at other prices
 */
export function breakEvens(
  costs: readonly PlanCost[],
  best: PlanCost,
  mostSkips: number,
  prices: Prices,
  costAt: (prices: Prices) => readonly PlanCost[],
): readonly BreakEven[] {
  return (['chain', 'cassette', 'hour', 'skip'] as const).flatMap((of): BreakEven[] => {
    const from = prices[of]
    const step = Math.max(100, from)
    // The dear chain follows the plain one, as a share of it.
    const at = (price: number): Prices => ({
      ...prices,
      [of]: price,
      ...(of === 'chain' && from > 0 && { hardChain: (prices.hardChain * price) / from }),
    })
    const moved = costAt(at(from + step))
    const slopeOf = (id: PlanId): number => {
      const [a, b] = [costs, moved].map((list) => list.find((one) => one.id === id)?.mean ?? NaN)
      return ((b ?? NaN) - (a ?? NaN)) / step
    }
    const crossings = costs
      .filter(({ id, skipsPer1000 }) => id !== best.id && skipsPer1000 <= mostSkips)
      .flatMap(({ id, mean }) => {
        const price = from + (mean - best.mean) / (slopeOf(best.id) - slopeOf(id))
        return Number.isFinite(price) && price >= 0 ? [{ of, price, isAbove: price > from, then: id }] : []
      })
    const above = crossings.filter(({ isAbove }) => isAbove).sort((a, b) => a.price - b.price)[0]
    const below = crossings.filter(({ isAbove }) => !isAbove).sort((a, b) => b.price - a.price)[0]
    return [below, above].flatMap((one) => one ?? [])
  })
}
