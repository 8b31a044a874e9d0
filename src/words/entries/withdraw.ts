import type { WithdrawEntry } from '../../core/log/kinds/withdraw.ts'
import { sayCount } from '../numbers.ts'
import type { KindWords } from './kind-words.ts'

/** How undoing and restoring is worded. */
export const withdraw: KindWords<WithdrawEntry> = {
  name: 'undo or restore',
  step: () => 'entries undone or restored',
  say: ({ targets }) => `${sayCount(targets.length, 'entry')} undone or restored`,
  fields: [],
}
