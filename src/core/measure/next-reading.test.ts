import { describe, expect, test } from '@jest/globals'
import { toEnd } from '../job.ts'
import { seededRandom } from '../stats/random.ts'
import { lengthAtElongation } from './elongation.ts'
import {
  nextReadingSteps,
  usualCandidates,
  type Candidate,
  type NextReadingQuestion,
} from './next-reading.ts'
import { densityOf, posterior, posteriorDensity } from './posterior.ts'
import type { Reading } from './reading.ts'

const valuesOf = (question: NextReadingQuestion) => toEnd(nextReadingSteps(question))
const scale = (percent: number, contacts: 'two' | 'three' = 'two'): Reading => ({
  instrument: `${contacts}-contact-scale`,
  percent,
})
const rule = (percent: number): Reading => ({
  instrument: 'rule',
  pitches: 24,
  lengthMm: lengthAtElongation(24, percent),
})

describe('what one more reading would be worth', () => {
  const before = posteriorDensity([])
  const candidates = usualCandidates(0.75)
  const answer = valuesOf({
    before,
    readings: [{ reading: rule(0.7) }, { reading: rule(0.72) }],
    limit: 0.75,
    candidates,
  })

  test('never expects to know less than now, and names the best first', () => {
    expect(answer.wrongNow).toBeGreaterThan(0.1)
    for (const { wrong, half } of answer.values) {
      expect(wrong).toBeLessThanOrEqual(answer.wrongNow + 1e-6)
      expect(half).toBeLessThanOrEqual(answer.halfNow * 1.01)
    }
    const order = answer.values.map(({ wrong }) => wrong)
    expect([...order].sort((a, b) => a - b)).toEqual(order)
  })

  test('of a verdict that stands fast tells apart only by closeness', () => {
    const { values, wrongNow } = valuesOf({
      before,
      readings: [{ reading: rule(0.2) }, { reading: rule(0.22) }],
      limit: 0.75,
      candidates,
    })
    expect(wrongNow).toBeLessThan(0.01)
    const widths = values.map(({ half }) => half)
    expect([...widths].sort((a, b) => a - b)).toEqual(widths)
  })

  test('the rule again is worth less than a finer instrument', () => {
    const worth = (tool: string) =>
      answer.values.find(({ candidate }) => candidate.tool === tool)?.wrong ?? NaN
    expect(worth('strip')).toBeLessThan(worth('rule'))
    expect(worth('three-contact-scale')).toBeLessThan(worth('rule'))
  })

  test('a tool used often is worth less than another of its kind: it brings its bias along', () => {
    const readings = Array.from({ length: 12 }, () => ({ tool: 'old', reading: scale(0.85) }))
    const kind = { instrument: 'two-contact-scale', bias: { b: 0.1, sb: 0.06 } } as const
    const both: Candidate[] = [
      { tool: 'old', ...kind },
      { tool: 'new', ...kind },
    ]
    const { values } = valuesOf({ before, readings, limit: 0.75, candidates: both })
    expect(values[0]?.candidate.tool).toBe('new')
  })

  test('agrees with drawing the next reading many times over', () => {
    const readings = [{ reading: rule(0.7) }, { reading: rule(0.72) }]
    const random = seededRandom(3)
    const now = densityOf(readings)
    const cumulative = now.density.map(
      (
        (sum) => (d: number) =>
          (sum += d * 0.0025)
      )(0),
    )
    const draws = Array.from({ length: 1500 }, () => {
      const u = random.unit()
      const e = now.e[cumulative.findIndex((value) => value >= u)] ?? 0
      const shown = random.normal(e + random.normal(0, 0.02), Math.hypot(0.05, 0.03))
      const p =
        posterior([...readings.map(({ reading }) => reading), scale(shown, 'three')], [0.75]).pAbove[
          '0.75'
        ] ?? 0
      return Math.min(p, 1 - p)
    })
    const mean = draws.reduce((a, b) => a + b, 0) / draws.length
    const expected =
      answer.values.find(({ candidate }) => candidate.tool === 'three-contact-scale')?.wrong ?? NaN
    // Four standard errors of 1500 draws of something between 0 and a half.
    expect(Math.abs(mean - expected)).toBeLessThan(4 * (0.16 / Math.sqrt(1500)))
  })
})
