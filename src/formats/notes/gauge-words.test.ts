import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { areImpossible, resultOf, sidesIn, sideWordOf, yesMeansIn, type SaidSide } from './gauge-words.ts'

const said = (text: string): string =>
  sidesIn(text)
    .map(({ percent, word }) => `${percent} ${word}`)
    .join(', ')

test('limit sides are found in what people write of them', () => {
  expect(said('0.5 no, 0.75 yes')).toBe('0.5 no, 0.75 yes')
  expect(said('0,75: ja; 0,5 ja')).toBe('0.5 yes, 0.75 yes')
  expect(said('.5 drops .75 doesn’t')).toBe('0.5 drops, 0.75 not-in')
  expect(said('past 0.5, not 0.75')).toBe('0.5 drops, 0.75 not-in')
  expect(said('0.5 side partly in')).toBe('0.5 starts')
  expect(said('>0.5 <0.75')).toBe('0.5 drops, 0.75 not-in')
  expect(said('0.75 not at all')).toBe('0.75 clear')
  expect(said('1.0 no')).toBe('1 no')
})

test('figures that are no marks of a side are left alone', () => {
  expect(said('rode 12.5 km')).toBe('')
  expect(said('tyre 2.5 in')).toBe('')
  expect(said('0.55')).toBe('')
  expect(said('paid 10.50 no receipt')).toBe('')
})

test('a word that nobody knows here is asked about', () => {
  expect(sideWordOf('Drops in')).toBe('drops')
  expect(sideWordOf('Nope')).toBe('no')
  expect(sideWordOf('wobbly')).toBeUndefined()
  expect(sideWordOf('x')).toBeUndefined()
})

const side = (percent: number, word: SaidSide['word']): SaidSide => ({ percent, word })

test('yes means that it drops in, or that the chain is good: whichever a chain can do', () => {
  expect(yesMeansIn([[[side(0.5, 'yes'), side(0.75, 'no')]]])).toBe('drops')
  expect(yesMeansIn([[[side(0.5, 'no'), side(0.75, 'yes')]]])).toBe('good')
  // By one side alone: it goes from not yet to past, and not back.
  expect(yesMeansIn([[[side(0.5, 'no')], [side(0.5, 'no')], [side(0.5, 'yes')]]])).toBe('drops')
  expect(yesMeansIn([[[side(0.5, 'yes')], [side(0.5, 'no')]]])).toBe('good')
  expect(yesMeansIn([[[side(0.5, 'yes')]], [[side(0.5, 'no')]]])).toBeUndefined()
  expect(yesMeansIn([])).toBeUndefined()
})

test('whatever a chain does, what was written of it is read back, however yes is meant', () => {
  const wear = fc.array(fc.double({ min: 0, max: 1.2, noNaN: true }), { minLength: 1, maxLength: 12 })
  fc.assert(
    fc.property(wear, fc.constantFrom('drops' as const, 'good' as const), (steps, meant) => {
      const chain = [...steps].sort((a, b) => a - b)
      const readings = chain.map((elongation) =>
        [0.5, 0.75].map((percent) =>
          side(percent, elongation >= percent === (meant === 'drops') ? 'yes' : 'no'),
        ),
      )
      expect(readings.some((sides) => areImpossible(sides, meant))).toBe(false)
      // Where the rows tell it at all, they tell it right.
      expect([meant, undefined]).toContain(yesMeansIn([readings]))
      chain.forEach((elongation, i) =>
        readings[i]?.forEach(({ percent, word }) =>
          expect(resultOf(word, meant) === 'drops').toBe(elongation >= percent),
        ),
      )
    }),
  )
})
