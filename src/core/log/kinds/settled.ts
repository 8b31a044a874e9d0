import type { EntryBase, EntryId } from '../entry.ts'
import type { Kind } from './kind.ts'

/** The answer to a question about entries that contradict one another: all of them happened. */
export interface SettledEntry extends EntryBase {
  readonly kind: 'settled'
  readonly targets: readonly EntryId[]
}

export const settled: Kind<SettledEntry> = {
  fields: { targets: 'own' },
  isAbout: () => [],
  speaksOf: ({ targets }) => targets,
}
