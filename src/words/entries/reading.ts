import { OPENS } from '../places.ts'
import { PART_BOUNDS } from '../../core/log/kinds/part.ts'
import type { ReadingEntry } from '../../core/log/kinds/reading.ts'
import { SHORT_INSTRUMENT } from '../names.ts'
import { sayCount } from '../numbers.ts'
import { namePart } from '../part-name.ts'
import { sayAsRead } from '../reading.ts'
import { numberTyped } from '../typed.ts'
import { chainField, without } from './fields.ts'
import type { KindWords } from './kind-words.ts'

/** How a reading of a chain is worded and corrected. */
export const reading: KindWords<ReadingEntry> = {
  name: 'reading',
  step: (count) => sayCount(count, 'reading'),
  say: ({ chain, reading }, garage, units) =>
    `${namePart(garage, chain)} measured with ${SHORT_INSTRUMENT[reading.instrument]}: ${sayAsRead(reading, units)}`,
  fields: [
    chainField(),
    {
      name: 'place',
      label: () => 'Links from the joining link',
      input: { type: 'number' },
      read: ({ linksFromJoint }) => (linksFromJoint === undefined ? '' : String(linksFromJoint)),
      write: (draft, text) => {
        if (text.trim() === '') return { draft: without<ReadingEntry>(draft, 'linksFromJoint') }
        const typed = numberTyped(text, {
          least: 0,
          most: PART_BOUNDS.links[1],
          whole: true,
          unit: 'links',
          ask: '',
        })
        return 'fault' in typed ? typed : { draft: { ...draft, linksFromJoint: typed.value } }
      },
    },
  ],
  writtenAt: { to: OPENS.takeReading, label: 'A reading of the chain' },
}
