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

const THIRD = 1 / 3
const SIXTH = 1 / 6

/** Tables laid end to end, to be passed over without a step aside: for each place of a list which one, and where in it. */
export interface TableRow {
  readonly tables: readonly LogTable[]
  /** All that differ, one after another. */
  readonly held: Float64Array
  /** For each place: where its table begins in `held`, the last whole step that has two neighbours on either side, what its first held place stands for, and steps in one. */
  readonly base: Int32Array
  readonly last: Int32Array
  readonly from: Float64Array
  readonly perUnit: Float64Array
}

/**
 * Lays tables end to end.
 * @param shift for each what is taken off a place before it is asked
 */
export function tableRow(tables: readonly LogTable[], shift: Float64Array): TableRow {
  const bases = new Map<LogTable, number>()
  let length = 0
  for (const table of tables)
    if (!bases.has(table)) {
      bases.set(table, length)
      length += table.held.length
    }
  const held = new Float64Array(length)
  bases.forEach((base, table) => held.set(table.held, base))
  return {
    tables,
    held,
    base: Int32Array.from(tables, (table) => bases.get(table) ?? 0),
    last: Int32Array.from(tables, (table) => table.held.length - 4),
    from: Float64Array.from(tables, (table, i) => table.from + (shift[i] ?? 0)),
    perUnit: Float64Array.from(tables, ({ step }) => 1 / step),
  }
}

/**
 * {@link logAt} of one table of a row.
 * @param at before the shift
 */
export function rowAt(row: TableRow, n: number, at: number, slope: Float64Array): number {
  const { held, base, last, from, perUnit } = row
  const per = perUnit[n] as number
  const place = (at - (from[n] as number)) * per
  const i = Math.floor(place)
  if (!(i >= 0 && i <= (last[n] as number))) {
    const table = row.tables[n] as LogTable
    return logAt(table, at - (from[n] as number) + table.from, slope)
  }
  const t = place - i
  const first = (base[n] as number) + i
  const a = held[first] as number
  const b = held[first + 1] as number
  const c = held[first + 2] as number
  const d = held[first + 3] as number
  // Times a sixth, not by six: a division takes as long as all the rest.
  const c1 = c - 0.5 * b - THIRD * a - SIXTH * d
  const c2 = 0.5 * (a + c) - b
  const c3 = SIXTH * (d - a) + 0.5 * (b - c)
  slope[0] = (c1 + t * (2 * c2 + 3 * c3 * t)) * per
  return b + t * (c1 + t * (c2 + t * c3))
}
