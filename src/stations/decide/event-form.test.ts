import { describe, expect, test } from '@jest/globals'
import type { EventEntry } from '../../core/log/kinds/event.ts'
import type { Units } from '../../core/units/units.ts'
import { ValidationError } from 'yup'
import type { Shown } from '../../ui/form/use-checked-form.ts'
import { eventFields, eventSchema, plannedEvent, type EventDraft } from './event-form.ts'

const NOW = '2026-04-01T12:00:00.000Z'
const good: Shown<EventDraft> = {
  name: ' Spring tour ',
  day: '2026-05-06',
  days: 9,
  distance: '900',
  condition: 'wet-gravel',
}
const read = (change: Shown<EventDraft> = {}, units: Units = 'metric') =>
  plannedEvent(eventSchema('2026-04-01', units).validateSync({ ...good, ...change }), units)

/** What the form would say at each field, the first thing wrong with it. */
function faults(change: Shown<EventDraft>, units: Units = 'metric'): Record<string, string> {
  try {
    eventSchema('2026-04-01', units).validateSync({ ...good, ...change }, { abortEarly: false })
    return {}
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    const said = error.inner.map(({ path, message }): [string, string] => [path ?? '', message])
    return Object.fromEntries(said.reverse())
  }
}

describe('something planned', () => {
  test('is read as it was meant, in kilometres and in miles', () => {
    expect(read()).toMatchObject({ name: 'Spring tour', days: 9, km: 900, condition: 'wet-gravel' })
    expect(read().starts.startsWith('2026-05-06')).toBe(true)
    expect(read({ distance: '559.2' }, 'imperial').km).toBeCloseTo(900, 0)
  })

  test('a comma is a point, groups and a unit are as people write them', () => {
    expect(read({ distance: '120,5' }).km).toBe(120.5)
    expect(read({ distance: '1 200 km' }).km).toBe(1200)
    expect(faults({ distance: '1,200' })['distance']).toMatch(/two ways: type 1200 or 1.200/)
  })

  test('today is early enough, yesterday is over', () => {
    expect(faults({ day: '2026-04-01' })).toEqual({})
    expect(faults({ day: '2026-03-31' })['day']).toMatch(/over.*rides/)
    expect(faults({ day: '' })['day']).toBe('Give the day on which it begins.')
  })

  test('a day that cannot be, or that nobody plans for, is asked about', () => {
    for (const day of ['9999-12-31', '12026-01-01', 'Jan 1 2030', '2026-02-31', '2037-01-01'])
      expect([day, faults({ day })['day']]).toEqual([day, 'Give a day within the next ten years.'])
    expect(faults({ day: '2036-01-01' })).toEqual({})
  })

  test('in miles it asks for miles', () => {
    expect(faults({ distance: '' }, 'imperial')['distance']).toBe('Give the distance in miles, as a figure.')
  })

  test('every field says what is wrong with it, all at once', () => {
    const all = faults({ name: '  ', day: '', days: 0, distance: 'far' })
    expect(all).toEqual({
      name: 'Give it a name: “spring tour”.',
      day: 'Give the day on which it begins.',
      days: 'How many days? At least 1.',
      distance: '“far” is not a number. Type it in figures, like 12.5.',
    })
    expect(faults({ distance: '0' })['distance']).toBe('A distance over nothing.')
    expect(faults({ distance: '-4' })['distance']).toMatch(/It cannot be below 0/)
    expect(faults({ distance: '' })['distance']).toMatch(/as a figure/)
    expect(faults({ distance: '99999' })['distance']).toMatch(/At most 50/)
    expect(faults({ days: 400 })['days']).toMatch(/At most 365/)
    expect(faults({ name: 'x'.repeat(81) })['name']).toMatch(/80 letters/)
  })

  test('a form opens five weeks ahead, or with what was planned', () => {
    expect(eventFields(undefined, 'mud', 'metric', NOW)).toMatchObject({
      day: '2026-05-06',
      condition: 'mud',
    })
    const entry = {
      ...read(),
      kind: 'event',
      id: '',
      at: NOW,
      event: 'tour',
      bike: 'heron',
    } as EventEntry
    expect(eventFields(entry, 'dry-road', 'metric', NOW)).toEqual({ ...good, name: 'Spring tour' })
  })
})
