import type { NoteUse } from './column-heads.ts'
import { guessNotes, wholeMapping, type GuessedNotes } from './note-mapping.ts'
import { yesMeansOf } from './note-rows.ts'
import type { NoteTable } from './note-table.ts'

/**
 * How a table of notes is to be read, as far as its heads, its cells and what a chain can do tell.
 * @param chosen what each column holds, where somebody has said
 * @param nowMs nothing was noted later than a day after it, ms since 1970
 */
export function understandNotes(table: NoteTable, nowMs: number, chosen?: readonly NoteUse[]): GuessedNotes {
  const guess = guessNotes(table, chosen)
  const yesMeans = guess.uses.includes('date') ? yesMeansOf(table, wholeMapping(guess), nowMs) : undefined
  return { ...guess, ...(yesMeans && { yesMeans }) }
}
