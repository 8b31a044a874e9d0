import { useCallback, useDeferredValue, useMemo, useRef, useState } from 'react'
import type { EntryDraft } from '../../../core/log/entries.ts'
import { bikeKey, entriesOfNotes, type NotesOutcome } from '../../../formats/notes/note-entries.ts'
import type { NotesBike } from '../../../formats/notes/note-bike.ts'
import {
  cellsOf,
  notePrint,
  openQuestions,
  wholeMapping,
  type GuessedNotes,
  type NoteQuestion,
} from '../../../formats/notes/note-mapping.ts'
import { readNotes } from '../../../formats/notes/note-rows.ts'
import { MOST_NOTE_ROWS, readNoteTable, type NoteTable } from '../../../formats/notes/note-table.ts'
import { RideFileError } from '../../../formats/rides/ride-file-error.ts'
import { MOST_SHEET_BYTES } from '../../../formats/notes/sheet-file.ts'
import { understandNotes } from '../../../formats/notes/understand.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { useBikeId } from '../../../ui/use-bike-id.ts'
import { minorPerMajor } from '../../../words/money.ts'
import { isMapping } from './kept-mapping.ts'
import { words } from '../../../words/stations/files/notes/use-notes.ts'
import { newId } from '../../../session/new-id.ts'
import { readSheetFile, type SheetReading } from '../../../workers/read-sheet.ts'

/** A table that was opened, and where it came from. */
interface Opened {
  readonly file: string
  readonly table: NoteTable
}

/** A file that is being read, and the share that is. */
interface NotesReading {
  readonly file: string
  readonly share: number
}

/** A table of notes on its way into the log. */
export interface Notes {
  readonly opened: Opened | undefined
  readonly fault: string | undefined
  readonly reading: NotesReading | undefined
  readonly cancel: () => void
  readonly mapping: GuessedNotes | undefined
  readonly bikes: Readonly<Record<string, NotesBike>>
  /** The names of bikes in the table, as they are written; one empty name where no column holds any. */
  readonly names: readonly string[]
  readonly open: readonly (NoteQuestion | 'bikes')[]
  /** What the rows become; undefined while something has to be said first. */
  readonly outcome: NotesOutcome | undefined
  readonly takeText: (text: string, file: string) => Promise<void>
  readonly takeFile: (file: File) => Promise<void>
  /** Says how the table is to be read. */
  readonly map: (mapping: GuessedNotes) => void
  readonly choose: (name: string, bike: NotesBike | undefined) => void
  readonly leave: () => void
  /** Keeps how the table is read for the next one like it. */
  readonly remember: () => Promise<void>
}

const keptUnder = (table: NoteTable): string => words.notes(notePrint(table))

/** The names of bikes in a table, each once. */
function namesOf({ table }: Opened, mapping: GuessedNotes): readonly string[] {
  const at = mapping.uses.indexOf('bike')
  const names = new Map((at < 0 ? [''] : cellsOf(table, at)).map((name) => [bikeKey(name), name.trim()]))
  return [...names.values()]
}

/** What was chosen, and for the rest the bike of that name in the log. */
function bikesOf(
  names: readonly string[],
  chosen: Readonly<Record<string, NotesBike | undefined>>,
  here: ReadonlyMap<string, string>,
  current: string | undefined,
): Readonly<Record<string, NotesBike>> {
  const made: Record<string, NotesBike> = {}
  for (const name of names) {
    const key = bikeKey(name)
    const bike = here.get(key) ?? (key === '' ? current : undefined)
    const told = chosen[key] ?? (bike === undefined ? undefined : { is: 'here' as const, bike })
    if (told) made[key] = told
  }
  return made
}

