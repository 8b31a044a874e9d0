import { BOUNDS } from '../../core/log/bounds.ts'
import { number, object, string, ValidationError } from 'yup'
import { CONDITIONS, type Condition } from '../../core/exposure/conditions.ts'
import { isIsoDay } from '../../core/log/bounds.ts'
import type { EventEntry } from '../../core/log/kinds/event.ts'
import { kmToMiles, milesToKm } from '../../core/units/convert.ts'
import { addDays } from '../../core/units/days.ts'
import type { Units } from '../../ui/screen-state.ts'
import { dayOf } from '../../ui/parts/day.ts'

/** Events, as it stands in the form. */
export interface EventFields {
  readonly name: string
  readonly day: string
  readonly days: number
  readonly distance: string
  readonly condition: Condition
}

/** A form filled in: with what was planned, or with a week in five weeks' time. */
export function eventFields(
  event: EventEntry | undefined,
  usual: Condition,
  units: Units,
  now: string,
): EventFields {
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

const schema = (today: string, units: Units) =>
  object({
    name: string()
      .trim()
      .required('Give it a name: “spring tour”.')
      .max(BOUNDS.nameLetters, `A shorter name, of at most ${BOUNDS.nameLetters} letters.`),
    day: string()
      .required('Give the day on which it begins.')
      .test('day', 'Give a day within the next ten years.', (day) => isIsoDay(day))
      .test('ahead', 'That day is over. What was ridden is put in as rides.', (day) => day >= today)
      .test(
        'soon',
        'Give a day within the next ten years.',
        (day) => day <= `${Number(today.slice(0, 4)) + 10}${today.slice(4)}`,
      ),
    days: number().integer().min(1, 'A day at least.').max(365, 'A year at most.').required(),
    distance: number()
      .transform((_value, text: unknown) => {
        const typed = String(text).trim().replace(',', '.')
        return typed === '' ? NaN : Number(typed)
      })
      .typeError(`Give the distance in ${units === 'metric' ? 'km' : 'miles'}, as a figure.`)
      .moreThan(0, 'A distance over nothing.')
      .max(50_000, 'That is once round the earth and more: a smaller figure.')
      .required(),
    condition: string()
      .oneOf([...CONDITIONS])
      .required(),
  })

/** What the form says, or for each field what is wrong with it. */
export function readEvent(
  fields: EventFields,
  units: Units,
  now: string,
):
  | { readonly event: Pick<EventEntry, 'name' | 'starts' | 'days' | 'km' | 'condition'> }
  | { readonly faults: Readonly<Partial<Record<keyof EventFields, string>>> } {
  try {
    const { name, day, days, distance, condition } = schema(dayOf(now), units).validateSync(fields, {
      abortEarly: false,
    })
    return {
      event: {
        name,
        starts: new Date(`${day}T12:00:00`).toISOString(),
        days,
        km: units === 'metric' ? distance : milesToKm(distance),
        condition,
      },
    }
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    const faults = error.inner.map(({ path, message }) => [path ?? 'name', message] as const).reverse()
    return { faults: Object.fromEntries(faults) }
  }
}
