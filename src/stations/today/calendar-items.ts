import type { Entry } from '../../core/log/entries.ts'
import type { EventEntry } from '../../core/log/kinds/event.ts'
import type { Garage } from '../../core/log/garage.ts'
import type { Reminder } from '../../core/strategy/reminders.ts'
import type { CalendarItem } from '../../formats/calendar.ts'
import type { Units } from '../../core/units/units.ts'
import { dayOf } from '../../words/day.ts'
import { bikeOf, sayEvent, sayToDo, sayWhen } from '../../words/ahead.ts'
import { sayDay } from '../../words/numbers.ts'
import { words } from '../../words/stations/today/calendar-items.ts'

/** Events that were planned once and are taken back: a calendar that has them hears of it. */
function takenBack(entries: readonly Entry[], garage: Garage, now: string): EventEntry[] {
  const live = new Set([...garage.bikes.values()].flatMap(({ events }) => events.map(({ event }) => event)))
  const gone = entries.filter(
    (entry): entry is EventEntry => entry.kind === 'event' && !live.has(entry.event) && entry.starts > now,
  )
  return [...new Map(gone.map((event) => [event.event, event])).values()]
}

/** The name of a reminder in a calendar: the same from one file to the next. */
export function reminderId(reminder: Reminder): string {
  const { kind, bike } = reminder
  switch (kind) {
    case 'event':
      return `event.${reminder.event.event}`
    case 'advice':
      return `advice.${bike}.${reminder.advice.job.id}`
    case 'finding':
      return `finding.${bike}.${reminder.finding.check.item}`
    case 'wearing':
      return `wearing.${bike}.${reminder.wearing.part}`
    case 'check':
    case 'look':
    case 'lube':
    case 'swap':
      return `${kind}.${bike}`
  }
}

/**
 * Reminders as a calendar takes them. Looks, lubrication and swaps are kept by bike, so that a bike has one of each
 * at any time, whatever chain is on it; what is planned by itself.
 */
export function calendarItems(
  reminders: readonly Reminder[],
  garage: Garage,
  entries: readonly Entry[],
  units: Units,
  now: string,
): CalendarItem[] {
  const plain = (text: string): string => text.replaceAll('\u00a0', ' ')
  const dated = reminders.flatMap((reminder): CalendarItem[] => {
    if (reminder.day === undefined) return []
    const isEvent = reminder.kind === 'event'
    return [
      {
        id: reminderId(reminder),
        day: dayOf(reminder.day < now ? now : reminder.day),
        days: isEvent ? reminder.event.days : 1,
        title: plain(`${bikeOf(garage, reminder)}: ${sayToDo(reminder)}`),
        text: plain(words.workedOutOnTheDay(sayWhen(reminder, units, now), sayDay(now, now))),
      },
    ]
  })
  const cancelled = takenBack(entries, garage, now).map((event): CalendarItem => ({
    id: `event.${event.event}`,
    day: dayOf(event.starts),
    days: event.days,
    title: plain(words.cancelled(event.name)),
    text: plain(sayEvent(event, units)),
    cancelled: true,
  }))
  return [...dated, ...cancelled]
}
