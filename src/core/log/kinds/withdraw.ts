import type { EntryBase, EntryId } from '../entry.ts'
import type { RideKind } from './kind.ts'

/** Takes entries back. Withdrawing a withdrawal puts them in again. */
export interface WithdrawEntry extends EntryBase {
  readonly kind: 'withdraw'
  readonly targets: readonly EntryId[]
  /** What asked for it, where it was not the entry's own "take out": undo and redo do not undo one another. */
  readonly reason?: 'undo' | 'redo' | 'restore'
}

export const withdraw: RideKind<WithdrawEntry> = {
  fields: { targets: 'own', reason: 'measure' },
  isAbout: () => [],
  speaksOf: ({ targets }) => targets,
  changesRides: true,
}
