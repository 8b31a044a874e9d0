import { useDeferredValue, useMemo, useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import type { Entry, EntryKind } from '../../core/log/entries.ts'
import { lineage, liveEntries, withdrawnIds } from '../../core/log/supersede.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Answer } from '../../ui/parts/Answer.tsx'
import { SelectField, TextField } from '../../ui/parts/fields.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { Sheet } from '../../ui/parts/Sheet.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { KIND_WORDS, sayEntry, wordsOf } from '../../words/entries/index.ts'
import { sayCount, sayDay } from '../../words/numbers.ts'
import { namePart } from '../../words/part-name.ts'
import type { KindWords } from '../../words/entries/kind-words.ts'
import { useBikeId } from '../../ui/use-bike-id.ts'
import { entryTexts } from '../../words/entries/search.ts'
import { NewEntry } from './NewEntry.tsx'
import { EditEntry } from './EditEntry.tsx'
import { EntryRows, type Standing } from './EntryRows.tsx'
import { findEntries, type Wanted } from './find-entries.ts'
import { words as phrases } from '../../words/stations/log/log.ts'

const ANYTHING: Wanted = { text: '', kind: 'any', about: '', from: '', to: '' }

interface FindingProps {
  readonly wanted: Wanted
  readonly onWant: (part: Partial<Wanted>) => void
  readonly abouts: Readonly<Record<string, string>>
  readonly kinds: Readonly<Record<Wanted['kind'], string>>
}

/** The fields that say what is looked for. */
function Finding({ wanted, onWant: set, abouts, kinds }: FindingProps) {
  return (
    <div
      role="search"
      aria-label={phrases.entries}
      className="grid grid-cols-[2fr_1.4fr_1.4fr_1fr_1fr] gap-3 max-lg:grid-cols-2"
    >
      <TextField
        label={phrases.find}
        type="search"
        placeholder={phrases.saltChain2Rule}
        value={wanted.text}
        onChange={(event) => set({ text: event.target.value })}
        className="max-lg:col-span-2"
      />
      <SelectField
        label={phrases.kind}
        options={kinds}
        value={wanted.kind}
        onPick={(kind) => set({ kind })}
      />
      <SelectField
        label={phrases.about}
        options={abouts}
        value={wanted.about}
        onPick={(about) => set({ about })}
      />
      <TextField
        label={phrases.from}
        type="date"
        value={wanted.from}
        onChange={(event) => set({ from: event.target.value })}
      />
      <TextField
        label={phrases.to}
        type="date"
        value={wanted.to}
        onChange={(event) => set({ to: event.target.value })}
      />
    </div>
  )
}

/** The words of the kind that an address asks to write, where a plain form can. */
function newKind(name: string | null): KindWords<Entry> | undefined {
  const words =
    name !== null && Object.hasOwn(KIND_WORDS, name)
      ? (KIND_WORDS[name as EntryKind] as unknown as KindWords<Entry>)
      : undefined
  return words?.blank && words
}

/** The log itself: every entry, to be found and corrected. */
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
  const withdrawn = useMemo(() => withdrawnIds(entries), [entries])
  const standing = ({ id, kind }: Entry): Standing =>
    liveIds.has(id) ? 'counts' : withdrawn.has(id) && kind !== 'withdraw' ? 'undone' : 'corrected'
  const ahead = useMemo(() => live.filter(({ at }) => at > now).length, [live, now])
  const deferred = useDeferredValue(wanted)
  const textOf = useMemo(() => entryTexts(garage, units), [garage, units])
  const found = useMemo(
    () =>
      findEntries(
        // Undoing is no entry of its own here: what was undone shows it.
        all ? entries.filter(({ kind }) => kind !== 'withdraw') : live,
        garage,
        deferred,
        textOf,
      ),
    [all, entries, live, garage, deferred, textOf],
  )
  // Looked for among all: one that was corrected or undone meanwhile, in another tab, stays open and says so.
  const opened = entries.find(({ id }) => id === search.get('entry'))
  const newestOf = (entry: Entry): Entry | 'gone' => {
    const current = lineage(entries)(entry.id)
    return (current !== entry.id && entries.find(({ id }) => id === current)) || 'gone'
  }
  const [cameFrom] = useState(() => search.get('entry') !== null || search.get('new') !== null)
  const bikeNow = useBikeId(garage)
  const writing = newKind(search.get('new'))
  const close = () => (cameFrom && window.history.length > 1 ? void navigate(-1) : setSearch({}))
  const abouts = useMemo(
    () => ({
      '': phrases.anything,
      ...Object.fromEntries([...garage.bikes.values()].map(({ entry }) => [entry.bike, entry.name])),
      ...Object.fromEntries([...garage.parts.keys()].map((id) => [id, namePart(garage, id)])),
    }),
    [garage],
  )
  const kinds = useMemo(() => {
    const held = new Set(entries.map(({ kind }) => kind))
    const names = Object.entries(KIND_WORDS)
      .filter(([kind]) => held.has(kind as EntryKind))
      .map(([kind, { name }]) => [kind, name])
    return { any: phrases.anyKind, ...Object.fromEntries(names) } as Readonly<Record<Wanted['kind'], string>>
  }, [entries])
  const set = (part: Partial<Wanted>) => setWanted({ ...wanted, ...part })
  const filtered = JSON.stringify(wanted) !== JSON.stringify(ANYTHING)
  return (
    <div className="flex flex-col gap-6">
      <Answer detail={phrases.everythingTheAppSays}>
        {sayCount(live.length, 'entry')}
        {ahead > 0 ? phrases.ofThemDatedInTheFuture(ahead) : ''}.
      </Answer>
      <Finding wanted={wanted} onWant={set} abouts={abouts} kinds={kinds} />
      <Section
        title={filtered ? phrases.found(sayCount(found.length, 'entry')) : phrases.newestFirst}
        note={
          <label className="inline-flex min-h-8 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-petrol"
              checked={all}
              onChange={(event) => setAll(event.target.checked)}
            />
            {phrases.showCorrectedAndUndone}
          </label>
        }
      >
        {found.length === 0 ? (
          <p className="text-steel">
            {entries.length === 0 ? phrases.theLogIsEmpty : phrases.nothingLikeThatIsInThe}
          </p>
        ) : (
          <EntryRows found={found} standing={standing} onOpen={(entry) => setSearch({ entry: entry.id })} />
        )}
      </Section>
      <Sheet
        open={opened !== undefined}
        onClose={close}
        title={opened ? sayDay(opened.at, now) : ''}
        note={opened && `${wordsOf(opened).name}: ${sayEntry(opened, garage, units)}`}
      >
        {opened && (
          <EditEntry
            key={opened.id}
            entry={opened}
            newer={liveIds.has(opened.id) ? undefined : newestOf(opened)}
            onOpen={(entry) => setSearch({ entry: entry.id })}
            onDone={close}
          />
        )}
      </Sheet>
      <Sheet open={writing !== undefined} onClose={close} title={writing ? phrases.new(writing.name) : ''}>
        {writing && <NewEntry words={writing} about={search.get('about') ?? bikeNow ?? ''} onDone={close} />}
      </Sheet>
    </div>
  )
}
