import { describe, expect, test } from '@jest/globals'
import { commuter, noon, ride, ruleReading, springTour, written } from '../../../test/log.ts'
import type { Entry, EntryDraft, EntryKind } from '../../core/log/entries.ts'
import { replay } from '../../core/log/replay.ts'
import { liveEntries } from '../../core/log/supersede.ts'
import { correctionOf, fieldsOf, fieldTime, movedBy, sameJob } from './correction.ts'
import { entryTexts } from '../../words/entries/search.ts'
import { findEntries, type Wanted } from './find-entries.ts'

const now = noon(4, 1)
const { condition: _said, ...silent } = ride(2, 5, 42.2) as Extract<EntryDraft, { kind: 'ride' }>
const drafts: readonly EntryDraft[] = [
  ...commuter,
  ride(1, 5, 60, { source: { file: 'monday.gpx', fingerprint: 'm' }, gears: { '40x15': 12 } }),
  silent,
  ruleReading(2, 6, 305.5),
  { kind: 'remove', at: noon(3, 1), part: 'chain', to: 'lent', lentTo: 'Ada' },
  { kind: 'wash', at: noon(2, 7), chain: 'chain', method: 'wipe', lube: 'wet-lube' },
  { kind: 'look', at: noon(2, 8), part: 'cassette', cog: 15, word: 'watch' },
  { kind: 'odometer', at: noon(1, 2), bike: 'heron', km: 1200 },
  { kind: 'limit', at: noon(1, 3), bike: 'heron', school: 'early' },
  { kind: 'plan', at: noon(1, 4), bike: 'heron', weeklyKm: 120 },
  springTour,
]
const log = written(drafts)
const garage = replay(log)
function one<K extends EntryKind>(kind: K, which: (entry: Entry) => boolean = () => true) {
  const found = log.find((entry) => entry.kind === kind && which(entry))
  if (!found) throw new Error(`no ${kind}`)
  return found
}
const textOf = entryTexts(garage, 'metric')
const counted = (entry: Entry) => garage.bikes.get('heron')?.rides.find(({ id }) => id === entry.id)

/** The entry put right with these values instead of its own. */
function mended(entry: Entry, values: Readonly<Record<string, string>>, when?: string) {
  const context = { units: 'metric', counted: counted(entry) } as const
  const fields = fieldsOf(entry, context)
  return correctionOf(
    entry,
    { when: when ?? fields.when, values: { ...fields.values, ...values } },
    context,
    now,
  )
}
const draftOf = (outcome: ReturnType<typeof mended>): EntryDraft => {
  if ('fault' in outcome) throw new Error(outcome.fault)
  return outcome.draft
}

describe('putting an entry right', () => {
  test.each(log.map((entry) => [entry.kind, entry] as const))(
    'a %s that nothing is changed in stays what it says',
    (_kind, entry) => {
      const { id, format: _format, ...same } = entry
      expect(draftOf(mended(entry, {}))).toEqual({ ...same, supersedes: id })
    },
  )

  test('a ride takes another distance, day and condition, and loses its gears on another bike', () => {
    const entry = one('ride')
    const draft = draftOf(mended(entry, { distance: '55,5', condition: 'mud' }, '2026-01-06T10:30'))
    expect(draft).toMatchObject({ km: 55.5, condition: 'mud', gears: { '40x15': 12 }, supersedes: entry.id })
    expect(draft.at).toBe(new Date('2026-01-06T10:30').toISOString())
    expect(draftOf(mended(entry, { bike: 'kite' }))).not.toHaveProperty('gears')
    expect(draftOf(mended(entry, { condition: 'not-set' }))).not.toHaveProperty('condition')
  })

  test('distances are typed in the reader’s units and keep their figures where untouched', () => {
    const entry = one('ride')
    const context = { units: 'imperial', counted: counted(entry) } as const
    const fields = fieldsOf(entry, context)
    expect(fields.values['distance']).toBe('37.28')
    const same = correctionOf(entry, fields, context, now)
    expect('draft' in same && same.draft).toMatchObject({ km: 60 })
    const ten = { ...fields, values: { ...fields.values, distance: '10' } }
    const other = correctionOf(entry, ten, context, now)
    expect('draft' in other && other.draft).toMatchObject({ km: 16.09344 })
  })

  test.each([
    ['ride', { distance: '0' }, undefined, 'distance', /At least 0.01.km/],
    ['ride', { distance: 'far' }, undefined, 'distance', /not a number/],
    ['ride', { distance: '1,234' }, undefined, 'distance', /two ways: type 1234 or 1.234/],
    ['ride', { distance: '5001' }, undefined, 'distance', /At most 5.000.km/],
    ['ride', {}, '', 'when', /day and the time/],
    ['ride', {}, '2026-04-02T08:00', 'when', /in the future/],
    ['odometer', { distance: '-3' }, undefined, 'distance', /below 0/],
    ['reading', { place: '3.5' }, undefined, 'place', /whole number/],
    ['part', { name: ' ' }, undefined, 'name', /Give it a name/],
    ['part', { name: 'x'.repeat(81) }, undefined, 'name', /At most 80 letters: this has 81/],
    ['part', { note: 'x'.repeat(401) }, undefined, 'note', /At most 400 letters/],
    ['remove', { to: 'lent', who: 'x'.repeat(81) }, undefined, 'who', /At most 80 letters/],
    ['odometer', { distance: '12345678901' }, undefined, 'distance', /At most 1.000.000.km/],
    ['ride', {}, '0026-04-02T08:00', 'when', /four figures/],
    ['ride', {}, '12026-04-02T08:00', 'when', /four figures/],
  ] as const)('a %s with %p at %p is asked about its %s', (kind, values, when, field, said) => {
    const outcome = mended(one(kind), values, when)
    expect(outcome).toMatchObject({ field })
    expect('fault' in outcome && outcome.fault).toMatch(said)
  })

  test('fittings, removals, readings, looks, washes and names take what they can be', () => {
    expect(draftOf(mended(one('fit'), { part: 'ring', bike: 'kite' }))).toMatchObject({
      part: 'ring',
      bike: 'kite',
    })
    expect(draftOf(mended(one('remove'), { who: ' Bo ' }))).toMatchObject({ to: 'lent', lentTo: 'Bo' })
    expect(draftOf(mended(one('remove'), { to: 'retired' }))).not.toHaveProperty('lentTo')
    expect(draftOf(mended(one('reading'), { place: '12' }))).toMatchObject({ linksFromJoint: 12 })
    expect(draftOf(mended(one('look'), { word: 'spent' }))).toMatchObject({ word: 'spent', cog: 15 })
    expect(draftOf(mended(one('wash'), { lube: '', method: 'off-bike' }))).not.toHaveProperty('lube')
    expect(draftOf(mended(one('bike'), { name: 'Heron II', note: 'blue' }))).toMatchObject({
      name: 'Heron II',
      note: 'blue',
    })
  })

  test('something planned takes another name, distance and road, and keeps its days', () => {
    const changed = draftOf(mended(one('event'), { name: 'Salt tour', distance: '400', condition: 'mud' }))
    expect(changed).toMatchObject({
      name: 'Salt tour',
      km: 400,
      condition: 'mud',
      days: 9,
      starts: noon(5, 2),
    })
    expect(mended(one('event'), { distance: '0' })).toMatchObject({ field: 'distance' })
  })

  test('a time is shown in the reader’s own day', () => {
    expect(new Date(fieldTime('2026-03-09T07:30:40.000Z')).toISOString()).toBe('2026-03-09T07:30:00.000Z')
  })
})

