import { OPENS } from '../places.ts'
import type { LookEntry } from '../../core/log/kinds/look.ts'
import { WORD_NAMES } from '../words/names.ts'
import { sayCount } from '../words/numbers.ts'
import { namePart } from '../words/part-name.ts'
import { choiceField } from './fields.ts'
import type { KindWords } from './kind-words.ts'

/** How a check of teeth by eye is worded and corrected. */
export const look: KindWords<LookEntry> = {
  name: 'check by eye',
  step: (count) => sayCount(count, 'check by eye', 'checks by eye'),
  say: ({ part, cog, word }, garage) =>
    `${namePart(garage, part)}${cog === undefined ? '' : `, cog ${cog}`}: ${word}`,
  fields: [choiceField('word', 'It looks', WORD_NAMES)],
  writtenAt: { to: OPENS.checkTeeth, label: 'A check of the teeth by eye' },
}
