import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { firstIndex } from './first-index.ts'
import { meanOf, sumOf } from './mean.ts'

test('finds what looking at every place from the first finds', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 50 })),
      fc.integer({ min: -1, max: 51 }),
      (list, least) => {
        const sorted = [...list].sort((a, b) => a - b)
        const one = sorted.findIndex((value) => value >= least)
        expect(firstIndex(sorted.length, (i) => (sorted[i] ?? 0) >= least)).toBe(
          one < 0 ? sorted.length : one,
        )
      },
    ),
  )
})

test('asks no more often than halving does: 17 times of 100 000', () => {
  let asked = 0
  firstIndex(100_000, (i) => {
    asked++
    return i >= 73_421
  })
  expect(asked).toBeLessThanOrEqual(17)
})

test('sums and means', () => {
  expect(sumOf([1, 2, 3.5])).toBe(6.5)
  expect(sumOf(new Set<number>())).toBe(0)
  expect(meanOf(Float64Array.of(1, 2, 6))).toBe(3)
  expect(meanOf([])).toBeNaN()
})
