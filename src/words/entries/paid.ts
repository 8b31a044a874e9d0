import type { PaidEntry } from '../../core/log/kinds/paid.ts'
import { sayExactMoney } from '../money.ts'
import { bikeName, type KindWords } from './kind-words.ts'

/** How money spent is worded. */
export const paid: KindWords<PaidEntry> = {
  name: 'money spent',
  step: () => 'money spent',
  say: ({ bike, what, minor, currency }, garage) =>
    `${bikeName(garage, bike)}: ${what}, ${sayExactMoney(minor, currency)}`,
  fields: [],
}
