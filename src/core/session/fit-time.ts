import { planSteps, type SessionPlan } from './plan.ts'
import type { PlanStart, PlanTask } from './task.ts'

/** What is asked: the steps, and the time there is. Plain data. */
export interface TimedAsk {
  /** Those with a worth may be left out. */
  readonly tasks: readonly (PlanTask & { readonly worth?: number })[]
  readonly from?: PlanStart
  /** Time at hand, minutes; all is done where it is absent. */
  readonly minutes?: number
}

/** The plan, and what is left out for it. */
export interface TimedPlan {
  readonly plan: SessionPlan
  readonly leftOut: readonly string[]
  /** Even the least takes longer than there is time. */
  readonly isTooLong: boolean
}

/** Without some steps; what came after them comes after what they came after. */
export function withoutSteps<T extends PlanTask>(tasks: readonly T[], out: ReadonlySet<string>): T[] {
  const byId = new Map(tasks.map((task) => [task.id, task]))
  const before = (id: string, of: 'after' | 'afterHands'): string[] =>
    out.has(id) ? (byId.get(id)?.[of] ?? []).flatMap((other) => before(other, of)) : [id]
  const left = tasks.filter(({ id }) => !out.has(id))
  return left.map((task) => {
    // What nobody frees any more is free when it has done its waiting: it is not kept from others for ever.
    const isFreed = (thing: string): boolean =>
      left.some(
        ({ frees = [], after = [], afterHands = [] }) =>
          frees.includes(thing) && (after.includes(task.id) || afterHands.includes(task.id)),
      )
    const { takes = [], holds = [] } = task
    return {
      ...task,
      takes: takes.filter(isFreed),
      holds: [...holds, ...takes.filter((thing) => !isFreed(thing))],
      after: [...new Set((task.after ?? []).flatMap((id) => before(id, 'after')))],
      afterHands: [...new Set((task.afterHands ?? []).flatMap((id) => before(id, 'afterHands')))],
    }
  })
}

/** All choices of what to leave out, what is worth least first. */
function choices(tasks: TimedAsk['tasks']): readonly ReadonlySet<string>[] {
  const may = tasks.filter(({ worth }) => worth !== undefined).slice(0, 10)
  return Array.from({ length: 2 ** may.length }, (_, bits) => {
    const out = may.filter((__, i) => (bits >> i) & 1)
    return {
      out: new Set(out.map(({ id }) => id)),
      worth: out.reduce((sum, { worth = 0 }) => sum + worth, 0),
    }
  })
    .sort((a, b) => a.worth - b.worth || a.out.size - b.out.size)
    .map(({ out }) => out)
}

/**
 * The shortest order for what is worth most in the time there is: of all choices that fit, the one that leaves out least.
 * @throws RangeError for a plan that cannot be, naming the step
 */
export function* timedPlanSteps({
  tasks,
  from,
  minutes = Infinity,
}: TimedAsk): Generator<{ done: number; of: number }, TimedPlan, undefined> {
  const all = minutes === Infinity ? [new Set<string>()] : choices(tasks)
  const least = all.reduce((most, out) => (out.size > most.size ? out : most), new Set<string>())
  const planOf = (out: ReadonlySet<string>) =>
    planSteps({ tasks: withoutSteps(tasks, out), ...(from && { from }) })
  const short = yield* planOf(least)
  if (short.minutes > minutes) return { plan: short, leftOut: [...least], isTooLong: true }
  for (const out of all) {
    const plan = yield* planOf(out)
    if (plan.minutes <= minutes) return { plan, leftOut: [...out], isTooLong: false }
  }
  return { plan: short, leftOut: [...least], isTooLong: false }
}
