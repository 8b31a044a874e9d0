import Dexie, { type EntityTable } from 'dexie'
import type { AsideEntry } from '../core/log/aside.ts'
import type { Entry } from '../core/log/entries.ts'
import { entryChecks } from '../formats/entry-checks.ts'
import type { Generation } from './generation.ts'
import { withPatience } from './with-patience.ts'

/** What the copy is of, and how many of that log's entries it holds, in their order of arrival. */
interface CopyMark {
  readonly key: 'of'
  readonly generation: Generation
  readonly count: number
}

type CopyDatabase = Dexie & {
  readonly entries: EntityTable<{ seq: number; text: string }, 'seq'>
  readonly aside: EntityTable<AsideEntry, 'text'>
  readonly mark: EntityTable<CopyMark, 'key'>
}

/** Where the copy is kept: a store of the browser's that is not the one of the log. */
export interface CopyPlace {
  readonly indexedDB: IDBFactory
}

/** What the copy holds of a log that its database no longer has. */
export interface LostLog {
  readonly entries: readonly Entry[]
  readonly aside: readonly AsideEntry[]
}

/**
 * A copy of the log in another store of the same browser.
 *
 * A browser that is cut off while it writes may find its own files damaged at the next start, and then starts that store
 * over, empty and without a word. Its other stores are other files.
 */
export interface SecondCopy {
  /** Brings the copy up to the log; later and quietly, for the log itself is written by then. */
  readonly follow: (stored: readonly Entry[], generation: Generation) => void
  /** What it holds of another log than this: one that was lost. Undefined where nothing was, or it cannot be read. */
  readonly lost: (generation: Generation) => Promise<LostLog | undefined>
  /** From now on a copy of another log may be replaced: what it held was put back. */
  readonly letGo: () => void
  readonly stop: () => void
}

/** So many entries are handed to the database at once: the page can be drawn in between. */
const HANDFUL = 500
/** What is written in quick succession is copied together, ms. */
const LATER_MS = 200
function openCopy({ indexedDB }: CopyPlace): CopyDatabase {
  const copy = new Dexie('jolt-mile second copy', {
    indexedDB,
    chromeTransactionDurability: 'strict',
  }) as CopyDatabase
  copy.version(1).stores({ entries: '++seq', aside: '&text', mark: '&key' })
  return copy
}

/** Adds what the copy is missing of a log, or starts it over where it is of another state of it. All or nothing. */
async function bringUp(
  copy: CopyDatabase,
  stored: readonly Entry[],
  generation: Generation,
  aside: readonly AsideEntry[],
  mayReplace: boolean,
): Promise<void> {
  const tables = [copy.entries, copy.aside, copy.mark] as const
  await copy.transaction('rw', tables, async () => {
    const mark = await copy.mark.get('of')
    const isSameLog = mark?.generation.id === generation.id
    if (mark && mark.count > 0 && !isSameLog && !mayReplace) return
    // A tab that has not yet heard of a wipe does not bring back what was wiped.
    if (isSameLog && mark.generation.changes > generation.changes) return
    const isSame = isSameLog && mark.generation.changes === generation.changes
    if (!isSame) await copy.entries.clear()
    const held = isSame ? mark.count : 0
    for (let from = held; from < stored.length; from += HANDFUL)
      await copy.entries.bulkAdd(
        stored.slice(from, from + HANDFUL).map((entry) => ({ text: JSON.stringify(entry) })),
      )
    await copy.aside.clear()
    await copy.aside.bulkPut([...aside])
    await copy.mark.put({ key: 'of', generation, count: Math.max(held, stored.length) })
  })
}

async function readLost(copy: CopyDatabase, generation: Generation): Promise<LostLog | undefined> {
  const mark = await withPatience(copy.mark.get('of'))
  if (!mark || mark.generation.id === generation.id) return undefined
  const kept = await copy.aside.toArray()
  const texts = await copy.entries.orderBy('seq').toArray()
  const { checkEntry } = await entryChecks()
  const entries: Entry[] = []
  const aside = [...kept]
  for (const { text } of texts) {
    const checked = checkEntry(JSON.parse(text))
    if (checked.outcome === 'sound') entries.push(checked.entry)
    else if (checked.outcome === 'newer') aside.push({ text, why: 'newer', said: checked.what })
    else aside.push({ text, why: 'unsound', said: checked.fault })
  }
  return entries.length + aside.length > 0 ? { entries, aside } : undefined
}

/**
 * A second copy in the place given. It takes the place of a copy of another log only once that one was let go.
 * @param asideNow what is kept beside the log at the moment
 */
export function secondCopy(place: CopyPlace, asideNow: () => Promise<readonly AsideEntry[]>): SecondCopy {
  const copy = openCopy(place)
  // Opened while the log is: both take the browser a while. Where it cannot be, whoever reads it hears so.
  copy.open().catch(() => undefined)
  let wanted: readonly [readonly Entry[], Generation] | undefined
  let timer: ReturnType<typeof setTimeout> | undefined
  let isRunning = false
  // Until it is put back, a copy of another log is all there is of that one.
  let isLetGo = false
  const run = async (): Promise<void> => {
    if (isRunning) return
    isRunning = true
    try {
      while (wanted) {
        const [stored, generation] = wanted
        wanted = undefined
        await bringUp(copy, stored, generation, await asideNow(), isLetGo)
      }
    } catch {
      // The log itself is written: a copy that cannot be is tried again with the next change.
    } finally {
      isRunning = false
    }
  }
  return {
    follow: (stored, generation) => {
      wanted = [stored, generation]
      clearTimeout(timer)
      timer = setTimeout(() => void run(), LATER_MS)
    },
    lost: (generation) =>
      // Where it cannot be read there is nothing to put back, and nothing may be written over it.
      readLost(copy, generation).catch(() => undefined),
    letGo: () => {
      isLetGo = true
    },
    stop: () => {
      clearTimeout(timer)
      copy.close({ disableAutoOpen: true })
    },
  }
}

/** The part of the browser's storage buckets that is used. */
interface Buckets {
  open(name: string, options?: { readonly durability?: 'strict' }): Promise<CopyPlace>
}

/**
 * A store beside the usual one, where the browser has such: undefined elsewhere. The browsers that have none keep their
 * databases in another way, and do not start them over.
 */
export async function placeBeside(): Promise<CopyPlace | undefined> {
  const { storageBuckets } = globalThis.navigator as { storageBuckets?: Buckets }
  try {
    return await withPatience(storageBuckets?.open('second-copy', { durability: 'strict' }))
  } catch {
    return undefined
  }
}
