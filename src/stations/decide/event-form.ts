import { BOUNDS } from '../../core/log/bounds.ts'
import { object, string, type InferType } from 'yup'
import { CONDITIONS, type Condition } from '../../core/exposure/conditions.ts'
import { isIsoDay } from '../../core/log/bounds.ts'
import type { EventEntry } from '../../core/log/kinds/event.ts'
import { kmToMiles, milesToKm } from '../../core/units/convert.ts'
import { addDays } from '../../core/units/days.ts'
import type { Shown } from '../../ui/form/use-checked-form.ts'
import { neededNumber, neededText } from '../../ui/form/fields.ts'
import type { Units } from '../../core/units/units.ts'
import { dayOf } from '../../words/day.ts'
import { words } from '../../words/stations/decide/event-form.ts'

/** A form filled in: with what was planned, or with a week in five weeks' time. */
export function eventFields(
  event: EventEntry | undefined,
  usual: Condition,
  units: Units,
  now: string,
): Shown<EventDraft> {
  const shown = (km: number) => String(Math.round(units === 'metric' ? km : kmToMiles(km)))
  return event
    ? {
        name: event.name,
        day: dayOf(event.starts),
        days: event.days,
        distance: shown(event.km),
        condition: event.condition,
      }
    : { name: '', day: dayOf(addDays(now, 35)), days: 7, distance: '', condition: usual }
}

/** What is asked of an event. */
export const eventSchema = (today: string, units: Units) =>
  object({
    name: neededText(words.giveItAName, BOUNDS.nameLetters),
    day: string()
      .required(words.giveTheDayOnWhich)
      .test('day', words.giveADayWithin, (day) => isIsoDay(day))
      .test('ahead', words.thatDayIsOver, (day) => day >= today)
      .test(
        'soon',
        words.giveADayWithin,
        (day) => day <= `${Number(today.slice(0, 4)) + 10}${today.slice(4)}`,
      ),
    days: neededNumber({ unit: '', ask: words.howManyDays, least: 1, most: 365, whole: true }),
    distance: neededNumber({
      unit: units === 'metric' ? 'km' : 'miles',
      ask: words.giveTheDistanceInAs(units === 'metric' ? words.km : words.miles),
      least: 0,
      most: 50_000,
    }).moreThan(0, words.aDistanceOverNothing),
    condition: string()
      .oneOf([...CONDITIONS])
      .required(),
  })
export type EventDraft = InferType<ReturnType<typeof eventSchema>>

/** The event that a form describes. */
export const plannedEvent = (
  { name, day, days, distance, condition }: EventDraft,
  units: Units,
): Pick<EventEntry, 'name' | 'starts' | 'days' | 'km' | 'condition'> => ({
  name,
  starts: new Date(`${day}T12:00:00`).toISOString(),
  days,
  km: units === 'metric' ? distance : milesToKm(distance),
  condition,
})
