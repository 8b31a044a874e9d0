import { toEnd } from '../job.ts'
import { planModel } from './plan-model.ts'
import { planSearch } from './plan-search.ts'
import { checkTasks, FROM_NOW, type PlanStart, type PlanTask } from './task.ts'

/** What is asked of a session's plan. Plain data. */
export interface PlanAsk {
  readonly tasks: readonly PlanTask[]
  /** What has been begun already; nothing where it is absent. */
  readonly from?: PlanStart | undefined
  /** So many places are looked at before the best so far is taken; absent: `MOST_PLACES`. */
  readonly mostPlaces?: number
  /** Only a plan of so many minutes or less is wanted; absent: the shortest, however long. */
  readonly withinMin?: number
}

/** An order for a session. */
export interface SessionPlan {
  /** From now until all is over, minutes. */
  readonly minutes: number
  /** When each step begins, minutes from now. */
  readonly start: Readonly<Record<string, number>>
  /** No plan is shorter than this; the same as `minutes` where that is proven. */
  readonly provenMin: number
}

/** Places that are looked at in some 4 s in a worker (docs/bench.md). */
const MOST_PLACES = 400_000
const SLICE = 4000

/**
 * The shortest order for a session with one pair of hands (methods 7): exact, or the best found with what is proven of it where
 * the search is cut off.
 * @yields how far it has come of the most that it may take
 * @returns undefined where no plan as short as was wanted is found
 * @throws RangeError in plain words for a plan that cannot be, naming the step
 */
export function* planWithin({
  tasks,
  from = FROM_NOW,
  mostPlaces = MOST_PLACES,
  withinMin = Infinity,
}: PlanAsk): Generator<{ done: number; of: number }, SessionPlan | undefined, undefined> {
  checkTasks(tasks, from)
  const model = planModel(tasks, from)
  const search = planSearch(model, withinMin)
  let walked = 0
  while (walked < mostPlaces && !search.walk(Math.min(SLICE, mostPlaces - walked))) {
    walked += SLICE
    yield { done: Math.min(walked, mostPlaces), of: mostPlaces }
  }
  const { best } = search
  if (!best.isFound && best.finish < Infinity) return undefined
  if (!best.isFound)
    throw new RangeError(
      `These steps cannot all be done: "${model.ids.at(-1) ?? ''}" waits for a thing that is never free.`,
    )
  return {
    minutes: best.finish,
    start: Object.fromEntries(model.ids.map((id, i) => [id, best.start[i] as number])),
    provenMin: Math.min(best.finish, search.proven()),
  }
}

/** The shortest order, however long. */
export function* planSteps(
  ask: Omit<PlanAsk, 'withinMin'>,
): Generator<{ done: number; of: number }, SessionPlan, undefined> {
  // Without a bound there always is a plan, or it throws.
  return (yield* planWithin(ask)) as SessionPlan
}

/** The plan in one go, for what takes few steps. */
export const planSession = (ask: PlanAsk): SessionPlan => toEnd(planSteps(ask))
