import Papa from 'papaparse'
import { RideFileError } from '../rides/ride-file-error.ts'
import { words } from '../../words/formats/notes/sheet-file.ts'

/** The largest file that is taken for a table of notes, bytes. */
export const MOST_SHEET_BYTES = 20e6

type Cell = string | number | boolean | Date | null | undefined

/** A cell as text. A number is written so that its decimal mark can be read in one way only. */
function textOfCell(cell: Cell): string {
  if (cell === null || cell === undefined) return ''
  // A day stands in such files as midnight in UTC.
  if (cell instanceof Date) return cell.toISOString().replace(/T00:00:00\.000Z$/, '')
  const text = String(cell)
  return typeof cell === 'number' && /\.\d{3}$/.test(text) ? `${text}0` : text
}

/**
 * The first sheet of a spreadsheet file (Office Open XML), as a table with tabs between its cells.
 * @throws RideFileError where it cannot be opened
 */
export async function textOfSheetFile(file: Blob): Promise<string> {
  const { readSheet } = await import('read-excel-file/universal')
  try {
    const rows = (await readSheet(file)) as readonly (readonly Cell[])[]
    return Papa.unparse(
      rows.map((row) => row.map(textOfCell)),
      { delimiter: '\t' },
    )
  } catch {
    throw new RideFileError(words.theSpreadsheetCannotBe)
  }
}
