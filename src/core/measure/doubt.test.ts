import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { seededRandom } from '../stats/random.ts'
import { biasSpreads, biasSpreadsSlope, tailBend, tailLog, tailNodes, tailSlope } from './bias-tail.ts'
import { lengthAtElongation } from './elongation.ts'
import { likelihoodByTool } from './instrument-likelihood.ts'
import { evidenceOf } from './likelihood.ts'
import { logAt, rowAt, tableRow } from './log-table.ts'
import { readingTable } from './reading-table.ts'
import type { Reading } from './reading.ts'
import { slipOf } from './slip.ts'

const scale = (percent: number): Reading => ({ instrument: 'three-contact-scale', percent })
const rule = (percent: number): Reading => ({
  instrument: 'rule',
  pitches: 24,
  lengthMm: lengthAtElongation(24, percent),
})
const side = (result: 'clear' | 'starts' | 'drops' | 'not-in'): Reading => ({
  instrument: 'two-contact-limit',
  limit: 0.75,
  result,
})
const tableOf = (reading: Reading) => {
  const evidence = evidenceOf(reading)
  const slip = slipOf({ reading }, evidence)
  const { table, value } = readingTable(evidence, slip)
  return { at: (centre: number) => logAt(table, centre - value), slip, sd: evidence.sd }
}

describe('a reading that may be a slip', () => {
  test('is as likely as a normal has it where it fits, and no less than a slip however far off', () => {
    const { at, slip, sd } = tableOf(scale(0.4))
    expect(at(0.4)).toBeCloseTo(Math.log(0.97 + slip.share), 6)
    // Spread evenly over 1.2 %, against a normal density whose height is 1 / (sd sqrt(2 pi)).
    expect(slip.share).toBeCloseTo((0.03 / 1.2) * sd * Math.sqrt(2 * Math.PI), 12)
    for (const far of [1.2, 3, -2]) expect(at(far)).toBeCloseTo(Math.log(slip.share), 6)
  })

  test('answers each alike', () => {
    for (const [result, share] of [
      ['clear', 1],
      ['starts', 1],
      ['drops', 1],
      ['not-in', 2],
    ] as const)
      expect(tableOf(side(result)).at(result === 'drops' ? -0.4 : 2.4)).toBeCloseTo(
        Math.log((0.03 * share) / 3),
        2,
      )
  })

  test('never says more than the reading itself does', () => {
    fc.assert(
      fc.property(fc.double({ min: -0.4, max: 2, noNaN: true }), (centre) => {
        expect(tableOf(rule(0.6)).at(centre)).toBeLessThan(0.01)
        expect(tableOf(side('starts')).at(centre)).toBeLessThan(0)
      }),
    )
  })
})

test('tables laid end to end say what each says alone, slope included, and beyond their ends too', () => {
  const tables = [scale(0.4), side('starts'), scale(0.7), rule(0.6)].map((reading) => {
    const evidence = evidenceOf(reading)
    return readingTable(evidence, slipOf({ reading }, evidence))
  })
  const row = tableRow(
    tables.map(({ table }) => table),
    Float64Array.from(tables, ({ value }) => value),
  )
  const [alone, together] = [new Float64Array(1), new Float64Array(1)]
  fc.assert(
    fc.property(fc.double({ min: -3, max: 5, noNaN: true }), fc.nat(tables.length - 1), (centre, n) => {
      const { table, value } = tables[n] ?? readingTable(evidenceOf(scale(0)), { chance: 0, share: 0 })
      expect(rowAt(row, n, centre, together)).toBeCloseTo(logAt(table, centre - value, alone), 9)
      expect(together[0]).toBeCloseTo(alone[0] ?? NaN, 6)
    }),
  )
  // The two figures of one tool share a table: three tables, not four.
  expect(row.held).toHaveLength(
    [tables[0], tables[1], tables[3]].reduce((sum, one) => sum + (one?.table.held.length ?? 0), 0),
  )
})

test('a reading that its rider is sure of is no slip', () => {
  const reading = scale(0.4)
  const evidence = evidenceOf(reading)
  const { table } = readingTable(evidence, slipOf({ reading, isSure: true }, evidence))
  expect(logAt(table, 5 * evidence.sd)).toBeCloseTo(-12.5, 5)
})

describe('a bias with long tails', () => {
  test('is drawn as its definition has it: spreads times sinh(1.1 z) / 1.1', () => {
    const { offsets, logWeights } = tailNodes({ b: 0.1, sb: 0.06 }, 200)
    const random = seededRandom(3)
    const spread = (z: number) => 0.1 + (0.06 * 0.85 * Math.sinh(1.1 * z)) / 1.1
    const drawn = Array.from({ length: 40_000 }, () => spread(random.normal(0, 1)))
    for (const limit of [0, 0.1, 0.15, 0.25, 0.4]) {
      const below = offsets.reduce(
        (sum, at, k) => sum + (at <= limit ? Math.exp(logWeights[k] ?? -Infinity) : 0),
        0,
      )
      expect(Math.abs(below - drawn.filter((at) => at <= limit).length / drawn.length)).toBeLessThan(0.02)
    }
  })

  test('has the slopes of its density', () => {
    fc.assert(
      fc.property(fc.double({ min: -6, max: 6, noNaN: true }), (y) => {
        const h = 1e-5
        expect((tailLog(y + h) - tailLog(y - h)) / (2 * h)).toBeCloseTo(tailSlope(y), 5)
        expect((biasSpreads(y + h) - biasSpreads(y - h)) / (2 * h)).toBeCloseTo(biasSpreadsSlope(y), 5)
        expect(tailBend(y)).toBeGreaterThan(0)
      }),
    )
  })

  test('lets two tools that agree outvote one that is far off', () => {
    const high: Reading = { instrument: 'two-contact-scale', percent: 0.75 }
    const taken = [scale(0.3), rule(0.32), high, high, high].map((reading) => ({ reading }))
    const best = (isDoubted: boolean) => {
      const parts = [...likelihoodByTool(taken, () => 0, isDoubted).values()]
      const grid = Array.from({ length: 161 }, (_, i) => i / 200)
      const logs = grid.map((e) => parts.reduce((sum, part) => sum + part([e]), 0))
      return grid[logs.indexOf(Math.max(...logs))] ?? NaN
    }
    expect(Math.abs(best(true) - 0.3)).toBeLessThan(Math.abs(best(false) - 0.3))
    expect(best(true)).toBeLessThan(0.35)
  })
})
