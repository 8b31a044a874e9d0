import type { JobStep } from '../job.ts'
import { nextReadingSteps, type Candidate, type NextReadingAnswer } from '../measure/next-reading.ts'
import type { TakenReading } from '../measure/reading.ts'
import { smoothDensity } from './density.ts'
import { wearAt, type WearDistance } from './part-grid.ts'
import { rateBelief, type ChainPast, type WearObservation } from './rate-grid.ts'

/** What would one more reading be worth, given the chain's whole history? */
export interface NextLookQuestion {
  readonly past: ChainPast
  /** Readings before this look. */
  readonly earlier: readonly WearObservation[]
  /** Readings of this look. */
  readonly look: readonly TakenReading[]
  readonly now: WearDistance
  readonly limit: number
  readonly candidates: readonly Candidate[]
}

/**
 * The value of each possible next reading, with the forecast from the earlier looks as what was believed before
 * this one (methods 2 and 4).
 * @throws RangeError where a reading cannot be
 */
export function* nextLookSteps({
  past,
  earlier,
  look,
  now,
  limit,
  candidates,
}: NextLookQuestion): Generator<JobStep, NextReadingAnswer, undefined> {
  const belief = rateBelief(past, earlier, (now.unsureWearKm ?? 0) > 0)
  const before = smoothDensity(wearAt(belief, now), belief.weight)
  return yield* nextReadingSteps({ before, readings: look, limit, candidates })
}
