import { liveQuery } from 'dexie'
import type { AsideEntry } from '../core/log/aside.ts'
import { isStampedAhead } from '../core/log/bounds.ts'
import type { Entry } from '../core/log/entries.ts'
import type { EntryId } from '../core/log/entry.ts'
import type { KeptPicture } from '../core/log/kept-picture.ts'
import { mergeLogs } from '../core/log/merge.ts'
import { followStamps } from '../core/log/one-stamp.ts'
import { followVisible } from '../core/log/visible.ts'
import { writtenAs } from '../core/log/written-as.ts'
import { LogOpenError, openPatiently, type LogDatabase } from './database.ts'
import { isGone, readGeneration, type Generation } from './generation.ts'
import { logReader, LogVanishedError, type LogReader } from './log-reader.ts'
import type { Ledger, LogState } from './log-state.ts'
import { allAside, forgetAside, mergeIn, moveAside, takeFromAside, type MergedIn } from './merge-in.ts'
import { keepOverruled } from './overruled.ts'
import { secondCopy, type CopyPlace, type SecondCopy } from './second-copy.ts'
import type { Merge } from '../core/log/merge.ts'
import { entryChecks, type EntryChecks } from '../formats/entry-checks.ts'
import { packer } from './packs.ts'
import { takePictures } from './pictures.ts'
import { addEntries, wipe } from './write.ts'

export type { Ledger, LogState } from './log-state.ts'

/** What a ledger's parts share: the state, and how it comes about. */
interface Keeping {
  readonly state: () => LogState
  readonly become: (next: LogState) => void
  readonly subscribe: Ledger['subscribe']
  /** Reads what has arrived, and shows it. */
  readonly refresh: () => Promise<void>
  /** Hears of every change from now on, here and in other tabs. */
  readonly watch: () => void
  readonly unwatch: () => void
  readonly vanish: () => void
  /** Reads and writes in one transaction, and shows what came of it. */
  readonly change: <T>(work: (log: readonly Entry[]) => Promise<T>) => Promise<T>
  readonly beginAgain: () => void
  readonly held: () => readonly Entry[]
  /** The log with each entry under one id. */
  readonly oneStamp: (stored: readonly Entry[]) => readonly Entry[]
}

const isOver = ({ status }: LogState): boolean => status === 'vanished' || status === 'outdated'

/** A growing log as it is looked at: each entry under one id, and no letter in it that cannot be seen. */
function followView(): (stored: readonly Entry[]) => readonly Entry[] {
  const stamps = followStamps()
  const visible = followVisible()
  return (stored) => visible(stamps(stored))
}

/** @param onRead told of every state of the log that is shown */
function keepLog(database: LogDatabase, onRead: SecondCopy['follow']): Keeping {
  let state: LogState = { status: 'opening' }
  let reader = logReader(database)
  const oneStamp = followView()
  const listeners = new Set<() => void>()
  let watching: { unsubscribe: () => void } | undefined
  const tables = [database.entries, database.kept, database.aside, database.packs] as const

  const become = (next: LogState): void => {
    state = next
    for (const listener of listeners) listener()
  }
  const publish = (): void => {
    const stored = reader.held()
    if (isOver(state) || (state.status === 'open' && state.stored === stored)) return
    become({ status: 'open', stored, entries: oneStamp(stored) })
    const generation = reader.generation()
    if (generation) onRead(stored, generation)
  }
  /** Reads from now on what is there now; a read that is still on its way belongs to the log before, and is let go. */
  const beginAgain = (): LogReader => (reader = logReader(database))
  const vanish = (): void => {
    if (isOver(state)) return
    watching?.unsubscribe()
    const stored = reader.held()
    if (stored.length > 0) return become({ status: 'vanished', stored })
    // An empty log that was deleted is no loss: it is begun again.
    beginAgain()
    openPatiently(database).then(watch, () => become({ status: 'shut', fault: 'broken' }))
  }
  const refresh = async (): Promise<void> => {
    if (isOver(state)) return
    const mine = reader
    try {
      await database.transaction('r', tables, mine.read)
      if (mine === reader) publish()
    } catch (error) {
      if (mine !== reader) return
      if (error instanceof LogVanishedError) vanish()
      else if (state.status === 'opening') become({ status: 'shut', fault: 'broken' })
    }
  }
  const watch = (): void => {
    watching?.unsubscribe()
    // To look at the end is enough to hear of every change; what was added is read by `refresh`.
    watching = liveQuery(async () => {
      await readGeneration(database)
      return (await database.entries.orderBy('seq').last())?.seq
    }).subscribe({ next: () => void refresh(), error: () => void refresh() })
  }
  return {
    state: () => state,
    become,
    subscribe: (onChange) => {
      listeners.add(onChange)
      return () => void listeners.delete(onChange)
    },
    refresh,
    watch,
    unwatch: () => watching?.unsubscribe(),
    vanish,
    change: async (work) => {
      if (isOver(state))
        throw new LogVanishedError('This page must be loaded again before anything is written.')
      const mine = reader
      // A write into what the browser has cleared under this page would never end, and nothing would say so.
      if ((await isGone(database.name, mine.generation())) && mine === reader && !isOver(state)) {
        database.close({ disableAutoOpen: true })
        vanish()
        throw new LogVanishedError('The log was cleared.')
      }
      try {
        const result = await database.transaction('rw', tables, async () => work(await mine.read()))
        await refresh()
        return result
      } catch (error) {
        if (error instanceof LogVanishedError && mine === reader) vanish()
        throw error
      }
    },
    beginAgain,
    held: () => reader.held(),
    oneStamp,
  }
}

