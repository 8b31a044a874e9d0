import type { BikeId, IsoTime } from '../../core/log/entry.ts'
import type { Reminder } from '../../core/strategy/reminders.ts'
import { daysBetween } from '../../core/units/days.ts'
import { words } from '../../words/stations/today/weeks.ts'

/** A reminder with its place on the drawing, px. */
export interface LaidReminder {
  readonly reminder: Reminder
  readonly x: number
  /** Where it ends, for an event, and for a swap the latest likely day. */
  readonly to?: number
  /** Its word, where there is room for it. */
  readonly word?: string
}
/** A bike with what is due on it. */
export interface WeekLane {
  readonly bike: BikeId
  readonly due: readonly LaidReminder[]
}
interface Weeks {
  readonly lanes: readonly WeekLane[]
  /** Days from today that the ruler names. */
  readonly weeks: readonly { readonly days: number; readonly x: number }[]
  /** How many reminders are not on the drawing. */
  readonly left: number
}

/** No more weeks than these, and no fewer. */
const [LEAST_WEEKS, MOST_WEEKS] = [4, 16]
const MOST_LANES = 8
/** Marks of one bike stand at least so far from one another, px. */
const APART_PX = 20
/** A letter of a word, px, roughly; and the room before the next mark. */
const [LETTER_PX, GAP_PX] = [7, 14]

const wordOf = (reminder: Reminder): string =>
  reminder.kind === 'event' ? reminder.event.name : words[reminder.kind]

/** One bike's marks from left to right, none over another, each with its word where the next leaves room. */
function layLane(
  due: readonly { readonly reminder: Reminder; readonly days: number }[],
  xOf: (days: number) => number,
  right: number,
): LaidReminder[] {
  let free = -Infinity
  const placed = due.map(({ reminder, days }) => {
    const x = Math.max(xOf(days) + (days <= 0 ? 12 : 0), free)
    const until =
      reminder.kind === 'event'
        ? x + (xOf(days + reminder.event.days) - xOf(days))
        : reminder.kind === 'swap' && reminder.swap?.to !== undefined
          ? xOf(days) + (xOf(daysBetween(reminder.day ?? '', reminder.swap.to)) - xOf(0))
          : undefined
    free = Math.max(x + APART_PX, reminder.kind === 'event' ? (until ?? x) + 8 : 0)
    return { reminder, x, ...(until !== undefined && { to: Math.min(until, right) }) }
  })
  return placed.map((one, i) => {
    const word = wordOf(one.reminder)
    const from = one.reminder.kind === 'event' ? (one.to ?? one.x) : one.x + 8
    const next = placed[i + 1]?.x ?? right + GAP_PX
    return from + word.length * LETTER_PX + GAP_PX < next ? { ...one, word } : one
  })
}

/**
 * Lays reminders out along the next weeks, a lane for each bike that has any there, in the order of the page.
 * @param bikes in the order in which they stand on the page
 * @param frame where today and the last day stand, px
 */
export function layWeeks(
  reminders: readonly Reminder[],
  bikes: readonly BikeId[],
  now: IsoTime,
  { left, right, isNarrow }: { readonly left: number; readonly right: number; readonly isNarrow: boolean },
): Weeks {
  const dated = reminders.flatMap((reminder) =>
    reminder.day === undefined ? [] : [{ reminder, days: Math.max(0, daysBetween(now, reminder.day)) }],
  )
  // As far as the last of what comes within the most weeks.
  const within = dated
    .map(({ reminder, days }) => days + (reminder.kind === 'event' ? reminder.event.days : 0))
    .filter((days) => days <= 7 * MOST_WEEKS)
  const weeks = Math.max(LEAST_WEEKS, Math.ceil((Math.max(0, ...within) + 5) / 7))
  const xOf = (days: number): number => left + ((right - left) * days) / (7 * weeks)
  const near = dated.filter(({ days }) => days <= 7 * weeks)
  const lanes = bikes
    .map((bike) => ({ bike, due: near.filter(({ reminder }) => reminder.bike === bike) }))
    .filter(({ due }) => due.length > 0)
    .slice(0, MOST_LANES)
  const named = isNarrow ? Math.ceil(weeks / 3) : Math.ceil(weeks / 8)
  return {
    lanes: lanes.map(({ bike, due }) => ({ bike, due: layLane(due, xOf, right) })),
    weeks: Array.from({ length: Math.floor(weeks / named) }, (_, i) => ({
      days: 7 * named * (i + 1),
      x: xOf(7 * named * (i + 1)),
    })).filter(({ x }) => x < right - 20),
    left: reminders.length - lanes.reduce((sum, { due }) => sum + due.length, 0),
  }
}
