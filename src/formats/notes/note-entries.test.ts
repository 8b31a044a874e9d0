import { describe, expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import type { Entry, EntryDraft } from '../../core/log/entries.ts'
import { chainStory } from '../../core/exposure/chain-story.ts'
import { asIfWritten } from '../../core/log/as-if-written.ts'
import { fittedChain } from '../../core/log/garage.ts'
import { replay } from '../../core/log/replay.ts'
import { faultOfDraft } from '../entry-schema.ts'
import type { NotesBike } from './note-bike.ts'
import { bikeKey, entriesOfNotes, type NotesOutcome } from './note-entries.ts'
import { wholeMapping, type GuessedNotes } from './note-mapping.ts'
import { readNotes } from './note-rows.ts'
import { readNoteTable } from './note-table.ts'
import { understandNotes } from './understand.ts'

const NOW = Date.parse('2026-11-28T12:00:00Z')

const asNew = (name: string): NotesBike => ({
  is: 'new',
  name: name === '' ? 'My bike' : name,
  gears: 'many',
  usual: 'dry-road',
  note: '',
})

function bring(
  text: string,
  said: Partial<GuessedNotes> = {},
  log: readonly Entry[] = [],
  bikes: Readonly<Record<string, NotesBike>> = {},
): NotesOutcome {
  const table = readNoteTable(text)
  const guess = understandNotes(table, NOW, said.uses)
  const mapping = wholeMapping({ ...guess, ...said })
  const notes = readNotes(table, mapping, NOW)
  const garage = replay(log)
  const here = new Map([...garage.bikes.values()].map(({ entry }) => [bikeKey(entry.name), entry.bike]))
  const names = [...new Set(notes.rows.map(({ bike }) => bike))]
  return entriesOfNotes(notes, {
    garage,
    mapping,
    bikes: Object.fromEntries(
      names.map((name): [string, NotesBike] => {
        const bike = here.get(bikeKey(name === '' ? 'My bike' : name))
        return [
          bikeKey(name),
          bikes[bikeKey(name)] ?? (bike === undefined ? asNew(name) : { is: 'here', bike }),
        ]
      }),
    ),
    file: 'notes.csv',
    newId: (what) => what.replace(/[^A-Za-z0-9]+/g, '-').replace(/-+$/, '') || 'it',
    minorPerMajor: 100,
  })
}

const file = (name: string): string => readFileSync(`test/notes/${name}`, 'utf8')
const written = (drafts: readonly EntryDraft[]): readonly Entry[] => asIfWritten([], drafts)
const garageOf = (drafts: readonly EntryDraft[]) => replay(written(drafts))
const whys = ({ rows }: NotesOutcome): string[] =>
  rows.flatMap(({ line, doubts }) => doubts.map(({ why }) => `${line} ${why}`))
const kinds = (drafts: readonly EntryDraft[]): Record<string, number> =>
  drafts.reduce<Record<string, number>>((all, { kind }) => ({ ...all, [kind]: (all[kind] ?? 0) + 1 }), {})

describe('three tables by three strangers', () => {
  test('a diary: two chains, twenty limit readings, and the distance that each chain has done', () => {
    const { drafts } = bring(file('gauge-diary.csv'))
    expect(kinds(drafts)).toMatchObject({
      bike: 1,
      part: 2,
      fit: 2,
      remove: 1,
      odometer: 10,
      reading: 20,
      wash: 2,
    })
    const garage = garageOf(drafts)
    const [first, second] = [...garage.parts.values()]
    // 16,521 − 12,410 on the first chain; 20,104 − 16,521 on the second.
    expect(chainStory(garage, first?.entry.part ?? '').km).toBeCloseTo(4111, 0)
    expect(chainStory(garage, second?.entry.part ?? '').km).toBeCloseTo(3583, 0)
    expect(first?.retired).toBe(true)
    // What was read on the day of the swap is of the chain that came off.
    expect(garage.readings.get(first?.entry.part ?? '')?.at(-1)?.entry.reading).toMatchObject({
      limit: 0.75,
      result: 'drops',
    })
    expect(garage.readings.get(second?.entry.part ?? '')?.[0]?.entry.reading).toMatchObject({
      result: 'not-in',
    })
  })

  test('a workshop’s table: a count that begins again is a chain that was changed', () => {
    const outcome = bring(file('two-bikes.tsv'), { dates: 'month-first' })
    expect(whys(outcome)).toEqual(['6 meant', '13 no-date'])
    const garage = garageOf(outcome.drafts)
    expect(garage.bikes.size).toBe(2)
    const chains = [...garage.parts.values()]
    expect(chains).toHaveLength(4)
    const kmOf = (i: number): number => chainStory(garage, chains[i]?.entry.part ?? '').km
    // 1,905 miles are 3,065.8 km; the second chain of the tourer has 690 miles, 1,110.4 km.
    expect(kmOf(0)).toBeCloseTo(3065.8, 0)
    expect(chains.map(({ entry }) => entry.used?.km)).toContain(338)
    const second = chains.find(({ entry }) => entry.part.includes('tourer-2'))
    expect(chainStory(garage, second?.entry.part ?? '').km).toBeCloseTo(1110.4, 0)
    // The first figure of a new chain, 12.00 inches, is of the new one.
    expect(garage.readings.get(second?.entry.part ?? '')?.[0]?.entry.reading).toMatchObject({
      lengthMm: 304.8,
    })
    expect(outcome.drafts.filter(({ kind }) => kind === 'paid')).toHaveLength(3)
    expect(outcome.drafts).toContainEqual(
      expect.objectContaining({ kind: 'paid', minor: 3150, currency: 'USD' }),
    )
  })

  test('two chains in turn: each gets what was ridden while it was on', () => {
    const { drafts } = bring(file('waxed-pair.csv'), { unit: 'km' })
    const garage = garageOf(drafts)
    expect([...garage.parts.values()].map(({ entry }) => entry.name)).toEqual(['A', 'B'])
    const [a, b] = [...garage.parts.values()]
    // A: 0–655, 1490–2330, 3010–3300. B: 655–1490, 2330–3010.
    expect(chainStory(garage, a?.entry.part ?? '').km).toBeCloseTo(655 + 840 + 290, 0)
    expect(chainStory(garage, b?.entry.part ?? '').km).toBeCloseTo(835 + 680, 0)
    expect(a?.retired).toBe(false)
  })
})

test('whatever comes out of notes is what the log’s own schema takes', () => {
  for (const [name, said] of [
    ['gauge-diary.csv', {}],
    ['two-bikes.tsv', { dates: 'month-first' }],
    ['waxed-pair.csv', { unit: 'km' }],
    ['yes-is-good.csv', {}],
  ] as const) {
    const { drafts } = bring(file(name), said)
    expect(drafts.length).toBeGreaterThan(10)
    for (const draft of drafts) expect([draft, faultOfDraft(draft)]).toEqual([draft, undefined])
  }
})

test('the same notes a second time bring nothing; more rows bring only what is new', () => {
  for (const [name, said] of [
    ['gauge-diary.csv', {}],
    ['two-bikes.tsv', { dates: 'month-first' }],
    ['waxed-pair.csv', { unit: 'km' }],
  ] as const) {
    const log = written(bring(file(name), said).drafts)
    const again = bring(file(name), said, log)
    expect([name, again.drafts]).toEqual([name, []])
    expect(again.rows.some(({ known }) => known > 0)).toBe(true)
  }
  const log = written(bring(file('gauge-diary.csv')).drafts)
  // The name of the device that wrote them makes them no other notes.
  const named = log.map((entry) => ({ ...entry, writtenBy: 'Ada' }))
  expect(bring(file('gauge-diary.csv'), {}, named).drafts).toEqual([])
  const longer = `${file('gauge-diary.csv')}12.10.2025;21.000,0;"0,5 ja, 0,75 ja";\n`
  expect(kinds(bring(longer, {}, log).drafts)).toEqual({ odometer: 1, reading: 2 })
})

test('rides, distances between rows, and what cannot be counted', () => {
  const rides = bring(
    'date,distance km\n2024-05-01,40\n2024-05-02,38\n2024-05-02,38\n2024-05-09,61\n2024-05-11,4000\n',
  )
  expect(kinds(rides.drafts)).toMatchObject({ ride: 4 })
  expect(whys(rides)).toEqual(['6 too-long'])
  const between = bring('date,km since last\n2024-05-01,500\n2024-07-01,450\n2024-09-01,610\n')
  expect(whys(between)).toEqual(['2 nothing-before'])
  const garage = garageOf(between.drafts)
  expect(chainStory(garage, [...garage.parts.keys()][0] ?? '').km).toBeCloseTo(1060, 0)
  const back = bring('date,odometer km\n2024-05-01,500\n2024-07-01,450\n2024-09-01,610\n')
  expect(whys(back)).toEqual(['3 counts-back'])
})

test('what is wrong in a row is told by its line, and the rest of the row comes in', () => {
  const outcome = bring(
    'date,odometer km,elongation,0.5,0.75,cost €\n2024-05-01,100,0.1,no,yes,\nsoon,200,0.2,no,no,\n2024-06-01,x,7,no,no,gift\n2024-07-01,400,0.3,no,no,12\n1985-07-01,400,0.3,no,no,12\n',
    { yesMeans: 'drops' },
  )
  expect(whys(outcome)).toEqual([
    '2 sides-contradict',
    '3 no-date',
    '4 no-distance',
    '4 no-stretch',
    '4 no-price',
    '6 far-date',
  ])
  expect(outcome.rows.find(({ line }) => line === 4)?.drafts).toHaveLength(2)
})

describe('notes for a bike that the log knows', () => {
  const log = written(bring(file('gauge-diary.csv')).drafts)

  test('notes from before the log get a chain of their own, which goes when the log begins', () => {
    const { drafts } = bring('date,km,gauge\n2023-05-01,9000,0.5 no\n2023-11-01,11000,0.5 yes\n', {}, log)
    const garage = replay(asIfWritten(log, drafts))
    const before = [...garage.parts.values()].find(({ entry }) => entry.name === 'Chain before the log')
    expect(before?.retired).toBe(true)
    const first = [...garage.parts.values()].find(({ entry }) => entry.name === 'Chain 1')
    expect(before?.fittings.at(-1)?.to).toBe(first?.fittings[0]?.from)
    expect(fittedChain(garage, [...garage.bikes.keys()][0] ?? '')?.entry.name).toBe('Chain 2')
    expect(garage.readings.get(before?.entry.part ?? '')).toHaveLength(2)
  })

  test('a swap that the log does not have, between chains that it has, is asked about', () => {
    const outcome = bring('date,what\n2024-06-15,new chain\n', {}, log)
    expect(whys(outcome)).toEqual(['2 swap-in-past'])
    expect(outcome.drafts).toEqual([])
    // Three days off it is the log's own swap.
    expect(bring('date,what\n2024-11-12,new chain\n', {}, log)).toMatchObject({
      drafts: [],
      rows: [{ known: 1 }],
    })
  })

  test('a count that does not fit between the log’s own is left out', () => {
    expect(whys(bring('date,odometer km\n2024-06-15,20000\n', {}, log))).toEqual(['2 counts-back'])
  })
})

test('a bike that nobody chose brings nothing in and says so', () => {
  const table = readNoteTable('bike,date,odometer km\nRed one,2024-05-01,100\n')
  const mapping = wholeMapping(understandNotes(table, NOW))
  const outcome = entriesOfNotes(readNotes(table, mapping, NOW), {
    garage: replay([]),
    mapping,
    bikes: {},
    file: 'n',
    newId: (what) => what,
    minorPerMajor: 100,
  })
  expect(whys(outcome)).toEqual(['2 which-bike'])
  expect(outcome.drafts).toEqual([])
})
