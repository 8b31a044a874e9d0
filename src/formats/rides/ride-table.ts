import Papa from 'papaparse'
import { wordsOfCell } from '../../core/tables/plain-cell.ts'
import { RideFileError } from './ride-file-error.ts'
import { words } from '../../words/formats/rides/ride-table.ts'

/** A table out of a CSV file, cells as written. */
export interface RideTable {
  readonly heads: readonly string[]
  readonly rows: readonly (readonly string[])[]
  /** The line of the file that each row stands on. */
  readonly lines: readonly number[]
}

const SEPARATORS = [',', ';', '\t', '|']
/** Spreadsheets may say in the first line what separates the cells. */
const SEPARATOR_LINE = /^sep=(.)\s*$/i

/** What a column of a table may hold. */
export const COLUMNS = [
  'date',
  'clock',
  'lat',
  'lon',
  'speed',
  'distance',
  'duration',
  'bike',
  'sport',
  'cadence',
  'power',
  'height',
] as const
export type Column = (typeof COLUMNS)[number]

const LIKELY: Readonly<Record<Column, RegExp>> = {
  date: /^(activity[ _]?date|date|day|datum|tag|fecha|data|start(ed)?([ _]?(at|date))?|timestamp|when)\b/i,
  clock: /^((start|begin)[ _]?time|time|zeit|uhrzeit|hora|ora|heure|startzeit)\b/i,
  lat: /^lat/i,
  lon: /^(lon|lng)/i,
  speed:
    /(km\s*\/\s*h|kmh|kph|mph|m\s*\/\s*s|speed|velocity|tempo|geschwindigkeit|pace|vitesse|velocidad|avg|max)/i,
  distance:
    /^(total |ride )?(distance|dist|km|miles|mi|kilomet|length|strecke|distanz|distancia|distanza|afstand)\b/i,
  duration:
    /^(total |ride )?(moving|elapsed|duration|dauer|duree|durée|riding|fahrzeit|tiempo|durata|minutes|hours|seconds)/i,
  bike: /^(bike|bicycle|gear|rad|velo|vélo)\b/i,
  sport: /^(sport|type|activity[ _]?type|sportart)\b/i,
  cadence: /^cad/i,
  power: /^(power|watt)/i,
  height: /^(ele|alt|height)/i,
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
  // A column called "time" alone holds day and time.
  const { date, clock, ...rest } = guess
  return date === undefined && clock !== undefined ? { ...rest, date: clock } : guess
}

/** Titles are no longer than this, lines. */
const LOOKED_AT = 30

/** What is looked for in a table before it is known what separates its cells and where it begins. */
export interface TableSigns {
  /** How many of the cells of a row are recognised as heads of columns. */
  readonly known: (cells: readonly string[]) => number
  /** Whether cells are a row: a table without heads begins with the first. */
  readonly isRow?: (cells: readonly string[]) => boolean
}

const OF_RIDES: TableSigns = { known: (cells) => Object.keys(guessColumns(cells)).length }

const trimmed = (row: readonly string[]): string[] => row.map((cell) => cell.trim())

/** The row that holds the heads: the first whose cells can be recognised, after whatever titles stand above it. */
function headRow(data: readonly (readonly string[])[], { known, isRow }: TableSigns): number {
  const widest = data.slice(0, LOOKED_AT).reduce((most, row) => Math.max(most, row.length), 0)
  const told = data.findIndex((row, i) => i < LOOKED_AT && row.length > 1 && known(trimmed(row)) > 1)
  if (told >= 0) return told
  const first = isRow ? data.findIndex((row) => row.length > 1 && isRow(row)) : -1
  return first >= 0 ? first : data.findIndex((row) => row.length === widest && widest > 1)
}

/** What separates the cells: with it the most heads are recognised. Decimal commas would mislead whoever only counts. */
function separatorOf(text: string, signs: TableSigns): string | undefined {
  let best: { readonly separator: string; readonly told: number } | undefined
  for (const separator of SEPARATORS) {
    const { data } = Papa.parse<string[]>(text, { delimiter: separator, preview: LOOKED_AT })
    const heads = data[headRow(data, signs)] ?? []
    const told = heads.length < 2 ? 0 : signs.known(trimmed(heads))
    if (told > (best?.told ?? 0)) best = { separator, told }
  }
  return best?.separator
}

/**
 * Reads a CSV file, whatever separates its cells and whatever titles stand above its heads.
 * @param signs what is looked for: the heads of rides, where it is not said
 * @throws RideFileError where it is empty or has no rows under its heads
 */
export function readTable(text: string, signs: TableSigns = OF_RIDES): RideTable {
  const plain = text.replace(/^\ufeff/, '')
  if (plain.trim() === '') throw new RideFileError(words.theFileIsEmpty)
  const [firstLine = ''] = plain.split(/\r?\n/, 1)
  const told = SEPARATOR_LINE.exec(firstLine)?.[1]
  const body = told === undefined ? plain : plain.slice(firstLine.length).replace(/^\r?\n/, '')
  const separator = told ?? separatorOf(body, signs)
  const { data: cells } = Papa.parse<string[]>(body, {
    ...(separator === undefined ? { delimitersToGuess: SEPARATORS } : { delimiter: separator }),
  })
  const data = cells.map((row) => row.map(wordsOfCell))
  const skipped = told === undefined ? 1 : 2
  const numbered = data
    .map((row, i) => ({ row, line: i + skipped }))
    .filter(({ row }) => row.some((cell) => cell.trim() !== ''))
  const at = headRow(
    numbered.map(({ row }) => row),
    signs,
  )
  const heads = numbered[at]
  if (!heads) throw new RideFileError(words.noColumnsCanBe)
  const under = numbered.slice(at + 1)
  if (under.length === 0) throw new RideFileError(words.thereIsNothingUnder)
  return {
    heads: heads.row.map((head) => head.trim()),
    rows: under.map(({ row }) => row),
    lines: under.map(({ line }) => line),
  }
}
