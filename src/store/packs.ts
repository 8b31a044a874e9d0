import type { Entry } from '../core/log/entries.ts'
import type { LogDatabase } from './database.ts'
import { readGeneration, type Generation } from './generation.ts'
import type { Pack } from './pack.ts'
import { withoutSeq } from './stored-entry.ts'

/** So many entries make a pack: a log of fewer has none. */
export const PACK_ENTRIES = 5000
/** So many are read from the database at once: the page can be drawn in between. */
const HANDFUL = 1000
/** Packs are made so long after the log was last seen to change, ms: nobody waits for them. */
const LATER_MS = 5000
/** Between two packs the page is left alone for so long, ms. */
const REST_MS = 200

const isOf = ({ generation }: Pack, { id, changes }: Generation): boolean =>
  generation.id === id && generation.changes === changes

/** The entries of a pack; undefined where it is not whole. */
function unpacked({ text, count }: Pack): readonly Entry[] | undefined {
  try {
    const entries: unknown = JSON.parse(text)
    return Array.isArray(entries) && entries.length === count ? (entries as Entry[]) : undefined
  } catch {
    return undefined
  }
}

/**
 * The log from its beginning as far as packs of it go. Within a transaction on `packs`.
 * @param generation of the log as it stands
 * @param last place of its last entry: packs that go further are of a log that is no longer there
 * @returns its entries in the order of arrival, and the place up to which they go; 0 where there are none
 */
export async function readPacked(
  { packs }: LogDatabase,
  generation: Generation,
  last: number,
): Promise<{ readonly entries: Entry[]; readonly seq: number }> {
  const reads = (await packs.toCollection().primaryKeys()).map((from) => packs.get(from))
  const entries: Entry[] = []
  let seq = 0
  for (const read of reads) {
    const pack = await read
    if (pack?.from !== seq || pack.to > last || !isOf(pack, generation)) break
    const held = unpacked(pack)
    if (!held) break
    for (const entry of held) entries.push(entry)
    seq = pack.to
  }
  return { entries, seq }
}

/** Entries enough for one pack after a place; undefined where there are fewer. */
async function nextOf(
  { entries }: LogDatabase,
  from: number,
  count: number,
): Promise<{ readonly to: number; readonly held: readonly Entry[] } | undefined> {
  const after = entries.where('seq').above(from)
  // By the keys alone: most often there is nothing to do.
  const [to] = await after
    .clone()
    .offset(count - 1)
    .limit(1)
    .primaryKeys()
  if (to === undefined) return undefined
  const held: Entry[] = []
  for (let at = from; at < to;) {
    const rows = await entries.where('seq').between(at, to, false, true).limit(HANDFUL).toArray()
    for (const row of rows) held.push(withoutSeq(row))
    at = rows.at(-1)?.seq ?? to
  }
  return { to, held }
}

/**
 * Makes one more pack of what has arrived.
 * @param count so many entries make one
 * @returns whether there was enough for one
 */
export async function packNext(database: LogDatabase, count = PACK_ENTRIES): Promise<boolean> {
  const { packs, kept, entries } = database
  const next = await database.transaction('r', entries, kept, packs, async () => {
    const generation = await readGeneration(database)
    const last = await packs.toCollection().last()
    const isOurs = last !== undefined && generation !== undefined && isOf(last, generation)
    const from = isOurs ? last.to : 0
    const found = generation && (await nextOf(database, from, count))
    return { generation, found, from, isStale: last !== undefined && !isOurs }
  })
  const { generation, found, from } = next
  return database.transaction('rw', kept, packs, async () => {
    if (next.isStale) await packs.clear()
    if (!found || !generation) return false
    // The log may have been changed meanwhile: what was read then is not of it.
    const now = await readGeneration(database)
    if (now?.id !== generation.id || now.changes !== generation.changes) return false
    await packs.put({ from, to: found.to, generation, count, text: JSON.stringify(found.held) })
    return true
  })
}

/** Makes packs of a log behind everything else. */
export interface Packer {
  /** Says that the log was read, or has changed, and how many entries it has. */
  readonly follow: (entries: number) => void
  readonly stop: () => void
}

/** A packer of a database's log. */
export function packer(database: LogDatabase): Packer {
  let timer: ReturnType<typeof setTimeout> | undefined
  let isStopped = false
  const later = (ms: number): void => {
    clearTimeout(timer)
    timer = setTimeout(run, ms)
  }
  const run = (): void => {
    packNext(database).then(
      (isMade) => isMade && !isStopped && later(REST_MS),
      // The log itself is written: a pack that cannot be is tried again with the next change.
      () => undefined,
    )
  }
  return {
    follow: (entries) => {
      isStopped = false
      if (entries >= PACK_ENTRIES) later(LATER_MS)
    },
    stop: () => {
      isStopped = true
      clearTimeout(timer)
    },
  }
}
