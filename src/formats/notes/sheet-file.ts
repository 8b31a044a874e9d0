import { zipSync } from 'fflate'
import Papa from 'papaparse'
import type { JobStep } from '../../core/job.ts'
import { RideFileError } from '../rides/ride-file-error.ts'
import { sheetParts } from './sheet-parts.ts'
import { sheetSpanSteps } from './sheet-span.ts'
import { words } from '../../words/formats/notes/sheet-file.ts'

/** The largest file that is taken for a table of notes, bytes. */
export const MOST_SHEET_BYTES = 20e6
/** The longest table, letters: one long text may be named by thousands of cells. */
const MOST_LETTERS = 50e6

type Cell = string | number | boolean | Date | null | undefined

/** A cell as text. A number is written so that its decimal mark can be read in one way only. */
function textOfCell(cell: Cell): string {
  if (cell === null || cell === undefined) return ''
  // A day stands in such files as midnight in UTC.
  if (cell instanceof Date)
    return Number.isNaN(cell.getTime()) ? '' : cell.toISOString().replace(/T00:00:00\.000Z$/, '')
  const text = String(cell)
  return typeof cell === 'number' && /\.\d{3}$/.test(text) ? `${text}0` : text
}

/**
 * The rows of the sheet, by the library. It is handed the parts packed anew without being pressed: what is pressed it
 * would unpack in workers of its own, which the server's policy refuses.
 */
async function rowsOf(files: Readonly<Record<string, Uint8Array>>): Promise<readonly (readonly Cell[])[]> {
  const { readSheet } = await import('read-excel-file/universal')
  const stored = new Uint8Array(zipSync(files, { level: 0 }))
  try {
    return (await readSheet(stored.buffer)) as readonly (readonly Cell[])[]
  } catch {
    throw new RideFileError(words.theSpreadsheetCannotBe)
  }
}

/**
 * The first sheet of a spreadsheet file (Office Open XML), as a table with tabs between its cells. Its size and reach
 * are looked at before anything is built of it.
 * @throws RideFileError where it cannot be opened, or is more than a table of notes
 */
export async function* sheetFileSteps(file: Blob): AsyncGenerator<JobStep, string, undefined> {
  const { files, sheet } = sheetParts(new Uint8Array(await file.arrayBuffer()))
  const xml = new TextDecoder().decode(files[sheet])
  for (const { done, of } of sheetSpanSteps(xml)) yield { done, of: 2 * of }
  yield { done: 1, of: 2 }
  const rows = await rowsOf(files)
  let letters = 0
  const cells: string[][] = []
  for (const row of rows) {
    const made = row.map(textOfCell)
    letters += made.reduce((sum, { length }) => sum + length, 0)
    if (letters > MOST_LETTERS) throw new RideFileError(words.itHasTooManyCells)
    cells.push(made)
  }
  return Papa.unparse(cells, { delimiter: '\t' })
}
