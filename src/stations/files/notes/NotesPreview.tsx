import { useVirtualizer } from '@tanstack/react-virtual'
import { useMemo, useRef, useState } from 'react'
import type { EntryDraft } from '../../../core/log/entries.ts'
import type { Garage } from '../../../core/log/garage.ts'
import type { NotesOutcome, RowOutcome } from '../../../formats/notes/note-entries.ts'
import type { NoteTable } from '../../../formats/notes/note-table.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { Choice } from '../../../ui/parts/fields.tsx'
import { Section } from '../../../ui/parts/Section.tsx'
import { useUnits } from '../../../ui/screen-state.ts'
import { sayEntry } from '../../../words/entries/index.ts'
import { sayCount, sayDay } from '../../../words/numbers.ts'
import { sayNoteDoubt } from '../../../words/notes-words.ts'
import { words } from '../../../words/stations/files/notes/notes-preview.ts'

/** The garage with what the notes bring beside it: enough to name it. */
function named(garage: Garage, drafts: readonly EntryDraft[]): Garage {
  const bikes = new Map(garage.bikes)
  const parts = new Map(garage.parts)
  for (const draft of drafts) {
    const entry = { ...draft, id: '', format: 0 }
    if (entry.kind === 'bike') bikes.set(entry.bike, { entry, rides: [], odometer: [], events: [] })
    if (entry.kind === 'part') parts.set(entry.part, { entry, fittings: [], retired: false })
  }
  return { ...garage, bikes, parts }
}

/** A part that is fitted is told by its fitting. */
const isTold = ({ kind }: EntryDraft): boolean => kind !== 'part' && kind !== 'remove'

interface RowProps {
  readonly row: RowOutcome
  readonly written: string
  readonly garage: Garage
}

function Row({ row, written, garage }: RowProps) {
  const { now } = useOpenLog()
  const units = useUnits()
  const told = row.drafts.filter(isTold)
  return (
    <div className="grid grid-cols-[3rem_7.5rem_minmax(0,1fr)_minmax(0,1.4fr)] gap-x-4 border-b border-hairline/70 py-2 text-[0.95rem] max-md:grid-cols-[2.5rem_minmax(0,1fr)] max-md:text-sm">
      <span className="text-steel">{row.line}</span>
      <span>{row.at === undefined ? '' : sayDay(row.at, now)}</span>
      <span className="font-mono text-[0.8rem] text-steel [overflow-wrap:anywhere] max-md:col-start-2">
        {written}
      </span>
      <div className="max-md:col-start-2">
        {told.map((draft, i) => (
          <p key={i}>{sayEntry({ ...draft, id: '', format: 0 }, garage, units)}</p>
        ))}
        {row.known > 0 && (
          <p className="text-steel">{words.inTheLogAlready(sayCount(row.known, 'thingIs'))}</p>
        )}
        {row.doubts.map(({ why, written: said }, i) => (
          <p key={`doubt ${i}`} className="font-medium text-rust">
            {sayNoteDoubt(why, said)}
          </p>
        ))}
        {told.length === 0 && row.known === 0 && row.doubts.length === 0 && (
          <p className="text-steel">{words.nothingToBringIn}</p>
        )}
      </div>
    </div>
  )
}

interface Props {
  readonly table: NoteTable
  readonly outcome: NotesOutcome
}

/** What each row becomes, and what in it is not clear. */
export function NotesPreview({ table, outcome }: Props) {
  const { garage } = useOpenLog()
  const [shown, setShown] = useState<'all' | 'unclear'>('all')
  const box = useRef<HTMLDivElement>(null)
  const unclear = useMemo(() => outcome.rows.filter(({ doubts }) => doubts.length > 0), [outcome])
  const isUnclear = shown === 'unclear' && unclear.length > 0
  const list = isUnclear ? unclear : outcome.rows
  const after = useMemo(() => named(garage, outcome.drafts), [garage, outcome])
  const written = useMemo(
    () =>
      new Map(
        table.lines.map((line, i) => [
          line,
          (table.rows[i] ?? []).filter((cell) => cell.trim() !== '').join(' · '),
        ]),
      ),
    [table],
  )
  // The compiler cannot see through the virtualiser's functions; this component is not compiled.
  // eslint-disable-next-line react-hooks/incompatible-library
  const rows = useVirtualizer({
    count: list.length,
    getScrollElement: () => box.current,
    estimateSize: () => 64,
    overscan: 8,
  })
  return (
    <Section
      title={words.whatEachRowBecomes}
      note={
        unclear.length === 0
          ? words.allRowsAreClear
          : words.notClearWhatIsMarked(sayCount(unclear.length, 'rowIs'))
      }
    >
      {unclear.length > 0 && (
        <Choice
          legend={words.rowsToShow}
          hideLegend
          options={[
            { value: 'all', label: words.all(outcome.rows.length) },
            { value: 'unclear', label: words.notClear(unclear.length) },
          ]}
          value={shown}
          onPick={setShown}
          className="mb-3"
        />
      )}
      <div
        ref={box}
        role="region"
        aria-label={words.rows}
        tabIndex={0}
        className="h-[min(30rem,60dvh)] overflow-y-auto border-y border-hairline"
      >
        <div className="relative" style={{ height: rows.getTotalSize() }}>
          {rows.getVirtualItems().map(({ index, start, key }) => {
            const row = list[index]
            return (
              row && (
                <div
                  key={key}
                  ref={rows.measureElement}
                  data-index={index}
                  className="absolute inset-x-0"
                  style={{ top: start }}
                >
                  <Row row={row} written={written.get(row.line) ?? ''} garage={after} />
                </div>
              )
            )
          })}
        </div>
      </div>
    </Section>
  )
}
