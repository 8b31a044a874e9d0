/** A smooth log-likelihood at even steps: a sampler asks for it a million times. Off the table `exact` answers. */
export interface LogTable {
  readonly from: number
  readonly step: number
  readonly held: Float64Array
  readonly exact: (at: number) => number
}

/**
 * Lays a function out from one place to another.
 * @param step small beside all its bends: cubic interpolation is right to about a millionth where 30 make a spread
 */
export function logTable(exact: LogTable['exact'], from: number, to: number, step: number): LogTable {
  const count = Math.ceil((to - from) / step) + 4
  return {
    from,
    step,
    exact,
    held: Float64Array.from({ length: count }, (_, i) => exact(from + (i - 1) * step)),
  }
}

const unasked = new Float64Array(1)

/**
 * The function out of its table.
 * @param slope where given, its first place takes the slope there
 */
export function logAt(table: LogTable, at: number, slope: Float64Array = unasked): number {
  const { from, held, step } = table
  const place = (at - from) / step
  const i = Math.floor(place)
  if (!(i >= 0 && i + 3 < held.length)) {
    slope[0] = (table.exact(at + step) - table.exact(at - step)) / (2 * step)
    return table.exact(at)
  }
  // Lagrange's cubic through the four nearest places.
  const t = place - i
  const a = held[i] as number
  const b = held[i + 1] as number
  const c = held[i + 2] as number
  const d = held[i + 3] as number
  const c1 = c - b / 2 - a / 3 - d / 6
  const c2 = (a + c) / 2 - b
  const c3 = (d - a) / 6 + (b - c) / 2
  slope[0] = (c1 + t * (2 * c2 + 3 * c3 * t)) / step
  return b + t * (c1 + t * (c2 + t * c3))
}
