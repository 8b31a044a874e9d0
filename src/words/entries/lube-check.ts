import type { LubeCheckEntry } from '../../core/log/kinds/lube-check.ts'
import { OPENS } from '../places.ts'
import { sayCount } from '../numbers.ts'
import { namePart } from '../part-name.ts'
import { LOOK_NAMES } from '../wash-words.ts'
import { choiceField } from './fields.ts'
import type { KindWords } from './kind-words.ts'

/** How it is worded and corrected how a chain looked and sounded. */
export const lubeCheck: KindWords<LubeCheckEntry> = {
  name: 'check of the lube',
  step: (count) => sayCount(count, 'checkOfTheLube'),
  say: ({ chain, look }, garage) => `${namePart(garage, chain)}, lube: ${LOOK_NAMES[look]}`,
  fields: [choiceField('look', 'The chain is', LOOK_NAMES)],
  writtenAt: { to: OPENS.lookAtLube, label: 'How a chain looks and sounds' },
}
