import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { chainLength } from './chain-length.ts'
import { cadenceAt, climbSpeed, type Climb } from './climb.ts'
import { gear } from './ratio.ts'

const RIDER: Climb = {
  powerW: 200,
  massKg: 85,
  gradePercent: 8,
  crr: 0.006,
  cda: 0.35,
  rho: 1.2,
  efficiency: 0.96,
}

describe('how long a chain must be', () => {
  test('round two of a size it is twice the chainstay and once the sprocket', () => {
    // 2 x 431.8 mm are 68 pitches; and half of each of two 40s.
    expect(chainLength(431.8, 40, 40, false)).toEqual({ exact: expect.closeTo(108, 9), links: 108 })
    expect(chainLength(431.8, 40, 40, true).links).toBe(110)
  })

  test('is even, never shorter than needed, and grows with ring, cog and chainstay', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 380, max: 520, noNaN: true }),
        fc.integer({ min: 22, max: 58 }),
        fc.integer({ min: 11, max: 52 }),
        fc.boolean(),
        (stay, ring, cog, derailleur) => {
          const { exact, links } = chainLength(stay, ring, cog, derailleur)
          expect(links % 2).toBe(0)
          expect(links).toBeGreaterThanOrEqual(exact + (derailleur ? 2 : 0) - 1e-6)
          expect(links).toBeLessThan(exact + (derailleur ? 2 : 0) + 2)
          expect(chainLength(stay + 10, ring, cog, derailleur).exact).toBeGreaterThan(exact)
        },
      ),
    )
  })

  test('what cannot be is said', () => {
    expect(() => chainLength(0, 40, 20, true)).toThrow('between the axles')
    expect(() => chainLength(430, 0, 20, true)).toThrow('one tooth')
  })
})

describe('a climb', () => {
  test('steep and slow: nearly all power lifts the rider', () => {
    // 192 W over 85 kg x 9.80665 x (sin + 0.006 cos) of 8 %, air left out, is 2.69 m/s; with air a little less.
    const speed = climbSpeed(RIDER) / 3.6
    expect(speed).toBeLessThan(2.69)
    expect(speed).toBeGreaterThan(2.6)
  })

  test('whatever rides: at that speed power and resistance are even, and more power is faster', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 40, max: 500, noNaN: true }),
        fc.double({ min: 50, max: 200, noNaN: true }),
        fc.double({ min: -12, max: 25, noNaN: true }),
        (powerW, massKg, gradePercent) => {
          const rider = { ...RIDER, powerW, massKg, gradePercent }
          const v = climbSpeed(rider) / 3.6
          const slope = Math.atan(gradePercent / 100)
          const force =
            massKg * 9.80665 * (Math.sin(slope) + rider.crr * Math.cos(slope)) +
            0.5 * rider.rho * rider.cda * v * v
          expect((v * force) / (powerW * rider.efficiency)).toBeCloseTo(1, 6)
          expect(climbSpeed({ ...rider, powerW: powerW + 10 })).toBeGreaterThan(3.6 * v)
        },
      ),
    )
  })

  test('cadence is speed over development: the gear’s own speed at that cadence', () => {
    const { speedKmh } = gear(2140, 32, 42, 61)
    expect(cadenceAt(speedKmh, 2140, 32, 42)).toBeCloseTo(61, 9)
  })

  test('no power, or nothing that resists, is said', () => {
    expect(() => climbSpeed({ ...RIDER, powerW: 0 })).toThrow('over 0')
    expect(() => climbSpeed({ ...RIDER, gradePercent: 0, crr: 0, cda: 0 })).toThrow('Nothing here resists')
    expect(() => climbSpeed({ ...RIDER, gradePercent: NaN })).toThrow('must be numbers')
  })
})
