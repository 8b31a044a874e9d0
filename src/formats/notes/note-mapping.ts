import { PITCH_MM } from '../../core/units/pitch.ts'
import type { LimitResult } from '../../core/measure/reading.ts'
import { MM_PER_INCH } from '../../core/units/convert.ts'
import {
  dateOrderOf,
  decimalsOf,
  tableMoment,
  tableNumber,
  type DateOrder,
  type DecimalMark,
} from '../rides/table-cells.ts'
import { isDate, limitInHead, useOfHead, type NoteUse } from './column-heads.ts'
import { doneIn } from './done-words.ts'
import { sidesIn, sideWordOf, type YesMeans } from './gauge-words.ts'
import type { NoteTable } from './note-table.ts'

export type LengthUnit = 'mm' | 'inches'

/** How a table of notes is to be read. Kept, and used again for the next table with the same heads. */
export interface NoteMapping {
  /** What each column holds, in their order. */
  readonly uses: readonly NoteUse[]
  /** The mark of each column that is a limit side, %, by its place. */
  readonly limits: Readonly<Record<string, number>>
  readonly dates: DateOrder
  readonly decimals: DecimalMark
  /** Of all distances. */
  readonly unit: 'km' | 'miles'
  /** What the drop-in gauge and the scale are: does a third contact take the rollers' play away? */
  readonly contacts: 'two-contact' | 'three-contact'
  readonly yesMeans: YesMeans
  /** What words beside a limit side mean that are not known here, in small letters. */
  readonly words: Readonly<Record<string, LimitResult | 'left-out'>>
  /** Of the column of lengths: over how many pitches, and in what. */
  readonly pitches: number
  readonly lengthUnit: LengthUnit
  /** ISO 4217, of the column of prices. */
  readonly currency: string
}

/** A mapping as far as the table tells it. What is absent has to be said. */
export type GuessedNotes = Partial<NoteMapping> & Pick<NoteMapping, 'uses' | 'limits' | 'words'>

/** What recognises a table that was read before: its heads, or how many columns it has. */
export const notePrint = ({ heads, isHeadless }: NoteTable): string =>
  isHeadless ? `headless ${heads.length}` : heads.join('|').toLowerCase().slice(0, 500)

/** The cells of a column that hold something. */
export const cellsOf = ({ rows }: NoteTable, at: number): string[] =>
  rows.map((row) => (row[at] ?? '').trim()).filter((cell) => cell !== '')

const most = (cells: readonly string[], is: (cell: string) => boolean): boolean =>
  cells.length > 0 && cells.filter(is).length >= 0.7 * cells.length

/** How many pitches a length is of, where it is one of a chain: between new and worn out. */
export function pitchesOf(lengthMm: number): number | undefined {
  const pitches = Math.round(lengthMm / PITCH_MM)
  const elongation = lengthMm / (pitches * PITCH_MM) - 1
  return pitches >= 6 && pitches <= 120 && elongation > -0.003 && elongation < 0.016 ? pitches : undefined
}

/** The most frequent of some counts. */
function commonest(counts: readonly number[]): number | undefined {
  const held = new Map<number, number>()
  for (const count of counts) held.set(count, (held.get(count) ?? 0) + 1)
  return [...held].sort((a, b) => b[1] - a[1])[0]?.[0]
}

/** What lengths of a chain are told in, and over how many pitches. Undefined where they are none. */
export function lengthsOf(values: readonly number[]): { pitches: number; unit: LengthUnit } | undefined {
  for (const unit of ['mm', 'inches'] as const) {
    const counts = values.map((value) => pitchesOf(unit === 'mm' ? value : value * MM_PER_INCH))
    const pitches = commonest(counts.filter((count) => count !== undefined))
    // One tool measures over the same number of links each time.
    const isOne = counts.filter((count) => count === pitches).length >= 0.7 * counts.length
    if (pitches !== undefined && isOne) return { pitches, unit }
  }
  return undefined
}

/** A count that began again falls to less than this share of what it was. */
const BEGAN_AGAIN = 0.5
/** Most rides are shorter, km or miles; what was ridden from one note to the next is often longer. */
const LONG_RIDE = 250

/**
 * What a column of distances counts, by how it runs: a count that only grows, one that begins again with each chain,
 * rides, or what was ridden since the row before.
 * @param values in order of time
 */
export function distanceUse(values: readonly number[]): NoteUse {
  const steps = values.slice(1).map((value, i) => ({ from: values[i] ?? 0, to: value }))
  const back = steps.filter(({ from, to }) => to < from)
  if (steps.length > 0 && back.length === 0) return 'odometer'
  const isCount = back.every(({ from, to }) => to < BEGAN_AGAIN * from) && back.length <= 0.3 * steps.length
  if (values.length >= 4 && isCount) return 'chain-distance'
  const sorted = [...values].sort((a, b) => a - b)
  return (sorted[Math.floor(sorted.length / 2)] ?? 0) > LONG_RIDE ? 'since-last' : 'ride'
}

