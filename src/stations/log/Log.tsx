import { useVirtualizer } from '@tanstack/react-virtual'
import { useDeferredValue, useMemo, useRef, useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import type { Entry, EntryKind } from '../../core/log/entries.ts'
import { liveEntries } from '../../core/log/supersede.ts'
import { useOpenLog } from '../../store/log-context.ts'
import { Answer } from '../../ui/parts/Answer.tsx'
import { Button } from '../../ui/parts/Button.tsx'
import { SelectField, TextField } from '../../ui/parts/fields.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { Sheet } from '../../ui/parts/Sheet.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { KIND_NAMES, sayEntry } from '../../ui/words/entries.ts'
import { sayCount, sayDay } from '../../ui/words/numbers.ts'
import { namePart } from '../../ui/words/part-name.ts'
import { EditEntry } from './EditEntry.tsx'
import { findEntries, type Wanted } from './find-entries.ts'

const ROW_PX = 52
const ANYTHING: Wanted = { text: '', kind: 'any', about: '', from: '', to: '' }

function Found({
  found,
  live,
  onOpen,
}: {
  readonly found: readonly Entry[]
  readonly live: ReadonlySet<string>
  readonly onOpen: (entry: Entry) => void
}) {
  const { garage, now } = useOpenLog()
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
      aria-label="Entries"
      tabIndex={0}
    >
      <ul className="relative" style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map(({ index, start }) => {
          const entry = found[index]
          if (!entry) return null
          const counts = live.has(entry.id)
          const said = sayEntry(entry, garage, units)
          return (
            <li
              key={entry.id}
              aria-setsize={found.length}
              aria-posinset={index + 1}
              className="absolute inset-x-0 flex items-center gap-4 border-b border-hairline/70 pr-2 text-[0.95rem] max-sm:gap-2 max-sm:text-sm"
              style={{ top: start, height: ROW_PX }}
            >
              <span className="w-40 shrink-0 text-steel max-sm:w-20">{sayDay(entry.at, now)}</span>
              <span className="w-44 shrink-0 truncate max-md:hidden">{KIND_NAMES[entry.kind]}</span>
              <span className={`min-w-0 flex-1 truncate ${counts ? '' : 'text-steel line-through'}`}>
                {said}
              </span>
              {counts ? (
                <Button
                  look="link"
                  className="shrink-0"
                  aria-label={`Open: ${sayDay(entry.at, now)}, ${said}`}
                  onClick={() => onOpen(entry)}
                >
                  open
                </Button>
              ) : (
                <span className="shrink-0 text-sm text-steel">taken back</span>
              )}
            </li>
          )
        })}
      </ul>
    </div>
  )
}

/** The log itself: every entry to be found, and put right by another. */
export default function Log() {
  const { entries, garage, now } = useOpenLog()
  const units = useUnits()
  const navigate = useNavigate()
  const [search, setSearch] = useSearchParams()
  // The road asks for what lies on one of its marks by these.
  const [wanted, setWanted] = useState<Wanted>(() => ({
    ...ANYTHING,
    about: search.get('about') ?? '',
    from: search.get('from') ?? '',
    to: search.get('to') ?? '',
  }))
  const [all, setAll] = useState(false)
  const live = useMemo(() => liveEntries(entries), [entries])
  const liveIds = useMemo(() => new Set(live.map(({ id }) => id)), [live])
  const deferred = useDeferredValue(wanted)
  const found = useMemo(
    () => findEntries(all ? entries : live, garage, deferred, units),
    [all, entries, live, garage, deferred, units],
  )
  const opened = live.find(({ id }) => id === search.get('entry'))
  const [cameFrom] = useState(() => search.get('entry') !== null)
  const close = () => (cameFrom && window.history.length > 1 ? void navigate(-1) : setSearch({}))
  const abouts = useMemo(
    () => ({
      '': 'anything',
      ...Object.fromEntries([...garage.bikes.values()].map(({ entry }) => [entry.bike, entry.name])),
      ...Object.fromEntries([...garage.parts.keys()].map((id) => [id, namePart(garage, id)])),
    }),
    [garage],
  )
  const kinds = useMemo(() => {
    const held = new Set(entries.map(({ kind }) => kind))
    const names = Object.entries(KIND_NAMES).filter(([kind]) => held.has(kind as EntryKind))
    return { any: 'any kind', ...Object.fromEntries(names) } as Readonly<Record<Wanted['kind'], string>>
  }, [entries])
  const set = (part: Partial<Wanted>) => setWanted({ ...wanted, ...part })
  const filtered = JSON.stringify(wanted) !== JSON.stringify(ANYTHING)
  return (
    <div className="flex flex-col gap-6">
      <Answer detail="Everything the app says is worked out from these. Nothing is written over: what you put right takes an entry’s place, and can be taken back.">
        The log holds {sayCount(live.length, 'entry', 'entries')} that count
        {entries.length > live.length
          ? `, and ${entries.length - live.length} that were put right or taken back`
          : ''}
        .
      </Answer>
      <div
        role="search"
        aria-label="Entries"
        className="grid grid-cols-[2fr_1.4fr_1.4fr_1fr_1fr] gap-3 max-lg:grid-cols-2"
      >
        <TextField
          label="Find"
          type="search"
          placeholder="salt, chain 2, rule…"
          value={wanted.text}
          onChange={(event) => set({ text: event.target.value })}
          className="max-lg:col-span-2"
        />
        <SelectField label="Kind" options={kinds} value={wanted.kind} onPick={(kind) => set({ kind })} />
        <SelectField label="About" options={abouts} value={wanted.about} onPick={(about) => set({ about })} />
        <TextField
          label="From"
          type="date"
          value={wanted.from}
          onChange={(event) => set({ from: event.target.value })}
        />
        <TextField
          label="To"
          type="date"
          value={wanted.to}
          onChange={(event) => set({ to: event.target.value })}
        />
      </div>
      <Section
        title={filtered ? `${sayCount(found.length, 'entry', 'entries')} found` : 'Newest first'}
        note={
          <label className="inline-flex min-h-8 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-petrol"
              checked={all}
              onChange={(event) => setAll(event.target.checked)}
            />
            with those put right or taken back
          </label>
        }
      >
        {found.length === 0 ? (
          <p className="text-steel">
            {entries.length === 0
              ? 'The log is empty. It begins with a bike, on the Shelf.'
              : 'Nothing like that is in the log. Ask for less, or for another kind.'}
          </p>
        ) : (
          <Found found={found} live={liveIds} onOpen={(entry) => setSearch({ entry: entry.id })} />
        )}
      </Section>
      <Sheet
        open={opened !== undefined}
        onClose={close}
        title={opened ? sayDay(opened.at, now) : ''}
        note={opened && `${KIND_NAMES[opened.kind]}: ${sayEntry(opened, garage, units)}`}
      >
        {opened && <EditEntry key={opened.id} entry={opened} onDone={close} />}
      </Sheet>
    </div>
  )
}
