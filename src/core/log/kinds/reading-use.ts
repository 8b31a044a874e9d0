import type { EntryBase, EntryId } from '../entry.ts'
import type { Kind } from './kind.ts'

/** Leaves a reading out of the estimate, or puts it back. The last word counts. */
export interface ReadingUseEntry extends EntryBase {
  readonly kind: 'reading-use'
  readonly target: EntryId
  readonly counts: boolean
}

export const readingUse: Kind<ReadingUseEntry> = {
  fields: { target: 'own', counts: 'measure' },
  isAbout: () => [],
  speaksOf: ({ target }) => [target],
}
