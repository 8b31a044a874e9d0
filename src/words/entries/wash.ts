import { OPENS } from '../places.ts'
import { LUBES } from '../../core/lube/lubes.ts'
import type { WashEntry } from '../../core/log/kinds/wash.ts'
import { LUBE_NAMES, WASH_NAMES } from '../names.ts'
import { namePart } from '../part-name.ts'
import { choiceField, without } from './fields.ts'
import type { KindWords } from './kind-words.ts'

/** How cleaning and lubricating a chain is worded and corrected. */
export const wash: KindWords<WashEntry> = {
  name: 'wash or lube',
  step: (count) => (count === 1 ? 'a wash or lube' : `${count} washes or lubes`),
  say: ({ chain, method, lube }, garage) =>
    `${namePart(garage, chain)} ${WASH_NAMES[method]}${lube ? `, ${LUBE_NAMES[lube]}` : ''}`,
  fields: [
    choiceField('method', 'Cleaned', WASH_NAMES),
    {
      name: 'lube',
      label: () => 'Lube',
      input: { type: 'choice', options: { '': 'not lubed', ...LUBE_NAMES } },
      read: ({ lube }) => lube ?? '',
      write: (draft, text) => {
        const lube = LUBES.find((one) => one === text)
        return { draft: lube ? { ...draft, lube } : without<WashEntry>(draft, 'lube') }
      },
    },
  ],
  writtenAt: { to: OPENS.logWash, label: 'A wash or lube' },
}
