import { expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { limitInHead, useOfHead } from './column-heads.ts'
import { distanceUse, lengthsOf, openQuestions, pitchesOf, strangeWords } from './note-mapping.ts'
import { readNoteTable } from './note-table.ts'
import { understandNotes } from './understand.ts'

const NOW = Date.parse('2026-11-28T12:00:00Z')
const file = (name: string): string => readFileSync(`test/notes/${name}`, 'utf8')
const understood = (text: string) => {
  const table = readNoteTable(text)
  const mapping = understandNotes(table, NOW)
  return { table, mapping, open: openQuestions(table, mapping) }
}

test('a German diary with semicolons, commas and a gauge in words', () => {
  const { mapping, open } = understood(file('gauge-diary.csv'))
  expect(mapping).toMatchObject({
    uses: ['date', 'odometer', 'words', 'words'],
    dates: 'day-first',
    decimals: 'comma',
    unit: 'km',
    yesMeans: 'drops',
  })
  expect(open).toEqual(['contacts'])
})

test('a workshop’s table in miles and inches, two bikes, prices', () => {
  const { mapping, open } = understood(file('two-bikes.tsv'))
  expect(mapping).toMatchObject({
    uses: ['bike', 'date', 'chain-distance', 'length', 'words', 'price'],
    unit: 'miles',
    pitches: 24,
    lengthUnit: 'inches',
    currency: 'USD',
  })
  // One row is a day first: nothing is guessed.
  expect(open).toEqual(['dates'])
})

test('a table without heads is told by its cells, and begins with its first row', () => {
  const { table, mapping, open } = understood(file('waxed-pair.csv'))
  expect(table.isHeadless).toBe(true)
  expect(table.lines[0]).toBe(1)
  expect(table.rows).toHaveLength(10)
  expect(table.rows[6]?.at(-1)).toBe('hot wax, new cable')
  expect(mapping.uses).toEqual(['date', 'chain', 'odometer', 'percent', 'words'])
  expect(open).toEqual(['unit', 'contacts'])
})

test('“0.5 no, 0.75 yes” can only mean that yes is good, and commas in it do not break the row', () => {
  const { table, mapping } = understood(file('yes-is-good.csv').replaceAll('"', ''))
  expect(table.rows[0]).toEqual(['2024-03-01', '3400', '0.5 yes, 0.75 yes'])
  expect(mapping.yesMeans).toBe('good')
})

test('heads are known by what they name', () => {
  expect(useOfHead('Odometer (km)')).toBe('odometer')
  expect(useOfHead('km since last')).toBe('since-last')
  expect(useOfHead('Distance')).toBe('distance')
  expect(useOfHead('0.75 side')).toBe('limit')
  expect(useOfHead('Chain wear %')).toBe('percent')
  expect(useOfHead('chain')).toBe('chain')
  expect(useOfHead('weather')).toBeUndefined()
  expect(limitInHead('0,5 %')).toBe(0.5)
  expect(limitInHead('tyre 2.25')).toBeUndefined()
  expect(limitInHead('12.5 mm')).toBeUndefined()
})

test('a count, a count per chain, rides and distances between rows run differently', () => {
  expect(distanceUse([1200, 1900, 2600])).toBe('odometer')
  expect(distanceUse([0, 800, 1900, 150, 900])).toBe('chain-distance')
  expect(distanceUse([42, 38, 61, 40, 44])).toBe('ride')
  expect(distanceUse([512, 430, 611, 480, 390])).toBe('since-last')
})

test('a length tells over how many links it was taken', () => {
  // 24 pitches of 12.7 mm are 304.8 mm; 10 are 127.0 mm.
  expect(pitchesOf(304.8)).toBe(24)
  expect(pitchesOf(307)).toBe(24)
  expect(pitchesOf(127.6)).toBe(10)
  expect(pitchesOf(310)).toBeUndefined()
  expect(lengthsOf([12.0, 12.03, 12.08])).toEqual({ pitches: 24, unit: 'inches' })
  expect(lengthsOf([127.1, 127.4, 127.9])).toEqual({ pitches: 10, unit: 'mm' })
  expect(lengthsOf([5, 7, 19])).toBeUndefined()
})

test('words beside a side that nobody knows are asked for by name', () => {
  const table = readNoteTable('date,km,0.5,0.75\n2024-01-02,100,wobbly,no\n2024-02-02,900,yes,no\n')
  const mapping = understandNotes(table, NOW)
  expect(mapping.uses).toEqual(['date', 'odometer', 'limit', 'limit'])
  expect(mapping.limits).toEqual({ 2: 0.5, 3: 0.75 })
  expect(strangeWords(table, mapping)).toEqual(['wobbly'])
  expect(openQuestions(table, mapping)).toEqual(['contacts', 'words'])
})
