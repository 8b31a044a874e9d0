import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { believedCogs } from './believed.ts'
import { evidenceLikelihood, type ToothEvidence } from './evidence.ts'
import { testWorth } from './next-test.ts'
import { skipMargin, skipRisk } from './skip.ts'
import { TOOTH_WORDS, toothWord } from './tooth-word.ts'

const worn = fc.double({ min: 0, max: 2, noNaN: true })
const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0)

describe('the risk that a chain skips', () => {
  test('is a half at the margin, which grows by 0.01 % a tooth', () => {
    expect(skipMargin(11)).toBe(0.45)
    expect(skipMargin(15)).toBeCloseTo(0.49, 12)
    expect(skipRisk(0.6, 0.15, 11)).toBeCloseTo(0.5, 12)
    expect(skipRisk(0.6, 0.15, 11, 0.06)).toBeCloseTo(1 / (1 + Math.E), 12)
  })

  test('falls with the chain’s own elongation: an old chain runs where a fresh one does not', () => {
    fc.assert(
      fc.property(worn, fc.integer({ min: 9, max: 52 }), (w, teeth) => {
        expect(skipRisk(w, 0.5, teeth)).toBeLessThanOrEqual(skipRisk(w, 0, teeth))
      }),
    )
  })
})

describe('what was found out about a cog', () => {
  test('is one of its outcomes: their chances sum to one', () => {
    fc.assert(
      fc.property(worn, (w) => {
        const all = (found: readonly ToothEvidence[]): number =>
          sum(found.map((one) => evidenceLikelihood(one, w, 15)))
        expect(all(TOOTH_WORDS.map((word) => ({ kind: 'look', word })))).toBeCloseTo(1, 6)
        expect(all((['pass', 'condemn'] as const).map((result) => ({ kind: 'tool', result })))).toBeCloseTo(
          1,
          12,
        )
        expect(
          all((['held', 'skipped'] as const).map((result) => ({ kind: 'ride', result, chain: 0 }))),
        ).toBeCloseTo(1, 12)
      }),
    )
  })

  test('by tool: of bad cogs 6 in 10 are condemned, of good ones 1 in 20; on the road 9 in 10 and 3 in 100', () => {
    const condemned = (w: number) => evidenceLikelihood({ kind: 'tool', result: 'condemn' }, w, 11)
    expect(condemned(1.9)).toBeCloseTo(0.6, 6)
    expect(condemned(0)).toBeCloseTo(0.05, 3)
    const skipped = (w: number) => evidenceLikelihood({ kind: 'ride', result: 'skipped', chain: 0 }, w, 11)
    expect(skipped(1.9)).toBeCloseTo(0.9, 6)
    expect(skipped(0)).toBeCloseTo(0.03, 3)
  })

  test('by eye is the word itself as likely as not, half-way between two words', () => {
    const between = evidenceLikelihood({ kind: 'look', word: 'fresh' }, 0.1, 15)
    expect(between).toBeCloseTo(0.5, 6)
    expect(toothWord(0.1)).toBe('good')
    expect([0, 0.2, 0.4, 0.6, 0.9].map(toothWord)).toEqual(TOOTH_WORDS)
  })

  test('in a picture is likeliest where it was measured to be', () => {
    const at = (w: number) => evidenceLikelihood({ kind: 'picture', mm: 0.4 }, w, 15)
    expect(at(0.5)).toBeGreaterThan(at(0.3))
    expect(at(0.45)).toBeGreaterThan(at(0.8))
    // A picture that is unsure of itself says less.
    const unsure = (w: number) => evidenceLikelihood({ kind: 'picture', mm: 0.4, sdMm: 0.5 }, w, 15)
    expect(unsure(0.5) / unsure(1)).toBeLessThan(at(0.5) / at(1))
  })
})

describe('several cogs of one rider', () => {
  const cog = (teeth: number, ...evidence: ToothEvidence[]) => ({ teeth, mean: 0.5, sd: 0.15, evidence })

  test('without evidence are as believed beforehand', () => {
    const { worn: mean } = believedCogs([cog(13)], 0)
    expect(mean['13']).toBeCloseTo(0.5, 2)
  })

  test('share one threshold: a skip on the 13 makes one on the 15 likelier, though its teeth are as before', () => {
    const alone = believedCogs([cog(13), cog(15)], 0)
    const told = believedCogs([cog(13, { kind: 'ride', result: 'skipped', chain: 0 }), cog(15)], 0)
    expect(told.worn['15']).toBeCloseTo(alone.worn['15'] ?? NaN, 6)
    expect(told.skip['15']).toBeGreaterThan((alone.skip['15'] ?? NaN) + 0.01)
  })

  test('the road counts more than the tool', () => {
    const both = believedCogs(
      [cog(13, { kind: 'tool', result: 'pass' }, { kind: 'ride', result: 'skipped', chain: 0 })],
      0,
    )
    expect(both.skip['13']).toBeGreaterThan(believedCogs([cog(13)], 0).skip['13'] ?? NaN)
  })
})

test('a test never makes one likelier to be wrong, on average over what it may say', () => {
  const count = 400
  const spread = Float32Array.from({ length: count }, (_, i) => 0.2 + (0.6 * i) / count)
  const none = new Float32Array(count)
  const { now, after } = testWorth(
    { worn: spread, teeth: 15 },
    { shift: none, mm: Float32Array.from(spread, () => 0.8) },
  )
  for (const wrong of Object.values(after)) expect(wrong).toBeLessThanOrEqual(now + 1e-9)
  // A hard push on the road says more than the tool.
  expect(after.ride).toBeLessThan(after.tool)
})
