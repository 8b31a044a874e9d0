import { useVirtualizer } from '@tanstack/react-virtual'
import { useRef } from 'react'
import type { Entry } from '../../core/log/entries.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { sayEntry, wordsOf } from '../../words/entries/index.ts'
import { sayDay } from '../../words/numbers.ts'
import { words } from '../../words/stations/log/entry-rows.ts'

const ROW_PX = 52

/** How it stands with an entry: it counts, a correction took its place, or it was undone or taken out. */
export type Standing = 'counts' | 'corrected' | 'undone'

interface RowsProps {
  readonly found: readonly Entry[]
  readonly standing: (entry: Entry) => Standing
  readonly onOpen: (entry: Entry) => void
}

/** Entries, a row each, as many as there are. */
export function EntryRows({ found, standing, onOpen }: RowsProps) {
  const { garage, now, restore } = useOpenLog()
  const units = useUnits()
  const box = useRef<HTMLDivElement>(null)
  // The compiler cannot see through the virtualiser's functions; this component is not compiled.
  // eslint-disable-next-line react-hooks/incompatible-library
  const rows = useVirtualizer({
    count: found.length,
    getScrollElement: () => box.current,
    estimateSize: () => ROW_PX,
    overscan: 10,
  })
  return (
    <div
      ref={box}
      className="h-[min(34rem,65dvh)] overflow-y-auto border-y border-hairline"
      role="region"
      aria-label={words.entries}
      tabIndex={0}
    >
      <ul className="relative" style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map(({ index, start }) => {
          const entry = found[index]
          if (!entry) return null
          const stands = standing(entry)
          const said = sayEntry(entry, garage, units)
          const day = sayDay(entry.at, now)
          return (
            <li
              key={entry.id}
              aria-setsize={found.length}
              aria-posinset={index + 1}
              className="absolute inset-x-0 flex items-center gap-4 border-b border-hairline/70 pr-2 text-[0.95rem] max-sm:gap-2 max-sm:text-sm"
              style={{ top: start, height: ROW_PX }}
            >
              <span className="w-40 shrink-0 text-steel max-sm:w-20">
                {day}
                {entry.at > now && <span className="block text-xs text-rust">{words.stillToCome}</span>}
              </span>
              <span className="w-44 shrink-0 truncate max-md:hidden">{wordsOf(entry).name}</span>
              <span
                className={`min-w-0 flex-1 truncate ${stands === 'counts' ? '' : 'text-steel line-through'}`}
              >
                {said}
                {entry.writtenBy !== undefined && <span className="text-steel"> · {entry.writtenBy}</span>}
              </span>
              {stands === 'counts' ? (
                <Button
                  look="link"
                  className="shrink-0"
                  aria-label={words.open(day, said)}
                  onClick={() => onOpen(entry)}
                >
                  {words.open2}
                </Button>
              ) : stands === 'undone' ? (
                <Button
                  look="link"
                  className="shrink-0"
                  aria-label={words.restore(day, said)}
                  onClick={() => void restore([entry.id])}
                >
                  {words.restore2}
                </Button>
              ) : (
                <span className="shrink-0 text-sm text-steel">{words.corrected}</span>
              )}
            </li>
          )
        })}
      </ul>
    </div>
  )
}
