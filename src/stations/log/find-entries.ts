import type { Entry, EntryKind } from '../../core/log/entries.ts'
import type { Garage } from '../../core/log/garage.ts'
import { aboutIn, finder, newestFirst } from '../../words/entries/search.ts'

/** What is looked for. Empty fields look for anything. */
export interface Wanted {
  readonly text: string
  readonly kind: EntryKind | 'any'
  /** A bike or a part. */
  readonly about: string
  readonly from: string
  readonly to: string
}

/**
 * The entries that are looked for, newest first.
 * @param textOf the searchable text of an entry
 */
export function findEntries(
  entries: readonly Entry[],
  garage: Garage,
  wanted: Wanted,
  textOf: (entry: Entry) => string,
): readonly Entry[] {
  const isMeant = finder(wanted.text)
  return entries
    .filter((entry) => {
      if (wanted.kind !== 'any' && entry.kind !== wanted.kind) return false
      const day = entry.at.slice(0, 10)
      if ((wanted.from !== '' && day < wanted.from) || (wanted.to !== '' && day > wanted.to)) return false
      if (wanted.about !== '' && !aboutIn(entry, garage).includes(wanted.about)) return false
      return wanted.text.trim() === '' || isMeant(textOf(entry)) !== undefined
    })
    .sort(newestFirst)
}
