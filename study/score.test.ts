import { describe, expect, test } from '@jest/globals'
import { normalCdf } from '../src/core/stats/normal.ts'
import { seededRandom } from '../src/core/stats/random.ts'
import { crps, placeIn, quantiles } from './score.ts'
import { simulateRider } from './simulate.ts'

describe('scores', () => {
  const random = seededRandom(4)
  const normal = Array.from({ length: 40_000 }, () => random.normal(0, 1))

  test('the ranked probability score of a normal is what its closed form gives', () => {
    // Gneiting & Raftery 2007, eq. 21: sd (z (2 Phi(z) - 1) + 2 phi(z) - 1 / sqrt(pi)).
    for (const z of [-2, 0, 0.7, 3]) {
      const density = Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI)
      const exact = z * (2 * normalCdf(z) - 1) + 2 * density - 1 / Math.sqrt(Math.PI)
      expect(crps({ values: normal }, z)).toBeCloseTo(exact, 1)
      expect(Math.abs(crps({ values: normal }, z) - exact)).toBeLessThan(0.02)
    }
  })

  test('of a single figure it is the distance from the truth; of weighted ones their own', () => {
    expect(crps({ values: [3] }, 5)).toBe(2)
    expect(crps({ values: [0, 4], weights: [0.25, 0.75] }, 1)).toBeCloseTo(0.0625 * 1 + 0.5625 * 3, 12)
  })

  test('places and quantiles', () => {
    expect(quantiles({ values: [5, 1, 3], weights: [0.2, 0.5, 0.3] }, [0.4, 0.6, 0.99])).toEqual([1, 3, 5])
    expect(placeIn({ values: [0, 0, 1, 2] }, 0, 0.5)).toBe(0.25)
    expect(placeIn({ values: [0, 1], weights: [0.3, 0.7] }, 0.5, 0)).toBeCloseTo(0.3, 12)
  })
})

describe('a made-up rider', () => {
  test('is the same for the same seed, and has what the model asks for', () => {
    const rider = simulateRider(seededRandom(9))
    expect(simulateRider(seededRandom(9))).toEqual(rider)
    expect(rider.question.chains.some(({ id }) => id === rider.question.chain)).toBe(true)
    expect(rider.question.ahead.reduce((sum, { km }) => sum + km, 0)).toBeCloseTo(1, 9)
    expect(rider.truth.toLimitKm).toBeGreaterThanOrEqual(0)
    expect(rider.truth.atLimit).toBe(rider.truth.toLimitKm === 0)
  })

  test('wears and is read as methods 4 and 2 say: over many, readings stand about the truth', () => {
    const riders = Array.from({ length: 300 }, (_, i) => simulateRider(seededRandom(100 + i)))
    const off = riders.flatMap(({ lastValue, km, truth }) =>
      lastValue && lastValue.km === km ? [lastValue.percent - truth.nowPercent] : [],
    )
    expect(off.length).toBeGreaterThan(40)
    expect(Math.abs(off.reduce((a, b) => a + b, 0) / off.length)).toBeLessThan(0.04)
  })
})
