import type { PlanEntry } from '../../core/log/kinds/plan.ts'
import { sayKm } from '../numbers.ts'
import { bikeName, type KindWords } from './kind-words.ts'

/** How a plan of riding is worded. */
export const plan: KindWords<PlanEntry> = {
  name: 'riding plan',
  step: () => 'a riding plan',
  say: ({ bike, weeklyKm }, garage, units) =>
    `${bikeName(garage, bike)}: ${weeklyKm === undefined ? 'planned like the recent average' : `${sayKm(weeklyKm, units)} a week planned`}`,
  fields: [],
}
