import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { searchWithout, viewOf, type AnyFinding } from './finder.ts'
import { testsLeft, weigh, type Answers } from './infer.ts'
import { chancesOf, WAYS } from './network.ts'
import { SHIFTING, type ShiftFinding } from './shifting-network.ts'

const search = searchWithout('shifting', new Set(['derailleur', 'cable', 'two-rings']))
const { ready, rates } = search
const FINDINGS = ready.findings as readonly ShiftFinding[]

/** Any answers to any of the questions. */
const someAnswers = fc
  .array(fc.tuple(fc.constantFrom(...FINDINGS), fc.nat(9)), { maxLength: 8 })
  .map((picked): Answers<AnyFinding> =>
    Object.fromEntries(
      picked.map(([finding, n]) => {
        const { values } = SHIFTING.findings[finding]
        return [finding, values[n % values.length] ?? values[0]]
      }),
    ),
  )

describe('whatever is answered', () => {
  test('weights stay chances that sum to one', () => {
    fc.assert(
      fc.property(someAnswers, (answers) => {
        const weights = weigh(ready, rates, answers)
        expect(weights.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9)
        expect(Math.min(...weights)).toBeGreaterThanOrEqual(0)
      }),
      { numRuns: 40 },
    )
  })

  test('the order in which it was answered does not matter', () => {
    fc.assert(
      fc.property(someAnswers, (answers) => {
        const turned = Object.fromEntries(Object.entries(answers).reverse()) as Answers<AnyFinding>
        const [a, b] = [weigh(ready, rates, answers), weigh(ready, rates, turned)]
        a.forEach((one, i) => expect(one).toBeCloseTo(b[i] ?? NaN, 12))
      }),
      { numRuns: 20 },
    )
  })

  test('a test is expected to leave as much likelihood to each cause as it found: the mean over its answers is what was', () => {
    fc.assert(
      fc.property(someAnswers, fc.constantFrom(...FINDINGS), (answers, finding) => {
        if (answers[finding] !== undefined) return
        const { ranking } = viewOf(search, answers)
        const weights = weigh(ready, rates, answers)
        const { values } = SHIFTING.findings[finding]
        for (const { cause, p } of ranking.causes.slice(0, 3)) {
          let mean = 0
          values.forEach((value, v) => {
            const chance = weights.reduce((sum, w, i) => sum + w * (ready.chances[finding][i]?.[v] ?? 0), 0)
            const then = viewOf(search, { ...answers, [finding]: value }).ranking.causes.find(
              (one) => one.cause === cause,
            )
            mean += chance * (then?.p ?? 0)
          })
          expect(mean).toBeCloseTo(p, 6)
        }
      }),
      { numRuns: 15 },
    )
  })

  test('tests are never felt ones, never made twice, and tell no less than nothing', () => {
    fc.assert(
      fc.property(someAnswers, (answers) => {
        const { ranking } = viewOf(search, answers)
        for (const { finding, gain, worth } of testsLeft(ready, ranking, answers, () => false)) {
          expect(answers[finding]).toBeUndefined()
          expect(SHIFTING.findings[finding as ShiftFinding].way).not.toBe('feel')
          expect(gain).toBeGreaterThanOrEqual(0)
          expect(worth).toBeLessThanOrEqual(gain)
        }
      }),
      { numRuns: 30 },
    )
  })

  test('where a hard push is in play, no test is a ride', () => {
    fc.assert(
      fc.property(someAnswers, (answers) => {
        const { next } = viewOf(search, { ...answers, load: 'hard-only' })
        expect(next.every(({ finding }) => SHIFTING.findings[finding as ShiftFinding].way !== 'ride')).toBe(
          true,
        )
      }),
      { numRuns: 30 },
    )
  })
})

test('a network made ready has the chances of its sets, each as if it were worked out alone', () => {
  fc.assert(
    fc.property(fc.nat(ready.sets.length - 1), fc.constantFrom(...FINDINGS), (at, finding) => {
      expect(ready.chances[finding][at]).toEqual(
        chancesOf(ready.network.findings[finding], ready.sets[at] ?? []),
      )
    }),
    { numRuns: 300 },
  )
})

test('ways go from the safest to the most dangerous, and every test has a time', () => {
  expect(WAYS.at(-1)).toBe('ride')
  for (const { way, minutes } of Object.values(SHIFTING.findings))
    expect(minutes > 0).toBe((way as string) !== 'feel')
})
