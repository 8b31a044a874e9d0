import { afterEach, describe, expect, test } from '@jest/globals'
import { writeCalendar, type CalendarItem } from './calendar.ts'

const NOW = '2026-11-25T10:00:00.000Z'
const look: CalendarItem = {
  id: 'look.heron',
  day: '2026-12-15',
  days: 1,
  title: 'Heron: look at the chain again',
  text: 'in about 200 km',
}
const tour: CalendarItem = {
  id: 'event.tour',
  day: '2026-12-28',
  days: 9,
  title: 'Heron: Saltings tour',
  text: 'rain',
}

/** What a calendar keeps of a file: its events by UID, as RFC 5545 3.1 unfolds and writes them. */
function kept(file: string): Map<string, Map<string, string>> {
  const lines = file.replace(/\r\n[ \t]/g, '').split('\r\n')
  const events = new Map<string, Map<string, string>>()
  let current: Map<string, string> | undefined
  for (const line of lines) {
    if (line === 'BEGIN:VEVENT') current = new Map()
    else if (line === 'END:VEVENT' && current) events.set(current.get('UID') ?? '', current)
    else if (current) current.set(line.split(/[:;]/)[0] ?? '', line.slice(line.indexOf(':') + 1))
  }
  return events
}

describe('a calendar file', () => {
  const zone = process.env['TZ']
  afterEach(() => {
    if (zone === undefined) delete process.env['TZ']
    else process.env['TZ'] = zone
  })

  test('is one calendar in the lines that RFC 5545 asks for', () => {
    const file = writeCalendar([look, tour], 12, NOW)
    expect(file.startsWith('BEGIN:VCALENDAR\r\nVERSION:2.0\r\n')).toBe(true)
    expect(file.trimEnd().endsWith('END:VCALENDAR')).toBe(true)
    expect(file).toContain('PRODID:')
    expect(file.split('\r\n').every((line) => Buffer.byteLength(line) <= 75)).toBe(true)
    for (const event of kept(file).values())
      for (const name of ['UID', 'DTSTAMP', 'DTSTART', 'DTEND', 'SEQUENCE', 'SUMMARY'])
        expect(event.has(name)).toBe(true)
  })

  test('a day takes up to the next; nine days up to the tenth', () => {
    const events = kept(writeCalendar([look, tour], 12, NOW))
    expect(events.get('look.heron@jolt-mile')?.get('DTSTART')).toBe('20261215')
    expect(events.get('look.heron@jolt-mile')?.get('DTEND')).toBe('20261216')
    expect(events.get('event.tour@jolt-mile')?.get('DTEND')).toBe('20270106')
  })

  test.each(['Pacific/Auckland', 'Pacific/Kiritimati', 'America/Los_Angeles', 'UTC'])(
    'a day is the same day in %s',
    (place) => {
      process.env['TZ'] = place
      expect(
        kept(writeCalendar([look], 1, NOW))
          .get('look.heron@jolt-mile')
          ?.get('DTSTART'),
      ).toBe('20261215')
    },
  )

  test('read in again it moves what has moved and doubles nothing', () => {
    const before = kept(writeCalendar([look, tour], 12, NOW))
    const after = kept(writeCalendar([{ ...look, day: '2026-12-20' }, tour], 14, NOW))
    expect([...after.keys()].sort()).toEqual([...before.keys()].sort())
    const merged = new Map([...before, ...after])
    expect(merged.size).toBe(2)
    expect(merged.get('look.heron@jolt-mile')?.get('DTSTART')).toBe('20261220')
    expect(Number(after.get('look.heron@jolt-mile')?.get('SEQUENCE'))).toBeGreaterThan(
      Number(before.get('look.heron@jolt-mile')?.get('SEQUENCE')),
    )
  })

  test('what is taken back is told so', () => {
    const events = kept(writeCalendar([{ ...tour, cancelled: true }], 3, NOW))
    expect(events.get('event.tour@jolt-mile')?.get('STATUS')).toBe('CANCELLED')
  })

  test('commas, semicolons and new lines in a name stay in the name', () => {
    const event = kept(writeCalendar([{ ...tour, title: 'Sand, salt; and\nmud' }], 3, NOW)).get(
      'event.tour@jolt-mile',
    )
    expect(event?.get('SUMMARY')).toBe('Sand\\, salt\\; and\\nmud')
  })
})