/** Hears what other tabs, other builds and the browser itself do to the database. */
function hear(database: LogDatabase, log: Keeping): void {
  database.on('versionchange', (event) => {
    log.unwatch()
    database.close({ disableAutoOpen: true })
    if (event.newVersion === null) log.vanish()
    else log.become({ status: 'outdated', stored: log.held() })
  })
  // The browser shut the connection: it may have deleted what was behind it.
  database.on('close', () => {
    if (log.state().status === 'open') setTimeout(() => void log.refresh())
  })
}

/** The copy of a log in another store, where the browser has one. */
function copyOf(database: LogDatabase, findPlace: (() => Promise<CopyPlace | undefined>) | undefined) {
  let copy: SecondCopy | undefined
  let finding: Promise<void> | undefined
  let cameBack = 0
  const found = (): Promise<void> => {
    finding ??= Promise.resolve(findPlace?.()).then((place) => {
      copy = place && secondCopy(place, () => allAside(database))
    })
    return finding
  }
  return {
    follow: (stored: readonly Entry[], generation: Generation): void => copy?.follow(stored, generation),
    cameBack: () => cameBack,
    /** Looks for it, while the log itself is opened. */
    lookFor: (): void => void found().catch(() => undefined),
    /** What the browser lost comes back, before anything is shown or written. */
    putBack: async (log: Keeping, nowMs: number): Promise<void> => {
      await found()
      if (!copy) return
      const generation = await readGeneration(database)
      const lost = generation && (await copy.lost(generation))
      if (!lost) return
      await log.change(async (stored) => {
        const merge = await mergeIn(database, stored, lost.entries, lost.aside, nowMs)
        cameBack += merge.added.length
      })
      copy.letGo()
    },
    letGo: (): void => copy?.letGo(),
    stop: (): void => copy?.stop(),
  }
}

/** What was to be written into a log that is gone is kept with the rest that this page still holds of it. */
function keepUnwritten(
  log: Keeping,
  decide: Parameters<Ledger['write']>[0],
  { faultOfDraft }: EntryChecks,
  nowMs: number,
): void {
  const state = log.state()
  if (state.status !== 'vanished') return
  const drafts = decide(log.oneStamp(state.stored))
  if (drafts.length === 0 || drafts.some((draft) => faultOfDraft(draft))) return
  const newest = state.stored.reduce<EntryId | undefined>(
    (most, { id }) => (isStampedAhead(id, nowMs) || (most !== undefined && id < most) ? most : id),
    undefined,
  )
  log.become({ status: 'vanished', stored: [...state.stored, ...writtenAs(drafts, newest, nowMs)] })
}

