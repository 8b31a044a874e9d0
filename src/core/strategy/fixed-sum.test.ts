import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { chooseWithin, costOf, type FixedSum, type JobOption } from './fixed-sum.ts'

/** The best by trying every set: nothing of the search is used. */
function best({ sum, ratePerHour, options }: FixedSum): { value: number; total: number } {
  let found = { value: 0, total: 0 }
  for (let bits = 0; bits < 2 ** options.length; bits++) {
    const taken = options.filter((_, i) => (bits >> i) & 1)
    const has = (id: string): boolean => taken.some((one) => one.id === id)
    const isRight = taken.every(
      ({ available, needs = [], needsOneOf = [], excludes = [] }) =>
        available !== false &&
        needs.every(has) &&
        needsOneOf.every((group) => group.some(has)) &&
        !excludes.some(has),
    )
    const total = taken.reduce((all, one) => all + costOf(one, ratePerHour), 0)
    const value = taken.reduce((all, one) => all + one.value, 0)
    if (!isRight || total > sum + 1e-9) continue
    if (value > found.value + 1e-9 || (value > found.value - 1e-9 && total < found.total - 1e-9))
      found = { value, total }
  }
  return found
}

const someJob = fc
  .record({
    sum: fc.integer({ min: 0, max: 300 }),
    ratePerHour: fc.constantFrom(0, 30, 60),
    options: fc.array(
      fc.record({
        price: fc.integer({ min: 0, max: 120 }),
        minutes: fc.constantFrom(0, 10, 30, 60),
        value: fc.integer({ min: 0, max: 30 }),
        available: fc.boolean(),
        needs: fc.array(fc.nat(8), { maxLength: 2 }),
        oneOf: fc.array(fc.nat(8), { maxLength: 2 }),
        excludes: fc.array(fc.nat(8), { maxLength: 1 }),
      }),
      { maxLength: 9 },
    ),
  })
  .map(({ options, ...rest }): FixedSum => {
    const names = (list: readonly number[], own: number): string[] =>
      list.filter((i) => i < options.length && i !== own).map((i) => `o${i}`)
    return {
      ...rest,
      options: options.map(({ needs, oneOf, excludes, available, ...one }, i) => ({
        ...one,
        id: `o${i}`,
        // Two in three can be had.
        available: available || i % 3 > 0,
        needs: names(needs, i),
        needsOneOf: names(oneOf, i).length > 0 ? [names(oneOf, i)] : [],
        excludes: names(excludes, i),
      })),
    }
  })

const option = (id: string, price: number, value: number, more: Partial<JobOption> = {}): JobOption => ({
  id,
  price,
  minutes: 0,
  value,
  ...more,
})

describe('a job under a fixed sum', () => {
  test('is worth as much as the best of all sets, and costs no more than that', () => {
    fc.assert(
      fc.property(someJob, (job) => {
        const { value, total } = chooseWithin(job)
        const brute = best(job)
        expect(value).toBeCloseTo(brute.value, 9)
        expect(total).toBeCloseTo(brute.total, 9)
      }),
      { numRuns: 300 },
    )
  })

  test('work costs money too, and of equal worth the cheaper is taken', () => {
    const job = {
      sum: 40,
      ratePerHour: 60,
      options: [option('a', 20, 5, { minutes: 30 }), option('b', 30, 5)],
    }
    expect(chooseWithin(job)).toEqual({ chosen: ['b'], total: 30, value: 5 })
  })

  test('a cassette without a chain makes no sense; two that need one another come together', () => {
    const chain = option('chain', 30, 9)
    const cassette = option('cassette', 50, 20, { needs: ['chain'] })
    expect(chooseWithin({ sum: 60, ratePerHour: 0, options: [chain, cassette] }).chosen).toEqual(['chain'])
    const both = [option('left', 10, 1, { needs: ['right'] }), option('right', 10, 1, { needs: ['left'] })]
    expect(chooseWithin({ sum: 15, ratePerHour: 0, options: both }).chosen).toEqual([])
    expect(chooseWithin({ sum: 20, ratePerHour: 0, options: both }).chosen).toEqual(['left', 'right'])
  })

  test.each<readonly [string, Partial<FixedSum>, RegExp]>([
    ['a sum that is none', { sum: NaN }, /Give the sum/],
    ['an hour that pays', { ratePerHour: -1 }, /price of an hour/],
    ['a price under 0', { options: [option('a', -5, 1)] }, /"a" are numbers, 0 or more/],
    ['a need that is not there', { options: [option('a', 5, 1, { needs: ['b'] })] }, /"a" needs "b"/],
    ['a name twice', { options: [option('a', 5, 1), option('a', 6, 1)] }, /same name/],
  ])('%s is said', (_, part, said) => {
    expect(() => chooseWithin({ sum: 10, ratePerHour: 0, options: [], ...part })).toThrow(said)
  })
})
