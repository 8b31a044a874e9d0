import type { JobStep } from '../../job.ts'
import { keptWearKm } from '../../wear/kept-draws.ts'
import type { PlanId } from './plans.ts'
import { plansSteps, type PlansAnswer, type PlansAsk } from './plans-steps.ts'
import { bestPlan, type PlanCost } from './price.ts'

/** Roads that wear so many times as much as this one: from half to twice. */
export const WEAR_TIMES = [0.5, 0.7, 1, 1.4, 2] as const
/** So many lives tell where the choice tips. */
const RATE_LIVES = 300

/** The same plans on roads that wear more or less. */
export interface RatesAnswer {
  /** In the order of {@link WEAR_TIMES}. */
  readonly answers: readonly PlansAnswer[]
  /** A km of wet road wears so many times as much as a usual km here, the mean of the draws. */
  readonly wetTimes: number
}

/** The question about other roads. */
export const ratesAsk = (ask: PlansAsk): PlansAsk => ({
  ...ask,
  lives: RATE_LIVES,
  part: [0, RATE_LIVES],
  named: `rates ${ask.named}`,
})

const meanOf = (values: Float64Array): number => values.reduce((sum, one) => sum + one, 0) / values.length

/**
 * Lives of each plan on roads that wear more or less than this one, with the same luck (methods 8).
 * @yields how many lives are done
 */
export function* rateSteps(ask: PlansAsk): Generator<JobStep, RatesAnswer, undefined> {
  const answers: PlansAnswer[] = []
  for (const [i, wearTimes] of WEAR_TIMES.entries()) {
    const steps = plansSteps({ ...ask, wearTimes })
    let step = steps.next()
    while (!step.done) {
      yield { done: i * ask.lives + step.value.done, of: WEAR_TIMES.length * ask.lives }
      step = steps.next()
    }
    answers.push(step.value)
  }
  const [piece] = ask.road.now
  const wet = keptWearKm(ask.draws, [
    { km: 1, condition: 'wet-road', ...(piece?.lube !== undefined && { lube: piece.lube }) },
  ])
  const usual = keptWearKm(ask.draws, ask.road.now)
  return { answers, wetTimes: meanOf(wet) / Math.max(1e-6, meanOf(usual)) }
}

/** A rate of wear at which another plan becomes the cheapest. */
export interface RateTip {
  /** Wear so many times as fast as now. */
  readonly times: number
  readonly then: PlanId
  /** So much of the distance on wet roads in place of what it is now would do it, 0 to 1; absent where none would. */
  readonly moreRain?: number
}

/**
 * Where the choice tips as the road wears more, and as it wears less: between two roads that were tried, in a straight line of the
 * logarithm.
 * @param costsAt the plans' costs on each road tried, in their order
 * @param mostSkips skips under load in 1000 km that the rider puts up with
 */
export function rateTips(
  costsAt: readonly (readonly PlanCost[])[],
  wetTimes: number,
  mostSkips: number,
): readonly RateTip[] {
  const bests = costsAt.map((costs) => bestPlan(costs, mostSkips)?.best)
  const here = WEAR_TIMES.indexOf(1)
  const best = bests[here]
  if (!best) return []
  const meanOn = (road: number, id: PlanId): number =>
    costsAt[road]?.find((cost) => cost.id === id)?.mean ?? NaN
  const towards = (step: 1 | -1): RateTip[] => {
    for (let road = here + step; road >= 0 && road < WEAR_TIMES.length; road += step) {
      const then = bests[road]
      if (!then || then.id === best.id) continue
      const before = road - step
      const gap = (at: number): number => meanOn(at, then.id) - meanOn(at, best.id)
      const [from, to] = [gap(before), gap(road)]
      // Where a plan drops out for its skips and not for its cost, all that is known is between which roads.
      const share = from > 0 && to < 0 ? from / (from - to) : 0.5
      const [a, b] = [Math.log(WEAR_TIMES[before] as number), Math.log(WEAR_TIMES[road] as number)]
      const times = Math.exp(a + share * (b - a))
      const rain = (times - 1) / (wetTimes - 1)
      return [{ times, then: then.id, ...(times > 1 && wetTimes > 1 && rain <= 1 && { moreRain: rain }) }]
    }
    return []
  }
  return [...towards(-1), ...towards(1)]
}
