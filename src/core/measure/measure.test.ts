import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { elongationFromCaliper, elongationFromLength, lengthAtElongation } from './elongation.ts'
import { logAt } from './log-table.ts'
import { betweenTable } from './reading-table.ts'
import { INSTRUMENTS, readingSd } from './instruments.ts'
import { biasNodes, evidenceOf, logBetween, logSumExp, logValuesMarginal } from './likelihood.ts'
import { limitFor } from './limits.ts'
import { normalCdf, normalDensity } from '../stats/normal.ts'
import { limitKey, posterior, posteriorDensity, summariseDensity } from './posterior.ts'
import type { LimitResult, Reading } from './reading.ts'

const LIMITS = [0.5, 0.75, 1]
const rule = (lengthMm: number, slack = false): Reading => ({
  instrument: 'rule',
  pitches: 24,
  lengthMm,
  ...(slack && { slack }),
})
const caliper = (percent: number): Reading => {
  const length = lengthAtElongation(8, percent)
  return { instrument: 'caliper-pair', pitches: 8, insideMm: length - 7.5, outsideMm: length + 7.5 }
}
const side = (limit: number, result: LimitResult, contacts: 'two' | 'three' = 'three'): Reading => ({
  instrument: `${contacts}-contact-limit`,
  limit,
  result,
})

describe('the table of limit readings', () => {
  test('gives what the function gives, on the table and off it', () => {
    const limits = fc.constantFrom([-Infinity, 0.5], [0.5, 0.75], [0.75, Infinity], [0.98, 1.02])
    fc.assert(
      fc.property(
        limits,
        fc.constantFrom(0.03, 0.05, 0.12),
        fc.double({ min: -2, max: 5, noNaN: true }),
        ([low = 0, high = 0], sd, centre) => {
          const exact = logBetween(low, high, centre, sd)
          // What is as good as never need not be exact: below this a point weighs nothing.
          if (exact < -25) return
          expect(logAt(betweenTable(low, high, sd), centre)).toBeCloseTo(exact, 5)
        },
      ),
      { numRuns: 400 },
    )
  })
})

describe('elongation', () => {
  test('a new chain shows 12 inches over 24 pitches', () => {
    expect(elongationFromLength(24, 304.8)).toBeCloseTo(0, 12)
  })

  test('a sixteenth of an inch over a foot is about half a per cent, an eighth about one', () => {
    expect(elongationFromLength(24, 12.0625 * 25.4)).toBeCloseTo(0.52, 2)
    expect(elongationFromLength(24, 12.125 * 25.4)).toBeCloseTo(1.04, 2)
  })

  test('length and elongation undo one another', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 120 }),
        fc.double({ min: -1, max: 5, noNaN: true }),
        (pitches, e) => {
          expect(elongationFromLength(pitches, lengthAtElongation(pitches, e))).toBeCloseTo(e, 8)
        },
      ),
    )
  })

  test('a caliper inside and outside the same rollers sees neither roller diameter nor play', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1.5, noNaN: true }),
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        fc.double({ min: 7.5, max: 8, noNaN: true }),
        (e, play, roller) => {
          const length = lengthAtElongation(8, e)
          const result = elongationFromCaliper(8, length - roller + play, length + roller - play)
          expect(result.elongation).toBeCloseTo(e, 8)
          expect(result.playMm).toBeCloseTo(play + 7.75 - roller, 8)
        },
      ),
    )
  })

  test.each([
    [0, 305],
    [2.5, 305],
    [24, 0],
    [24, Number.NaN],
  ])('%p pitches of %p mm cannot be', (pitches, lengthMm) => {
    expect(() => elongationFromLength(pitches, lengthMm)).toThrow(RangeError)
  })

  test('inside and outside swapped are noticed', () => {
    expect(() => elongationFromCaliper(8, 110, 94)).toThrow(/swapped/)
  })
})

