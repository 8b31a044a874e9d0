import { OPENS } from '../places.ts'
import type { BikeEntry } from '../../core/log/kinds/bike.ts'
import { sayCount } from '../numbers.ts'
import { nameField, wordsField } from './fields.ts'
import type { KindWords } from './kind-words.ts'

/** How a bike is worded and corrected. */
export const bike: KindWords<BikeEntry> = {
  name: 'bike',
  step: (count) => sayCount(count, 'bike'),
  say: ({ name, note }) => `${name}: ${note || 'a bike'}`,
  fields: [nameField(), wordsField('note', 'What it is', { keepEmpty: true })],
  writtenAt: { to: OPENS.newBike, label: 'A bike' },
}
