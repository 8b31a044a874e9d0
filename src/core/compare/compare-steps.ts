import type { JobStep } from '../job.ts'
import { compare, type Compared, type Comparison } from './compare.ts'
import type { Stretch } from './stretches.ts'

/** What is compared, and the stretches that tell. Plain data. */
export interface CompareAsk {
  readonly stretches: readonly Stretch[]
  readonly of: Compared
}

/** A comparison, away from the page. @yields once, before it begins */
export function* compareSteps({ stretches, of }: CompareAsk): Generator<JobStep, Comparison, undefined> {
  yield { done: 0, of: 1 }
  return compare(stretches, of)
}
