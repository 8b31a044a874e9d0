import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  lattice,
  partBelief,
  unsureNodes,
  wearAt,
  wearKmToReach,
  wearKmUnder,
  type Axes,
} from './part-grid.ts'
import { rateBelief } from './rate-grid.ts'

const AXES: Axes = {
  logRates: lattice(Math.log(0.05), Math.log(1), 41),
  logBetas: [-0.08, 0, 0.08],
  starts: lattice(-0.06, 0.06, 7),
  logPriorRate: (log) => -0.5 * ((log - Math.log(0.2)) / 0.6) ** 2,
  logPriorBeta: (log) => -0.5 * (log / 0.08) ** 2,
  logPriorStart: (start) => -0.5 * (start / 0.02) ** 2,
  unsures: unsureNodes(false),
}
const normal = (value: number, sd: number) => (at: ArrayLike<number>) =>
  -0.5 * (((at[0] ?? 0) - value) / sd) ** 2
const meanOf = (values: Float64Array, weight: Float64Array): number =>
  values.reduce((sum, value, i) => sum + value * (weight[i] ?? 0), 0)

describe('belief about one part with one limit', () => {
  test('without a reading it is the prior, and its weights sum to one', () => {
    const belief = partBelief([{ axes: AXES, logShare: 0 }], [], [])
    expect(belief.weight.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9)
    expect(meanOf(belief.rate.map(Math.log), belief.weight)).toBeCloseTo(Math.log(0.2), 1)
  })

  test('a sharp reading is met, wherever it is', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 0.7, noNaN: true }), (value) => {
        const belief = partBelief([{ axes: AXES, logShare: 0 }], [normal(value, 0.02)], [{ wearKm: 1500 }])
        expect(Math.abs(meanOf(wearAt(belief, { wearKm: 1500 }), belief.weight) - value)).toBeLessThan(0.03)
      }),
      { numRuns: 20 },
    )
  })

  test('nothing heals: further on every point has worn more, and the limit is reached where it says', () => {
    const belief = partBelief([{ axes: AXES, logShare: 0 }], [normal(0.3, 0.05)], [{ wearKm: 1000 }])
    const [near, far] = [wearAt(belief, { wearKm: 1000 }), wearAt(belief, { wearKm: 1500 })]
    expect(near.every((value, i) => value < (far[i] ?? 0))).toBe(true)
    wearKmToReach(belief, 0.5).forEach((wearKm, i) => {
      expect(wearAt(belief, { wearKm })[i]).toBeCloseTo(0.5, 9)
    })
    expect(wearKmToReach(belief, -1).every((km) => km === 0)).toBe(true)
  })

  test('of two grids the one that the reading fits has the larger share', () => {
    const used: Axes = { ...AXES, starts: lattice(0.4, 0.8, 9), logPriorStart: () => 0 }
    const shares = (value: number): readonly number[] =>
      partBelief(
        [
          { axes: AXES, logShare: Math.log(0.5) },
          { axes: used, logShare: Math.log(0.5) },
        ],
        [normal(value, 0.02)],
        [{ wearKm: 0 }],
      ).shares
    expect(shares(0.01)[0]).toBeGreaterThan(0.9)
    expect(shares(0.6)[1]).toBeGreaterThan(0.9)
  })

  test('rides without conditions count more or less, and never below nothing', () => {
    expect(wearKmUnder({ wearKm: 100, unsureWearKm: 40 }, 2)).toBe(140)
    expect(wearKmUnder({ wearKm: 100, unsureWearKm: 40 }, 1)).toBe(100)
    expect(wearKmUnder({ wearKm: 40, unsureWearKm: 40 }, -1)).toBe(0)
    expect(unsureNodes(true).reduce((sum, { log }) => sum + Math.exp(log), 0)).toBeCloseTo(1, 9)
  })

  test('a chain goes by it: its missing past is the share of the second grid', () => {
    const belief = rateBelief('new', [
      { reading: { instrument: 'caliper-pair', pitches: 10, insideMm: 120, outsideMm: 135.5 }, wearKm: 50 },
    ])
    expect(belief.missingPast).toBeCloseTo(belief.shares[1] ?? 0, 12)
    expect(belief.missingPast).toBeGreaterThan(0.5)
  })
})
