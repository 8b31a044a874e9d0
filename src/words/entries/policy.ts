import type { PolicyEntry } from '../../core/log/kinds/policy.ts'
import { sayPolicy } from '../plan-words.ts'
import { bikeName, type KindWords } from './kind-words.ts'

/** How a plan that is followed is worded. */
export const policy: KindWords<PolicyEntry> = {
  name: 'plan to follow',
  step: () => 'the plan to follow',
  say: (entry, garage) => `${bikeName(garage, entry.bike)}: ${sayPolicy(entry)}`,
  fields: [],
}