describe('the normal distribution', () => {
  // Abramowitz & Stegun, table 26.1.
  test.each([
    [0, 0.5],
    [0.5, 0.6914624613],
    [1, 0.8413447461],
    [1.96, 0.9750021049],
    [3, 0.998650102],
    [-2, 0.0227501319],
  ])('at %p is %p', (z, p) => {
    expect(normalCdf(z)).toBeCloseTo(p, 6)
  })

  test('has tails that are small and never negative', () => {
    expect(normalCdf(-6)).toBeCloseTo(9.8659e-10, 13)
    expect(normalCdf(-40)).toBeGreaterThanOrEqual(0)
    expect(normalCdf(40)).toBe(1)
  })

  test('has its published density at the middle', () => {
    expect(normalDensity(0)).toBeCloseTo(0.3989422804, 9)
  })
})

describe('evidence', () => {
  test('a rule over 24 pitches reads to about 0.13 %, places included', () => {
    expect(readingSd(rule(305))).toBeCloseTo(Math.hypot(40 / 304.8, 0.03), 9)
  })

  test('a reading from a slack run looks shorter than the chain is, and scatters more', () => {
    const [tight, slack] = [evidenceOf(rule(306)), evidenceOf(rule(306, true))]
    if (tight.form !== 'value' || slack.form !== 'value') throw new Error('a rule gives a value')
    expect(slack.value - tight.value).toBeCloseTo(0.1, 9)
    expect(slack.sd).toBeGreaterThan(tight.sd)
  })

  test.each<[LimitResult, number, number]>([
    ['clear', -Infinity, 0.65],
    ['starts', 0.65, 0.75],
    ['drops', 0.75, Infinity],
    ['not-in', -Infinity, 0.75],
  ])('a 0.75 side that answers %p lies between %p and %p', (result, low, high) => {
    const evidence = evidenceOf(side(0.75, result))
    if (evidence.form !== 'between') throw new Error('a limit side gives bounds')
    expect(evidence.low).toBeCloseTo(low, 9)
    expect(evidence.high).toBeCloseTo(high, 9)
  })

  test('an answer that no side gives is refused', () => {
    expect(() => evidenceOf(side(0.75, 'maybe' as LimitResult))).toThrow(/maybe/)
    expect(() => evidenceOf(side(0, 'drops'))).toThrow(RangeError)
    expect(() => evidenceOf({ instrument: 'two-contact-scale', percent: Number.NaN })).toThrow(RangeError)
  })

  test('the answers clear, starts and drops share out all probability', () => {
    fc.assert(
      fc.property(fc.double({ min: -0.5, max: 2, noNaN: true }), (centre) => {
        const p = ([-Infinity, 0.65, 0.75] as const).map((low, i) =>
          Math.exp(logBetween(low, [0.65, 0.75, Infinity][i] ?? 0, centre, 0.08)),
        )
        expect(p.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 6)
      }),
    )
  })

  test('the closed form of a shared bias agrees with integrating it', () => {
    const bias = { b: 0.1, sb: 0.06 }
    const readings = [
      { value: 0.62, sd: 0.08 },
      { value: 0.7, sd: 0.08 },
      { value: 0.55, sd: 0.13 },
    ]
    const closed = (e: number): number => {
      const r = readings.map(({ value, sd }) => ({ residual: value - e - bias.b, w: 1 / sd ** 2 }))
      const sum = (of: (x: { residual: number; w: number }) => number) =>
        r.reduce((total, x) => total + of(x), 0)
      return logValuesMarginal(
        sum(({ w }) => w),
        sum(({ residual, w }) => w * residual),
        sum(({ residual, w }) => w * residual ** 2),
        bias,
      )
    }
    const { offsets, logWeights } = biasNodes(bias, 60)
    const integrated = (e: number): number =>
      logSumExp(
        offsets.map(
          (offset, k) =>
            (logWeights[k] ?? 0) -
            readings.reduce((s, { value, sd }) => s + 0.5 * ((value - e - offset) / sd) ** 2, 0),
        ),
      )
    // Equal up to a constant, so differences between elongations must agree, but for what lies beyond 5 spreads.
    expect(closed(0.5) - closed(0.8)).toBeCloseTo(integrated(0.5) - integrated(0.8), 3)
    expect(closed(0.3) - closed(0.6)).toBeCloseTo(integrated(0.3) - integrated(0.6), 3)
  })
})

