import { describe, expect, test } from '@jest/globals'
import { toEnd } from '../../job.ts'
import { plansFor, type PlanId } from './plans.ts'
import { LIFE_NUMBERS, COUNTED, plansSteps, type PlansAsk } from './plans-steps.ts'
import type { PlanCost } from './price.ts'
import { rateSteps, rateTips, WEAR_TIMES } from './rate-tips.ts'

const plan = (id: PlanId, mean: number, skipsPer1000 = 0): PlanCost => ({
  id,
  mean,
  skipsPer1000,
  cost: { p10: mean, p50: mean, p90: mean },
  parts: { chains: mean, cogs: 0, rings: 0, pulleys: 0, lube: 0, work: 0, skips: 0 },
  chainsPerCassette: 2,
  minutesPer1000: 0,
  daysPer1000: 0,
})

describe('where the choice tips as the road wears more or less', () => {
  test('between the two roads on either side of it, in a straight line of the logarithm', () => {
    // "early" grows with the wear, "late" does so half as fast: at 1.4 times they are 14 and 12, at once 10 and 11.
    const costs = WEAR_TIMES.map((times) => [
      plan('early', 10 * times),
      plan('late', 6 + 5 * times - (times > 1 ? 1 : 0)),
    ])
    const tips = rateTips(costs, 2, 1)
    const [tip] = tips
    expect(tips).toHaveLength(1)
    expect(tip?.then).toBe('late')
    // From 1 dearer to 2 cheaper: a third of the way from 1 to 1.4.
    expect(tip?.times).toBeCloseTo(Math.exp(Math.log(1.4) / 3), 9)
    // Wet roads wear twice as much: so much more rain makes the mean so much greater.
    expect(tip?.moreRain).toBeCloseTo((tip?.times ?? NaN) - 1, 9)
  })

  test('less wear tips too, and is no matter of rain; where one plan is cheapest on every road nothing tips', () => {
    const costs = WEAR_TIMES.map((times) => [plan('late', 10), plan('early', times < 0.6 ? 8 : 12)])
    expect(rateTips(costs, 2, 1)).toEqual([{ times: expect.any(Number), then: 'early' }])
    expect(
      rateTips(
        WEAR_TIMES.map(() => [plan('early', 1), plan('late', 2)]),
        2,
        1,
      ),
    ).toEqual([])
    expect(rateTips([], 2, 1)).toEqual([])
  })
})

const flat = (value: number): Float32Array => new Float32Array(20).fill(value)
const ask: PlansAsk = {
  named: 'test',
  draws: {
    count: 20,
    beta: flat(1),
    lateTimes: flat(1),
    lateFrom: flat(2),
    rider: flat(0.17),
    times: {},
    chains: {},
  },
  chains: ['on'],
  road: {
    now: [{ km: 1, condition: 'dry-road', lube: 'wet-lube' }],
    otherLube: [{ km: 1, condition: 'dry-road', lube: 'immersion-wax' }],
  },
  cogs: [13, 15, 17].map((teeth) => ({ teeth, share: 1, material: 'steel' })),
  soldSingly: [],
  worn: undefined,
  shift: undefined,
  ring: undefined,
  pulleysWorn: 0,
  habits: { lookKm: 400, forgotten: 0, late: 0, looks: 9 },
  plans: plansFor({ limit: 0.5, hasSingles: false, hasLargerRing: false }),
  lives: 20,
  part: [0, 20],
  horizonKm: 20_000,
  seed: 4,
}
const chainsOf = (counts: Float32Array): number =>
  counts.reduce((sum, one, i) => (i % COUNTED.length === COUNTED.indexOf('chains') ? sum + one : sum), 0)

describe('lives on other roads', () => {
  test('twice the wear takes about twice the chains, and once the wear is what the plans say', () => {
    const { answers, wetTimes } = toEnd(rateSteps(ask))
    const chains = answers.map(({ plans }) => chainsOf(plans[0]?.counts ?? new Float32Array()))
    const plain = chainsOf(toEnd(plansSteps(ask)).plans[0]?.counts ?? new Float32Array())
    expect(chains[2]).toBe(plain)
    expect((chains[4] ?? 0) / plain).toBeGreaterThan(1.7)
    expect((chains[4] ?? 0) / plain).toBeLessThan(2.2)
    // A wet road wears twice as much as a dry one (methods 3), lube aside.
    expect(wetTimes).toBeGreaterThan(1.2)
  })

  test('a plan that buys at every look ends all the same, and is dear', () => {
    const [first] = ask.plans
    if (!first) throw new Error('no plan')
    const forever = { ...first, policy: { kind: 'replace' as const, at: 0.1 } }
    const { plans } = toEnd(
      plansSteps({ ...ask, plans: [forever, first], habits: { ...ask.habits, lookKm: 150 } }),
    )
    const [often = 0, seldom = 0] = plans.map(({ counts }) => chainsOf(counts) / ask.lives)
    // One chain a look at the most.
    expect(often).toBeLessThanOrEqual(ask.horizonKm / LIFE_NUMBERS.stepKm / 3)
    expect(often).toBeGreaterThan(3 * seldom)
  })
})
