import { describe, expect, test } from '@jest/globals'
import { seededRandom } from '../stats/random.ts'
import {
  beliefOf,
  hasGrownBack,
  priorFrom,
  sayWearing,
  type WearingLife,
  type WearingReading,
} from './wearing.ts'
import { kindOfPart, lawOf, WEARING_LAWS, WEARING_PARTS } from './wearing-parts.ts'

const pads = WEARING_LAWS.pads
const at = (wearKm: number, mm: number): WearingReading => ({ wearKm, mm, by: 'caliper' })
/** A new set that loses so much in 1000 km, measured now and then without error. */
const lifeOf = (per1000: number, places: readonly number[] = [400, 800, 1200]): WearingLife => ({
  past: 'new',
  readings: places.map((km) => at(km, 4.2 - (per1000 * km) / 1000)),
})

describe('pads that wear to a limit', () => {
  test('unmeasured, all is a guess, and wide', () => {
    const said = sayWearing(pads, [{ past: 'new', readings: [] }], { wearKm: 500 }, 1)
    expect(said.isGuess).toBe(true)
    expect(said.toLimit.p90 / said.toLimit.p10).toBeGreaterThan(3)
  })

  test('measured thrice, rate and limit are found, as a straight line by hand has them', () => {
    const said = sayWearing(pads, [lifeOf(0.5)], { wearKm: 1200 }, 1)
    expect(said.isGuess).toBe(false)
    // 3.6 mm now; 0.6 mm to go at 0.5 mm per 1000 km: 1200 km.
    expect(said.mm.p50).toBeCloseTo(3.6, 1)
    expect(said.rate.p50).toBeGreaterThan(0.38)
    expect(said.rate.p50).toBeLessThan(0.62)
    expect(said.toLimit.p50).toBeGreaterThan(900)
    expect(said.toLimit.p50).toBeLessThan(1500)
    expect(said.toLimit.p10).toBeLessThan(said.toLimit.p50)
  })

  test('they are looked at again where the chance of being worn out reaches one in ten', () => {
    const life = lifeOf(0.5)
    const { nextLook } = sayWearing(pads, [life], { wearKm: 1200 }, 1)
    expect(nextLook).toBeGreaterThan(0)
    const then = sayWearing(pads, [life], { wearKm: 1200 + nextLook }, 1)
    expect(then.pPast).toBeGreaterThan(0.07)
    expect(then.pPast).toBeLessThan(0.13)
  })

  test('further on they are thinner, never thicker', () => {
    const middles = [0, 500, 1000, 2000, 4000].map(
      (wearKm) => sayWearing(pads, [lifeOf(0.4)], { wearKm }, 1).mm.p50,
    )
    expect([...middles].sort((a, b) => b - a)).toEqual(middles)
  })

  test('past the limit there is nothing to go', () => {
    const said = sayWearing(pads, [lifeOf(0.5)], { wearKm: 6000 }, 1)
    expect(said.pPast).toBeGreaterThan(0.95)
    expect(said.toLimit.p50).toBe(0)
    expect(said.nextLook).toBe(0)
  })

  test('a wet road ahead wears them sooner, in proportion', () => {
    const dry = sayWearing(pads, [lifeOf(0.5)], { wearKm: 800 }, 1)
    const wet = sayWearing(pads, [lifeOf(0.5)], { wearKm: 800 }, 2.5)
    expect(dry.toLimit.p50 / wet.toLimit.p50).toBeCloseTo(2.5, 6)
  })

  test('rides of unknown condition make it less certain', () => {
    const sure = sayWearing(pads, [{ past: 'new', readings: [at(800, 3.8)] }], { wearKm: 2000 }, 1)
    const unsure = sayWearing(
      pads,
      [{ past: 'new', readings: [{ ...at(800, 3.8), unsureWearKm: 0 }] }],
      { wearKm: 2000, unsureWearKm: 1200 },
      1,
    )
    expect(unsure.mm.p90 - unsure.mm.p10).toBeGreaterThan(sure.mm.p90 - sure.mm.p10)
  })

  test('of an unknown past the thickness is what was read, and the rate stays a guess until the second reading', () => {
    const one = sayWearing(pads, [{ past: 'unknown', readings: [at(0, 3.5)] }], { wearKm: 0 }, 1)
    expect(one.mm.p50).toBeCloseTo(3.5, 1)
    const two = sayWearing(
      pads,
      [{ past: 'unknown', readings: [at(0, 3.9), at(1000, 3.4)] }],
      { wearKm: 1000 },
      1,
    )
    expect(Math.log(two.rate.p90 / two.rate.p10)).toBeLessThan(Math.log(one.rate.p90 / one.rate.p10))
  })
})