describe('the posterior', () => {
  test('of one rule reading is the textbook normal, cut to the grid', () => {
    const { mean, p05, p95 } = posterior([rule(lengthAtElongation(24, 0.8))], LIMITS)
    const sd = Math.hypot(readingSd(rule(305)), 0.03)
    expect(mean).toBeCloseTo(0.8, 3)
    expect(p05).toBeCloseTo(0.8 - 1.6449 * sd, 3)
    expect(p95).toBeCloseTo(0.8 + 1.6449 * sd, 3)
  })

  test('of a normal prior and a normal reading is their precision-weighted mean', () => {
    const sd = Math.hypot(readingSd(rule(305)), 0.03)
    const { mean } = posterior([rule(lengthAtElongation(24, 0.8))], LIMITS, { prior: { mean: 0.6, sd: 0.1 } })
    const [wp, wr] = [1 / 0.01, 1 / sd ** 2]
    expect(mean).toBeCloseTo((0.6 * wp + 0.8 * wr) / (wp + wr), 3)
  })

  test('of many readings with one instrument stays as wide as that instrument’s bias', () => {
    const many = posterior(
      Array.from({ length: 400 }, () => rule(306)),
      LIMITS,
    )
    expect((many.p95 - many.p05) / 2 / 1.6449).toBeCloseTo(Math.hypot(0.03, readingSd(rule(306)) / 20), 3)
  })

  test('of limit sides follows the same law as a brute sum over bias and noise', () => {
    const reading = side(0.75, 'starts', 'two')
    const curve = posteriorDensity([reading])
    const sd = Math.hypot(0.08, 0.03)
    // The bias integrated away leaves a normal of both spreads.
    const both = Math.hypot(sd, 0.06)
    const expected = (e: number) => normalCdf((0.75 - e - 0.1) / both) - normalCdf((0.65 - e - 0.1) / both)
    const at = (e: number) => curve.density[curve.e.findIndex((x) => Math.abs(x - e) < 1e-6)] ?? Number.NaN
    expect(at(0.7) / at(0.5)).toBeCloseTo(expected(0.7) / expected(0.5), 4)
    expect(at(0.4) / at(0.6)).toBeCloseTo(expected(0.4) / expected(0.6), 4)
  })

  test('with nothing to go by is flat over the grid', () => {
    const { mean, p05, p95 } = posterior([], LIMITS)
    expect(mean).toBeCloseTo(0.775, 6)
    expect(p05).toBeCloseTo(-0.05 + 0.05 * 1.65, 6)
    expect(p95).toBeCloseTo(1.6 - 0.05 * 1.65, 6)
  })

  test('a gauge zeroed on a new chain takes its own bias and counts for more', () => {
    const reading: Reading = { instrument: 'two-contact-scale', percent: 0.8 }
    const plain = posterior([reading], LIMITS)
    const zeroed = posterior([reading], LIMITS, { zeroed: { 'two-contact-scale': { b: 0.18, sb: 0.01 } } })
    expect(zeroed.mean).toBeCloseTo(0.62, 2)
    expect(zeroed.p95 - zeroed.p05).toBeLessThan(plain.p95 - plain.p05)
  })

  const anyReading = fc.oneof(
    fc.double({ min: 0, max: 1.2, noNaN: true }).map((e) => rule(lengthAtElongation(24, e))),
    fc.double({ min: 0, max: 1.2, noNaN: true }).map(caliper),
    fc
      .tuple(
        fc.constantFrom(0.5, 0.75, 1),
        fc.constantFrom<LimitResult>('clear', 'starts', 'drops', 'not-in'),
        fc.constantFrom<'two' | 'three'>('two', 'three'),
      )
      .map(([limit, result, contacts]) => side(limit, result, contacts)),
  )

  test('does not depend on the order of the readings', () => {
    fc.assert(
      fc.property(fc.array(anyReading, { minLength: 2, maxLength: 8 }), (readings) => {
        const [there, back] = [posterior(readings, LIMITS), posterior([...readings].reverse(), LIMITS)]
        expect(there.mean).toBeCloseTo(back.mean, 8)
        expect(there.p95).toBeCloseTo(back.p95, 8)
      }),
      { numRuns: 40 },
    )
  })

  test('always sums to one, has its percentiles in order and its chances falling with the limit', () => {
    fc.assert(
      fc.property(fc.array(anyReading, { maxLength: 10 }), (readings) => {
        const { curve, mean, p05, p95, pAbove } = posterior(readings, LIMITS)
        expect(curve.density.reduce((a, b) => a + b, 0) * 0.0025).toBeCloseTo(1, 1)
        expect(p05).toBeLessThan(p95)
        expect(mean).toBeGreaterThanOrEqual(-0.05)
        expect(mean).toBeLessThanOrEqual(1.6)
        const [a = 0, b = 0, c = 0] = LIMITS.map((limit) => pAbove[limitKey(limit)])
        expect(a).toBeGreaterThanOrEqual(b)
        expect(b).toBeGreaterThanOrEqual(c)
      }),
      { numRuns: 40 },
    )
  })

  test('ten readings with one instrument weigh less than five with each of two', () => {
    const drops: Reading = { instrument: 'two-contact-scale', percent: 0.7 }
    const three: Reading = { instrument: 'three-contact-scale', percent: 0.6 }
    const width = (readings: Reading[]) => {
      const { p05, p95 } = posterior(readings, LIMITS)
      return p95 - p05
    }
    const ten = width(Array.from({ length: 10 }, () => drops))
    const five = width([...Array.from({ length: 5 }, () => drops), ...Array.from({ length: 5 }, () => three)])
    expect(five).toBeLessThan(ten)
  })

  test('refuses a prior without spread', () => {
    expect(() => posterior([], LIMITS, { prior: { mean: 0.5, sd: 0 } })).toThrow(RangeError)
  })

  test('a summary reads triangles right', () => {
    const e = Array.from({ length: 201 }, (_, i) => i / 100)
    const summary = summariseDensity({ e, density: e.map((x) => (x <= 1 ? x : 2 - x)) }, [0.5, 3, -1])
    expect(summary.mean).toBeCloseTo(1, 6)
    expect(summary.p05).toBeCloseTo(Math.sqrt(0.1), 3)
    expect(summary.pAbove['0.5']).toBeCloseTo(0.875, 3)
    expect(summary.pAbove['3.0']).toBe(0)
    expect(summary.pAbove['-1.0']).toBe(1)
  })

  test('limits are written as gauges mark them', () => {
    expect([0.5, 0.75, 1].map(limitKey)).toEqual(['0.5', '0.75', '1.0'])
  })
})

