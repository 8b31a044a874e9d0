import type { GearingEntry } from '../../core/log/kinds/gearing.ts'
import { sayCount } from '../numbers.ts'
import { bikeName, type KindWords } from './kind-words.ts'

/** How what choosing a bike's gears goes by is worded. */
export const gearing: KindWords<GearingEntry> = {
  name: 'gearing',
  step: () => 'gearing',
  say: ({ bike, whatIfs }, garage) =>
    `${bikeName(garage, bike)}: gearing, ${whatIfs.length === 0 ? 'as it is' : sayCount(whatIfs.length, 'whatIf')}`,
  fields: [],
}
