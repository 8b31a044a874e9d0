import { describe, expect, test } from '@jest/globals'
import { toEnd } from '../../job.ts'
import type { KeptDraws } from '../../wear/kept-draws.ts'
import { largerRing } from './larger-ring.ts'
import type { Plan } from './plans.ts'
import type { Prices } from './price.ts'
import { waitCosts, waitSteps, type WaitAsk } from './wait-steps.ts'

const flat = (value: number): Float32Array => new Float32Array(20).fill(value)
const drawsAt = (wearKm: number): KeptDraws => ({
  count: 20,
  beta: flat(1),
  lateTimes: flat(1),
  lateFrom: flat(2),
  rider: flat(0.2),
  times: {},
  chains: {
    on: {
      rate: flat(0.2),
      start: flat(0),
      wearKm: flat(wearKm),
      beta: flat(1),
      lateTimes: flat(1),
      lateFrom: flat(2),
    },
  },
})
const PLAN: Plan = {
  id: 'early',
  policy: { kind: 'replace', at: 0.5 },
  isSingly: false,
  isHard: false,
  isOtherLube: false,
  isLargerRing: false,
}
const PRICES: Prices = {
  chain: 3000,
  hardChain: 6000,
  cassette: 7000,
  singleCog: 900,
  ring: 3500,
  pulleys: 2000,
  lube: 40,
  hour: 0,
  skip: 0,
}
const askAt = (wearKm: number, more: Partial<WaitAsk> = {}): WaitAsk => ({
  named: 'test',
  draws: drawsAt(wearKm),
  chains: ['on'],
  road: {
    now: [{ km: 1, condition: 'dry-road', lube: 'wet-lube' }],
    otherLube: [{ km: 1, condition: 'dry-road', lube: 'wet-lube' }],
  },
  cogs: [13, 15, 17, 19, 21, 24].map((teeth) => ({ teeth, share: 1, material: 'steel' })),
  soldSingly: [],
  worn: undefined,
  shift: undefined,
  ring: undefined,
  pulleysWorn: 0,
  habits: { lookKm: 200, forgotten: 0, late: 0, looks: 9 },
  lives: 200,
  horizonKm: 12_000,
  seed: 3,
  plan: PLAN,
  waits: [0, 500, 1000, 1500, 2000, 2500, 3000],
  ...more,
})
const choiceOf = (ask: WaitAsk, prices = PRICES) => {
  const choice = waitCosts(toEnd(waitSteps(ask)), prices, false)
  if (!choice) throw new Error('no waits')
  return choice
}

describe('what waiting costs', () => {
  test('where cogs cost nothing, a chain put off by 1000 km saves the chain that those kilometres use up', () => {
    // 0.2 % per 1000 km to 0.5 %, read every 200 km: a chain lasts some 2600 km, and 1000 km are 1000/2600 of one.
    const { costs } = choiceOf(askAt(1250), { ...PRICES, cassette: 0, pulleys: 0 })
    const [now, , later] = costs
    const saved = (now?.more ?? NaN) - (later?.more ?? NaN)
    expect(later?.km).toBe(1000)
    expect(saved / ((1000 / 2600) * 3000)).toBeGreaterThan(0.9)
    expect(saved / ((1000 / 2600) * 3000)).toBeLessThan(1.1)
  })

  test('past the limit, dear cogs that are still good make waiting dear', () => {
    const dear = choiceOf(askAt(2400, { worn: [13, 15, 17, 19, 21, 24].map(() => flat(0.25)) }), {
      ...PRICES,
      cassette: 20_000,
    })
    expect(dear.best.km).toBeLessThanOrEqual(500)
    expect(dear.costs.at(-1)?.more).toBeGreaterThan(500)
  })

  test('the price of a skip brings the best moment no further away', () => {
    const worn = [13, 15, 17, 19, 21, 24].map(() => flat(0.4))
    const free = choiceOf(askAt(1500, { worn }))
    const dear = choiceOf(askAt(1500, { worn }), { ...PRICES, skip: 20_000 })
    const late = (choice: typeof free): number =>
      (choice.costs.at(-1)?.more ?? 0) - (choice.costs[0]?.more ?? 0)
    expect(dear.costs.every(({ more }) => more >= 0)).toBe(true)
    expect(late(dear)).not.toBe(late(free))
    expect(free.costs.map(({ skipsSoon }) => skipsSoon)).toEqual(dear.costs.map(({ skipsSoon }) => skipsSoon))
  })

  test('nothing to try is an error in words', () => {
    expect(() => toEnd(waitSteps(askAt(0, { waits: [] })))).toThrow('Nothing to try')
  })
})

describe('a larger ring', () => {
  test('where the cogs allow the very same gears the chain wears less by the ratio of the rings', () => {
    // 40 x 20 is 44 x 22: joint wear goes with 1/zf + 1/zr (methods 3), and both shrink by 40/44.
    const { teeth, wearTimes, cogs } = largerRing(40, [
      { teeth: 20, share: 1, material: 'steel' },
      { teeth: 22, share: 0, material: 'steel' },
    ])
    expect(teeth).toBe(44)
    expect(wearTimes).toBeCloseTo(40 / 44, 12)
    expect(cogs.map(({ share }) => share)).toEqual([0, 1])
  })

  test('a small ring gets two teeth more, no work is lost, and the largest cog takes what no cog is large enough for', () => {
    const shares = [0.2, 0.5, 0.3]
    const made = largerRing(
      30,
      [28, 36, 46].map((teeth, i) => ({ teeth, share: shares[i] ?? 0, material: 'steel' })),
    )
    expect(made.teeth).toBe(32)
    expect(made.cogs.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12)
    expect(made.cogs.at(-1)?.share).toBeGreaterThanOrEqual(0.3)
  })
})
