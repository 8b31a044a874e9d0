/** Sum of some numbers; 0 of none. */
export function sumOf(values: Iterable<number>): number {
  let sum = 0
  for (const value of values) sum += value
  return sum
}

/** Arithmetic mean; NaN of none. */
export const meanOf = (values: ArrayLike<number> & Iterable<number>): number => sumOf(values) / values.length
