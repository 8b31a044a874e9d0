import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { seededRandom } from '../stats/random.ts'
import type { ChainLook } from './chain-looks.ts'
import { lifeUsed, lubeClock } from './clock.ts'
import { ownLives, type LifeEvidence } from './learn.ts'
import { LUBE_LIFE_KM } from './lubes.ts'

const seen = (look: ChainLook, dryUsed: number, wetUsed = 0): LifeEvidence => ({
  lube: 'wet-lube',
  dryUsed,
  wetUsed,
  look,
})

describe('how long a lubricant lasts on a rider’s own chains', () => {
  test('is the table’s guess while nothing was seen or heard, and black says nothing of it', () => {
    for (const lives of [ownLives([]), ownLives([seen('black', 0.7)]), ownLives([seen('squeaks', 0)])]) {
      expect(lives['wet-lube']).toMatchObject({ looks: 0 })
      expect(lives['wet-lube'].lifeKm.after).toEqual(lives['wet-lube'].lifeKm.before)
      expect(lives['wet-lube'].lifeKm.after.p50).toBe(LUBE_LIFE_KM['wet-lube'])
    }
    // 8 in 10 within about a half either way: e to the power of 1.28 times 0.35 is 1.57.
    const { p10, p90 } = ownLives([])['drip-wax'].lifeKm.before
    expect([p10, p90].map(Math.round)).toEqual([192, 470])
  })

  test('a squeak early shortens it, a quiet chain late lengthens it, one kind of lube and no other', () => {
    const early = ownLives([seen('squeaks', 0.5)])
    const late = ownLives([seen('quiet', 1.6)])
    expect(early['wet-lube'].lifeKm.after.p50).toBeLessThan(220)
    expect(late['wet-lube'].lifeKm.after.p50).toBeGreaterThan(290)
    expect(late['dry-lube'].lifeKm.after.p50).toBe(150)
  })

  test('squeaks on wet roads are blamed on the wet, on dry ones on the life', () => {
    const quiet = seen('quiet', 0.95)
    const wet = ownLives([seen('squeaks', 0.05, 0.5), quiet])['wet-lube']
    const dry = ownLives([seen('squeaks', 0.55), quiet])['wet-lube']
    expect(wet.wetFactor.after.p50).toBeGreaterThan(1.1)
    expect(dry.wetFactor.after.p50).toBeCloseTo(1, 2)
    expect(dry.lifeKm.after.p50).toBeLessThan(wet.lifeKm.after.p50)
  })

  test('never leaves its bounds, and an earlier squeak never lengthens it', () => {
    const share = fc.double({ min: 0.3, max: 3, noNaN: true })
    fc.assert(
      fc.property(share, share, (a, b) => {
        const lifeAt = (used: number): number =>
          ownLives([seen('squeaks', used)])['wet-lube'].lifeKm.after.p50
        expect(lifeAt(Math.min(a, b))).toBeLessThanOrEqual(lifeAt(Math.max(a, b)) + 1e-9)
      }),
      { numRuns: 60 },
    )
  })

  test('finds a true life from thirty taps, 8 times in 10', () => {
    const random = seededRandom(41)
    let held = 0
    const RIDERS = 60
    for (let rider = 0; rider < RIDERS; rider++) {
      const truth = Math.exp(random.normal(0, 0.35))
      const taps = Array.from({ length: 30 }, () => {
        const used = random.between(0.2, 2)
        const felt = Math.log(used / truth) + random.normal(0, 0.3)
        return seen(felt < -0.15 ? 'quiet' : felt < 0.25 ? 'dry' : 'squeaks', used)
      })
      const { p10, p90 } = ownLives(taps)['wet-lube'].lifeKm.after
      if (truth * 250 >= p10 && truth * 250 <= p90) held++
    }
    // 48 of 60 are expected; two standard deviations are 6.
    expect(held).toBeGreaterThanOrEqual(42)
    expect(held).toBeLessThanOrEqual(54)
  })
})

test('the clock goes by the rider’s own life, dry and wet apart', () => {
  const own = ownLives([seen('squeaks', 0.5), seen('squeaks', 0.45), seen('squeaks', 0.2, 0.4)])
  const { lifeKm, wetFactor } = own['wet-lube']
  const dry = { km: 100, condition: 'dry-road' as const }
  const wet = { km: 100, condition: 'wet-road' as const }
  expect(lifeUsed('wet-lube', dry, own)).toBeCloseTo(100 / lifeKm.after.p50, 9)
  expect(lifeUsed('wet-lube', wet, own) / lifeUsed('wet-lube', wet)).toBeCloseTo(
    (wetFactor.after.p50 * 250) / lifeKm.after.p50,
    9,
  )
  expect(lubeClock('wet-lube', [{ km: 200, condition: 'dry-road' }]).due).toBe(false)
  expect(lubeClock('wet-lube', [{ km: 200, condition: 'dry-road' }], undefined, own).due).toBe(true)
})
