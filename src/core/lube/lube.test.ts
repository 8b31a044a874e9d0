import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { CONDITIONS } from '../exposure/conditions.ts'
import { noon } from '../../../test/log.ts'
import { ENTRY_FORMAT } from '../log/entry.ts'
import type { WashEntry } from '../log/kinds/wash.ts'
import { lifeUsed, lubeClock } from './clock.ts'
import { LUBES } from './lubes.ts'
import { afterRide, afterWash } from './state.ts'

const dry = (km: number) => ({ km, condition: 'dry-road' as const })

describe('the lubrication clock', () => {
  test('a wet lube lasts 250 km of dry road', () => {
    expect(lubeClock('wet-lube', [dry(249)])).toEqual({ used: 249 / 250, due: false, reason: 'distance' })
    expect(lubeClock('wet-lube', [dry(200), dry(50)])).toEqual({ used: 1, due: true, reason: 'distance' })
  })

  test('salt uses it up three times as fast', () => {
    expect(lubeClock('wet-lube', [{ km: 50, condition: 'winter-salt' }]).used).toBeCloseTo(0.6, 9)
  })

  test('rain ends a dry lube at once, and no other', () => {
    const rain = [{ km: 1, condition: 'wet-road' as const }]
    expect(lubeClock('dry-lube', rain)).toMatchObject({ due: true, reason: 'rain' })
    expect(lubeClock('wet-lube', rain).due).toBe(false)
    expect(lubeClock('immersion-wax', rain).due).toBe(false)
  })

  test('a ride in mud ends any', () => {
    for (const lube of LUBES)
      if (lube !== 'none')
        expect(lubeClock(lube, [{ km: 0.5, condition: 'mud' }])).toMatchObject({ due: true, reason: 'mud' })
  })

  test('thirty days indoors or seven outdoors, and it is wiped and lubricated before riding', () => {
    expect(lubeClock('drip-wax', [], { days: 29.9, where: 'indoors' }).due).toBe(false)
    expect(lubeClock('drip-wax', [], { days: 30, where: 'indoors' })).toMatchObject({
      due: true,
      reason: 'storage',
    })
    expect(lubeClock('drip-wax', [], { days: 7, where: 'outdoors' }).due).toBe(true)
  })

  test('a bare chain is due already', () => {
    expect(lubeClock('none', [])).toEqual({ used: 1, due: true, reason: 'none' })
    expect(lifeUsed('none', dry(100))).toBe(0)
  })

  test('never runs backwards: another ride uses no less', () => {
    const rides = fc.array(
      fc.record({
        km: fc.double({ min: 0, max: 100, noNaN: true }),
        condition: fc.constantFrom(...CONDITIONS),
      }),
      { minLength: 1, maxLength: 10 },
    )
    fc.assert(
      fc.property(rides, fc.constantFrom(...LUBES), (ridden, lube) => {
        const [before, after] = [lubeClock(lube, ridden.slice(0, -1)), lubeClock(lube, ridden)]
        expect(after.used).toBeGreaterThanOrEqual(before.used)
        if (before.due) expect(after.due).toBe(true)
      }),
    )
  })

  test('refuses what cannot be', () => {
    expect(() => lubeClock('wet-lube', [dry(-1)])).toThrow(RangeError)
    expect(() => lubeClock('wet-lube', [], { days: -1, where: 'indoors' })).toThrow(RangeError)
  })
})

describe('what is on the chain', () => {
  const wash = (method: WashEntry['method'], lube?: WashEntry['lube']): WashEntry => ({
    kind: 'wash',
    format: ENTRY_FORMAT,
    id: 'w',
    at: noon(2, 1),
    chain: 'c',
    method,
    ...(lube && { lube }),
  })

  test('is what was put on last, unused', () => {
    const waxed = afterWash(
      { lube: 'wet-lube', since: noon(1, 1), used: 0.8 },
      wash('off-bike', 'immersion-wax'),
    )
    expect(waxed).toEqual({ lube: 'immersion-wax', since: noon(2, 1), used: 0 })
  })

  test('is nothing after degreasing alone, and unchanged after wiping alone', () => {
    const before = { lube: 'wet-lube', since: noon(1, 1), used: 0.8 } as const
    expect(afterWash(before, wash('on-bike')).lube).toBe('none')
    expect(afterWash(before, wash('wipe'))).toEqual(before)
  })

  test('is used up by riding, unless nobody knows what it is', () => {
    expect(afterRide({ lube: 'drip-wax', used: 0.1 }, dry(30)).used).toBeCloseTo(0.2, 9)
    expect(afterRide({ used: 0 }, dry(30))).toEqual({ used: 0 })
  })
})
