import { OPENS } from '../places.ts'
import type { FitEntry } from '../../core/log/kinds/fit.ts'
import { sayCount } from '../numbers.ts'
import { namePart } from '../part-name.ts'
import { bikeField, partField } from './fields.ts'
import { bikeName, type KindWords } from './kind-words.ts'

/** How fitting a part is worded and corrected. */
export const fit: KindWords<FitEntry> = {
  name: 'part fitted',
  step: (count) => sayCount(count, 'partFitted'),
  say: ({ part, bike }, garage) => `${namePart(garage, part)} fitted to ${bikeName(garage, bike)}`,
  fields: [partField(), bikeField()],
  writtenAt: { to: OPENS.fitChain, label: 'A chain fitted or taken off' },
}
