import type { RoundEntry } from '../../core/log/kinds/round.ts'
import { saySheetToDo } from '../checks/check-words.ts'
import { sayCount } from '../numbers.ts'
import { bikeName, type KindWords } from './kind-words.ts'

/** How a round of checks is worded. */
export const round: KindWords<RoundEntry> = {
  name: 'round',
  step: (count) => sayCount(count, 'round'),
  say: ({ bike, occasion, items, isEnded }, garage) =>
    `${bikeName(garage, bike)}, ${saySheetToDo({ occasion })}: ${sayCount(items.length, 'thing')} to look at${isEnded ? ', ended' : ''}`,
  fields: [],
}
