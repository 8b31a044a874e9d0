import { planSteps, planWithin, type SessionPlan } from './plan.ts'
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

/** So many steps may be left out, one way or another; of more those that are worth most stay in. */
const MOST_OPTIONAL = 14
/** A choice that is searched so long without an answer does not fit, as far as anybody knows; a wash of one bike never takes so long. */
const placesFor = (steps: number): number => (steps <= 25 ? 20_000 : 3000)
/** After so many searches that came to no end only rules of thumb are tried, so that an answer comes. */
const MOST_OPEN = 150

/** Sets of so many steps are tried on their own first: if they do not fit, nothing that keeps them all does. */
const TRIED_ALONE = [1, 2, 3, 4] as const

/** All sets of so many of some numbers below a count, as bits. */
function setsOf(size: number, count: number, from = 0): number[] {
  if (size === 0) return [0]
  return Array.from({ length: count - from }, (_, k) => from + k).flatMap((i) =>
    setsOf(size - 1, count, i + 1).map((bits) => bits | (1 << i)),
  )
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
  if (minutes === Infinity) return { plan: yield* planSteps({ tasks, from }), leftOut: [], isTooLong: false }
  const may = tasks
    .filter(({ worth }) => worth !== undefined)
    .sort((a, b) => (a.worth ?? 0) - (b.worth ?? 0))
    .slice(0, MOST_OPTIONAL)
  const all = 2 ** may.length - 1
  /** Steps that are left out where some are kept. */
  const outOf = (kept: number): ReadonlySet<string> =>
    new Set(may.flatMap(({ id }, i) => ((kept >> i) & 1 ? [] : [id])))
  const least = outOf(0)
  const shortest = yield* planSteps({ tasks: withoutSteps(tasks, least), from })
  if (shortest.minutes > minutes) return { plan: shortest, leftOut: [...least], isTooLong: true }

  let open = 0
  function* fits(kept: number) {
    const out = outOf(kept)
    const hands = tasks.reduce((sum, { id, handsMin }) => sum + (out.has(id) ? 0 : handsMin), 0)
    // There is one pair of hands: what they cannot do in time needs no looking.
    if ((from?.handsFreeMin ?? 0) + hands > minutes) return false
    const left = withoutSteps(tasks, out)
    const mostPlaces = open < MOST_OPEN ? placesFor(left.length) : 0
    const search = planWithin({ tasks: left, from, withinMin: minutes, mostPlaces })
    let step = search.next()
    for (; !step.done; step = search.next()) {
      open++
      yield step.value
    }
    return step.value !== undefined
  }
  const tooMuch: number[] = []
  const isTooMuch = (kept: number): boolean => tooMuch.some((bits) => (kept & bits) === bits)
  const worthOf = (kept: number): number =>
    may.reduce((sum, { worth = 0 }, i) => sum + ((kept >> i) & 1 ? worth : 0), 0)
  if (!(yield* fits(all)))
    for (const size of TRIED_ALONE)
      for (const kept of setsOf(size, may.length))
        if (!isTooMuch(kept) && !(yield* fits(kept))) tooMuch.push(kept)
  const choices = Array.from({ length: all + 1 }, (_, bits) => all - bits)
    .filter((kept) => !isTooMuch(kept))
    .map((kept) => ({ kept, worth: worthOf(kept), out: outOf(kept).size }))
    .sort((a, b) => b.worth - a.worth || a.out - b.out)
  for (const { kept } of choices)
    if (yield* fits(kept)) {
      const out = outOf(kept)
      return {
        plan: yield* planSteps({ tasks: withoutSteps(tasks, out), from }),
        leftOut: [...out],
        isTooLong: false,
      }
    }
  return { plan: shortest, leftOut: [...least], isTooLong: false }
}
