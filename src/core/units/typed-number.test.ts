import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { typedNumber } from './typed-number.ts'

describe('a number as people type it', () => {
  test.each([
    ['305.5', 305.5],
    ['305,5', 305.5],
    [' 12,75 mm', 12.75],
    ['1 234,5 km', 1234.5],
    ['1\u00a0234', 1234],
    ["1'234.5", 1234.5],
    ['1,234.5', 1234.5],
    ['1.234,5', 1234.5],
    ['1,234,567', 1234567],
    ['1.234.567', 1234567],
    ['12.066 in', 12.066],
    ['\u22120.02 %', -0.02],
    ['0,123', 0.123],
    [',5', 0.5],
    ['7.', 7],
  ])('%s', (text, value) => {
    expect(typedNumber(text)).toEqual({ value })
  })

  test.each([
    ['', 'empty'],
    ['  ', 'empty'],
    ['km', 'not-a-number'],
    ['12 and a half', 'not-a-number'],
    ['1,2,3', 'not-a-number'],
    ['1e5', 'not-a-number'],
    ['0x10', 'not-a-number'],
    ['Infinity', 'not-a-number'],
    ['1,234', 'two-ways'],
  ])('"%s" is %s', (text, fault) => {
    expect(typedNumber(text)).toEqual({ fault })
  })

  test('a comma that could mean two things is read by what the field can hold', () => {
    expect(typedNumber('1,234', { least: 100, most: 5000 })).toEqual({ value: 1234 })
    expect(typedNumber('1,234', { most: 10 })).toEqual({ value: 1.234 })
    expect(typedNumber('1,234', { most: 0.5 })).toEqual({ fault: 'too-large' })
    expect(typedNumber('-3', { least: 0 })).toEqual({ fault: 'too-small' })
  })

  test('whatever is written with a point or, of one or two decimals, with a comma is read as it was', () => {
    fc.assert(
      fc.property(fc.integer({ min: -1e6, max: 1e6 }), fc.constantFrom(1, 10, 100), (whole, by) => {
        const value = whole / by
        const text = String(value)
        expect(typedNumber(text)).toEqual({ value })
        expect(typedNumber(text.replace('.', ','))).toEqual({ value })
      }),
    )
  })
})