/** What a column holds, by its cells, where its head does not tell. */
function useOfCells(cells: readonly string[], mark: DecimalMark): NoteUse | 'distance' {
  if (cells.length === 0) return 'none'
  if (most(cells, isDate)) return 'date'
  const values = cells.map((cell) => tableNumber(cell, mark)).filter((value) => value !== undefined)
  if (values.length >= 0.7 * cells.length) {
    if (lengthsOf(values)) return 'length'
    return values.every((value) => value <= 2) ? 'percent' : 'distance'
  }
  const labels = new Set(cells.map((cell) => cell.toLowerCase()))
  if (
    cells.length >= 4 &&
    labels.size <= 4 &&
    labels.size <= cells.length / 2 &&
    cells.every((cell) => cell.length <= 2)
  )
    return 'chain'
  return cells.some((cell) => sidesIn(cell).length > 0 || doneIn(cell).done.length > 0 || cell.length > 3)
    ? 'words'
    : 'none'
}

/** What a column holds, by its head first and by its cells where that leaves it open. */
function useOf(head: string, cells: readonly string[], mark: DecimalMark): NoteUse | 'distance' {
  const told = useOfHead(head)
  if (told === undefined || told === 'none') return useOfCells(cells, mark)
  const values = cells.map((cell) => tableNumber(cell, mark)).filter((value) => value !== undefined)
  const isNumbers = cells.length > 0 && values.length >= 0.7 * cells.length
  if ((told === 'words' || told === 'length' || told === 'percent' || told === 'chain') && isNumbers) {
    if (lengthsOf(values)) return 'length'
    if (told === 'chain') return 'chain'
    return values.every((value) => value <= 2) ? 'percent' : told === 'words' ? 'none' : told
  }
  if ((told === 'percent' || told === 'length') && !isNumbers) return 'words'
  if (told === 'limit' && !most(cells, (cell) => tableNumber(cell, mark) === undefined)) return 'percent'
  return told
}

/** The dates that a column tells, in its order of rows. */
const momentsOf = (table: NoteTable, at: number, dates: DateOrder): (string | undefined)[] =>
  table.rows.map((row) => tableMoment(row[at] ?? '', dates)?.at)

/** The figures of a column in order of time. */
export function valuesInTime(
  table: NoteTable,
  at: number,
  dateAt: number,
  dates: DateOrder,
  mark: DecimalMark,
): number[] {
  const days = momentsOf(table, dateAt, dates)
  return table.rows
    .map((row, i) => ({ day: days[i] ?? '', value: tableNumber(row[at] ?? '', mark), i }))
    .filter(
      (one): one is { day: string; value: number; i: number } => one.value !== undefined && one.day !== '',
    )
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : a.i - b.i))
    .map(({ value }) => value)
}

const DISTANCES: readonly NoteUse[] = ['ride', 'odometer', 'chain-distance', 'since-last']

/** The unit of the columns of distances, by a head or a cell that names it. */
function unitIn(table: NoteTable, uses: readonly NoteUse[]): 'km' | 'miles' | undefined {
  const told = uses
    .flatMap((use, at) =>
      DISTANCES.includes(use) ? [table.heads[at] ?? '', ...cellsOf(table, at).slice(0, 20)] : [],
    )
    .join(' ')
  if (/\bkms?\b|kilomet/i.test(told) || /\d\s*km\b/i.test(told)) return 'km'
  return /\bmi(les?)?\b|mileage|\d\s*mi\b/i.test(told) ? 'miles' : undefined
}

const CURRENCIES: readonly (readonly [string, RegExp])[] = [
  ['EUR', /€|\beur\b/i],
  ['GBP', /£|\bgbp\b/i],
  ['USD', /\$|\busd\b/i],
  ['CHF', /\bchf\b|\bfr\b/i],
]

/** Each use but words and limits stands once: the first column has it. */
function once(uses: readonly NoteUse[]): NoteUse[] {
  const seen = new Set<NoteUse>()
  return uses.map((use) => {
    if (use === 'none' || use === 'words' || use === 'limit') return use
    if (seen.has(use)) return 'none'
    seen.add(use)
    return use
  })
}

/** The words beside limit sides that nobody knows here, as they are written, in small letters. */
export function strangeWords(table: NoteTable, { uses }: Pick<NoteMapping, 'uses'>): readonly string[] {
  const found = new Set<string>()
  uses.forEach((use, at) => {
    if (use !== 'limit') return
    for (const cell of cellsOf(table, at)) if (sideWordOf(cell) === undefined) found.add(cell.toLowerCase())
  })
  return [...found].slice(0, 12)
}