describe('what was done in one job', () => {
  const act = 'job'
  const swap = written([
    { kind: 'remove', at: noon(3, 1), part: 'chain', to: 'shelf' },
    { kind: 'fit', at: noon(3, 1), part: 'spare', bike: 'heron' },
    {
      kind: 'reading',
      at: new Date(Date.parse(noon(3, 1)) + 2000).toISOString(),
      chain: 'spare',
      reading: { instrument: 'rule', pitches: 24, lengthMm: 304.8 },
    },
    ride(3, 1, 10),
  ]).map((entry): Entry => ({ ...entry, action: act }))
  const fit = swap.find(({ kind }) => kind === 'fit')
  if (!fit) throw new Error('no fitting')

  test('is the taking off, the fitting and the first look; not the ride, not another job', () => {
    expect(sameJob(fit, [...log, ...swap]).map(({ kind }) => kind)).toEqual(['remove', 'reading'])
    expect(
      sameJob(
        fit,
        swap.map((entry) => ({ ...entry, action: entry.id })),
      ),
    ).toEqual([])
    expect(sameJob(one('ride'), log)).toEqual([])
  })

  test('without an action to tell by, the same moment does', () => {
    const names = sameJob(one('fit'), log).map((entry) => 'part' in entry && entry.part)
    expect(names).toEqual(['chain', 'cassette', 'cassette', 'ring', 'ring'])
  })

  test('moves together, and stands in the place of what it was', () => {
    const moved = movedBy(sameJob(fit, swap), 86_400_000)
    expect(moved.map(({ at }) => at.slice(0, 19))).toEqual(['2026-03-02T12:00:00', '2026-03-02T12:00:02'])
    const later = written(moved, Date.UTC(2027, 0, 1))
    const live = liveEntries([...swap, ...later])
    expect(live).toHaveLength(swap.length)
    expect(live.filter(({ at }) => at.startsWith('2026-03-02'))).toHaveLength(2)
  })
})

describe('finding entries', () => {
  const anything: Wanted = { text: '', kind: 'any', about: '', from: '', to: '' }
  const found = (wanted: Partial<Wanted>) =>
    findEntries(log, garage, { ...anything, ...wanted }, textOf).map(({ kind }) => kind)

  test('shows all of them, newest first', () => {
    const all = findEntries(log, garage, anything, textOf)
    expect(all).toHaveLength(log.length)
    expect(all[0]?.kind).toBe('remove')
    expect(all.map(({ at }) => at)).toEqual([...all.map(({ at }) => at)].sort().reverse())
  })

  test('by words in any order, as they are read', () => {
    expect(found({ text: 'monday' })).toEqual(['ride'])
    expect(found({ text: 'ADA lent' })).toEqual(['remove'])
    expect(found({ text: '42 km' })).toEqual(['ride'])
    expect(found({ text: '2026-02 rule' })).toEqual(['reading'])
    expect(found({ text: 'spring tour' })).toEqual(['event'])
    expect(found({ text: 'unicorn' })).toEqual([])
  })

  test('by kind, by what it is about, and by day', () => {
    expect(found({ kind: 'ride' })).toEqual(['ride', 'ride'])
    expect(found({ about: 'chain' })).toEqual(['remove', 'wash', 'reading', 'fit', 'part'])
    expect(found({ about: 'heron', kind: 'look' })).toEqual(['look'])
    expect(found({ from: '2026-02-06', to: '2026-02-07' })).toEqual(['wash', 'reading'])
  })
})
