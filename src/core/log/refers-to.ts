import type { Entry } from './entries.ts'
import type { EntryId } from './entry.ts'
import { kindOf } from './kind-of.ts'

/** The entries that an entry speaks of, all of which were written before it. */
export const refersTo = (entry: Entry): readonly EntryId[] => [
  ...(entry.supersedes === undefined ? [] : [entry.supersedes]),
  ...(kindOf(entry).speaksOf?.(entry) ?? []),
]

/**
 * Whether an entry under its id comes after all that it speaks of. Whoever gives a correction an id before that of what
 * it corrects would undo it.
 * @param eldest the smallest id that an entry goes by in the log; undefined where it is not there
 */
export const isAfterAll = (entry: Entry, eldest: (id: EntryId) => EntryId | undefined): boolean =>
  refersTo(entry).every((id) => {
    const held = eldest(id)
    return held === undefined || held < entry.id
  })
