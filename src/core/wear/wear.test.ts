import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { lengthAtElongation } from '../measure/elongation.ts'
import { posterior, summariseDensity } from '../measure/posterior.ts'
import type { Reading } from '../measure/reading.ts'
import { smoothDensity } from './density.ts'
import { wearAt, wearKmToReach } from './part-grid.ts'
import { rateBelief } from './rate-grid.ts'
import { quantile, weighted } from '../stats/weighted.ts'

const caliper = (percent: number): Reading => {
  const length = lengthAtElongation(8, percent)
  return { instrument: 'caliper-pair', pitches: 8, insideMm: length - 7.5, outsideMm: length + 7.5 }
}

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
    expect(quantile(weighted(wearAt(belief, { wearKm: 2000 }), belief.weight), 0.5)).toBeCloseTo(0.4, 1)
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
    const now = summariseDensity(smoothDensity(wearAt(belief, { wearKm: 0 }), belief.weight), [0.5])
    expect(now.mean).toBeCloseTo(alone.mean, 2)
    expect(now.p95 - now.p05).toBeCloseTo(alone.p95 - alone.p05, 1)
  })

  test('a chain plainly worn, though the log gives it no distance, is believed, and the log is doubted', () => {
    const readings = [1.05, 1.04, 1.06].map((e) => ({ wearKm: 0, reading: caliper(e) }))
    const belief = rateBelief('new', readings)
    expect(quantile(weighted(wearAt(belief, { wearKm: 0 }), belief.weight), 0.5)).toBeCloseTo(1.05, 1)
    expect(belief.missingPast).toBeGreaterThan(0.95)
  })

  test('a reading that fits its distance casts no doubt on the log', () => {
    const fits = rateBelief('new', [{ wearKm: 2000, reading: caliper(0.35) }])
    expect(fits.missingPast).toBeLessThan(0.02)
    expect(rateBelief('new', []).missingPast).toBe(0)
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

test('rides without conditions are found to have been rougher where they wore more than those before', () => {
  const fast = rateBelief('new', [
    { wearKm: 2000, reading: { instrument: 'rule', pitches: 24, lengthMm: 305.82 } },
    { wearKm: 3000, unsureWearKm: 1000, reading: { instrument: 'rule', pitches: 24, lengthMm: 307.2 } },
  ])
  const meanOf = (belief: typeof fast) =>
    belief.unsure.reduce((sum, factor, i) => sum + factor * (belief.weight[i] ?? 0), 0)
  expect(meanOf(fast)).toBeGreaterThan(meanOf(rateBelief('new', [], true)) + 0.1)
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
