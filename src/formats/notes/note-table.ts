import type { RideTable } from '../rides/ride-table.ts'
import { readTable } from '../rides/ride-table.ts'
import { isDate, knownNoteHeads } from './column-heads.ts'

/** A table of notes, cells as written. */
export interface NoteTable extends RideTable {
  /** No line names the columns: the first one is a row like the others. */
  readonly isHeadless: boolean
}

/** Rows of more than this are no notes of one garage. */
export const MOST_NOTE_ROWS = 50_000

/** What does not fit under the heads was written with the separator in it: "0.5 no, 0.75 yes" in a table with commas. */
const joined = (row: readonly string[], width: number): readonly string[] =>
  row.length <= width
    ? row
    : [
        ...row.slice(0, width - 1),
        row
          .slice(width - 1)
          .map((cell) => cell.trim())
          .filter((cell) => cell !== '')
          .join(', '),
      ]

/**
 * Reads a table of notes as it is pasted out of a spreadsheet or saved as CSV, with heads over its columns or without.
 * @throws RideFileError where it is empty or has no rows
 */
export function readNoteTable(text: string): NoteTable {
  const table = readTable(text, { known: knownNoteHeads, isRow: (cells) => cells.some(isDate) })
  const isHeadless = table.heads.some(isDate)
  if (!isHeadless) {
    const width = Math.max(1, table.heads.findLastIndex((head) => head !== '') + 1)
    return { ...table, rows: table.rows.map((row) => joined(row, width)), isHeadless }
  }
  const rows = [table.heads, ...table.rows]
  // The width that most rows have: a longer one holds the separator in its words.
  const widths = rows.map(({ length }) => length).sort((a, b) => a - b)
  const width = widths[Math.floor(widths.length / 2)] ?? 1
  return {
    heads: Array.from({ length: width }, () => ''),
    rows: rows.map((row) => joined(row, width)),
    lines: [(table.lines[0] ?? 2) - 1, ...table.lines],
    isHeadless,
  }
}
