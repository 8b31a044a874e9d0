import { manner, NUMBER_STYLES } from './manner.ts'

/** One formatter for each number of decimals: to make one takes longer than to use it a hundred times. */
const FORMATS = [0, 1, 2].map(
  (digits) => new Intl.NumberFormat('en', { minimumFractionDigits: digits, maximumFractionDigits: digits }),
)

const decimalsOf = (value: number): number =>
  Number.isInteger(value) ? 0 : Number.isInteger(Number((value * 10).toFixed(6))) ? 1 : 2

/**
 * A number in groups of three, written in the {@link manner} of the place: by itself "12 345.5", with a space that does
 * not break.
 * @param digits decimals, 0 to 2; as many as it needs where they are left out
 * @example groupedNumber(12345.5) // '12 345.5'
 */
export function groupedNumber(value: number, digits = decimalsOf(value)): string {
  const { group, mark } = NUMBER_STYLES[manner().numbers]
  return (FORMATS[digits]?.format(value) ?? String(value)).replace(/[,.]/g, (each) =>
    each === ',' ? group : mark,
  )
}

/**
 * A number with so many decimals and no groups, its mark in the {@link manner} of the place.
 * @param digits decimals, 0 to 20
 * @example sayDecimal(0.5, 2) // '0.50'
 */
export const sayDecimal = (value: number, digits: number): string =>
  value.toFixed(digits).replace('.', NUMBER_STYLES[manner().numbers].mark)
