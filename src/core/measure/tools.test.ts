import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { seededRandom } from '../stats/random.ts'
import { disagreements, toolVoices, type PlacedReading } from './disagreement.ts'
import { lengthAtElongation } from './elongation.ts'
import { evidenceOf } from './likelihood.ts'
import { invertPositive } from './linear.ts'
import { posterior } from './posterior.ts'
import type { Reading } from './reading.ts'
import { CHECK_BAR_MM, markMm, printScale, STRIP_MM, trueLength, VERNIER } from './strip-marks.ts'
import { learnBiases, type Meeting } from './tool-bias.ts'

const scale = (percent: number, contacts: 'two' | 'three' = 'two'): Reading => ({
  instrument: `${contacts}-contact-scale`,
  percent,
})
const rule = (percent: number): Reading => ({
  instrument: 'rule',
  pitches: 24,
  lengthMm: lengthAtElongation(24, percent),
})

describe('inverting a small matrix', () => {
  test('gives back the identity', () => {
    const matrix = [
      [4, 1, 0.5],
      [1, 3, 0.2],
      [0.5, 0.2, 2],
    ]
    const inverse = invertPositive(matrix)
    matrix.forEach((row, i) =>
      matrix.forEach((_, j) => {
        const product = row.reduce((sum, value, k) => sum + value * (inverse[k]?.[j] ?? 0), 0)
        expect(product).toBeCloseTo(i === j ? 1 : 0, 10)
      }),
    )
  })

  test('refuses what has none', () => {
    expect(() =>
      invertPositive([
        [1, 1],
        [1, 1],
      ]),
    ).toThrow(RangeError)
  })
})

describe('a tool’s own bias', () => {
  const two = new Map([['mine', 'two-contact-scale']] as const)
  const zero = (...shown: number[]): Meeting => ({
    isNew: true,
    readings: shown.map((percent) => ({ tool: 'mine', reading: scale(percent) })),
  })

  test('without readings is that of its kind', () => {
    expect(learnBiases(two, []).get('mine')).toEqual({ b: 0.1, sb: 0.06, zeroings: 0, meetings: 0 })
  })

  test('after one zeroing is the precision-weighted mean of kind and reading, worked by hand', () => {
    const learned = learnBiases(two, [zero(0.2)]).get('mine')
    // The reading: noise 0.08 and 0.03 between places, and the new chain's own 0.02.
    const reading = 0.08 ** 2 + 0.03 ** 2 + 0.02 ** 2
    const [wk, wr] = [1 / 0.06 ** 2, 1 / reading]
    expect(learned?.b).toBeCloseTo((0.1 * wk + 0.2 * wr) / (wk + wr), 9)
    expect(learned?.sb).toBeCloseTo(1 / Math.sqrt(wk + wr), 9)
    expect(learned?.zeroings).toBe(1)
  })

  test('is never known better than the new chain was', () => {
    const learned = learnBiases(two, [zero(...Array.from({ length: 500 }, () => 0.18))]).get('mine')
    expect(learned?.b).toBeCloseTo(0.17, 1)
    expect(learned?.sb).toBeGreaterThan(0.015)
  })

  test('is learned where it meets a tool that is better known', () => {
    const tools = new Map([
      ['mine', 'two-contact-scale'],
      ['caliper', 'three-contact-scale'],
    ] as const)
    const meeting = (e: number): Meeting => ({
      isNew: false,
      readings: [
        { tool: 'mine', reading: scale(e + 0.2) },
        { tool: 'caliper', reading: scale(e, 'three') },
      ],
    })
    const learned = learnBiases(tools, [0.2, 0.5, 0.7, 0.3].map(meeting))
    const mine = learned.get('mine')
    expect(mine?.b).toBeGreaterThan(0.14)
    expect(mine?.sb).toBeLessThan(0.06)
    expect(mine?.meetings).toBe(4)
    // The better known one moves less.
    expect(Math.abs(learned.get('caliper')?.b ?? 1)).toBeLessThan(0.1 * 0.5)
  })

  test('one tool alone on a chain of unknown elongation teaches nothing', () => {
    const alone: Meeting = {
      isNew: false,
      readings: [0.4, 0.5, 0.6].map((e) => ({ tool: 'mine', reading: scale(e) })),
    }
    expect(learnBiases(two, [alone]).get('mine')).toMatchObject({ b: 0.1, meetings: 0 })
  })

  test('only ever becomes surer, and the order of meetings does not matter', () => {
    const shown = fc.array(fc.double({ min: -0.2, max: 0.4, noNaN: true }), { minLength: 1, maxLength: 6 })
    fc.assert(
      fc.property(shown, (readings) => {
        const meetings = readings.map((percent) => zero(percent))
        const [there, back] = [learnBiases(two, meetings), learnBiases(two, [...meetings].reverse())]
        expect(there.get('mine')?.b).toBeCloseTo(back.get('mine')?.b ?? NaN, 9)
        expect(there.get('mine')?.sb).toBeLessThan(0.06)
      }),
    )
  })
})

