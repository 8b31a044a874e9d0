import type { EventEntry } from '../core/log/kinds/event.ts'
import type { Garage } from '../core/log/garage.ts'
import type { Lube } from '../core/lube/lubes.ts'
import type { Reminder } from '../core/strategy/reminders.ts'
import { addDays } from '../core/units/days.ts'
import type { EventOutlook } from '../core/wear/event-outlook.ts'
import type { Units } from '../core/units/units.ts'
import { sayDueWhy, sayFindingBy, saySheetToDo } from './checks/check-words.ts'
import { sayItem } from './checks/item-names.ts'
import { sayWearAhead, sayWearToDo } from './checks/wearing-words.ts'
import { CONDITION_NAMES } from './names.ts'
import { sayAboutKm, sayChance, sayCount, sayDay, sayFigure, sayKm, sayLimit, sayPercent } from './numbers.ts'

const LUBE_WORK: Readonly<Record<Lube, string>> = {
  'dry-lube': 'wipe and lubricate the chain',
  'wet-lube': 'wipe and lubricate the chain',
  'drip-wax': 'wipe the chain and drip wax on it',
  'immersion-wax': 'wax the chain',
  none: 'clean and lubricate the bare chain',
}

/** What is to be done, as a calendar's line: "look at the chain". */
export function sayToDo(reminder: Reminder): string {
  switch (reminder.kind) {
    case 'look':
      return reminder.look.isFirst ? 'measure the chain for the first time' : 'look at the chain again'
    case 'lube':
      return LUBE_WORK[reminder.lube.lube]
    case 'swap':
      return reminder.cogsToo ? 'swap the chain and cogs' : 'swap the chain'
    case 'event':
      return reminder.event.name
    case 'advice':
      return `as advised: ${reminder.advice.job.name}`
    case 'finding':
      return `${reminder.finding.check.result === 'watch' ? 'look again' : 'see to'}: ${sayItem(reminder.finding.check.item)}`
    case 'check':
      return saySheetToDo(reminder.sheet)
    case 'wearing':
      return sayWearToDo(reminder.wearing)
  }
}

function sayInKm(inKm: number | undefined, now: string, units: Units): string {
  return inKm === undefined || inKm <= 0 ? now : `in about ${sayAboutKm(inKm, units)}`
}

/** When, in distance, and how sure, where that can be said. */
export function sayWhen(reminder: Reminder, units: Units, now: string): string {
  switch (reminder.kind) {
    case 'event':
      return sayEvent(reminder.event, units)
    case 'advice': {
      const { job, km, isDue } = reminder.advice
      if (isDue || job.byKm === undefined) return isDue ? 'it is due' : 'at the next visit'
      return sayInKm(job.byKm - km, 'it is due', units)
    }
    case 'finding':
      return reminder.finding.isDue ? 'it is due' : sayFindingBy(reminder.finding.check, units, now)
    case 'check':
      return sayDueWhy(reminder.sheet.why, now).replace(/\.$/, '')
    case 'wearing':
      return sayWearAhead(reminder.wearing, units, now)
    case 'swap': {
      if (!reminder.swap) return 'it is past its limit'
      const { inKm, from, to, before } = reminder.swap
      if (before) return `before ${before.name}, which it would not last through`
      const between = from && to ? `, probably between ${sayDay(from, now)} and ${sayDay(to, now)}` : ''
      return `${sayInKm(inKm.p50, 'it is past its limit', units)}${between}`
    }
    case 'look':
      return reminder.look.before
        ? `before ${reminder.look.before.name}, which it may not last through`
        : sayInKm(reminder.look.inKm, 'it is due', units)
    case 'lube':
      return sayInKm(reminder.lube.inKm, 'it is due', units)
  }
}

/** The day of a reminder: today for whatever is due by the end of it. */
export function sayReminderDay({ day }: Reminder, now: string): string {
  if (day === undefined) return 'no day yet'
  return day.slice(0, 10) <= now.slice(0, 10) ? 'today' : sayDay(day, now)
}

/** Events, in a few words. */
export const sayEvent = ({ km, days, condition }: EventEntry, units: Units): string =>
  `${sayKm(km, units)} in ${sayCount(Math.max(1, Math.round(days)), 'day')}, ${CONDITION_NAMES[condition]}`

/** From when to when. */
export function sayEventDays({ starts, days }: EventEntry, now: string): string {
  const last = addDays(starts, Math.max(0, days - 1))
  return days > 1 ? `${sayDay(starts, now)} to ${sayDay(last, now)}` : sayDay(starts, now)
}

/** Whether the chain lasts through an event, and what to do about it. */
export function sayEventAdvice(
  { advice, ends, pastBefore, pastAfter, mayRead }: EventOutlook,
  limit: number,
): string {
  const after = `It will end at about ${sayPercent(ends.p50)}, probably ${sayFigure(ends.p10)} to ${sayFigure(ends.p90)}. Chance that it is past ${sayLimit(limit)}\u00a0% by then: ${sayChance(pastAfter)}.`
  switch (advice) {
    case 'after':
      return `The chain lasts: swap it afterwards. ${after}`
    case 'look-first':
      return `It may just last. Measure before you go: if it reads more than ${sayPercent(mayRead)}, swap it first. ${after}`
    case 'before':
      return `It will not last: swap it before. ${after}`
    case 'before-anyway':
      return `Swap it before. Chance that it is past ${sayLimit(limit)}\u00a0% even before the start: ${sayChance(pastBefore)}.`
  }
}

/** The bike's name, as a reminder begins. */
export const bikeOf = (garage: Garage, { bike }: Reminder): string =>
  garage.bikes.get(bike)?.entry.name ?? 'A bike'
