import { number, string } from 'yup'
import type { IsoTime } from '../../core/log/entry.ts'
import { faultOfDay } from '../../words/day.ts'
import { faultOfText } from '../../words/text-fault.ts'
import { numberTyped, type NumberField } from '../../words/typed.ts'
import { words } from '../../words/ui/form/fields.ts'

/** What stands in the field, as text: typed, or set by a stepper. */
const textOf = (original: unknown): string =>
  typeof original === 'string'
    ? original
    : typeof original === 'number' && !Number.isNaN(original)
      ? String(original)
      : ''

/** A number as it is typed into a form: read, and its faults worded, in the one way there is. Left empty it is missing. */
export const numberField = (field: NumberField) =>
  number()
    .transform((_value: unknown, original: unknown) => {
      const text = textOf(original)
      if (text.trim() === '') return undefined
      const typed = numberTyped(text, field)
      return 'value' in typed ? typed.value : NaN
    })
    .typeError(({ originalValue }: { readonly originalValue?: unknown }) => {
      const typed = numberTyped(textOf(originalValue), field)
      return 'fault' in typed ? typed.fault : field.ask
    })

/** One that must be there. */
export const neededNumber = (field: NumberField) => numberField(field).required(field.ask)

/** A day that has come. */
export const pastDay = (now: IsoTime) =>
  string()
    .required(words.giveADay)
    .test('day', '', (day, context) => {
      const fault = faultOfDay(day, now)
      return fault === undefined || context.createError({ message: fault })
    })

/** A few words, or none. */
export const shortText = (most: number) =>
  string()
    .trim()
    .default('')
    .test('text', '', (text, context) => {
      const fault = faultOfText(text, most)
      return fault === undefined || context.createError({ message: fault })
    })

/** A few words that must be there. */
export const neededText = (ask: string, most: number) => shortText(most).required(ask)