describe('limits by drivetrain', () => {
  const steel = { speeds: 9, shifting: 'cable', cogMaterial: 'steel' } as const
  test.each([
    [{ ...steel }, 0.75, 'steel'],
    [{ ...steel, speeds: 11 }, 0.5, 'narrow'],
    [{ ...steel, shifting: 'electric' as const }, 0.5, 'electric'],
    [{ ...steel, cogMaterial: 'aluminium' as const }, 0.5, 'soft-cogs'],
    [{ ...steel, speeds: 1 }, 1, 'single-cog'],
    [{ ...steel, speeds: 1, shifting: 'hub-gear' as const }, 1, 'single-cog'],
  ])('%p goes by %p', (drivetrain, percent, why) => {
    const limit = limitFor(drivetrain, 'usual')
    expect(limit.percent).toBe(percent)
    expect(limit.reason.is).toBe(why)
  })

  test('early is 0.5 and late is 1.0 whatever the drivetrain', () => {
    expect(limitFor(steel, 'early').percent).toBe(0.5)
    expect(limitFor({ ...steel, speeds: 12 }, 'late').percent).toBe(1)
  })

  test('every instrument has a bias and a noise', () => {
    for (const { bias } of Object.values(INSTRUMENTS)) {
      expect(bias.sb).toBeGreaterThan(0)
    }
  })
})
