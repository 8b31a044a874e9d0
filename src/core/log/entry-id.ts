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

/**
 * The time of writing held in an id, ms since 1970. Text that is no id gives NaN.
 */
export function entryIdTime(id: EntryId): number {
  return parseInt(id.slice(0, 8) + id.slice(9, 13), 16)
}
