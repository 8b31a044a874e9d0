import { v7 } from 'uuid'
import type { EntryId } from './entry.ts'

/**
 * An entry's id: a version 7 UUID (RFC 9562), whose leading 48 bits are the time of writing, so that ids sort
 * as text in the order of writing; the random bits keep two devices apart.
 * @param ms time of writing, ms since 1970; 0 to 2^48 - 1
 * @param seq counts entries written within the same millisecond; 0 to 2^31 - 1
 * @param random 16 random bytes
 */
export function makeEntryId(ms: number, seq: number, random: Uint8Array): EntryId {
  return v7({ msecs: ms, seq, random })
}

/** So many entries get ids of one millisecond, at most. */
export const IDS_A_MS = 4096

/** The bits of a digest that {@link idOfContent} puts into the second count of a version 7 UUID. */
const countBits = (digest: Uint8Array): number =>
  (((digest[8] ?? 0) & 0x3f) << 14) | ((digest[9] ?? 0) << 6) | ((digest[10] ?? 0) >>> 2)

/**
 * An id whose last 62 bits come from what the entry says, in place of chance: whoever changes the entry cannot keep the
 * id. Same layout as {@link makeEntryId}.
 * @param ms time of writing, ms since 1970; 0 to 2^48 - 1
 * @param place among the entries of that millisecond; 0 to {@link IDS_A_MS} - 1
 * @param digest of the entry as first written, 16 bytes or more
 */
export const idOfContent = (ms: number, place: number, digest: Uint8Array): EntryId =>
  v7({ msecs: ms, seq: ((place << 20) | countBits(digest)) >>> 0, random: digest })

/** Whether the last 62 bits of an id are those of a digest. */
export function isIdOfContent(id: EntryId, digest: Uint8Array): boolean {
  const mark = idOfContent(0, 0, digest)
  return id.slice(19) === mark.slice(19)
}

/**
 * The time of writing held in an id, ms since 1970. Text that is no id gives NaN.
 */
export function entryIdTime(id: EntryId): number {
  return parseInt(id.slice(0, 8) + id.slice(9, 13), 16)
}
