import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { keptElongation, type KeptChainDraws, type KeptDraws } from '../wear/kept-draws.ts'
import { AHEAD_PERCENT, relayAhead, type RelayAsk } from './relay.ts'

const flat = (value: number, count: number): Float32Array => new Float32Array(count).fill(value)

/** Chains that wear straight on: so many % per 1000 wear-km, and so many wear-km behind them. */
function drawsOf(
  chains: Readonly<Record<string, readonly [rate: number, wearKm: number]>>,
  count = 5,
): KeptDraws {
  const [beta, lateTimes, lateFrom] = [flat(1, count), flat(1, count), flat(2, count)]
  return {
    count,
    beta,
    lateTimes,
    lateFrom,
    rider: flat(0.2, count),
    times: {},
    chains: Object.fromEntries(
      Object.entries(chains).map(([id, [rate, wearKm]]): [string, KeptChainDraws] => [
        id,
        {
          rate: flat(rate, count),
          start: flat(0, count),
          wearKm: flat(wearKm, count),
          beta,
          lateTimes,
          lateFrom,
        },
      ]),
    ),
  }
}
// A km of dry road on wet lube, the ground of all multipliers, is a wear-km.
const perKm = [{ km: 1, condition: 'dry-road', lube: 'wet-lube' }] as const
const ask = (draws: KeptDraws, more: Partial<RelayAsk> = {}): RelayAsk => ({
  draws,
  on: 'A',
  waiting: ['B', 'C'],
  ready: ['B', 'C'],
  perKm,
  everyKm: undefined,
  turnKm: 0,
  lubeLeftKm: Infinity,
  lubeLifeKm: Infinity,
  limit: 0.5,
  ...more,
})

describe('chains that take turns', () => {
  // A at 0.20, B at 0.18, C at 0.16 %: A may go to 0.21, which is 50 km.
  const draws = drawsOf({ A: [0.2, 1000], B: [0.2, 900], C: [0.2, 800] })

  test('the one that is on gives way when it is ahead of the least worn by what is allowed', () => {
    expect(relayAhead(ask(draws)).aheadInKm.p50).toBeCloseTo(50, 0)
    // Where the least worn has yet to be waxed, the least worn that is ready counts: 0.18 + 0.05.
    expect(relayAhead(ask(draws, { ready: ['B'] })).aheadInKm.p50).toBeCloseTo(150, 0)
    expect(relayAhead(ask(drawsOf({ A: [0.2, 1500], B: [0.2, 900], C: [0.2, 800] }))).aheadInKm.p50).toBe(0)
  })

  test('the set goes as far as all of its chains together', () => {
    // To 0.5 % at 0.2 % per 1000 km: 2500 km each, less what is behind them.
    expect(relayAhead(ask(draws)).setKm.p50).toBeCloseTo(1500 + 1600 + 1700, -1)
  })

  test('the least worn goes on first, and then they take even turns', () => {
    const { turns } = relayAhead(ask(draws))
    expect(turns.slice(0, 2).map(({ chain }) => chain)).toEqual(['A', 'C'])
    turns.forEach(({ fromKm, chain }, i) => {
      expect(fromKm).toBe(turns[i - 1]?.toKm ?? 0)
      if (i > 0) expect(chain).not.toBe(turns[i - 1]?.chain)
    })
  })

  test('a fixed turn is as long as it is, the rest of this one first; used-up wax ends an even one', () => {
    const fixed = relayAhead(ask(draws, { everyKm: 300, turnKm: 120, lubeLeftKm: 50, lubeLifeKm: 50 })).turns
    expect(fixed.slice(0, 3).map(({ fromKm, toKm }) => toKm - fromKm)).toEqual([180, 300, 300])
    const waxed = relayAhead(ask(draws, { lubeLeftKm: 20, lubeLifeKm: 40 })).turns
    expect(waxed.slice(0, 2).map(({ fromKm, toKm }) => toKm - fromKm)).toEqual([20, 40])
  })

  test('a chain that is far behind the others is waxed again and stays on', () => {
    const apart = drawsOf({ A: [0.2, 1500], B: [0.2, 1400], C: [0.2, 800] })
    const { turns } = relayAhead(ask(apart, { lubeLeftKm: 100, lubeLifeKm: 100 }))
    // C is 0.12 % behind B: it runs until it is within 0.05, some 350 km, and only then do they take turns again.
    expect(turns.slice(0, 4).map(({ chain }) => chain)).toEqual(['C', 'C', 'C', 'C'])
    expect(turns.slice(4).some(({ chain }) => chain !== 'C')).toBe(true)
  })

  test('whatever the rates: in a turn that ends for being ahead the chain is ahead by that, draw by draw', () => {
    const some = fc.tuple(fc.double({ min: 0.05, max: 0.6, noNaN: true }), fc.integer({ min: 0, max: 3000 }))
    fc.assert(
      fc.property(some, some, some, (a, b, c) => {
        const known = drawsOf({ A: a, B: b, C: c }, 1)
        const { aheadInKm } = relayAhead(ask(known))
        const wornAt = (id: string, km: number): number =>
          keptElongation(
            known.chains[id] as KeptChainDraws,
            Float64Array.of((known.chains[id]?.wearKm[0] ?? 0) + km),
          )[0] ?? NaN
        const least = Math.min(wornAt('B', 0), wornAt('C', 0))
        const worn = wornAt('A', aheadInKm.p50)
        if (aheadInKm.p50 > 0) expect(worn).toBeCloseTo(least + AHEAD_PERCENT, 4)
        else expect(worn).toBeGreaterThanOrEqual(least + AHEAD_PERCENT - 1e-6)
      }),
    )
  })

  test('one chain alone takes no turns', () => {
    expect(() => relayAhead(ask(draws, { waiting: [], ready: [] }))).toThrow(/alone/)
  })
})
