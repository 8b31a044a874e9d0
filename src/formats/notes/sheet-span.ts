import { SaxesParser } from 'saxes'
import type { JobStep } from '../../core/job.ts'
import { RideFileError } from '../rides/ride-file-error.ts'
import { MOST_NOTE_ROWS } from './note-table.ts'
import { words } from '../../words/formats/notes/sheet-file.ts'

/** Titles and empty lines over a table. */
const OVER_THE_TABLE = 100
/** The last row of a sheet that is looked at. */
export const MOST_SHEET_ROWS = MOST_NOTE_ROWS + OVER_THE_TABLE
/** The last column of a sheet that is looked at: IV. */
export const MOST_SHEET_COLUMNS = 256
/** So many cells with something in them, at most; the gaps between them are as many again four times over. */
const MOST_CELLS = 1_000_000
const MOST_SPAN = 5 * MOST_CELLS
/** The last row that there is in any sheet (ECMA-376). */
const LAST_ROW = 1_048_576
/** Read in one go, letters. */
const PIECE = 262_144

/** A name without its prefix. */
export const local = (name: string): string => name.slice(name.indexOf(':') + 1)

/** The values of an attribute, whatever stands before its name. */
const valuesOf = (attributes: Readonly<Record<string, unknown>>, wanted: string): readonly string[] =>
  Object.entries(attributes).flatMap(([name, value]) => (local(name) === wanted ? [String(value)] : []))

function rowOf(value: string): number {
  const row = /^\d{1,7}$/.test(value) ? Number(value) : 0
  if (row < 1 || row > LAST_ROW) throw new RideFileError(words.theSpreadsheetIsDamaged)
  return row
}

/** A place such as "AB12": the column from 1, and the row. */
function placeOf(value: string): { readonly row: number; readonly column: number } {
  const found = /^([A-Z]{1,3})(\d{1,7})$/i.exec(value)
  if (!found) throw new RideFileError(words.theSpreadsheetIsDamaged)
  const column = [...(found[1] ?? '').toUpperCase()].reduce(
    (sum, letter) => sum * 26 + letter.charCodeAt(0) - 64,
    0,
  )
  return { row: rowOf(found[2] ?? ''), column }
}

/** What a sheet reaches to: the last row and column with something in them, and how many cells have. */
export interface SheetSpan {
  readonly rows: number
  readonly columns: number
  readonly cells: number
}

function refuseTooMuch({ rows, columns, cells }: SheetSpan): void {
  if (rows > MOST_SHEET_ROWS) throw new RideFileError(words.itGoesOnBelow(rows, MOST_NOTE_ROWS))
  if (columns > MOST_SHEET_COLUMNS) throw new RideFileError(words.itGoesOnBeside(columns, MOST_SHEET_COLUMNS))
  if (cells > MOST_CELLS || rows * columns > MOST_SPAN) throw new RideFileError(words.itHasTooManyCells)
}

/**
 * Goes through a sheet without building its rows, and says how far it reaches. One cell in the last corner would be
 * seventeen thousand million cells: that is refused here, before anything is built.
 * @param xml the sheet (ECMA-376, part 1, 18.3)
 * @throws RideFileError where it reaches further than a table of notes, or is no sheet
 */
export function* sheetSpanSteps(xml: string): Generator<JobStep, SheetSpan, undefined> {
  const parser = new SaxesParser()
  let [rows, columns, cells] = [0, 0, 0]
  let row = 0
  let place: { readonly row: number; readonly column: number } | undefined
  let isFilled = false
  parser.on('error', () => {
    throw new RideFileError(words.theSpreadsheetIsDamaged)
  })
  parser.on('opentag', ({ name, attributes }) => {
    const tag = local(name)
    if (tag === 'row') for (const value of valuesOf(attributes, 'r')) row = rowOf(value)
    if (tag === 'c') {
      for (const value of valuesOf(attributes, 'r')) place = placeOf(value)
      isFilled = false
    }
  })
  const fill = (piece: string): void => {
    if (place && piece.trim() !== '') isFilled = true
  }
  parser.on('text', fill)
  parser.on('cdata', fill)
  parser.on('closetag', ({ name }) => {
    if (local(name) !== 'c') return
    if (place && isFilled) {
      rows = Math.max(rows, row, place.row)
      columns = Math.max(columns, place.column)
      cells++
      refuseTooMuch({ rows, columns, cells })
    }
    place = undefined
  })
  for (let from = 0; from < xml.length; from += PIECE) {
    parser.write(xml.slice(from, from + PIECE))
    yield { done: from, of: xml.length }
  }
  parser.close()
  return { rows, columns, cells }
}
