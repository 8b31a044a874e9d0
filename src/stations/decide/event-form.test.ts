import { describe, expect, test } from '@jest/globals'
import type { EventEntry } from '../../core/log/kinds/event.ts'
import type { Units } from '../../ui/screen-state.ts'
import { eventFields, readEvent, type EventFields } from './event-form.ts'

const NOW = '2026-04-01T12:00:00.000Z'
const good: EventFields = {
  name: ' Spring tour ',
  day: '2026-05-06',
  days: 9,
  distance: '900',
  condition: 'wet-gravel',
}
const faults = (change: Partial<EventFields>, units: Units = 'metric') => {
  const read = readEvent({ ...good, ...change }, units, NOW)
  return 'faults' in read ? read.faults : {}
}

describe('something planned', () => {
  test('is read as it was meant, in kilometres and in miles', () => {
    const read = readEvent(good, 'metric', NOW)
    expect(read).toMatchObject({
      event: { name: 'Spring tour', days: 9, km: 900, condition: 'wet-gravel' },
    })
    expect('event' in read && read.event.starts.startsWith('2026-05-06')).toBe(true)
    const miles = readEvent({ ...good, distance: '559.2' }, 'imperial', NOW)
    expect('event' in miles && miles.event.km).toBeCloseTo(900, 0)
  })

  test('a comma is a point', () => {
    expect(readEvent({ ...good, distance: '120,5' }, 'metric', NOW)).toMatchObject({ event: { km: 120.5 } })
  })

  test('today is early enough, yesterday is over', () => {
    expect(faults({ day: '2026-04-01' })).toEqual({})
    expect(faults({ day: '2026-03-31' }).day).toMatch(/over.*rides/)
    expect(faults({ day: '' }).day).toBe('Give the day on which it begins.')
  })

  test('a day that cannot be, or that nobody plans for, is asked about', () => {
    for (const day of ['9999-12-31', '12026-01-01', 'Jan 1 2030', '2026-02-31', '2037-01-01'])
      expect([day, faults({ day }).day]).toEqual([day, 'Give a day within the next ten years.'])
    expect(faults({ day: '2036-01-01' })).toEqual({})
  })

  test('in miles it asks for miles', () => {
    expect(faults({ distance: 'far' }, 'imperial').distance).toBe('Give the distance in miles, as a figure.')
  })

  test('every field says what is wrong with it, all at once', () => {
    const all = faults({ name: '  ', day: '', days: 0, distance: 'far' })
    expect(all).toEqual({
      name: 'Give it a name: “spring tour”.',
      day: 'Give the day on which it begins.',
      days: 'A day at least.',
      distance: 'Give the distance in km, as a figure.',
    })
    expect(faults({ distance: '0' }).distance).toBe('A distance over nothing.')
    expect(faults({ distance: '-4' }).distance).toBe('A distance over nothing.')
    expect(faults({ distance: '' }).distance).toMatch(/as a figure/)
    expect(faults({ distance: '1e9' }).distance).toMatch(/smaller figure/)
    expect(faults({ days: 400 }).days).toBe('A year at most.')
    expect(faults({ name: 'x'.repeat(81) }).name).toMatch(/80 letters/)
  })

  test('a form opens five weeks ahead, or with what was planned', () => {
    expect(eventFields(undefined, 'mud', 'metric', NOW)).toMatchObject({
      day: '2026-05-06',
      condition: 'mud',
    })
    const read = readEvent(good, 'metric', NOW)
    if (!('event' in read)) throw new Error('it was not read')
    const entry = {
      ...read.event,
      kind: 'event',
      id: '',
      at: NOW,
      event: 'tour',
      bike: 'heron',
    } as EventEntry
    expect(eventFields(entry, 'dry-road', 'metric', NOW)).toEqual({ ...good, name: 'Spring tour' })
  })
})