describe('what each tool alone says', () => {
  const taken = (tool: string, reading: Reading, place?: number): PlacedReading => ({
    tool,
    reading,
    ...(place !== undefined && { place }),
  })

  test('is told per tool, and hints have no voice', () => {
    const voices = toolVoices([
      taken('a', rule(0.5)),
      taken('b', rule(0.6)),
      taken('a', rule(0.52)),
      { reading: { instrument: 'ring-lift', result: 'light' } },
    ])
    expect(voices.map(({ tool, count }) => [tool, count])).toEqual([
      ['a', 2],
      ['b', 1],
    ])
    expect(voices[0]?.mean).toBeCloseTo(0.51, 2)
  })

  test('a two-contact gauge far above a rule is likely seeing roller play, and a caliper settles it', () => {
    const [found] = disagreements(
      [
        { reading: scale(1) },
        { reading: scale(0.95) },
        { reading: rule(0.5) },
        { reading: rule(0.48) },
        { reading: rule(0.5) },
      ],
      116,
    )
    expect(found).toMatchObject({
      cause: 'roller-play',
      settle: 'caliper-pair',
      high: { instrument: 'two-contact-scale' },
    })
    expect(found?.apart).toBeGreaterThan(2.5)
  })

  test('a reading on a slack run is suspected before the rollers', () => {
    const slack: Reading = { instrument: 'two-contact-scale', percent: 1.3, slack: true }
    const [found] = disagreements(
      [
        { reading: slack },
        { reading: slack },
        { reading: slack },
        ...[0.4, 0.4, 0.4].map((e) => ({ reading: rule(e) })),
      ],
      116,
    )
    expect(found?.cause).toBe('slack-run')
  })

  test('a span over the joining link is suspected first', () => {
    const readings = [
      ...[0.95, 1].map((e) => taken('gauge', scale(e), 40)),
      ...[0.45, 0.4, 0.42].map((e) => taken('rule', rule(e), 100)),
    ]
    expect(disagreements(readings, 116)[0]?.cause).toBe('joining-link')
  })

  test('a third tool settles it for the one it sides with', () => {
    const caliper = (e: number): Reading => {
      const length = lengthAtElongation(8, e)
      return { instrument: 'caliper-pair', pitches: 8, insideMm: length - 7.5, outsideMm: length + 7.5 }
    }
    const at = [
      ...[1, 0.95, 1].map((e) => ({ reading: scale(e) })),
      ...[0.5, 0.48, 0.5].map((e) => ({ reading: rule(e) })),
    ]
    expect(disagreements(at, 116)[0]?.settled).toBeUndefined()
    const [settled] = disagreements([...at, ...[0.5, 0.52].map((e) => ({ reading: caliper(e) }))], 116)
    expect(settled?.settled).toMatchObject({
      by: { tool: 'caliper-pair' },
      with: { tool: 'rule' },
      against: { tool: 'two-contact-scale' },
    })
  })

  test('tools that agree are left in peace', () => {
    expect(
      disagreements([{ reading: scale(0.65) }, { reading: rule(0.5) }, { reading: rule(0.55) }], 116),
    ).toEqual([])
  })
})

describe('hints', () => {
  test('move a flat belief, but far less than any gauge', () => {
    const width = (readings: Reading[]) => {
      const { p05, p95 } = posterior(readings, [0.75])
      return p95 - p05
    }
    const flat = width([])
    for (const hint of [
      { instrument: 'ring-lift', result: 'none' },
      { instrument: 'side-play', result: 'much' },
    ] as const) {
      expect(width([hint])).toBeLessThan(flat)
      expect(width([hint])).toBeGreaterThan(2.5 * width([scale(0.6)]))
    }
  })

  test('never overturn a gauge', () => {
    const gauge = posterior([scale(0.3, 'three')], [0.75]).mean
    const with3 = posterior(
      [
        scale(0.3, 'three'),
        ...Array.from({ length: 3 }, (): Reading => ({ instrument: 'ring-lift', result: 'half-tooth' })),
      ],
      [0.75],
    ).mean
    expect(Math.abs(with3 - gauge)).toBeLessThan(0.05)
  })

  test('with an answer that is none are refused', () => {
    expect(() => evidenceOf({ instrument: 'ring-lift', result: 'hop' as 'none' })).toThrow(RangeError)
  })
})

describe('more evidence', () => {
  test('never widens the posterior on average', () => {
    const random = seededRandom(11)
    const widths = Array.from({ length: 60 }, () => {
      const e = random.between(0.1, 1.1)
      const bias = random.normal(0, 0.03)
      const readings = [1, 2, 3].map(() => rule(random.normal(e + bias, 0.135)))
      return [1, 2, 3].map((count) => {
        const { p05, p95 } = posterior(readings.slice(0, count), [0.75])
        return p95 - p05
      })
    })
    const mean = (k: number) => widths.reduce((sum, row) => sum + (row[k] ?? 0), 0) / widths.length
    expect(mean(1)).toBeLessThan(mean(0))
    expect(mean(2)).toBeLessThan(mean(1))
  })
})

describe('the printed strip', () => {
  test('has its marks where the chain would be', () => {
    expect(STRIP_MM).toBe(254)
    expect(markMm(0.5)).toBeCloseTo(255.27, 9)
    expect(markMm(1)).toBeCloseTo(256.54, 9)
    expect(VERNIER.spanMm / VERNIER.divisions).toBeCloseTo(0.9, 12)
  })

  test('is corrected by its check bar up to 2 %, and refused beyond', () => {
    expect(printScale(CHECK_BAR_MM)).toBe(1)
    expect(printScale(202)).toBeCloseTo(1.01, 12)
    expect(printScale(204.1)).toBeUndefined()
    expect(printScale(195.9)).toBeUndefined()
    expect(trueLength(255, 1.01)).toBeCloseTo(257.55, 9)
  })
})
