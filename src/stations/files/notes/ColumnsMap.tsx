import type { NoteUse } from '../../../formats/notes/column-heads.ts'
import { cellsOf, type GuessedNotes } from '../../../formats/notes/note-mapping.ts'
import type { NoteTable } from '../../../formats/notes/note-table.ts'
import { understandNotes } from '../../../formats/notes/understand.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { SelectField } from '../../../ui/parts/fields.tsx'
import { NOTE_USE_NAMES } from '../../../words/notes-words.ts'
import { words } from '../../../words/stations/files/notes/columns-map.ts'

interface Props {
  readonly table: NoteTable
  readonly mapping: GuessedNotes
  readonly onMap: (mapping: GuessedNotes) => void
}

const SAMPLES = 3

/** What each column holds, beside the first cells of it. */
export function ColumnsMap({ table, mapping, onMap }: Props) {
  const { now } = useOpenLog()
  const pick = (at: number, use: NoteUse): void => {
    const uses = mapping.uses.map((one, i) => (i === at ? use : one))
    const again = understandNotes(table, Date.parse(now), uses)
    // What was said by hand stays; what the new column tells is added.
    onMap({ ...again, ...mapping, uses, limits: { ...again.limits, ...mapping.limits } })
  }
  return (
    <ul
      aria-label={words.columns}
      className="grid grid-cols-[repeat(auto-fill,minmax(14.5rem,1fr))] gap-x-6 gap-y-4 max-sm:grid-cols-1"
    >
      {table.heads.map((head, at) => {
        const name = head === '' ? words.column(at + 1) : head
        return (
          <li key={at} className="min-w-0">
            <SelectField
              label={name}
              options={NOTE_USE_NAMES}
              value={mapping.uses[at] ?? 'none'}
              onPick={(use) => pick(at, use)}
              hint={
                <span className="line-clamp-2 font-mono text-[0.8rem] [overflow-wrap:anywhere]">
                  {cellsOf(table, at).slice(0, SAMPLES).join(' · ') || words.empty}
                </span>
              }
            />
          </li>
        )
      })}
    </ul>
  )
}
