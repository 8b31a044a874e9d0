import type { LimitReading, Reading } from '../../core/measure/reading.ts'
import { inchesToMm, milesToKm } from '../../core/units/convert.ts'
import { PITCH_MM } from '../../core/units/pitch.ts'
import { tableMoment, tableNumber } from '../rides/table-cells.ts'
import type { NoteUse } from './column-heads.ts'
import { doneIn, isOnlyDone, type Done } from './done-words.ts'
import {
  areImpossible,
  resultOf,
  sidesIn,
  sideWordOf,
  yesMeansIn,
  type SaidSide,
  type YesMeans,
} from './gauge-words.ts'
import type { NoteMapping } from './note-mapping.ts'
import type { NoteTable } from './note-table.ts'

/** Why something in a row is not brought in; what was written stands beside it. */
export type Unclear =
  | 'no-date'
  | 'far-date'
  | 'no-number'
  | 'no-distance'
  | 'too-far'
  | 'too-long'
  | 'no-side'
  | 'sides-contradict'
  | 'no-stretch'
  | 'no-length'
  | 'no-price'
  | 'meant'
  | 'counts-back'
  | 'nothing-before'
  | 'swap-in-past'
  | 'not-fitted'
  | 'ride-there'
  | 'which-bike'

export interface Doubt {
  readonly why: Unclear
  readonly written: string
}

/** A row of notes as it is read, before it is known which chain it is about. */
export interface NoteRow {
  readonly line: number
  readonly at: string
  readonly hasTime: boolean
  /** The bike's and the chain's names, where columns hold them. */
  readonly bike: string
  readonly chain: string
  readonly distance?: { readonly use: NoteUse; readonly km: number; readonly written: string }
  readonly readings: readonly Reading[]
  readonly done: readonly Done[]
  readonly text: string
  readonly price?: number
  readonly doubts: readonly Doubt[]
}

/** A row that cannot be placed in time. */
export interface LostRow {
  readonly line: number
  readonly doubts: readonly Doubt[]
}

const DAY_MS = 86_400_000
const EARLIEST = '1990-01-02'
const MOST_RIDE_KM = 2000
const MOST_COUNT_KM = 1e6
const STRETCH = [-0.5, 3] as const

interface Cells {
  readonly row: readonly string[]
  readonly mapping: NoteMapping
}

const cellsOfUse = ({ row, mapping }: Cells, use: NoteUse): { text: string; at: number }[] =>
  mapping.uses.flatMap((one, at) => {
    const text = (row[at] ?? '').trim()
    return one === use && text !== '' ? [{ text, at }] : []
  })
const cellOf = (cells: Cells, use: NoteUse): string => cellsOfUse(cells, use)[0]?.text ?? ''

/** What a row tells of limit sides, in its columns and in its words; words that are not known are left to `doubt`. */
function sidesOf(cells: Cells, doubt: (why: Unclear, written: string) => void): SaidSide[] {
  const { mapping } = cells
  const inColumns = cellsOfUse(cells, 'limit').flatMap(({ text, at }): SaidSide[] => {
    const percent = mapping.limits[String(at)]
    const said = sideWordOf(text) ?? mapping.words[text.toLowerCase()]
    if (said === 'left-out' || percent === undefined) return []
    if (said === undefined) {
      doubt('no-side', text)
      return []
    }
    return [{ percent, word: said }]
  })
  return [...inColumns, ...cellsOfUse(cells, 'words').flatMap(({ text }) => sidesIn(text))]
}

function limitReadings(cells: Cells, doubt: (why: Unclear, written: string) => void): LimitReading[] {
  const { contacts, yesMeans } = cells.mapping
  const sides = sidesOf(cells, doubt)
  if (areImpossible(sides, yesMeans)) {
    doubt('sides-contradict', sides.map(({ percent, word }) => `${percent} ${word}`).join(', '))
    return []
  }
  return sides.map(({ percent, word }) => ({
    instrument: `${contacts}-limit`,
    limit: percent,
    result: resultOf(word, yesMeans),
  }))
}

