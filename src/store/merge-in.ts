import { isStampedAhead } from '../core/log/bounds.ts'
import type { AsideEntry } from '../core/log/aside.ts'
import type { Entry } from '../core/log/entries.ts'
import { canonicalText } from '../core/log/canonical-text.ts'
import { logAfter, mergeLogs, type Merge, type Replaced } from '../core/log/merge.ts'
import { overruledBy, type Overruled } from '../core/log/overruled.ts'
import { stampedAgain } from '../core/log/written-as.ts'
import type { EntryChecks } from '../formats/entry-checks.ts'
import type { LogDatabase } from './database.ts'
import { countChange, readGeneration } from './generation.ts'
import { newestId } from './write.ts'
import { words } from '../words/store/merge-in.ts'

/** So many entries are handed to the database at once: the page can be drawn in between. */
const HANDFUL = 500

/** An entry as it is kept beside the log. */
const besides = (entry: Entry, why: AsideEntry['why'], said: string): AsideEntry => ({
  text: JSON.stringify(entry),
  why,
  said,
})

/** What is added, with what a clock that runs ahead stamped under ids of today. */
async function stampedSanely(
  database: LogDatabase,
  { added, ahead }: Merge,
  nowMs: number,
): Promise<readonly Entry[]> {
  if (ahead.size === 0) return added
  const newest = await newestId(database)
  const sane = newest !== undefined && isStampedAhead(newest, nowMs) ? undefined : newest
  const early = added.filter(({ id }) => ahead.has(id)).sort((a, b) => (a.id < b.id ? -1 : 1))
  const again = new Map(stampedAgain(early, sane, nowMs).map((entry, i) => [early[i], entry]))
  return added.map((entry) => again.get(entry) ?? entry)
}

/** Puts entries in the place of some that stand in the log, where those stood. */
async function putInPlace(database: LogDatabase, replaced: readonly Replaced[]): Promise<void> {
  if (replaced.length === 0) return
  for (const { now, from } of replaced) {
    const rows = await database.entries
      .where('id')
      .anyOf(from.map(({ id }) => id))
      .toArray()
    await database.entries.bulkDelete(rows.map(({ seq }) => seq))
    const [row] = rows
    await database.entries.put({ ...now, ...(row && { seq: row.seq }) })
  }
  await countChange(database, await readGeneration(database))
}

/** What came of taking another log in. */
export interface MergedIn extends Merge {
  /** What counted here and does not any more. */
  readonly overruled: readonly Overruled[]
}

/**
 * Adds what another log holds and this one does not, by id, all or none. Within a transaction on `entries`, `kept` and
 * `aside`. What contradicts an entry held here is kept aside; so is what came aside already.
 * @param log everything this log holds, as it is stored
 */
export async function mergeIn(
  database: LogDatabase,
  log: readonly Entry[],
  theirs: readonly Entry[],
  aside: readonly AsideEntry[],
  nowMs: number,
): Promise<MergedIn> {
  const merge = mergeLogs(log, theirs, nowMs)
  const added = await stampedSanely(database, merge, nowMs)
  await putInPlace(database, merge.replaced)
  for (let from = 0; from < added.length; from += HANDFUL)
    await database.entries.bulkAdd(added.slice(from, from + HANDFUL))
  await database.aside.bulkPut([
    ...aside,
    ...merge.differing.map((entry) => besides(entry, 'differs', words.anotherCopyOfItDiffers)),
  ])
  return { ...merge, overruled: overruledBy(log, theirs, logAfter(log, merge, added)) }
}

/** Everything kept beside the log. */
export const allAside = (database: LogDatabase): Promise<AsideEntry[]> => database.aside.toArray()

/** Forgets something kept beside the log, for good. */
export const forgetAside = (database: LogDatabase, text: string): Promise<void> => database.aside.delete(text)

/**
 * Takes entries out of the log and keeps them beside it: for one that breaks the screens whatever is withdrawn. Within a
 * transaction on `entries`, `kept` and `aside`.
 */
export async function moveAside(database: LogDatabase, ids: readonly string[]): Promise<number> {
  const rows = await database.entries.where('id').anyOf(ids).toArray()
  await database.aside.bulkPut(
    rows.map(({ seq: _seq, ...entry }) => besides(entry, 'removed', words.setAsideByHand)),
  )
  await database.entries.bulkDelete(rows.map(({ seq }) => seq))
  await countChange(database, await readGeneration(database))
  return rows.length
}

/**
 * Tries again what is kept beside the log: an app brought up to date may know it now. Within a transaction on `entries`,
 * `kept` and `aside`.
 * @param chosen the texts of those to try; absent: all that were set aside for what they hold
 * @returns those that can be counted now, and that are no longer kept aside
 */
export async function takeFromAside(
  database: LogDatabase,
  log: readonly Entry[],
  chosen: readonly string[] | undefined,
  { checkEntry }: EntryChecks,
  nowMs: number,
): Promise<Merge> {
  const held = await allAside(database)
  const tried = held.filter(({ text, why }) =>
    chosen ? chosen.includes(text) : why === 'newer' || why === 'unsound',
  )
  const sound = tried.flatMap(({ text }) => {
    const checked = checkEntry(JSON.parse(text))
    return checked.outcome === 'sound' ? [{ text, entry: checked.entry }] : []
  })
  const merge = await mergeIn(
    database,
    log,
    sound.map(({ entry }) => entry),
    [],
    nowMs,
  )
  const differs = new Set(merge.differing.map(canonicalText))
  await database.aside.bulkDelete(
    sound.flatMap(({ text, entry }) => (differs.has(canonicalText(entry)) ? [] : [text])),
  )
  return merge
}
