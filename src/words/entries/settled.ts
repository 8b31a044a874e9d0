import type { SettledEntry } from '../../core/log/kinds/settled.ts'
import { sayCount } from '../numbers.ts'
import type { KindWords } from './kind-words.ts'

/** How it is worded that contradicting entries all happened. */
export const settled: KindWords<SettledEntry> = {
  name: 'answer about entries that contradict',
  step: (count) => sayCount(count, 'answer'),
  say: ({ targets }) => `${sayCount(targets.length, 'entry')} that seemed to contradict: all happened`,
  fields: [],
}
