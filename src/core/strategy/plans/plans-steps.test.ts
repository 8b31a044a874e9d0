import { describe, expect, test } from '@jest/globals'
import { reportOn } from '../../../../test/judged.ts'
import { commuter, noon, ride, written } from '../../../../test/log.ts'
import { toEnd } from '../../job.ts'
import type { EntryDraft } from '../../log/entries.ts'
import { replay } from '../../log/replay.ts'
import type { TeethOutlook } from '../../teeth/teeth-outlook.ts'
import type { KeptDraws } from '../../wear/kept-draws.ts'
import { inParts, lubeUses, plansAsk, pricesOf } from './plans-ask.ts'
import { isSamePlan, planOf, plansFor, policyFields } from './plans.ts'
import { usualPrices } from './usual-prices.ts'
import { COUNTED, mergeLives, oneLife, plansSteps, type PlansAsk } from './plans-steps.ts'

const flat = (value: number): Float32Array => new Float32Array(20).fill(value)
/** A rider whose chains wear by 0.17 % in 1000 wear-km; the one on the bike is at some wear-km. */
const drawsAt = (wearKm: number): KeptDraws => ({
  count: 20,
  beta: flat(1),
  lateTimes: flat(1),
  lateFrom: flat(2),
  rider: flat(0.17),
  times: {},
  chains: {
    chain: {
      rate: flat(0.17),
      start: flat(0),
      wearKm: flat(wearKm),
      beta: flat(1),
      lateTimes: flat(1),
      lateFrom: flat(2),
    },
  },
})
const log: readonly EntryDraft[] = [
  ...commuter,
  ...[1, 2, 3].map((month) => ride(month, 20, 100)),
  { kind: 'wash', at: noon(3, 21), chain: 'chain', method: 'wipe', lube: 'wet-lube' },
]
const garage = replay(written(log))
const askOf = (draws: KeptDraws, teeth?: TeethOutlook): PlansAsk => {
  const ask = plansAsk(garage, reportOn(log), draws, teeth)
  if (!ask) throw new Error('the commuter has a chain and cogs')
  return { ...ask, lives: 40, part: [0, 40], horizonKm: 12_000 }
}
const countsOf = (ask: PlansAsk, id: string, what: (typeof COUNTED)[number]): number => {
  const { plans, lives } = toEnd(plansSteps(ask))
  const { counts } = plans.find(({ plan }) => plan.id === id) ?? { counts: new Float32Array() }
  let sum = 0
  for (let life = 0; life < lives; life++) sum += counts[life * COUNTED.length + COUNTED.indexOf(what)] ?? 0
  return sum / lives
}

describe('lives of a drivetrain as it is', () => {
  test('a chain that is half worn needs its successor sooner than a fresh one', () => {
    const [fresh, half] = [0, 2400].map((wearKm) => countsOf(askOf(drawsAt(wearKm)), 'early', 'chains'))
    expect(half).toBeGreaterThan(fresh ?? Infinity)
    expect((half ?? 0) - (fresh ?? 0)).toBeLessThanOrEqual(1)
  })

  test('teeth that were shaped already cost a cassette at the next chain', () => {
    const ask = askOf(drawsAt(0))
    const worn = ask.cogs.map(() => flat(0.7))
    expect(countsOf({ ...ask, worn }, 'usual', 'cassettes')).toBeGreaterThan(
      countsOf(ask, 'usual', 'cassettes'),
    )
  })

  test('wax makes chains last, and hard ones do', () => {
    const ask = askOf(drawsAt(0))
    const chains = (id: string): number => countsOf(ask, id, 'chains')
    // The commuter’s limit is the usual one of its drivetrain.
    const own = ask.plans.find(({ id }) => id === 'other-lube')?.policy.at === 0.5 ? 'early' : 'usual'
    expect(chains('other-lube')).toBeLessThan(chains(own))
    expect(chains('hard-chain')).toBeLessThan(chains(own))
  })

  test('the same question has the same answer, and progress comes to its end', () => {
    const ask = askOf(drawsAt(1000))
    expect(toEnd(plansSteps(ask))).toEqual(toEnd(plansSteps(ask)))
    const steps = [...plansSteps(ask)]
    expect(steps.at(-1)).toEqual({ done: 40, of: 40 })
    expect(() => toEnd(plansSteps({ ...ask, plans: [] }))).toThrow(/Nothing to compare/)
  })

  test('two halves are the whole, whoever lived them', () => {
    const ask = askOf(drawsAt(1000))
    const halves = inParts(ask, 2)
    expect(halves.map(({ part }) => part)).toEqual([
      [0, 20],
      [20, 40],
    ])
    expect(mergeLives(halves.map((half) => toEnd(plansSteps(half))))).toEqual(toEnd(plansSteps(ask)))
    expect(new Set(halves.map(({ named }) => named)).size).toBe(2)
  })

  test('a life that is drawn is one of those that were counted', () => {
    const ask = askOf(drawsAt(1000))
    const plan = ask.plans.find(({ id }) => id === 'early')
    if (!plan) throw new Error('no such plan')
    const { plans } = toEnd(plansSteps({ ...ask, plans: [plan] }))
    const counted = plans[0]?.counts[7 * COUNTED.length + COUNTED.indexOf('chains')]
    expect(oneLife(ask, plan, 7).filter(({ what }) => what === 'chain')).toHaveLength(counted ?? NaN)
  })
})

