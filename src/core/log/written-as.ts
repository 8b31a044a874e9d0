import type { Entry, EntryDraft } from './entries.ts'
import { entryIdTime, IDS_A_MS, idOfContent } from './entry-id.ts'
import { ENTRY_FORMAT, type EntryId } from './entry.ts'
import { digestOf } from './first-writing.ts'

/**
 * Ids for entries of these digests: in order, after every id this device has seen whatever its clock says, and each
 * made from what its entry says.
 * @param nowMs ms since 1970
 */
function idsAfter(
  newest: EntryId | undefined,
  nowMs: number,
): (place: number, digest: Uint8Array) => EntryId {
  const seen = newest === undefined ? 0 : entryIdTime(newest)
  const ms = Math.max(nowMs, Number.isFinite(seen) ? seen + 1 : 0)
  return (place, digest) => idOfContent(ms + Math.floor(place / IDS_A_MS), place % IDS_A_MS, digest)
}

/**
 * Drafts as entries of one action: one press of "undo" takes back all of them. A correction is copied from what it
 * corrects: who wrote that, what was left out of it, and the id that it was first written under, stay there.
 * @param newest the newest id of the log, of those that are not stamped ahead of the clock
 * @param nowMs ms since 1970
 */
export function writtenAs(
  drafts: readonly EntryDraft[],
  newest: EntryId | undefined,
  nowMs: number,
  writtenBy?: string,
): Entry[] {
  const idOf = idsAfter(newest, nowMs)
  let action: EntryId | undefined
  return drafts.map((draft, place): Entry => {
    const { writtenBy: _who, abridged: _part, altered: _fields, firstId: _first, ...facts } = draft as Entry
    const said = {
      ...(facts as Entry),
      ...(writtenBy !== undefined && { writtenBy }),
      format: ENTRY_FORMAT,
      ...(action !== undefined && { action }),
    }
    const id = idOf(place, digestOf({ ...said, id: undefined }))
    action ??= id
    return { ...said, id, action }
  })
}

/** Entries whose ids lie ahead of the clock, under ids of today, in their order; each remembers the first one it had. */
export function stampedAgain(entries: readonly Entry[], newest: EntryId | undefined, nowMs: number): Entry[] {
  const idOf = idsAfter(newest, nowMs)
  return entries.map((entry, place) => ({
    ...entry,
    id: idOf(place, digestOf(entry)),
    firstId: entry.firstId ?? entry.id,
  }))
}
