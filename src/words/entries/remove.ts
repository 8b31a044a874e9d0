import { BOUNDS } from '../../core/log/bounds.ts'
import type { RemoveEntry } from '../../core/log/kinds/remove.ts'
import { faultOfText } from '../text-fault.ts'
import { sayCount } from '../numbers.ts'
import { namePart } from '../part-name.ts'
import { partField, without } from './fields.ts'
import { WHERE_NAMES, type KindWords } from './kind-words.ts'

/** How taking a part off is worded and corrected. */
export const remove: KindWords<RemoveEntry> = {
  name: 'part taken off',
  step: (count) => sayCount(count, 'partTakenOff'),
  say: ({ part, to, lentTo }, garage) =>
    `${namePart(garage, part)} taken off, ${WHERE_NAMES[to]}${to === 'lent' && lentTo ? ` to ${lentTo}` : ''}`,
  fields: [
    partField(),
    {
      name: 'to',
      label: () => 'Now it is',
      input: { type: 'choice', options: WHERE_NAMES },
      read: ({ to }) => to,
      write: (draft, text) => {
        const to = text === 'retired' || text === 'lent' ? text : 'shelf'
        return { draft: to === 'lent' ? { ...draft, to } : { ...without<RemoveEntry>(draft, 'lentTo'), to } }
      },
    },
    {
      name: 'who',
      label: () => 'Lent to',
      input: { type: 'text' },
      shownIf: ({ to }) => to === 'lent',
      read: ({ lentTo }) => lentTo ?? '',
      write: (draft, text) => {
        const who = text.trim()
        const fault = faultOfText(who, BOUNDS.nameLetters)
        if (draft.to !== 'lent') return { draft }
        if (fault) return { fault }
        return { draft: who === '' ? without<RemoveEntry>(draft, 'lentTo') : { ...draft, lentTo: who } }
      },
    },
  ],
}
