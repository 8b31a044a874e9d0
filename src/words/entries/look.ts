import { OPENS } from '../places.ts'
import type { LookEntry } from '../../core/log/kinds/look.ts'
import { WORD_NAMES } from '../names.ts'
import { sayCount } from '../numbers.ts'
import { namePart } from '../part-name.ts'
import { sayFromCrank } from '../crank.ts'
import { choiceField, NOT_SET, without } from './fields.ts'
import type { Field, KindWords } from './kind-words.ts'

/** Degrees by the names of the places; a key that is a mere number would be put before all others. */
const DEGREES = Object.fromEntries(
  Array.from({ length: 12 }, (_, hour) => [sayFromCrank(30 * hour), 30 * hour] as const),
)
const PLACES = Object.fromEntries(Object.keys(DEGREES).map((name) => [name, name]))

/** Where on a ring it is worn most. */
const worstField: Field<LookEntry> = {
  name: 'worst',
  label: () => 'Worn most, by the clock with the crank arm up (rings only)',
  input: { type: 'choice', options: { [NOT_SET]: 'alike all round, or not looked', ...PLACES } },
  read: ({ worstFromCrankDeg: deg }) => (deg === undefined ? NOT_SET : sayFromCrank(deg)),
  write: (draft, place) => {
    const deg = DEGREES[place]
    return {
      draft:
        deg === undefined
          ? without<LookEntry>(draft, 'worstFromCrankDeg')
          : { ...draft, worstFromCrankDeg: deg },
    }
  },
}

/** How a check of teeth by eye is worded and corrected. */
export const look: KindWords<LookEntry> = {
  name: 'check by eye',
  step: (count) => sayCount(count, 'checkByEye'),
  say: ({ part, cog, word, worstFromCrankDeg: worst }, garage) =>
    `${namePart(garage, part)}${cog === undefined ? '' : `, cog ${cog}`}: ${WORD_NAMES[word]}${worst === undefined ? '' : `, most at ${sayFromCrank(worst)} from the crank arm`}`,
  fields: [choiceField('word', 'It looks', WORD_NAMES), worstField],
  writtenAt: { to: OPENS.checkTeeth, label: 'A check of the teeth by eye' },
}
