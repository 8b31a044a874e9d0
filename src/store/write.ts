import type { Entry, EntryDraft, EntryId } from '../core/log/entries.ts'
import { entryIdTime, makeEntryId } from '../core/log/entry-id.ts'
import { mergeLogs, type Merge } from '../core/log/merge.ts'
import type { LogDatabase, StoredEntry } from './database.ts'

const withoutSeq = ({ seq, ...entry }: StoredEntry): Entry => entry

/** Ids for entries written together: in order, and after every id this device has seen, whatever its clock says. */
function nextIds(count: number, newest: EntryId | undefined, nowMs: number): EntryId[] {
  const seen = newest === undefined ? 0 : entryIdTime(newest)
  const ms = Math.max(nowMs, Number.isFinite(seen) ? seen + 1 : 0)
  return Array.from({ length: count }, (_, i) =>
    makeEntryId(ms, i, crypto.getRandomValues(new Uint8Array(16))),
  )
}

/**
 * Writes entries in one transaction, all or none, as one action: one press of "undo" takes back all of them.
 * @returns what was written
 */
export async function append(database: LogDatabase, drafts: readonly EntryDraft[]): Promise<Entry[]> {
  if (drafts.length === 0) return []
  return database.transaction('rw', database.entries, async () => {
    const newest = (await database.entries.orderBy('id').last())?.id
    const ids = nextIds(drafts.length, newest, Date.now())
    const act = ids[0] ?? ''
    const written = drafts.map((draft, i) => ({ ...draft, id: ids[i] ?? '', act }))
    await database.entries.bulkAdd(written)
    return written
  })
}

/** Every entry, in the order of arrival. */
export async function allEntries(database: LogDatabase): Promise<Entry[]> {
  return (await database.entries.orderBy('seq').toArray()).map(withoutSeq)
}

/** Entries that arrived after a place in the order of arrival, and the new place. */
export async function entriesSince(
  database: LogDatabase,
  seq: number,
): Promise<{ readonly entries: Entry[]; readonly seq: number; readonly total: number }> {
  const fresh = await database.entries.where('seq').above(seq).toArray()
  return {
    entries: fresh.map(withoutSeq),
    seq: fresh.at(-1)?.seq ?? seq,
    total: await database.entries.count(),
  }
}

/**
 * Adds what a file holds and this log does not, by id, in one transaction. Where the file contradicts an entry
 * held here nothing is written: the caller says so.
 */
export async function mergeIn(database: LogDatabase, entries: readonly Entry[]): Promise<Merge> {
  return database.transaction('rw', database.entries, async () => {
    const merge = mergeLogs(await allEntries(database), entries)
    if (merge.differing.length === 0) await database.entries.bulkAdd(merge.added)
    return merge
  })
}

/** Empties the log of this world, and what was kept beside it. */
export async function wipe(database: LogDatabase): Promise<void> {
  await database.transaction('rw', database.entries, database.kept, database.forecasts, async () => {
    await database.entries.clear()
    await database.kept.clear()
    await database.forecasts.clear()
  })
}
