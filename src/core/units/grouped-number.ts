/** One formatter for each number of decimals: to make one takes longer than to use it a hundred times. */
const FORMATS = [0, 1, 2].map(
  (digits) => new Intl.NumberFormat('en', { minimumFractionDigits: digits, maximumFractionDigits: digits }),
)

const decimalsOf = (value: number): number =>
  Number.isInteger(value) ? 0 : Number.isInteger(Number((value * 10).toFixed(6))) ? 1 : 2

/**
 * A number in groups of three parted by spaces that do not break, its decimal mark a point.
 * @param digits decimals, 0 to 2; as many as it needs where they are left out
 * @example groupedNumber(12345.5) // '12 345.5'
 */
export const groupedNumber = (value: number, digits = decimalsOf(value)): string =>
  (FORMATS[digits]?.format(value) ?? String(value)).replaceAll(',', '\u00a0')
