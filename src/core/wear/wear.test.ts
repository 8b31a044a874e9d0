import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { lengthAtElongation } from '../measure/elongation.ts'
import { posterior, summariseDensity } from '../measure/posterior.ts'
import type { Reading } from '../measure/reading.ts'
import { smoothDensity } from './density.ts'
import { forecastWear, type WearQuestion } from './forecast.ts'
import { elongationsAt, rateBelief, wearKmToReach } from './rate-grid.ts'
import { quantile, weighted } from './weighted.ts'

const caliper = (percent: number): Reading => {
  const length = lengthAtElongation(8, percent)
  return { instrument: 'caliper-pair', pitches: 8, insideMm: length - 7.5, outsideMm: length + 7.5 }
}
const plan = { weeklyKm: 70, weeklySpread: 0.1, perKm: { wearKm: 1.4, unsureWearKm: 0 } }
const asked = (changes: Partial<WearQuestion> = {}): WearQuestion => ({
  past: 'new',
  observations: [],
  lookSize: 0,
  links: 114,
  now: { wearKm: 1500 },
  limit: 0.5,
  plan,
  drawAt: [0, 750, 1500].map((wearKm) => ({ wearKm })),
  ...changes,
})

describe('quantiles of a weighted sample', () => {
  test('of equal weights are the usual ones', () => {
    const sample = weighted([5, 1, 3, 2, 4], [1, 1, 1, 1, 1])
    expect(quantile(sample, 0.5)).toBe(3)
    expect(quantile(sample, 0)).toBe(1)
    expect(quantile(sample, 1)).toBe(5)
  })

  test('lie within the sample and rise with p', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.double({ min: -5, max: 5, noNaN: true }),
            fc.double({ min: 0.01, max: 3, noNaN: true }),
          ),
          { minLength: 1, maxLength: 30 },
        ),
        (pairs) => {
          const sample = weighted(
            pairs.map(([value]) => value),
            pairs.map(([, weight]) => weight),
          )
          const found = [0.05, 0.3, 0.5, 0.8, 0.99].map((p) => quantile(sample, p))
          found.forEach((value, i) => expect(value).toBeGreaterThanOrEqual(found[i - 1] ?? -5))
          expect(found[4]).toBeLessThanOrEqual(5)
        },
      ),
    )
  })
})

