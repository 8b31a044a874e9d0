import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cassettesWith, cogRange, isUsualCogCount } from './cassettes.ts'

describe('a cassette written by its range', () => {
  test.each([
    ['11-28', 11, 28],
    ['11–34', 11, 34],
    ['10 - 51', 10, 51],
    ['11 to 42', 11, 42],
    ['11/28', 11, 28],
    ['28-11', 11, 28],
    ['11-28T', 11, 28],
  ])('%s', (text, smallest, largest) => {
    expect(cogRange(text)).toEqual({ smallest, largest })
  })

  test.each(['11 13 15', '11 28', '18', '16-18', '', '11-13-15-17', 'eleven to 28'])(
    '"%s" is none',
    (text) => {
      expect(cogRange(text)).toBeUndefined()
    },
  )

  test('is offered with every usual number of cogs, the common ones as they are made', () => {
    const offers = cassettesWith({ smallest: 11, largest: 28 })
    expect(offers.map(({ teeth }) => teeth.length)).toEqual([7, 8, 9, 10, 11, 12])
    expect(offers.find(({ teeth }) => teeth.length === 10)).toEqual({
      teeth: [11, 12, 13, 14, 15, 17, 19, 21, 24, 28],
      isCommon: true,
    })
    expect(offers.find(({ teeth }) => teeth.length === 9)?.isCommon).toBe(false)
  })

  test('whatever the range, an offer begins and ends with it and climbs', () => {
    fc.assert(
      fc.property(fc.integer({ min: 9, max: 16 }), fc.integer({ min: 5, max: 44 }), (smallest, more) => {
        for (const { teeth } of cassettesWith({ smallest, largest: smallest + more })) {
          expect([teeth[0], teeth.at(-1)]).toEqual([smallest, smallest + more])
          expect(teeth.every((cog, i) => i === 0 || cog > (teeth[i - 1] ?? cog))).toBe(true)
        }
      }),
    )
  })
})

test('a count of cogs is usual from five to thirteen, or one', () => {
  expect([1, 5, 8, 13].every(isUsualCogCount)).toBe(true)
  expect([0, 2, 3, 4, 14].some(isUsualCogCount)).toBe(false)
})