/**
 * How a table of notes is to be read, as far as it tells.
 * @param chosen what each column holds, where somebody has said
 */
export function guessNotes(table: NoteTable, chosen?: readonly NoteUse[]): GuessedNotes {
  const numbers = table.rows.flatMap((row) =>
    row.filter((cell) => /^\s*-?[\d.,'\s]+\s*[a-z%]{0,6}\s*$/i.test(cell) && !isDate(cell)),
  )
  const { mark } = decimalsOf(numbers)
  const told = table.heads.map((head, at) => useOf(head, cellsOf(table, at), mark))
  const dateAt = chosen ? chosen.indexOf('date') : told.indexOf('date')
  const dates = dateAt < 0 ? undefined : dateOrderOf(cellsOf(table, dateAt))
  const counted = told.map((use, at): NoteUse => {
    if (use !== 'distance') return use
    return distanceUse(valuesInTime(table, at, dateAt, dates ?? 'day-first', mark))
  })
  const uses = chosen ?? once(counted)
  const lengthAt = uses.indexOf('length')
  const lengths =
    lengthAt < 0
      ? undefined
      : lengthsOf(cellsOf(table, lengthAt).map((cell) => tableNumber(cell, mark) ?? NaN))
  const unit = unitIn(table, uses)
  const priceAt = uses.indexOf('price')
  const prices = priceAt < 0 ? '' : [table.heads[priceAt], ...cellsOf(table, priceAt).slice(0, 20)].join(' ')
  const currency = CURRENCIES.find(([, sign]) => sign.test(prices))?.[0]
  return {
    uses,
    limits: Object.fromEntries(
      uses.flatMap((use, at) => {
        const percent = use === 'limit' ? limitInHead(table.heads[at] ?? '') : undefined
        return percent === undefined ? [] : [[String(at), percent]]
      }),
    ),
    words: {},
    decimals: mark,
    ...(dates && { dates }),
    ...(unit && { unit }),
    ...(lengths && { pitches: lengths.pitches, lengthUnit: lengths.unit }),
    ...(currency !== undefined && { currency }),
  }
}

/** What still has to be said before a table of notes can be read. */
export type NoteQuestion =
  | 'date'
  | 'dates'
  | 'unit'
  | 'contacts'
  | 'yesMeans'
  | 'pitches'
  | 'limits'
  | 'words'
  | 'currency'
  | 'nothing'

/** What is written about limit sides, and whether a yes or a no is among it. */
export function sidesWritten(
  table: NoteTable,
  uses: readonly NoteUse[],
): { readonly any: boolean; readonly yesNo: boolean } {
  const words = uses.flatMap((use, at) => {
    if (use === 'limit') return cellsOf(table, at).map(sideWordOf)
    return use === 'words' ? cellsOf(table, at).flatMap((cell) => sidesIn(cell).map(({ word }) => word)) : []
  })
  return { any: words.length > 0, yesNo: words.some((word) => word === 'yes' || word === 'no') }
}

/** What has to be said before a table can be read by a mapping; none where it says all. */
export function openQuestions(table: NoteTable, mapping: GuessedNotes): readonly NoteQuestion[] {
  const { uses, limits, words } = mapping
  const has = (use: NoteUse): boolean => uses.includes(use)
  const sides = sidesWritten(table, uses)
  const asked: readonly (readonly [NoteQuestion, boolean])[] = [
    ['date', !has('date')],
    ['dates', has('date') && mapping.dates === undefined],
    ['unit', DISTANCES.some(has) && mapping.unit === undefined],
    ['limits', uses.some((use, at) => use === 'limit' && limits[String(at)] === undefined)],
    ['contacts', (sides.any || has('percent')) && mapping.contacts === undefined],
    ['yesMeans', sides.yesNo && mapping.yesMeans === undefined],
    ['words', strangeWords(table, mapping).some((word) => words[word] === undefined)],
    ['pitches', has('length') && (mapping.pitches === undefined || mapping.lengthUnit === undefined)],
    ['currency', has('price') && mapping.currency === undefined],
    ['nothing', uses.every((use) => ['none', 'date', 'clock', 'bike', 'chain'].includes(use))],
  ]
  return asked.flatMap(([question, isOpen]) => (isOpen ? [question] : []))
}

/** A mapping of which nothing is open, with what the table does not need filled in. */
export const wholeMapping = (mapping: GuessedNotes): NoteMapping => ({
  dates: 'iso',
  decimals: 'point',
  unit: 'km',
  contacts: 'two-contact',
  yesMeans: 'drops',
  pitches: 24,
  lengthUnit: 'mm',
  currency: 'EUR',
  ...mapping,
})