/** Writes what is decided on the log as it is at that moment. */
async function writeInto(
  database: LogDatabase,
  log: Keeping,
  decide: Parameters<Ledger['write']>[0],
  clock: () => number,
): ReturnType<Ledger['write']> {
  const checks = await entryChecks()
  const add = (): Promise<Entry[]> =>
    log.change((stored) => addEntries(database, decide(log.oneStamp(stored)), checks, clock()))
  const written = await add().catch(async (error: unknown) => {
    if (!(error instanceof LogVanishedError)) throw error
    if (!isOver(log.state())) {
      // An empty log was deleted: another is there, or soon.
      await openPatiently(database)
      return add()
    }
    keepUnwritten(log, decide, checks, clock())
    throw error
  })
  return { written, entries: log.oneStamp(log.held()) }
}

/** Adds what another log holds and this one does not, and the pictures that it then names. */
async function mergeWith(
  database: LogDatabase,
  log: Keeping,
  theirs: readonly Entry[],
  aside: readonly AsideEntry[],
  pictures: readonly KeptPicture[],
  clock: () => number,
): Promise<MergedIn> {
  // What both hold is compared before, while nobody waits for the database.
  const first = mergeLogs(log.held(), theirs, clock())
  const merge = await log.change(async (stored) => {
    const came = await mergeIn(database, stored, first.fresh, aside, clock())
    await keepOverruled(database, came.overruled)
    return came
  })
  const state = log.state()
  if (state.status === 'open' && pictures.length > 0) await takePictures(database, state.entries, pictures)
  return { ...merge, known: merge.known + first.known, undoneHere: first.undoneHere }
}

/**
 * The log of one database, read once and kept up to date: entries are only ever added, so what was read stays true, and
 * a write needs to read no more than what has arrived since.
 * @param placeOfCopy finds another store of the browser's, in which a second copy is kept
 */
export function openLedger(
  database: LogDatabase,
  clock: () => number = Date.now,
  placeOfCopy?: () => Promise<CopyPlace | undefined>,
): Ledger {
  const copy = copyOf(database, placeOfCopy)
  const packs = packer(database)
  const log = keepLog(database, (stored, generation) => {
    copy.follow(stored, generation)
    packs.follow(stored.length)
  })
  let isOpening = false
  hear(database, log)
  const takeBack = async (texts: readonly string[] | undefined): Promise<Merge> => {
    const checks = await entryChecks()
    return log.change((stored) => takeFromAside(database, stored, texts, checks, clock()))
  }
  const retryAside = async (): Promise<void> => {
    if ((await database.aside.count()) > 0) await takeBack(undefined)
  }
  return {
    database,
    state: log.state,
    subscribe: log.subscribe,
    cameBack: copy.cameBack,
    open: () => {
      if (isOpening) return
      isOpening = true
      log.become({ status: 'opening' })
      copy.lookFor()
      openPatiently(database)
        .finally(() => (isOpening = false))
        .then(
          async () => {
            // Either may fail for want of room: what is not taken in stays where it is, and the log opens.
            await copy.putBack(log, clock()).catch(() => undefined)
            log.watch()
            await retryAside().catch(() => undefined)
          },
          (error: unknown) =>
            log.become({ status: 'shut', fault: error instanceof LogOpenError ? error.fault : 'broken' }),
        )
    },
    write: (decide) => writeInto(database, log, decide, clock),
    merge: (theirs, aside, pictures = []) => mergeWith(database, log, theirs, aside, pictures, clock),
    setAside: (ids) => log.change(() => moveAside(database, ids)),
    takeBack,
    forget: (text) => forgetAside(database, text),
    wipe: async () => {
      await wipe(database)
      await log.refresh()
    },
    writeBack: async () => {
      const state = log.state()
      const lost = state.status === 'vanished' ? state.stored : []
      log.beginAgain()
      await openPatiently(database)
      log.become({ status: 'opening' })
      await log.change((stored) => mergeIn(database, stored, lost, [], clock()))
      // The copy of the log before may follow this one: else a later wipe would be undone from it.
      copy.letGo()
      log.watch()
    },
    stop: () => {
      copy.stop()
      packs.stop()
      log.become({ status: 'opening' })
      log.unwatch()
      database.close({ disableAutoOpen: true })
    },
  }
}