describe('what earlier sets tell of the next', () => {
  test('a bike that eats pads is known to, before the new ones are measured', () => {
    const usual = priorFrom(pads, [])
    expect(usual.median).toBeCloseTo(0.45, 6)
    expect(usual.logSd).toBeCloseTo(0.7, 6)
    const hungry = priorFrom(pads, [lifeOf(1.2, [300, 600, 900]), lifeOf(1.1, [300, 600, 900])])
    expect(hungry.median).toBeGreaterThan(0.8)
    expect(hungry.logSd).toBeLessThan(0.5)
    // Sets differ: what one bike has in common never makes the next set certain.
    expect(hungry.logSd).toBeGreaterThanOrEqual(pads.setLogSd)
  })
})

describe('the intervals hold what they claim', () => {
  test('over made-up sets, eight in ten true limits lie in the 80 % interval', () => {
    const random = seededRandom(41)
    let [held, all] = [0, 0]
    for (let i = 0; i < 160; i++) {
      const fresh = random.normal(pads.newMm.mean, pads.newMm.sd)
      const rate = pads.rate.median * Math.exp(random.normal(0, pads.rate.logSd))
      const bias = random.normal(0, 0.02)
      const limitAt = (1000 * (fresh - pads.limitMm)) / rate
      if (limitAt < 600) continue
      const now = limitAt * random.between(0.3, 0.8)
      const readings = [0.4, 0.7, 1].map((share) =>
        at(
          share * now,
          fresh - (rate * share * now) / 1000 + bias + random.normal(0, Math.hypot(0.04, pads.placeMm)),
        ),
      )
      const { toLimit } = sayWearing(pads, [{ past: 'new', readings }], { wearKm: now }, 1)
      const truth = limitAt - now
      held += Number(truth >= toLimit.p10 && truth <= toLimit.p90)
      all++
    }
    expect(all).toBeGreaterThan(120)
    expect(held / all).toBeGreaterThan(0.7)
    expect(held / all).toBeLessThan(0.9)
  })
})

describe('the other parts', () => {
  test('each is of a kind with a law, front and rear alike', () => {
    for (const part of WEARING_PARTS) expect(lawOf(part)).toBe(WEARING_LAWS[kindOfPart(part)])
    expect(kindOfPart('rim-pads-front')).toBe('rim-pads')
  })

  test('a flat gets wider until it is replaced', () => {
    const flat = lawOf('flat-rear')
    const said = sayWearing(
      flat,
      [{ past: 'new', readings: [at(1000, 7), at(2000, 10)] }],
      { wearKm: 2000 },
      1,
    )
    expect(said.mm.p50).toBeCloseTo(10, 0)
    expect(said.toLimit.p50).toBeGreaterThan(1000)
    expect(said.toLimit.p50).toBeLessThan(3500)
  })

  test('sealant found liquid lasts longer than was thought, sealant found dry less long', () => {
    const law = lawOf('sealant-rear')
    const life = (more: readonly WearingReading[]): WearingLife => ({ past: 'new', readings: more })
    const guess = sayWearing(law, [life([])], { wearKm: 100 }, 1)
    const liquid = sayWearing(law, [life([{ wearKm: 100, isPast: false }])], { wearKm: 100 }, 1)
    const dry = sayWearing(law, [life([{ wearKm: 100, isPast: true }])], { wearKm: 100 }, 1)
    expect(liquid.pPast).toBeLessThan(guess.pPast)
    expect(dry.pPast).toBeGreaterThan(0.85)
    expect(liquid.rate.p50).toBeLessThan(guess.rate.p50)
    // What one filling taught, the next is expected to do.
    const next = sayWearing(law, [life([{ wearKm: 70, isPast: true }]), life([])], { wearKm: 70 }, 1)
    expect(next.pPast).toBeGreaterThan(sayWearing(law, [life([])], { wearKm: 70 }, 1).pPast)
  })

  test('the weights of a belief sum to one', () => {
    const { weight, shares } = beliefOf(pads, lifeOf(0.5), { median: 0.45, logSd: 0.7 })
    expect(weight.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9)
    expect(shares).toEqual([expect.closeTo(1, 9)])
  })
})

describe('a thickness that grows', () => {
  test('is asked about where no error of the tools explains it', () => {
    const caliper = (mm: number) => ({ mm, by: 'caliper' as const })
    expect(hasGrownBack(pads, caliper(3.2), caliper(4.1))).toBe(true)
    expect(hasGrownBack(pads, caliper(3.2), caliper(3.3))).toBe(false)
    expect(hasGrownBack(pads, caliper(3.2), caliper(2.5))).toBe(false)
    expect(hasGrownBack(pads, caliper(3.2), { mm: 4.1, by: 'eye' })).toBe(false)
    // What grows with wear does not shrink.
    expect(hasGrownBack(lawOf('flat-rear'), { mm: 14, by: 'ruler' }, { mm: 6, by: 'ruler' })).toBe(true)
  })
})