describe('what is asked, by the log', () => {
  test('the other lubricant is wax for a bike on drip lube, and takes fewer applications', () => {
    const { now, other, isWaxed } = lubeUses(garage, reportOn(log))
    expect(isWaxed).toBe(false)
    // Dry road: 1000 km are four lives of wet lube (250 km), and two and a half of immersion wax (400 km).
    expect([now.per1000, other.per1000]).toEqual([expect.closeTo(4, 1), expect.closeTo(2.5, 1)])
    expect(askOf(drawsAt(0)).road.otherLube.every(({ lube }) => lube === 'immersion-wax')).toBe(true)
  })

  test('prices are guessed by the drivetrain, and what was typed counts', () => {
    expect(usualPrices(12, 'EUR').cassette).toBeGreaterThan(usualPrices(9, 'EUR').cassette)
    expect(usualPrices(9, 'SEK').chain).toBe(11 * usualPrices(9, 'EUR').chain)
    const typed = [
      ...log,
      { kind: 'prices', at: noon(3, 25), bike: 'heron', currency: 'GBP', minor: { chain: 1999 } } as const,
    ]
    const { prices, currency } = pricesOf(replay(written(typed)), reportOn(typed))
    expect([prices.chain, currency]).toEqual([1999, 'GBP'])
    expect(prices.cassette).toBe(usualPrices(11, 'GBP').cassette)
  })

  test('single cogs and one’s own limit are plans where there are such', () => {
    const ids = (limit: number, hasSingles: boolean): string[] =>
      plansFor({ limit, hasSingles, hasLargerRing: false }).map(({ id }) => id)
    expect(ids(0.75, false)).not.toEqual(expect.arrayContaining(['own', 'single-cogs']))
    expect(ids(0.6, true)).toEqual(expect.arrayContaining(['own', 'single-cogs']))
  })

  test('every plan that is written down is the same when it is read, on wax as on drip lube', () => {
    for (const isWaxed of [false, true])
      for (const plan of plansFor({ limit: 0.6, hasSingles: true, hasLargerRing: true }))
        expect(isSamePlan(planOf(policyFields(plan, isWaxed), isWaxed), plan)).toBe(true)
    // Who keeps to the lube that is on has chosen none: waxing later is no other plan.
    const [early] = plansFor({ limit: 0.5, hasSingles: false, hasLargerRing: false })
    if (!early) throw new Error('no plan')
    expect(isSamePlan(planOf(policyFields(early, false), true), early)).toBe(true)
  })

  test('a bike without a chain has nothing to compare', () => {
    const bare = log.filter((draft) => !(draft.kind === 'fit' && draft.part === 'chain'))
    expect(plansAsk(replay(written(bare)), reportOn(bare), drawsAt(0), undefined)).toBeUndefined()
  })
})
