import { isStampedAhead } from '../core/log/bounds.ts'
import type { EntryId } from '../core/log/entry.ts'
import type { Entry, EntryDraft } from '../core/log/entries.ts'
import { stampedAgain, writtenAs } from '../core/log/written-as.ts'
import type { EntryChecks } from '../formats/entry-checks.ts'
import type { LogDatabase } from './database.ts'
import { countChange, readGeneration } from './generation.ts'
import { readWho } from './kept.ts'
import { withoutSeq, type StoredEntry } from './stored-entry.ts'

/** What was to be written cannot be: the schema that reads the log back would refuse it. */
export class DraftError extends Error {
  override readonly name = 'DraftError'
  constructor(
    readonly field: string,
    fault: string,
  ) {
    super(fault)
  }
}

/** Drafts that were looked at before, as they are in long imports. */
const sound = new WeakSet<EntryDraft>()

/**
 * Checks what is to be written, by the schema that reads it back.
 * @throws DraftError for the first that is unsound
 */
function checkDrafts(drafts: readonly EntryDraft[], faultOfDraft: EntryChecks['faultOfDraft']): void {
  for (const draft of drafts) {
    if (sound.has(draft)) continue
    const found = faultOfDraft(draft)
    if (found) throw new DraftError(found.field, found.fault)
    sound.add(draft)
  }
}

/** The newest id there is, of those that are not stamped ahead of the clock. Within a transaction, or alone. */
export async function newestId(database: LogDatabase): Promise<EntryId | undefined> {
  return (await database.entries.orderBy('id').last())?.id
}

/**
 * Gives entries stamped later than tomorrow ids of today, in their order, so that what is written next comes after
 * them. Such are left by a clock that was wrong for a while. Within a transaction on `entries` and `kept`.
 * @returns the newest id there is then
 */
export async function stampAgain(database: LogDatabase, nowMs: number): Promise<EntryId | undefined> {
  const newest = await newestId(database)
  if (newest === undefined || !isStampedAhead(newest, nowMs)) return newest
  const all = await database.entries.orderBy('id').toArray()
  const ahead = all.filter(({ id }) => isStampedAhead(id, nowMs))
  const sane = all.findLast(({ id }) => !isStampedAhead(id, nowMs))?.id
  const again = stampedAgain(ahead.map(withoutSeq), sane, nowMs)
  await database.entries.bulkDelete(ahead.map(({ seq }) => seq))
  await database.entries.bulkAdd(again)
  await countChange(database, await readGeneration(database))
  return again.at(-1)?.id
}

/**
 * Writes entries as one action: one press of "undo" takes back all of them. Within a transaction on `entries` and
 * `kept`.
 * @returns what was written
 * @throws DraftError where one of them could not be read back; nothing is written then
 */
export async function addEntries(
  database: LogDatabase,
  drafts: readonly EntryDraft[],
  { faultOfDraft }: EntryChecks,
  nowMs: number,
): Promise<Entry[]> {
  if (drafts.length === 0) return []
  checkDrafts(drafts, faultOfDraft)
  const newest = await stampAgain(database, nowMs)
  const written = writtenAs(drafts, newest, nowMs, await readWho(database))
  await database.entries.bulkAdd(written)
  return written
}

/** Every entry as it is stored, in the order of arrival. */
export async function allEntries(database: LogDatabase): Promise<Entry[]> {
  return (await database.entries.orderBy('seq').toArray()).map(withoutSeq)
}

/** The place of the newest entry in the order of arrival; 0 where there is none. */
export const lastSeq = async (database: LogDatabase): Promise<number> =>
  (await database.entries.orderBy('seq').last())?.seq ?? 0

/** So many places are read at once: the page can be drawn between two reads, and the next is fetched meanwhile. */
const HANDFUL = 4000

/** Entries that arrived after a place in the order of arrival, the new place, and whether there are none at all. */
export async function entriesSince(
  database: LogDatabase,
  seq: number,
): Promise<{ readonly entries: Entry[]; readonly seq: number; readonly isEmpty: boolean }> {
  const last = await lastSeq(database)
  const end = Math.max(seq, last)
  const reads: PromiseLike<StoredEntry[]>[] = []
  for (let from = seq; from < end; from += HANDFUL)
    reads.push(
      database.entries
        .where('seq')
        .between(from, from + HANDFUL, false, true)
        .toArray(),
    )
  const entries: Entry[] = []
  for (const read of reads) for (const stored of await read) entries.push(withoutSeq(stored))
  return { entries, seq: end, isEmpty: last === 0 }
}

/** Empties the log of this world, and what was kept beside it. */
export async function wipe(database: LogDatabase): Promise<void> {
  const { entries, kept, answers, aside, pictures, packs } = database
  const all = [entries, kept, answers, aside, pictures, packs]
  await database.transaction('rw', all, async () => {
    const generation = await readGeneration(database)
    await Promise.all(all.map((table) => table.clear()))
    await countChange(database, generation)
  })
}
