import type { ReadingUseEntry } from '../../core/log/kinds/reading-use.ts'
import type { KindWords } from './kind-words.ts'

/** How leaving a reading out, or counting it again, is worded. */
export const readingUse: KindWords<ReadingUseEntry> = {
  name: 'reading left out or counted',
  step: () => 'a reading left out or counted again',
  say: ({ counts }) => (counts ? 'a reading counted again' : 'a reading left out'),
  fields: [],
}
