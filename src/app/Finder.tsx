import { Command } from 'cmdk'
import { Dialog } from 'radix-ui'
import { useDeferredValue, useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { liveEntries } from '../core/log/supersede.ts'
import { useOpenLog } from '../session/log-context.ts'
import { NEW_ENTRIES, sayEntry } from '../words/entries/index.ts'
import { entryTexts, finder, newestFirst, searchable } from '../words/entries/search.ts'
import { entryAddress, logAddress, OPENS, STATION_LIST } from '../words/places.ts'
import {
  benchToggled,
  bikeChosen,
  keysToggled,
  mannerToggled,
  saveToggled,
  themeChosen,
  unitsChosen,
  useScreen,
  useSend,
} from '../ui/screen-state.ts'
import { sayDay } from '../words/numbers.ts'
import { namePart } from '../words/part-name.ts'
import { words } from '../words/app/finder.ts'

/** Something that can be found and done. */
interface Found {
  readonly id: string
  readonly label: string
  /** What it is beside its label: a day, what a station is for. */
  readonly note?: string
  /** More by which it is found. */
  readonly also?: string
  readonly run: () => void
}

/** So many of a group are listed. */
const SHOWN = 7

function useActions(): readonly Found[] {
  const { undo, redo } = useOpenLog()
  const send = useSend()
  const navigate = useNavigate()
  const { units, bench } = useScreen((state) => state.screen)
  const act = (label: string, run: () => void, also?: string): Found => ({
    id: `do ${label}`,
    label,
    run,
    ...(also !== undefined && { also }),
  })
  return [
    ...NEW_ENTRIES.map(({ to, label }) =>
      act(
        words.new(label[0]?.toLowerCase() ?? '', label.slice(1)),
        () => void navigate(to),
        words.addLogWrite,
      ),
    ),
    act(words.measureAChainThatIsNot, () => void navigate(OPENS.measureNow), words.nowQuick),
    act(words.undoTheLastStep, () => void undo(), words.takeBack),
    act(words.redoIt, () => void redo()),
    act(words.themeDaylight, () => send(themeChosen('daylight')), words.lightBright),
    act(words.themeLateShop, () => send(themeChosen('late-shop')), words.darkNight),
    act(
      units === 'metric' ? words.unitsMilesAndInches : words.unitsKmAndMm,
      () => send(unitsChosen(units === 'metric' ? 'imperial' : 'metric')),
      words.imperialMetric,
    ),
    act(words.numbersAndDays, () => send(mannerToggled(true)), words.decimalCommaDate),
    act(bench ? words.benchModeOff : words.benchModeOn, () => send(benchToggled(!bench)), words.largeAwake),
    act(words.saveDrawingsAndTables, () => send(saveToggled(true)), words.pictureChartSvgPng),
    act(words.keys, () => send(keysToggled(true)), words.shortcutsHelp),
  ]
}

/** Everything that is always there: stations, actions, bikes and parts. */
function useThings(): Readonly<Record<'Stations' | 'Do' | 'Bikes' | 'Parts', readonly Found[]>> {
  const { garage } = useOpenLog()
  const send = useSend()
  const navigate = useNavigate()
  return {
    Stations: STATION_LIST.map(({ path, name, about }) => ({
      id: `to ${path}`,
      label: name,
      note: about,
      run: () => void navigate(path),
    })),
    Do: useActions(),
    Bikes: [...garage.bikes.values()].map(({ entry }) => ({
      id: `bike ${entry.bike}`,
      label: entry.name,
      note: entry.note,
      run: () => void send(bikeChosen(entry.bike)),
    })),
    Parts: [...garage.parts.values()].map(({ entry, fittings }) => ({
      id: `part ${entry.part}`,
      label: namePart(garage, entry.part, undefined, true),
      also: fittings.map(({ bike }) => garage.bikes.get(bike)?.entry.name ?? '').join(' '),
      note: words.itsEntriesInTheLog,
      run: () => void navigate(logAddress({ about: entry.part })),
    })),
  }
}

/** The entries that are meant, newest first, as many as are listed. */
function useFoundEntries(typed: string): readonly Found[] {
  const { entries, garage, now } = useOpenLog()
  const units = useScreen((state) => state.screen.units)
  const navigate = useNavigate()
  const sorted = useMemo(() => liveEntries(entries).sort(newestFirst), [entries])
  const textOf = useMemo(() => entryTexts(garage, units), [garage, units])
  const meant = useMemo(() => {
    if (typed.trim().length < 2) return []
    const isMeant = finder(typed)
    const [together, apart]: [typeof sorted, typeof sorted] = [[], []]
    for (const entry of sorted) {
      const how = isMeant(textOf(entry))
      if (how === 'together') together.push(entry)
      else if (how === 'apart' && apart.length < SHOWN) apart.push(entry)
      if (together.length === SHOWN) break
    }
    return [...together, ...apart].slice(0, SHOWN)
  }, [typed, sorted, textOf])
  return meant.map((entry) => ({
    id: entry.id,
    label: sayEntry(entry, garage, units),
    note: sayDay(entry.at, now),
    run: () => void navigate(entryAddress(entry.id)),
  }))
}

const ITEM =
  'flex min-h-11 cursor-pointer items-center justify-between gap-6 px-3 py-1.5 data-[selected=true]:bg-jolt data-[selected=true]:text-on-jolt'

/** Finds stations, actions, bikes, parts and entries by their words, and goes there or does it. */
export default function Finder({ onClose }: { readonly onClose: () => void }) {
  const [typed, setTyped] = useState('')
  const deferred = useDeferredValue(typed)
  const things = useThings()
  const entries = useFoundEntries(deferred)
  const isMeant = finder(typed)
  const groups = [
    ...Object.entries(things).map(
      ([name, all]) =>
        [
          name,
          all.filter(({ label, note, also }) => isMeant(searchable(`${label} ${note ?? ''} ${also ?? ''}`))),
        ] as const,
    ),
    [words.entries, entries] as const,
  ]
  const shown = groups
    .map(([name, all]) => [name, typed.trim() === '' && name === 'Parts' ? [] : all.slice(0, SHOWN)] as const)
    .filter(([, all]) => all.length > 0)
  return (
    <Dialog.Root open onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/50" />
        <Dialog.Content
          className="fixed top-[8dvh] left-1/2 z-50 flex max-h-[80dvh] w-[min(40rem,94vw)] -translate-x-1/2 flex-col border-t-4 border-petrol bg-paper max-sm:top-0 max-sm:max-h-dvh max-sm:w-full"
          aria-describedby={undefined}
        >
          <Dialog.Title className="sr-only">{words.find}</Dialog.Title>
          <Command label={words.find} shouldFilter={false} loop className="flex min-h-0 flex-col">
            <Command.Input
              value={typed}
              onValueChange={setTyped}
              placeholder={words.aBikeAPart}
              className="min-h-14 w-full border-b border-hairline bg-transparent px-4 pr-16 text-lg outline-none placeholder:text-steel focus-visible:border-b-2 focus-visible:border-petrol"
            />
            <Command.List className="min-h-0 overflow-y-auto p-1">
              <Command.Empty className="px-3 py-6 text-steel">{words.nothingHasTheseWords}</Command.Empty>
              {shown.map(([name, all]) => (
                <Command.Group
                  key={name}
                  heading={name}
                  className="**:[[cmdk-group-heading]]:px-3 **:[[cmdk-group-heading]]:pt-3 **:[[cmdk-group-heading]]:pb-1 **:[[cmdk-group-heading]]:text-sm **:[[cmdk-group-heading]]:font-semibold **:[[cmdk-group-heading]]:text-steel"
                >
                  {all.map(({ id, label, note, run }) => (
                    <Command.Item
                      key={id}
                      value={id}
                      className={ITEM}
                      onSelect={() => {
                        onClose()
                        run()
                      }}
                    >
                      <span className="min-w-0 [overflow-wrap:anywhere]">{label}</span>
                      {note && (
                        <span className="max-w-[45%] shrink-0 truncate text-sm opacity-80">{note}</span>
                      )}
                    </Command.Item>
                  ))}
                </Command.Group>
              ))}
            </Command.List>
          </Command>
          <Dialog.Close className="absolute top-3 right-3 min-h-8 px-2 text-sm underline underline-offset-4">
            {words.close}
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
