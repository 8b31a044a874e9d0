import { describe, expect, test } from '@jest/globals'
import { nextPlace, readingsOf, takeSchema, type TakeDraft } from './take-form.ts'
import { sayAsRead, sayMeaning, sayResultShort } from '../../words/reading.ts'

const context = (units: 'metric' | 'imperial' = 'metric', printScale = 1) => ({
  units,
  links: 116,
  printScale,
})
const draft = (changes: Partial<TakeDraft>): TakeDraft => ({
  instrument: 'rule',
  day: '2026-03-01',
  pitches: 24,
  lowMark: 0.5,
  highMark: 0.75,
  run: 'tight',
  ...changes,
})
const faultOf = (changes: Partial<TakeDraft>, units: 'metric' | 'imperial' = 'metric'): string => {
  const result = readingsOf(draft(changes), context(units))
  return result.ok ? 'taken' : `${result.field}: ${result.fault}`
}

describe('a reading as taken', () => {
  test('with a rule in mm or in inches is the same reading', () => {
    const mm = readingsOf(draft({ length: 306.324 }), context())
    const inches = readingsOf(draft({ length: 12.06 }), context('imperial'))
    if (!mm.ok || !inches.ok) throw new Error('both are sound')
    expect(mm.elongation).toBeCloseTo(inches.elongation ?? NaN, 9)
    expect(mm.readings).toEqual([{ instrument: 'rule', pitches: 24, lengthMm: 306.324 }])
  })

  test('with a two-sided gauge is a reading of each side that was tried', () => {
    const both = readingsOf(
      draft({ instrument: 'two-contact-limit', low: 'drops', high: 'starts', run: 'slack' }),
      context(),
    )
    expect(both).toEqual({
      ok: true,
      readings: [
        { instrument: 'two-contact-limit', limit: 0.5, result: 'drops', slack: true },
        { instrument: 'two-contact-limit', limit: 0.75, result: 'starts', slack: true },
      ],
    })
    const one = readingsOf(draft({ instrument: 'three-contact-limit', high: 'clear' }), context())
    expect(one.ok && one.readings).toHaveLength(1)
  })

  test('with a strip printed too large is shortened by what its check bar told', () => {
    const strip = draft({ instrument: 'strip', pitches: 20, length: 254 })
    const result = readingsOf(strip, context('metric', 201 / 200))
    expect(result.ok && result.elongation).toBeCloseTo(0.5, 9)
  })

  test('with a scale or as a hint is what was seen', () => {
    const scale = readingsOf(draft({ instrument: 'two-contact-scale', percent: 0.7 }), context())
    expect(scale.ok && scale.readings).toEqual([{ instrument: 'two-contact-scale', percent: 0.7 }])
    const lift = readingsOf(draft({ instrument: 'ring-lift', lift: 'light' }), context())
    expect(lift.ok && lift.readings).toEqual([{ instrument: 'ring-lift', result: 'light' }])
    const play = readingsOf(draft({ instrument: 'side-play', play: 'much' }), context())
    expect(play.ok && play.readings).toEqual([{ instrument: 'side-play', result: 'much' }])
  })

  test('with a caliper gives elongation free of rollers and play', () => {
    const result = readingsOf(
      draft({ instrument: 'caliper-pair', pitches: 8, inside: 94.4, outside: 109.5 }),
      context(),
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
    [{ instrument: 'caliper-pair', pitches: 8, inside: 109, outside: 94 }, /inside: .*swapped/],
    [{ instrument: 'caliper-pair', pitches: 8, inside: 100, outside: 120 }, /outside: That would be/],
    [{ instrument: 'two-contact-limit' }, /low: Say what/],
    [
      { instrument: 'two-contact-limit', low: 'starts', high: 'drops' },
      /high: 0\.75 drops but 0\.5 does not: read both again/,
    ],
    [{ length: 306, place: 116 }, /place: The chain has 116 links/],
    [
      { length: 306, place: 100 },
      /place: From link 100 the span runs over the joining link: start at link 91/,
    ],
    [
      { instrument: 'three-contact-limit', low: 'clear', high: 'starts' },
      /high: 0\.75 enters but 0\.5 does not/,
    ],
  ])('%.60p', (changes, said) => {
    expect(faultOf(changes)).toMatch(said)
  })

  test('a length in mm where inches are shown is asked about', () => {
    expect(faultOf({ length: 306 }, 'imperial')).toMatch(/was that in mm/)
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
    expect(await check({ ...typed, length: 'long' })).toMatch(/“long” is not a number/)
    expect(await check({ ...typed, length: '-3' })).toMatch(/more than nothing/)
    expect(await check({ ...typed, pitches: '2.5' })).toMatch(/Only a whole number/)
    expect(await check({ ...typed, place: '0' })).toMatch(/joining link/)
    expect(await check({ ...typed, place: '' })).toBe('fine')
    const scale = { ...typed, instrument: 'two-contact-scale' }
    expect(await check({ ...scale, percent: '1,125' })).toBe('fine')
    expect(await check({ ...scale, percent: '45' })).toMatch(/off the scale/)
  })
})

describe('where to read next', () => {
  test('three places, well apart and away from the joining link', () => {
    const first = nextPlace(116, [])
    const second = nextPlace(116, [first])
    const third = nextPlace(116, [first, second])
    expect([first, second, third]).toEqual([10, 48, 87])
    expect(third + 24).toBeLessThan(116)
  })

  test('a place read by hand nearby counts as read', () => {
    expect(nextPlace(116, [12])).toBe(48)
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
