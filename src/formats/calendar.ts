import ical, { ICalCalendarMethod, ICalEventStatus } from 'ical-generator'
import type { IsoTime } from '../core/log/entry.ts'

/** Something for a calendar, on a day or several. */
export interface CalendarItem {
  /** The same for the same thing, whatever becomes of its day: a calendar then moves it and makes no second one. */
  readonly id: string
  /** As in 2026-11-25, wherever one is. */
  readonly day: string
  /** How many days it takes; 1 or more. */
  readonly days: number
  readonly title: string
  readonly text: string
  readonly cancelled?: true
}

/** A day, or one so many days on, at its noon in UTC: no time zone makes another day of it. */
const dayAt = (day: string, daysOn = 0): Date => {
  const date = new Date(`${day}T12:00:00.000Z`)
  date.setUTCDate(date.getUTCDate() + daysOn)
  return date
}

/**
 * An iCalendar file (RFC 5545) of whole days. Each item keeps its UID from one file to the next, and the sequence
 * number only grows, so that reading the file in again moves what has moved.
 * @param sequence grows with the log
 */
export function writeCalendar(items: readonly CalendarItem[], sequence: number, now: IsoTime): string {
  const calendar = ical({
    name: 'Jolt Mile',
    prodId: { company: 'Jolt Mile', product: 'Reminders', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
  })
  for (const { id, day, days, title, text, cancelled } of items)
    calendar.createEvent({
      id: `${id}@jolt-mile`,
      sequence,
      stamp: new Date(now),
      start: dayAt(day),
      // The end of a whole-day event is the day after its last.
      end: dayAt(day, Math.max(1, Math.ceil(days))),
      allDay: true,
      summary: title,
      description: text,
      status: cancelled ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
    })
  // The library adds lines that only one maker's programs read; whole days are whole days without them.
  return calendar.toString().replace(/^X-(?!WR-)[^\r\n]*\r\n/gm, '')
}
