import { describe, expect, test } from '@jest/globals'
import { nextPlace, readingsOf, takeSchema, type TakeDraft } from './take-form.ts'
import { sayAsRead, sayMeaning, sayResultShort } from './say-reading.ts'

const draft = (changes: Partial<TakeDraft>): TakeDraft => ({
  tool: 'rule',
  day: '2026-03-01',
  pitches: 24,
  lowMark: 0.5,
  highMark: 0.75,
  run: 'tight',
  ...changes,
})
const faultOf = (changes: Partial<TakeDraft>, units: 'metric' | 'imperial' = 'metric'): string => {
  const result = readingsOf(draft(changes), units, 116)
  return result.ok ? 'taken' : `${result.field}: ${result.fault}`
}

describe('a reading as taken', () => {
  test('with a rule in mm or in inches is the same reading', () => {
    const mm = readingsOf(draft({ length: 306.324 }), 'metric', 116)
    const inches = readingsOf(draft({ length: 12.06 }), 'imperial', 116)
    if (!mm.ok || !inches.ok) throw new Error('both are sound')
    expect(mm.elongation).toBeCloseTo(inches.elongation ?? NaN, 9)
    expect(mm.readings).toEqual([{ instrument: 'rule', pitches: 24, lengthMm: 306.324 }])
  })

  test('with a two-sided gauge is a reading of each side that was tried', () => {
    const both = readingsOf(
      draft({ tool: 'two-contact-limit', low: 'drops', high: 'starts', run: 'slack' }),
      'metric',
      116,
    )
    expect(both).toEqual({
      ok: true,
      readings: [
        { instrument: 'two-contact-limit', limit: 0.5, result: 'drops', slack: true },
        { instrument: 'two-contact-limit', limit: 0.75, result: 'starts', slack: true },
      ],
    })
    const one = readingsOf(draft({ tool: 'three-contact-limit', high: 'clear' }), 'metric', 116)
    expect(one.ok && one.readings).toHaveLength(1)
  })

  test('with a caliper gives elongation free of rollers and play', () => {
    const result = readingsOf(
      draft({ tool: 'caliper-pair', pitches: 8, inside: 94.4, outside: 109.5 }),
      'metric',
      116,
    )
    expect(result.ok && result.elongation).toBeCloseTo(100 * (101.95 / 101.6 - 1), 9)
  })
})

describe('a reading that cannot be asks a clear question', () => {
  test.each<[Partial<TakeDraft>, RegExp]>([
    [{ length: 317.5 }, /^length: That would be 4\.17 %: did you count 25 pitches/],
    [{ length: 330.2 }, /did you count 26 pitches/],
    [{ length: 12.06 }, /was that in inches/],
    [{ length: 290 }, /did you count 23 pitches/],
    [{ tool: 'caliper-pair', pitches: 8, inside: 109, outside: 94 }, /inside: .*swapped/],
    [{ tool: 'caliper-pair', pitches: 8, inside: 100, outside: 120 }, /outside: That would be/],
    [{ tool: 'two-contact-limit' }, /low: Say what/],
    [
      { tool: 'two-contact-limit', low: 'starts', high: 'drops' },
      /high: The 0\.75 side drops but the 0\.5 side does not/,
    ],
    [{ length: 306, place: 116 }, /place: The chain has 116 links/],
  ])('%.60p', (changes, said) => {
    expect(faultOf(changes)).toMatch(said)
  })

  test('the form itself catches what is missing or no number', async () => {
    const check = (value: unknown) =>
      takeSchema.validate(value, { abortEarly: true }).then(
        () => 'fine',
        (error: Error) => error.message,
      )
    const typed = { ...draft({}), length: '306' }
    expect(await check(typed)).toBe('fine')
    expect(await check({ ...typed, length: '' })).toMatch(/Read the length/)
    expect(await check({ ...typed, length: 'long' })).toMatch(/as a number/)
    expect(await check({ ...typed, length: '-3' })).toMatch(/more than nothing/)
    expect(await check({ ...typed, pitches: '2.5' })).toMatch(/whole pitches/)
    expect(await check({ ...typed, place: '0' })).toMatch(/joining link/)
    expect(await check({ ...typed, place: '' })).toBe('fine')
  })
})

describe('where to read next', () => {
  test('three places, well apart and away from the joining link', () => {
    const first = nextPlace(116, [])
    const second = nextPlace(116, [first])
    const third = nextPlace(116, [first, second])
    expect([first, second, third]).toEqual([19, 58, 97])
  })

  test('a place read by hand nearby counts as read', () => {
    expect(nextPlace(116, [22])).toBe(58)
  })
})

describe('a reading in words', () => {
  test('is told as it was read and as what it means', () => {
    expect(sayAsRead({ instrument: 'two-contact-limit', limit: 0.75, result: 'starts' }, 'metric')).toBe(
      '0.75 side enters, does not seat',
    )
    expect(
      sayMeaning({ reading: { instrument: 'two-contact-limit', limit: 0.75, result: 'drops' } }),
    ).toEqual({
      value: 'over 0.65',
      spread: '0.10 off for play',
    })
    expect(
      sayMeaning({ reading: { instrument: 'three-contact-limit', limit: 0.75, result: 'clear' } }).value,
    ).toBe('under 0.65')
    expect(
      sayMeaning({ reading: { instrument: 'three-contact-limit', limit: 0.75, result: 'starts' } }).value,
    ).toBe('0.65 to 0.75')
    expect(sayMeaning({ reading: { instrument: 'rule', pitches: 24, lengthMm: 306.324 } })).toEqual({
      value: '0.50',
      spread: '±0.23',
    })
  })

  test('is short on the drawing', () => {
    const side = (result: 'clear' | 'starts' | 'drops') =>
      sayResultShort({ instrument: 'three-contact-limit', limit: 0.5, result })
    expect([side('drops'), side('starts'), side('clear')]).toEqual(['0.5 drops', '0.5 enters', 'not 0.5'])
    expect(sayResultShort({ instrument: 'two-contact-scale', percent: 0.7 })).toBe('0.60')
  })
})
