import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { skipMargin, skipRisk } from '../../teeth/skip.ts'
import { conformed, followRate } from '../../teeth/conform.ts'
import { cogSet, type CogShare } from './cogs.ts'
import { live } from './life.ts'
import type { Life } from './life-kinds.ts'
import { logisticAt } from './logistic-table.ts'
import { EVENTS, keyedNormal, keyedUnit } from './luck.ts'
import type { Policy } from './policy.ts'
import { plainCost, simulatePolicy } from './simulate.ts'

/** An 11-speed cassette ridden as most are: most in the middle. */
const COGS: readonly CogShare[] = [
  [11, 3],
  [13, 8],
  [15, 14],
  [17, 18],
  [19, 18],
  [21, 14],
  [24, 10],
  [28, 8],
  [32, 5],
  [36, 2],
].map(([teeth = 0, share = 0]) => ({ teeth, share, material: 'steel' }))
const PRICES = { chain: 25, cassette: 70 }
const replace = (at: number): Policy => ({ kind: 'replace', at })
const plain = (policy: Policy, prices = PRICES) =>
  plainCost({ ratePer1000: 0.17, cogs: COGS, prices, policy, horizonKm: 200_000 })
const POLICIES: Readonly<Record<string, Policy>> = {
  early: replace(0.5),
  usual: replace(0.75),
  late: replace(1),
  rotate: { kind: 'rotate', chains: 3, at: 0.5, everyKm: 300 },
}
const cheapest = (costOf: (policy: Policy) => number): string | undefined =>
  Object.entries(POLICIES)
    .map(([name, policy]) => ({ name, cost: costOf(policy) }))
    .sort((a, b) => a.cost - b.cost)[0]?.name

describe('what a plan costs', () => {
  test('about six chains to a cassette at 0.5, two at 0.75, one at 1.0, as practice has it', () => {
    const chainsTo = (at: number): number => {
      const { chains, cassettes } = plain(replace(at))
      return chains / cassettes
    }
    expect(chainsTo(0.5)).toBeGreaterThan(4.5)
    expect(chainsTo(0.5)).toBeLessThan(8)
    expect(chainsTo(0.75)).toBeGreaterThan(1.4)
    expect(chainsTo(0.75)).toBeLessThan(2.6)
    expect(chainsTo(1)).toBeLessThan(1.35)
  })

  test('free chains make early cheapest; a cassette for nothing makes late so, and turns pointless', () => {
    expect(cheapest((policy) => plain(policy, { chain: 0, cassette: 70 }).costPer1000)).toBe('early')
    const free = { chain: 25, cassette: 0 }
    expect(cheapest((policy) => plain(policy, free).costPer1000)).toBe('late')
    expect(plain(POLICIES['rotate'] as Policy, free).costPer1000).toBeGreaterThanOrEqual(
      plain(replace(0.5), free).costPer1000,
    )
  })

  test('cogs that never wear make late cheapest', () => {
    const never = { ...cogSet(COGS), load: new Float64Array(COGS.length) }
    const costOf = (policy: Policy): number => {
      const { chains, cassettes } = live({ ...life(), cogs: never, lookError: () => 0 }, policy)
      return chains * PRICES.chain + cassettes * PRICES.cassette
    }
    expect(cheapest(costOf)).toBe('late')
  })

  test('the same plan is cheapest whatever the seed, where the two differ by more than 3 %', () => {
    const mean = (policy: Policy, seed: number): number =>
      simulatePolicy({
        ratePer1000: 0.17,
        rateSd: 0.3,
        cogs: COGS,
        prices: PRICES,
        policy,
        lookKm: 400,
        lookSd: 0.05,
        pushesPerKm: 0.02,
        horizonKm: 30_000,
        lives: 60,
        seed,
      }).costPer1000.mean
    const winners = Array.from({ length: 12 }, (_, seed) => {
      const costs = [0.5, 0.75].map((at) => mean(replace(at), seed))
      const [early = 0, usual = 0] = costs
      return Math.abs(early - usual) < 0.03 * usual ? undefined : early < usual
    }).filter((one) => one !== undefined)
    expect(new Set(winners).size).toBeLessThanOrEqual(1)
  })
})

const life = (): Life => ({
  cogs: cogSet(COGS),
  horizonKm: 30_000,
  stepKm: 50,
  wearPerKm: 1,
  pushesPerKm: 0.02,
  shift: 0,
  lookKm: 400,
  lookError: (nth) => 0.05 * keyedNormal(3, 1, EVENTS.look, nth),
  chain: () => ({ rate: 0.17, beta: 1, start: 0, lateTimes: 1, lateFrom: 1, wearKm: 0 }),
})

