import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { evenlySpaced } from './resample.ts'

test('each place comes as often as its weight has it, to within one', () => {
  fc.assert(
    fc.property(
      fc
        .array(fc.integer({ min: 0, max: 50 }), { minLength: 1, maxLength: 20 })
        .filter((w) => w.some((one) => one > 0)),
      fc.integer({ min: 1, max: 200 }),
      fc.double({ min: 0, max: 0.999, noNaN: true }),
      (weights, count, start) => {
        const total = weights.reduce((a, b) => a + b, 0)
        const picked = [...evenlySpaced(weights, count, start)]
        expect(picked).toHaveLength(count)
        expect(picked).toEqual([...picked].sort((a, b) => a - b))
        weights.forEach((weight, i) => {
          const times = picked.filter((place) => place === i).length
          expect(Math.abs(times - (count * weight) / total)).toBeLessThan(1 + 1e-9)
        })
      },
    ),
  )
})