/** Opens what is pasted or dropped: says what is wrong with it, or how it is read as far as it tells. */
function useTaking(begin: (opened: Opened, mapping: GuessedNotes) => void) {
  const { now, kept } = useOpenLog()
  const [fault, setFault] = useState<string>()
  const [reading, setReading] = useState<NotesReading>()
  const held = useRef<SheetReading>(undefined)
  const takeText = async (text: string, file: string): Promise<void> => {
    setFault(undefined)
    try {
      const table = readNoteTable(text)
      if (table.rows.length > MOST_NOTE_ROWS)
        return setFault(words.hasRowsBringInUp(file, table.rows.length, MOST_NOTE_ROWS))
      const before = await kept.read(keptUnder(table)).catch(() => undefined)
      begin({ file, table }, isMapping(before, table) ? before : understandNotes(table, Date.parse(now)))
    } catch (error) {
      setFault(error instanceof RideFileError ? error.message : words.couldNotBeRead(file))
    }
  }
  const takeFile = async (file: File): Promise<void> => {
    if (file.size > MOST_SHEET_BYTES) return setFault(words.isTooLargeForATable(file.name))
    setFault(undefined)
    try {
      if (!/\.xlsx$/i.test(file.name)) return await takeText(await file.text(), file.name)
      // Another file takes the place of one that is still being read.
      held.current?.cancel()
      setReading({ file: file.name, share: 0 })
      const mine = readSheetFile(file, (share) => setReading({ file: file.name, share }))
      held.current = mine
      const text = await mine.result
      if (held.current !== mine) return
      held.current = undefined
      setReading(undefined)
      if (text === undefined) setFault(words.cancelled)
      else await takeText(text, file.name)
    } catch (error) {
      const isSaid =
        error instanceof RideFileError || (error instanceof Error && error.name === 'WorkerError')
      setReading(undefined)
      setFault(isSaid ? error.message : words.couldNotBeRead2(file.name))
    }
  }
  const cancel = (): void => held.current?.cancel()
  return { fault, reading, cancel, takeText, takeFile }
}

/** Tables of notes: opened, understood as far as they tell, and laid out as what they would become. */
export function useNotes(): Notes {
  const { garage, now, kept } = useOpenLog()
  const current = useBikeId(garage)
  const [opened, setOpened] = useState<Opened>()
  const [mapping, map] = useState<GuessedNotes>()
  const [chosen, setChosen] = useState<Readonly<Record<string, NotesBike | undefined>>>({})
  // The same new thing keeps its id however often the table is laid out: pressed twice it comes in once.
  const ids = useRef(new Map<string, string>())
  const idFor = useCallback((what: string): string => {
    const id = ids.current.get(what) ?? newId()
    ids.current.set(what, id)
    return id
  }, [])
  const begin = useCallback((next: Opened, read: GuessedNotes) => {
    ids.current.clear()
    setChosen({})
    map(read)
    setOpened(next)
  }, [])
  const taking = useTaking(begin)
  const here = useMemo(
    () => new Map([...garage.bikes.values()].map(({ entry }) => [bikeKey(entry.name), entry.bike])),
    [garage],
  )
  const names = useMemo(() => (opened && mapping ? namesOf(opened, mapping) : []), [opened, mapping])
  const bikes = useMemo(() => bikesOf(names, chosen, here, current), [names, chosen, here, current])
  const open = useMemo(
    () =>
      opened && mapping
        ? [
            ...openQuestions(opened.table, mapping),
            ...(names.every((name) => bikes[bikeKey(name)]) ? [] : (['bikes'] as const)),
          ]
        : [],
    [opened, mapping, names, bikes],
  )
  const asked = useMemo(() => ({ opened, mapping, bikes, open }), [opened, mapping, bikes, open])
  // A long table is laid out after what was pressed is drawn.
  const laidOut = useDeferredValue(asked)
  const outcome = useMemo(() => {
    if (!laidOut.opened || !laidOut.mapping || laidOut.open.length > 0) return undefined
    const whole = wholeMapping(laidOut.mapping)
    return entriesOfNotes(readNotes(laidOut.opened.table, whole, Date.parse(now)), {
      garage,
      mapping: whole,
      bikes: laidOut.bikes,
      file: laidOut.opened.file,
      newId: idFor,
      minorPerMajor: minorPerMajor(whole.currency),
    })
  }, [laidOut, garage, now, idFor])
  return {
    ...taking,
    opened,
    mapping,
    bikes,
    names,
    open,
    outcome: laidOut === asked ? outcome : undefined,
    map,
    choose: (name, bike) => setChosen((before) => ({ ...before, [bikeKey(name)]: bike })),
    leave: () => {
      setOpened(undefined)
      map(undefined)
    },
    remember: async () => {
      if (opened && mapping) await kept.keep(keptUnder(opened.table), mapping)
    },
  }
}

/** How many of what the drafts of some notes are. */
export function countNotes(drafts: readonly EntryDraft[]) {
  const of = (kind: EntryDraft['kind']): number => drafts.filter((draft) => draft.kind === kind).length
  const chains = drafts.filter((draft) => draft.kind === 'part' && draft.spec.type === 'chain').length
  return {
    bikes: of('bike'),
    chains,
    distances:
      of('ride') + drafts.filter((draft) => draft.kind === 'odometer' && draft.restarted !== true).length,
    readings: of('reading'),
    washes: of('wash'),
    parts: of('part') - chains,
    notes: of('note'),
    prices: of('paid'),
  }
}