describe('one life', () => {
  test('the teeth follow the chain by the conforming law: the cassette goes where that says so', () => {
    const cogs = cogSet(COGS)
    let told = 0
    for (let at = 0.5; at < 1.2; at += 0.05) {
      const km = 50 * Math.ceil((at / 0.17) * 20)
      // In one stretch, in closed form.
      const over = COGS.map(
        ({ teeth }, j) =>
          conformed(
            0,
            { wearKm: km, from: 0, to: (0.17 * km) / 1000 },
            cogs.load[j] ?? 0,
            followRate('cog', 'steel'),
          ) - skipMargin(teeth),
      )
      const most = Math.max(...over)
      if (Math.abs(most) < 0.01) continue
      told++
      const lived = live({ ...life(), horizonKm: km + 50, lookKm: 50, lookError: () => 0 }, replace(at))
      expect([at, lived.chains, lived.cassettes]).toEqual([at, 2, most > 0 ? 2 : 1])
    }
    expect(told).toBeGreaterThan(8)
  })

  test('a look that is forgotten does nothing; what hangs on a hook goes on before a new one is bought', () => {
    expect(live({ ...life(), lookError: () => undefined }, replace(0.5))).toMatchObject({
      chains: 1,
      cassettes: 1,
      looks: 0,
    })
    const way = life().chain(0)
    const [without, withSpares] = [1, 3].map((count) =>
      live({ ...life(), has: Array.from({ length: count }, () => way), lookError: () => 0 }, replace(0.5)),
    )
    expect((without?.chains ?? 0) - (withSpares?.chains ?? 0)).toBe(2)
    expect(without?.mountings).toBe(withSpares?.mountings)
  })

  test('in turn the chain that has run least goes on, by all that is behind it', () => {
    const way = life().chain(0)
    // The one that waits has 2000 km less behind it: it runs until it has caught up, and no turn changes that before.
    const told: number[] = []
    live(
      {
        ...life(),
        horizonKm: 3200,
        has: [
          { ...way, wearKm: 2500 },
          { ...way, wearKm: 500 },
        ],
        lookError: () => undefined,
      },
      { kind: 'rotate', chains: 2, at: 0.75, everyKm: 300 },
      (what, km) => what === 'chain' && told.push(km),
    )
    expect(told[0]).toBe(300)
    expect(told[1]).toBe(2700)
  })

  test('cogs that are sold singly spare the cassette', () => {
    const all = live({ ...life(), lookError: () => 0 }, replace(0.75))
    const singly = live({ ...life(), lookError: () => 0, soldSingly: COGS.map(() => true) }, replace(0.75))
    expect(all.cassettes).toBeGreaterThan(2)
    expect(singly.cassettes).toBe(1)
    expect(singly.singleCogs).toBeGreaterThan(0)
  })

  test('worn-out cogs under a fresh chain skip, and under the chain that shaped them do not', () => {
    const worn = COGS.map(() => 0.9)
    const short = { ...life(), horizonKm: 500, worn }
    const fresh = live({ ...short, has: [life().chain(0)] }, replace(0.75))
    const old = live({ ...short, has: [{ ...life().chain(0), wearKm: 5300 }] }, { kind: 'runout', at: 2 })
    expect(fresh.skips).toBeGreaterThan(5)
    expect(old.skips).toBeLessThan(0.1)
  })

  test('what is told of a life adds up to what is counted of it', () => {
    const told: string[] = []
    const counts = live(life(), replace(0.75), (what) => what !== 'worn' && told.push(what))
    expect(told.filter((what) => what === 'chain')).toHaveLength(counts.chains - 1)
    expect(told.filter((what) => what === 'cassette')).toHaveLength(counts.cassettes - 1)
  })
})

describe('luck', () => {
  test('is the same for the same life and event, whatever else is drawn; and even, and normal', () => {
    fc.assert(
      fc.property(fc.nat(), fc.nat(5000), fc.nat(300), (seed, of, nth) => {
        const first = keyedUnit(seed, of, EVENTS.chain, nth)
        keyedUnit(seed, of + 1, EVENTS.look, nth)
        expect(keyedUnit(seed, of, EVENTS.chain, nth)).toBe(first)
      }),
    )
    const draws = Array.from({ length: 4000 }, (_, i) =>
      keyedNormal(5, i % 40, EVENTS.look, Math.floor(i / 40)),
    )
    const mean = draws.reduce((sum, one) => sum + one, 0) / draws.length
    const sd = Math.sqrt(draws.reduce((sum, one) => sum + (one - mean) ** 2, 0) / draws.length)
    expect(Math.abs(mean)).toBeLessThan(0.05)
    expect(Math.abs(sd - 1)).toBeLessThan(0.05)
    const shares = [0.1, 0.5, 0.9].map(
      (share) =>
        Array.from({ length: 4000 }, (_, i) => keyedUnit(9, i, EVENTS.chain, 0)).filter((one) => one < share)
          .length / 4000,
    )
    shares.forEach((share, i) => expect(share).toBeCloseTo([0.1, 0.5, 0.9][i] ?? 0, 1))
  })

  test('the table of risks is the law to 0.002', () => {
    for (let over = -0.7; over < 0.7; over += 0.0037)
      // At 11 teeth the margin is 0.45: worn, no chain elongation.
      expect(Math.abs(logisticAt(over) - skipRisk(over + 0.45, 0, 11))).toBeLessThan(0.0021)
  })
})
