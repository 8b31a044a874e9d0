import { typedNumber, type TypedRange } from '../core/units/typed-number.ts'
import { groupedNumber } from './grouped-number.ts'

/** What a field for a number is about. */
export interface NumberField extends TypedRange {
  /** Its unit, as "km"; empty for a bare count. */
  readonly unit: string
  /** What to do where nothing was typed: "Give the distance." */
  readonly ask: string
  readonly whole?: true
}

/** A number typed into a field, or what is wrong with it and how to put it right. */
export function numberTyped(
  text: string,
  field: NumberField,
): { readonly value: number } | { readonly fault: string } {
  const { unit, ask, least, most } = field
  const typed = typedNumber(text, field)
  const withUnit = (value: number): string => `${groupedNumber(value)}${unit && `\u00a0${unit}`}`
  if ('value' in typed)
    return field.whole && !Number.isInteger(typed.value)
      ? { fault: 'Only a whole number fits here.' }
      : { value: typed.value }
  switch (typed.fault) {
    case 'empty':
      return { fault: ask }
    case 'not-a-number':
      return {
        fault: `“${text.trim().slice(0, 30)}” is not a number. Type it in figures, like ${field.whole ? '12' : '12.5'}.`,
      }
    case 'two-ways': {
      const bare = text.trim()
      return {
        fault: `${bare} can be read in two ways: type ${bare.replace(',', '')} or ${bare.replace(',', '.')}.`,
      }
    }
    case 'too-small':
      return {
        fault: `${ask} ${least === 0 ? 'It cannot be below 0.' : `At least ${withUnit(least ?? 0)}.`}`,
      }
    case 'too-large':
      return { fault: `${ask} At most ${withUnit(most ?? 0)}: check the figure.` }
  }
}