function figures(cells: Cells, doubt: (why: Unclear, written: string) => void): Reading[] {
  const { decimals, contacts, pitches, lengthUnit } = cells.mapping
  const readings: Reading[] = []
  const percentText = cellOf(cells, 'percent')
  if (percentText !== '') {
    const percent = tableNumber(percentText.replace('%', ''), decimals)
    if (percent === undefined) doubt('no-number', percentText)
    else if (percent < STRETCH[0] || percent > STRETCH[1]) doubt('no-stretch', percentText)
    else readings.push({ instrument: `${contacts}-scale`, percent })
  }
  const lengthText = cellOf(cells, 'length')
  if (lengthText !== '') {
    const value = tableNumber(lengthText.replace(/["″]/g, ''), decimals)
    const lengthMm = value === undefined ? undefined : lengthUnit === 'mm' ? value : inchesToMm(value)
    const percent = lengthMm === undefined ? NaN : 100 * (lengthMm / (pitches * PITCH_MM) - 1)
    if (lengthMm === undefined) doubt('no-number', lengthText)
    else if (!(percent >= STRETCH[0] && percent <= STRETCH[1])) doubt('no-length', lengthText)
    else readings.push({ instrument: 'rule', pitches, lengthMm: Math.round(lengthMm * 1000) / 1000 })
  }
  return readings
}

const DISTANCE_USES: readonly NoteUse[] = ['ride', 'odometer', 'chain-distance', 'since-last']

function distanceOf(cells: Cells, doubt: (why: Unclear, written: string) => void): NoteRow['distance'] {
  const { decimals, unit } = cells.mapping
  for (const use of DISTANCE_USES) {
    const written = cellOf(cells, use)
    if (written === '' || /^[-–]$/.test(written)) continue
    const value = tableNumber(written, decimals)
    if (value === undefined || value < 0) {
      doubt('no-distance', written)
      continue
    }
    const km = unit === 'km' ? value : milesToKm(value)
    if (use === 'ride' && km > MOST_RIDE_KM) doubt('too-long', written)
    else if (km > MOST_COUNT_KM) doubt('too-far', written)
    else if (use !== 'ride' || km > 0) return { use, km, written }
  }
  return undefined
}

const MOST_MINOR = 1e8

/** Reads one row; what cannot be used is named, and nothing is guessed. */
function readRow(table: NoteTable, i: number, mapping: NoteMapping, latest: string): NoteRow | LostRow {
  const cells: Cells = { row: table.rows[i] ?? [], mapping }
  const line = table.lines[i] ?? i + 2
  const doubts: Doubt[] = []
  const doubt = (why: Unclear, written: string): void =>
    void doubts.push({ why, written: written.slice(0, 60) })
  const dateText = cellOf(cells, 'date')
  const moment = tableMoment(dateText, mapping.dates, cellOf(cells, 'clock'))
  if (!moment) return { line, doubts: [{ why: 'no-date', written: dateText.slice(0, 60) }] }
  if (moment.at < EARLIEST || moment.at > latest)
    return { line, doubts: [{ why: 'far-date', written: dateText.slice(0, 60) }] }
  const texts = cellsOfUse(cells, 'words').map(({ text }) => text)
  const said = texts.map(doneIn)
  if (said.some(({ isMeant }) => isMeant))
    doubt('meant', texts[said.findIndex(({ isMeant }) => isMeant)] ?? '')
  const distance = distanceOf(cells, doubt)
  const readings = [...figures(cells, doubt), ...limitReadings(cells, doubt)]
  const priceText = cellOf(cells, 'price')
  const price =
    priceText === '' ? undefined : tableNumber(priceText.replace(/[^\d.,-]/g, ''), mapping.decimals)
  if (priceText !== '' && (price === undefined || price < 0 || price * 100 > MOST_MINOR))
    doubt('no-price', priceText)
  // Words that say no more than what is written down for them anyway need no note.
  const text = texts.filter((one) => !isOnlyDone(one) && !isOnlySides(one)).join('; ')
  return {
    line,
    ...moment,
    bike: cellOf(cells, 'bike'),
    chain: cellOf(cells, 'chain'),
    ...(distance && { distance }),
    readings,
    done: said.flatMap(({ done }) => done),
    text,
    ...(price !== undefined && price > 0 && price * 100 <= MOST_MINOR && { price }),
    doubts,
  }
}

/** Whether a text tells of limit sides and of nothing else. */
const isOnlySides = (text: string): boolean => {
  const sides = sidesIn(text)
  return sides.length > 0 && text.replace(/[\d.,;:%\s]/g, '').length <= 14 * sides.length && text.length < 40
}

/** The rows of a table of notes, in order of time, and those that no day could be found for. */
export interface ReadNotes {
  readonly rows: readonly NoteRow[]
  readonly lost: readonly LostRow[]
}

/**
 * Reads a table of notes by a mapping.
 * @param nowMs nothing was noted later than a day after it
 */
export function readNotes(table: NoteTable, mapping: NoteMapping, nowMs: number): ReadNotes {
  const latest = new Date(nowMs + DAY_MS).toISOString()
  const rows: NoteRow[] = []
  const lost: LostRow[] = []
  table.rows.forEach((_, i) => {
    const row = readRow(table, i, mapping, latest)
    if ('at' in row) rows.push(row)
    else lost.push(row)
  })
  // A stable order: two notes of one day stay as they stand in the table.
  return { rows: rows.sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.line - b.line)), lost }
}

/** What yes means beside the limit sides of a table, by what a chain can do; undefined where both could be. */
export function yesMeansOf(table: NoteTable, mapping: NoteMapping, nowMs: number): YesMeans | undefined {
  const chains = new Map<string, SaidSide[][]>()
  const groups: SaidSide[][][] = []
  const byLine = new Map(table.lines.map((line, i) => [line, table.rows[i] ?? []]))
  for (const row of readNotes(table, mapping, nowMs).rows) {
    const sides = sidesOf({ row: byLine.get(row.line) ?? [], mapping }, () => undefined)
    const key = `${row.bike} ${row.chain}`
    const held = chains.get(key)
    if (held) held.push(sides)
    else {
      const made = [sides]
      chains.set(key, made)
      groups.push(made)
    }
    if (row.done.some((one) => one.did === 'new-part' && one.type === 'chain')) chains.delete(key)
  }
  return yesMeansIn(groups)
}
