import Papa from 'papaparse'
import { RideFileError } from './ride-file-error.ts'

/** A table out of a CSV file, cells as written. */
export interface RideTable {
  readonly heads: readonly string[]
  readonly rows: readonly (readonly string[])[]
}

const SEPARATORS = [',', ';', '\t', '|']

/**
 * Reads a CSV file, whatever separates its cells.
 * @throws RideFileError where it is empty or has no rows under its heads
 */
export function readTable(text: string): RideTable {
  if (text.trim() === '') throw new RideFileError('The file is empty. Export the table again.')
  const { data } = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), {
    skipEmptyLines: 'greedy',
    delimitersToGuess: SEPARATORS,
  })
  const [heads, ...rows] = data
  if (!heads || heads.length < 2)
    throw new RideFileError(
      'No columns can be told apart in it. Export the table with commas, semicolons or tabs between the columns.',
    )
  if (rows.length === 0)
    throw new RideFileError(
      'There is nothing under its column heads. Export the table again, with its rides.',
    )
  return { heads: heads.map((head) => head.trim()), rows }
}

/** What a column of a table of points may hold. */
export const COLUMNS = [
  'when',
  'distance',
  'duration',
  'bike',
  'lat',
  'lon',
  'cadence',
  'power',
  'height',
  'speed',
] as const
export type Column = (typeof COLUMNS)[number]

const LIKELY: Readonly<Record<Column, RegExp>> = {
  when: /^(date|day|time|start(ed)?([ _]?(at|time|date))?|timestamp|datum|when|activity[ _]?date|fecha|data|zeit)\b/i,
  distance: /^(distance|dist|km|miles|mi|kilomet|length|strecke|distanz|distancia|distanza)/i,
  duration: /^(moving|elapsed|duration|dauer|duree|durée|riding)/i,
  bike: /^(bike|bicycle|gear|rad|velo|vélo)/i,
  lat: /^lat/i,
  lon: /^(lon|lng)/i,
  cadence: /^cad/i,
  power: /^(power|watt)/i,
  height: /^(ele|alt|height)/i,
  speed: /^(speed|velocity)/i,
}

/** Which column probably holds what, by its head; each column once. */
export function guessColumns(heads: readonly string[]): Partial<Record<Column, number>> {
  const guess: Partial<Record<Column, number>> = {}
  const taken = new Set<number>()
  for (const column of COLUMNS) {
    const at = heads.findIndex((head, i) => !taken.has(i) && LIKELY[column].test(head.trim()))
    if (at < 0) continue
    guess[column] = at
    taken.add(at)
  }
  return guess
}

/** How numbers are written in a column: which mark is the decimal one. */
export type DecimalMark = 'point' | 'comma'

/** The decimal mark of a column, from all its cells; a lone comma before other than three figures is decimal. */
export function decimalMarkOf(cells: readonly string[]): DecimalMark {
  const commas = cells.filter((cell) => /^\s*-?\d+(\.\d{3})*,\d+\s*\D*$/.test(cell))
  const points = cells.filter((cell) => /^\s*-?\d+(,\d{3})*\.\d+\s*\D*$/.test(cell))
  const thousands = commas.every((cell) => /^\s*-?\d{1,3},\d{3}\s*\D*$/.test(cell))
  if (commas.length > points.length && !thousands) return 'comma'
  return commas.length > 0 && points.length === 0 && !thousands ? 'comma' : 'point'
}

/** A number as a table writes it, its unit passed over; undefined where it is none. */
export function tableNumber(cell: string, mark: DecimalMark): number | undefined {
  const plain = cell.replace(/[\s\u00a0\u202f'’]/g, '').replace(/[a-zA-Z/]+$/, '')
  const written = mark === 'comma' ? plain.replaceAll('.', '').replace(',', '.') : plain.replaceAll(',', '')
  const value = written === '' ? NaN : Number(written)
  return Number.isFinite(value) ? value : undefined
}

/** In which order a column writes day and month. */
export type DateOrder = 'iso' | 'day-first' | 'month-first'

const DATE =
  /^\s*(\d{1,4})[./\- ](\d{1,2})[./\- ](\d{1,4})(?:[T ,]+(\d{1,2}):(\d{2})(?::(\d{2})(?:\.\d+)?)?\s*(am|pm)?)?/i

/**
 * The order of day and month in a column, from all its cells.
 * @returns undefined where every cell could be read both ways: somebody has to say
 */
export function dateOrderOf(cells: readonly string[]): DateOrder | undefined {
  let [dayFirst, monthFirst, iso] = [false, false, false]
  for (const cell of cells) {
    const found = DATE.exec(cell)
    if (!found) continue
    if ((found[1] ?? '').length === 4) iso = true
    else if (Number(found[1]) > 12) dayFirst = true
    else if (Number(found[2]) > 12) monthFirst = true
    else if (cell.includes('.')) dayFirst = true
  }
  if (iso) return 'iso'
  return dayFirst === monthFirst ? undefined : dayFirst ? 'day-first' : 'month-first'
}

/**
 * A moment as a table writes it, as an ISO time; a time without a zone is the reader's own. Noon where only the day
 * is told.
 * @returns undefined where it is no date
 */
export function tableTime(cell: string, order: DateOrder): string | undefined {
  const text = cell.trim()
  if (/^\d{4}-\d{2}-\d{2}T.*(Z|[+-]\d{2}:?\d{2})$/.test(text)) {
    const ms = Date.parse(text)
    return Number.isFinite(ms) ? new Date(ms).toISOString() : undefined
  }
  const found = DATE.exec(text)
  if (!found) return undefined
  const [, a, b, c, hours, minutes, seconds, half] = found
  const [year, month, day] =
    order === 'iso' || (a ?? '').length === 4 ? [a, b, c] : order === 'day-first' ? [c, b, a] : [c, a, b]
  const fullYear = Number(year) < 100 ? 2000 + Number(year) : Number(year)
  const turned = half ? (Number(hours) % 12) + (half.toLowerCase() === 'pm' ? 12 : 0) : Number(hours ?? 12)
  const time = new Date(
    fullYear,
    Number(month) - 1,
    Number(day),
    turned,
    Number(minutes ?? 0),
    Number(seconds ?? 0),
  )
  // The thirty-first of a month of thirty days is a mistake, not the first of the next.
  return time.getMonth() === Number(month) - 1 && time.getDate() === Number(day)
    ? time.toISOString()
    : undefined
}

/** Seconds of "1:23:45", "83:20" minutes, or a plain number of seconds. */
export function tableDuration(cell: string, mark: DecimalMark): number | undefined {
  const parts = cell.trim().split(':')
  if (parts.length === 1) return tableNumber(cell, mark)
  const figures = parts.map(Number)
  if (figures.some((figure) => !Number.isFinite(figure))) return undefined
  return parts.length === 2
    ? (figures[0] ?? 0) * 3600 + (figures[1] ?? 0) * 60
    : (figures[0] ?? 0) * 3600 + (figures[1] ?? 0) * 60 + (figures[2] ?? 0)
}
