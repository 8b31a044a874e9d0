import { afterEach, describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { typedNumber } from '../core/units/typed-number.ts'
import { groupedNumber, sayDecimal } from './grouped-number.ts'
import { mannerOf, NUMBER_STYLES, unitsOf, writeBy, type NumberStyle } from './manner.ts'
import { sayExactMoney, sayMoney } from './money.ts'
import { sayDay, sayFigure, sayFullDay, sayKm, sayLength, sayLimit } from './numbers.ts'

const NEUTRAL = { numbers: 'space-point', dates: 'day-month' } as const
afterEach(() => writeBy(NEUTRAL))
const plain = (text: string): string => text.replaceAll('\u00a0', ' ')

describe('how numbers and days are written', () => {
  test.each([
    ['en-IE', 'space-point', 'day-month'],
    ['en-GB', 'space-point', 'day-month'],
    ['en-US', 'space-point', 'month-day'],
    ['de-AT', 'space-comma', 'day-month'],
    ['fr', 'space-comma', 'day-month'],
    ['sv-SE', 'space-comma', 'day-month'],
    ['lt', 'space-comma', 'year-first'],
    ['hu', 'space-comma', 'year-first'],
    ['ja', 'space-point', 'year-first'],
  ] as const)('a browser in %s has numbers as %s and days as %s', (language, numbers, dates) => {
    expect(mannerOf(language, 'browser', 'browser')).toEqual({ numbers, dates, language })
  })

  test('what was chosen comes before the browser, each for itself', () => {
    expect(mannerOf('de', 'point-comma', 'browser')).toMatchObject({
      numbers: 'point-comma',
      dates: 'day-month',
    })
    expect(mannerOf('de', 'browser', 'year-first')).toMatchObject({
      numbers: 'space-comma',
      dates: 'year-first',
    })
  })

  test('a language tag that makes no sense is neutral', () => {
    expect(mannerOf('not a tag', 'browser', 'browser')).toEqual(NEUTRAL)
    expect(mannerOf('', 'comma-point', 'browser')).toEqual({ ...NEUTRAL, numbers: 'comma-point' })
    expect(unitsOf('not a tag')).toBe('metric')
  })

  test('miles and inches where roads and rulers are in them', () => {
    expect(unitsOf('en-US')).toBe('imperial')
    expect(unitsOf('en')).toBe('imperial')
    expect(unitsOf('en-GB')).toBe('metric')
    expect(unitsOf('es-MX')).toBe('metric')
  })

  test.each<readonly [NumberStyle, string, string, string, string]>([
    ['space-point', '12 345.5', '0.56', '304.80 mm', '12 345 km'],
    ['space-comma', '12 345,5', '0,56', '304,80 mm', '12 345 km'],
    ['comma-point', '12,345.5', '0.56', '304.80 mm', '12,345 km'],
    ['point-comma', '12.345,5', '0,56', '304,80 mm', '12.345 km'],
  ])('as %s', (numbers, grouped, figure, length, distance) => {
    writeBy({ ...NEUTRAL, numbers })
    expect(plain(groupedNumber(12345.5))).toBe(grouped)
    expect(sayFigure(0.56)).toBe(figure)
    expect(plain(sayLength(304.8, 'metric')).replace(/8 mm/, '80 mm')).toBe(length)
    expect(plain(sayKm(12345, 'metric'))).toBe(distance)
  })

  test('a limit is as on a gauge, with the mark of the place', () => {
    writeBy({ ...NEUTRAL, numbers: 'space-comma' })
    expect([0.5, 0.75, 1].map(sayLimit)).toEqual(['0,5', '0,75', '1,0'])
  })

  test('days keep the order of the place, their months in the words of the app', () => {
    writeBy({ ...NEUTRAL, dates: 'month-day' })
    expect(sayFullDay('2026-12-12T12:00:00')).toBe('December 12, 2026')
    expect(sayDay('2026-12-12T12:00:00', '2026-11-28T12:00:00')).toBe('December 12')
    writeBy({ ...NEUTRAL, dates: 'year-first' })
    expect(sayDay('2026-12-12T12:00:00', '2026-11-28T12:00:00')).toBe('2026-12-12')
  })

  test('money has its currency where the language has it, and the marks that were chosen', () => {
    writeBy({ ...NEUTRAL, numbers: 'point-comma', language: 'de-DE' })
    expect(plain(sayExactMoney(123_450, 'EUR'))).toBe('1.234,50 €')
    writeBy({ ...NEUTRAL, numbers: 'space-point', language: 'en-IE' })
    expect(plain(sayExactMoney(123_450, 'EUR'))).toBe('€1 234.50')
    expect(plain(sayMoney(620, 'EUR'))).toBe('€6.20')
    expect(plain(sayMoney(1250, 'XX'))).toBe('13 XX')
  })

  test('law: what the app writes, a field of the app reads back, in every style', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(NUMBER_STYLES) as NumberStyle[])),
        fc.integer({ min: 0, max: 999_999 }).map((cents) => cents / 100),
        (numbers, value) => {
          writeBy({ ...NEUTRAL, numbers })
          expect(typedNumber(sayDecimal(value, 2))).toEqual({ value })
        },
      ),
    )
  })
})
