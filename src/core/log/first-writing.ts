import { sha256 } from '@noble/hashes/sha2.js'
import { utf8ToBytes } from '@noble/hashes/utils.js'
import { canonicalText } from './canonical-text.ts'
import type { Entry } from './entries.ts'
import { isIdOfContent } from './entry-id.ts'
import type { EntryId } from './entry.ts'

/** An entry, or what will be one once it has an id. */
type Written = Omit<Entry, 'id'> & { readonly id?: EntryId | undefined }

/** The id that an entry was first written under. */
export const firstIdOf = ({ firstId, id }: Pick<Entry, 'firstId' | 'id'>): EntryId => firstId ?? id

/**
 * What an entry said when it was first written, as text: the same whatever id it was given since. That an entry begins
 * its action is said by its own id, and is left out.
 */
export function firstText(entry: Written): string {
  const { id, firstId, action, ...said } = entry
  const isFirst = action === undefined || action === (firstId ?? id)
  return canonicalText(isFirst ? said : { ...said, action })
}

/** SHA-256 of {@link firstText}: what the end of an entry's first id is made from. */
export const digestOf = (entry: Written): Uint8Array => sha256(utf8ToBytes(firstText(entry)))

/**
 * Whether the ids of an entry are made from what it says. Then it is the original: another entry of those ids is not.
 * Entries of earlier versions have ids made by chance, and prove nothing; nor does one that something was left out of.
 */
export function isProven(entry: Entry): boolean {
  const digest = digestOf(entry)
  return isIdOfContent(entry.id, digest) && isIdOfContent(firstIdOf(entry), digest)
}
