import type { LookAnswerEntry } from '../../core/log/kinds/look-answer.ts'
import { sayCount } from '../numbers.ts'
import { namePart } from '../part-name.ts'
import type { KindWords } from './kind-words.ts'

/** How the answer that a look is right and the log complete is worded. */
export const lookAnswer: KindWords<LookAnswerEntry> = {
  name: 'answer about a reading',
  step: (count) => sayCount(count, 'answer'),
  say: ({ chain }, garage) => `${namePart(garage, chain)}: readings confirmed, log complete`,
  fields: [],
}
