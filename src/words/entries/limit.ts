import type { LimitEntry } from '../../core/log/kinds/limit.ts'
import { sayLimit } from '../numbers.ts'
import { bikeName, type KindWords } from './kind-words.ts'
import { SCHOOL_NAMES } from '../names.ts'

/** How a choice of limit is worded. */
export const limit: KindWords<LimitEntry> = {
  name: 'limit',
  step: () => 'the choice of limit',
  say: ({ bike, school, percent }, garage) =>
    `${bikeName(garage, bike)}: ${percent === undefined ? `the ${SCHOOL_NAMES[school]} limit` : `a limit of ${sayLimit(percent)}\u00a0%`}`,
  fields: [],
}
