import { ENTRY_FORMAT } from './entry.ts'
import type { Entry, EntryDraft } from './entries.ts'

/** Ids that sort after every id there is, in order. */
const laterId = (i: number): string => `ffffffff-ffff-7fff-bfff-${(0xf00000000000 + i).toString(16)}`

/**
 * A log as it would be with some more entries, to see what they change before they are written. Nothing of it is kept.
 * @param drafts in the order in which they would be written
 */
export const asIfWritten = (entries: readonly Entry[], drafts: readonly EntryDraft[]): readonly Entry[] => [
  ...entries,
  ...drafts.map((draft, i) => ({ ...draft, id: laterId(i), format: ENTRY_FORMAT })),
]
