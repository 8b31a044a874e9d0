import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { plansFor } from './plans.ts'
import { COUNTED, type PlanLives, type PlansAnswer } from './plans-steps.ts'
import { bestPlan, breakEvens, lifeAt, priceOf, type PlanCost, type Prices } from './price.ts'

const PRICES: Prices = {
  chain: 2000,
  hardChain: 4400,
  cassette: 6000,
  singleCog: 900,
  ring: 3500,
  pulleys: 2000,
  lube: 50,
  hour: 3000,
  skip: 0,
}
const LUBE = { now: { per1000: 4, minutes: 10 }, other: { per1000: 2, minutes: 20 } }
const PLANS = plansFor({ limit: 0.75, hasSingles: false, hasLargerRing: false })

/** Lives of a plan, each as counted: chains, cassettes, single cogs, rings, pulleys, orders, mountings, looks, skips. */
const lives = (id: string, rows: readonly (readonly number[])[]): PlanLives => {
  const plan = PLANS.find((one) => one.id === id)
  if (!plan) throw new Error(`no plan ${id}`)
  return { plan, counts: Float32Array.from(rows.flat()) }
}
const answerOf = (...plans: readonly PlanLives[]): PlansAnswer => ({
  lives: (plans[0]?.counts.length ?? 0) / COUNTED.length,
  horizonKm: 10_000,
  plans,
})

describe('the price of a plan', () => {
  test('by hand: parts, lube and work of 10 000 km', () => {
    const one = lives('usual', [[5, 2, 0, 1, 1, 4, 6, 20, 10]])
    const cost = priceOf(one, answerOf(one), PRICES, LUBE)
    expect(cost.parts).toMatchObject({ chains: 1000, cogs: 1200, rings: 350, lube: 200 })
    expect(cost.parts.pulleys).toBeCloseTo(200, 9)
    // 6 x 8 + 2 x 15 + 1 x 20 + 20 x 3 = 158 minutes in 10 000 km, and 40 of lube in 1000.
    expect(cost.minutesPer1000).toBeCloseTo(55.8, 6)
    expect(cost.parts.work).toBeCloseTo(55.8 * 50, 6)
    expect(cost.mean).toBeCloseTo(1000 + 1200 + 350 + 200 + 200 + 2790, 6)
    expect([cost.chainsPerCassette, cost.skipsPer1000]).toEqual([2.5, 1])
    // Four orders of three days each.
    expect(cost.daysPer1000).toBeCloseTo(1.2, 9)
    // Ten skips, at 5.00 each, in 10 000 km.
    expect(priceOf(one, answerOf(one), { ...PRICES, skip: 500 }, LUBE).parts.skips).toBeCloseTo(500, 9)
  })

  test('dear chains and the other lubricant are priced as such; no cassette renewed is no division', () => {
    const hard = lives('hard-chain', [[5, 0, 0, 0, 0, 5, 5, 20, 0]])
    expect(priceOf(hard, answerOf(hard), PRICES, LUBE)).toMatchObject({
      parts: { chains: 2200 },
      chainsPerCassette: Infinity,
    })
    const other = lives('other-lube', [[5, 1, 0, 0, 0, 5, 5, 20, 0]])
    expect(priceOf(other, answerOf(other), PRICES, LUBE).parts.lube).toBe(100)
  })
})

describe('lives by their cost', () => {
  test('the cheapest, a usual one and the dearest, with what each costs', () => {
    const some = lives(
      'usual',
      [5, 3, 9].map((chains) => [chains, 1, 0, 0, 0, 0, 0, 0, 0]),
    )
    const at = (place: number) => lifeAt(some, answerOf(some), PRICES, LUBE, place)
    expect([at(0).life, at(0.5).life, at(1).life]).toEqual([1, 0, 2])
    // Two chains more in 10 000 km are 4.00 more per 1000 km.
    expect(at(0.5).cost - at(0).cost).toBeCloseTo(400, 6)
  })
})

const plan = (id: PlanCost['id'], mean: number, skipsPer1000 = 0): PlanCost => ({
  id,
  mean,
  skipsPer1000,
  cost: { p10: mean, p50: mean, p90: mean },
  parts: { chains: mean, cogs: 0, rings: 0, pulleys: 0, lube: 0, work: 0, skips: 0 },
  chainsPerCassette: 2,
  minutesPer1000: 0,
  daysPer1000: 0,
})

describe('the plan to go by', () => {
  test('is the cheapest that does not skip too often, and what is cheaper is named', () => {
    const costs = [plan('late', 10, 4), plan('usual', 12, 0.1), plan('early', 15, 0)]
    expect(bestPlan(costs, 0.5)).toMatchObject({
      best: { id: 'usual' },
      runnerUp: { id: 'early' },
      isClose: false,
      cheaperButSkips: { id: 'late' },
    })
    expect(bestPlan(costs, Infinity)).toMatchObject({ best: { id: 'late' }, cheaperButSkips: undefined })
  })

  test('says so where two are as good as alike, and where none keeps from skipping takes the least', () => {
    expect(bestPlan([plan('usual', 100), plan('early', 102)], 1)?.isClose).toBe(true)
    expect(bestPlan([plan('usual', 10, 3), plan('early', 15, 2)], 0.05)).toMatchObject({
      best: { id: 'early' },
      cheaperButSkips: { id: 'usual' },
    })
    expect(bestPlan([], 1)).toBeUndefined()
  })
})

describe('where the choice tips', () => {
  const few = lives('early', [
    [9, 1, 0, 0, 0, 9, 9, 20, 0],
    [8, 1, 0, 0, 0, 8, 8, 20, 1],
  ])
  const many = lives('usual', [
    [5, 3, 0, 0, 0, 5, 5, 20, 4],
    [6, 3, 0, 0, 0, 6, 6, 20, 4],
  ])
  const answer = answerOf(few, many)
  const costAt = (prices: Prices): readonly PlanCost[] =>
    answer.plans.map((one) => priceOf(one, answer, prices, LUBE))

  test('whatever the prices: at the price that is told both plans cost the same, and beyond it the other is cheaper', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 500, max: 9000 }),
        fc.integer({ min: 500, max: 20_000 }),
        fc.integer({ min: 0, max: 6000 }),
        fc.integer({ min: 0, max: 3000 }),
        (chain, cassette, hour, skip) => {
          const prices = { ...PRICES, chain, cassette, hour, skip }
          const costs = costAt(prices)
          const best = bestPlan(costs, 1)?.best
          if (!best) throw new Error('no plan')
          for (const { of, price, isAbove, then } of breakEvens(costs, best, 1, prices, costAt)) {
            const at = (value: number): Prices => ({
              ...prices,
              [of]: value,
              ...(of === 'chain' && { hardChain: (prices.hardChain * value) / chain }),
            })
            const meanOf = (value: number, id: string): number =>
              costAt(at(value)).find((one) => one.id === id)?.mean ?? NaN
            expect(meanOf(price, best.id)).toBeCloseTo(meanOf(price, then), 4)
            const beyond = isAbove ? price * 1.2 + 10 : Math.max(0, price * 0.8 - 10)
            if (beyond !== price) expect(meanOf(beyond, then)).toBeLessThan(meanOf(beyond, best.id))
          }
        },
      ),
    )
  })
})
