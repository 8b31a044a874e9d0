import { OPENS } from '../places.ts'
import type { PartEntry } from '../../core/log/kinds/part.ts'
import { sayCount } from '../numbers.ts'
import { sayPart } from '../part-name.ts'
import { nameField, wordsField } from './fields.ts'
import type { KindWords } from './kind-words.ts'

/** How a part is worded and corrected. */
export const part: KindWords<PartEntry> = {
  name: 'part',
  step: (count) => sayCount(count, 'part'),
  say: ({ name, spec }) => `${name}: ${sayPart(spec)}`,
  fields: [nameField(), wordsField('note', 'Note')],
  writtenAt: { to: OPENS.newPart, label: 'A part for the shelf or the bike' },
}
