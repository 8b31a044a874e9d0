import { newEntryAddress } from '../places.ts'
import type { NoteEntry } from '../../core/log/kinds/note.ts'
import { sayCount } from '../numbers.ts'
import { namePart } from '../part-name.ts'
import { wordsField } from './fields.ts'
import type { KindWords } from './kind-words.ts'

/** How a note is worded, written and corrected. */
export const note: KindWords<NoteEntry> = {
  name: 'note',
  step: (count) => sayCount(count, 'note'),
  say: ({ about, text }, garage) =>
    `${garage.bikes.get(about)?.entry.name ?? namePart(garage, about)}: ${text}`,
  fields: [
    {
      name: 'about',
      label: () => 'About',
      input: { type: 'thing' },
      read: ({ about }) => about,
      write: (draft, about) => ({ draft: { ...draft, about } }),
    },
    wordsField('text', 'Note', { required: true }),
  ],
  blank: (about, at) => ({ kind: 'note', about, at, text: '' }),
  writtenAt: { to: newEntryAddress('note'), label: 'A note about a bike or a part' },
}