describe('belief about a chain’s wear', () => {
  test('without readings is the prior: median 0.17 % per 1000 wear-km, two thirds within a factor of 1.8', () => {
    const belief = rateBelief('new', [])
    const rate = weighted(belief.rate, belief.weight)
    expect(quantile(rate, 0.5)).toBeCloseTo(0.17, 2)
    expect(Math.log(quantile(rate, 0.8413) / quantile(rate, 0.5))).toBeCloseTo(Math.hypot(0.5, 0.3), 1)
  })

  test('follows a precise reading: 0.40 % after 2000 wear-km is a rate of 0.2', () => {
    const observations = [0.4, 0.4, 0.4].map((e) => ({ wearKm: 2000, reading: caliper(e) }))
    const belief = rateBelief('new', observations)
    expect(quantile(weighted(belief.rate, belief.weight), 0.5)).toBeCloseTo(0.2, 1)
    expect(quantile(weighted(elongationsAt(belief, { wearKm: 2000 }), belief.weight), 0.5)).toBeCloseTo(
      0.4,
      1,
    )
  })

  test('its weights sum to one and its points are few', () => {
    const belief = rateBelief('new', [{ wearKm: 2000, reading: caliper(0.4) }])
    expect(belief.weight.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
    expect(belief.rate.length).toBeLessThan(20_000)
  })

  test('of a chain of unknown past with one look is what that look alone says', () => {
    const readings = [caliper(0.62), caliper(0.6)]
    const belief = rateBelief(
      'unknown',
      readings.map((reading) => ({ wearKm: 0, reading })),
    )
    const alone = posterior(readings, [0.5])
    const now = summariseDensity(smoothDensity(elongationsAt(belief, { wearKm: 0 }), belief.weight), [0.5])
    expect(now.mean).toBeCloseTo(alone.mean, 2)
    expect(now.p95 - now.p05).toBeCloseTo(alone.p95 - alone.p05, 1)
  })

  test('a chain plainly worn, though the log gives it no distance, is believed, and the log is doubted', () => {
    const readings = [1.05, 1.04, 1.06].map((e) => ({ wearKm: 0, reading: caliper(e) }))
    const belief = rateBelief('new', readings)
    expect(quantile(weighted(elongationsAt(belief, { wearKm: 0 }), belief.weight), 0.5)).toBeCloseTo(1.05, 1)
    expect(belief.untoldPast).toBeGreaterThan(0.95)
  })

  test('a reading that fits its distance casts no doubt on the log', () => {
    const fits = rateBelief('new', [{ wearKm: 2000, reading: caliper(0.35) }])
    expect(fits.untoldPast).toBeLessThan(0.02)
    expect(rateBelief('new', []).untoldPast).toBe(0)
  })

  test('the distance to a limit and the elongation there undo one another', () => {
    const belief = rateBelief('new', [{ wearKm: 2000, reading: caliper(0.4) }])
    const reach = wearKmToReach(belief, 0.5)
    belief.rate.forEach((rate, i) => {
      if ((belief.start[i] ?? 0) >= 0.5) return
      const there = (belief.start[i] ?? 0) + rate * ((reach[i] ?? 0) / 1000) ** (belief.beta[i] ?? 1)
      expect(there).toBeCloseTo(0.5, 6)
    })
  })
})

describe('the forecast', () => {
  const measured = asked({
    observations: [0.3, 0.31, 0.29].map((e) => ({ wearKm: 1500, reading: caliper(e) })),
  })

  test('of a chain at 0.30 % after 1500 wear-km reaches 0.5 % about 1000 wear-km on, 714 km at 1.4 a km', () => {
    const { now, toLimitKm } = forecastWear(measured)
    expect(now.mean).toBeCloseTo(0.3, 1)
    expect(toLimitKm.p50).toBeGreaterThan(600)
    expect(toLimitKm.p50).toBeLessThan(850)
  })

  test('next look, limit and its late end come in that order, and so do their days', () => {
    const { nextLookKm, toLimitKm, toLimitDays } = forecastWear(measured)
    expect(nextLookKm).toBe(toLimitKm.p10)
    expect(toLimitKm.p10).toBeLessThan(toLimitKm.p50)
    expect(toLimitKm.p50).toBeLessThan(toLimitKm.p90)
    expect(toLimitDays?.p50).toBeCloseTo((toLimitKm.p50 / 70) * 7, -1)
  })

  test('rides that nobody has said the condition of widen the forecast, and readings narrow what they were', () => {
    const width = ({ p10, p90 }: { p10: number; p90: number }) => p90 - p10
    const sure = forecastWear(asked())
    const unsure = forecastWear(asked({ now: { wearKm: 1500, unsureWearKm: 1200 } }))
    expect(unsure.now.p95 - unsure.now.p05).toBeGreaterThan(1.1 * (sure.now.p95 - sure.now.p05))
    const ahead = forecastWear({
      ...measured,
      plan: { ...plan, perKm: { wearKm: 1.4, unsureWearKm: 1.4 } },
    })
    expect(width(ahead.toLimitKm)).toBeGreaterThan(1.2 * width(forecastWear(measured).toLimitKm))
    const fast = rateBelief('new', [
      { wearKm: 2000, reading: { instrument: 'rule', pitches: 24, lengthMm: 305.82 } },
      { wearKm: 3000, unsureWearKm: 1000, reading: { instrument: 'rule', pitches: 24, lengthMm: 307.2 } },
    ])
    // Twice as much wear in the unsaid thousand as in the thousands before: it was rougher than taken to be.
    const believed = fast.unsure.reduce((sum, factor, i) => sum + factor * (fast.weight[i] ?? 0), 0)
    const before = rateBelief('new', [], true)
    const guessed = before.unsure.reduce((sum, factor, i) => sum + factor * (before.weight[i] ?? 0), 0)
    expect(believed).toBeGreaterThan(guessed + 0.1)
  })

  test('at the next look one such chain in ten is past the limit', () => {
    const first = forecastWear(measured)
    const then = forecastWear({ ...measured, now: { wearKm: 1500 + first.nextLookKm * plan.perKm.wearKm } })
    expect(then.now.pAbove['0.5']).toBeCloseTo(0.1, 1)
  })

  test('is narrower the more is known', () => {
    const width = ({ toLimitKm }: ReturnType<typeof forecastWear>) =>
      Math.log(toLimitKm.p90 / Math.max(1, toLimitKm.p10))
    expect(width(forecastWear(measured))).toBeLessThan(width(forecastWear(asked())))
  })

  test('a chain far past its limit has nothing left, never less', () => {
    const { toLimitKm, nextLookKm, now } = forecastWear(
      asked({
        observations: [
          { wearKm: 1500, reading: caliper(1.1) },
          { wearKm: 1500, reading: caliper(1.12) },
        ],
      }),
    )
    expect(toLimitKm).toEqual({ p10: 0, p50: 0, p90: 0 })
    expect(nextLookKm).toBe(0)
    expect(now.pAbove['0.5']).toBeCloseTo(1, 3)
  })

  test('tells of two tools of the last look that contradict one another', () => {
    const observations = [
      ...[1, 0.95, 1].map((percent) => ({ instrument: 'two-contact-scale', percent }) as const),
      ...[0.5, 0.48, 0.5].map(
        (e) => ({ instrument: 'rule', pitches: 24, lengthMm: lengthAtElongation(24, e) }) as const,
      ),
    ].map((reading) => ({ wearKm: 1500, reading }))
    const told = forecastWear(asked({ observations, lookSize: 6 }))
    expect(told.conflict).toMatchObject({
      high: { tool: 'two-contact-scale' },
      low: { tool: 'rule' },
      settle: 'caliper-pair',
    })
    expect(forecastWear(asked({ observations, lookSize: 3 })).conflict).toBeUndefined()
  })

  test('where nothing is ridden there is no date', () => {
    expect(forecastWear(asked({ plan: { ...plan, weeklyKm: 0 } })).toLimitDays).toBeUndefined()
  })

  test('the fan widens with distance and begins where the chain is', () => {
    const { fan, now, wayHere } = forecastWear(measured)
    const [first, last] = [fan[0], fan.at(-1)]
    if (!first || !last) throw new Error('the fan is empty')
    expect(first.x).toBe(0)
    expect(first.p50).toBeCloseTo(now.mean, 1)
    expect(last.p90 - last.p10).toBeGreaterThan(first.p90 - first.p10)
    expect(wayHere[0]?.p50).toBeCloseTo(0, 2)
  })

  test('an answer of a limit gauge alone bounds the chain', () => {
    const gauge = (limit: number, result: 'clear' | 'drops'): Reading => ({
      instrument: 'three-contact-limit',
      limit,
      result,
    })
    const { now } = forecastWear(
      asked({
        observations: [
          { wearKm: 1500, reading: gauge(0.5, 'drops') },
          { wearKm: 1500, reading: gauge(1, 'clear') },
        ],
      }),
    )
    expect(now.p05).toBeGreaterThan(0.4)
    expect(now.p95).toBeLessThan(1)
  })

  test('is always finite, whatever the readings say of one another', () => {
    const reading = fc.double({ min: -0.2, max: 1.5, noNaN: true }).map(caliper)
    const observation = fc.record({ wearKm: fc.double({ min: 0, max: 9000, noNaN: true }), reading })
    fc.assert(
      fc.property(
        fc.array(observation, { maxLength: 5 }),
        fc.constantFrom('new' as const, 'unknown' as const),
        fc.double({ min: 0, max: 9000, noNaN: true }),
        (observations, past, nowWearKm) => {
          const { now, toLimitKm, nextLookKm, fan } = forecastWear(
            asked({ observations, past, now: { wearKm: nowWearKm } }),
          )
          for (const value of [now.mean, now.p05, now.p95, toLimitKm.p10, toLimitKm.p50, toLimitKm.p90])
            expect(Number.isFinite(value)).toBe(true)
          expect(nextLookKm).toBeGreaterThanOrEqual(0)
          for (const { p10, p50, p90 } of fan) {
            expect(p10).toBeLessThanOrEqual(p50)
            expect(p50).toBeLessThanOrEqual(p90)
          }
        },
      ),
      { numRuns: 12 },
    )
  })
})

describe('a smoothed density', () => {
  test('keeps mass and mean', () => {
    const values = Float64Array.from([0.3, 0.4, 0.5])
    const weight = Float64Array.from([0.25, 0.5, 0.25])
    const curve = smoothDensity(values, weight)
    const { mean, pAbove } = summariseDensity(curve, [0.4])
    expect(curve.density.reduce((a, b) => a + b, 0) * 0.0025).toBeCloseTo(1, 3)
    expect(mean).toBeCloseTo(0.4, 3)
    expect(pAbove['0.4']).toBeCloseTo(0.5, 2)
  })
})
