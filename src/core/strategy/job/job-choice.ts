import type { JobStep } from '../../job.ts'
import type { VisitEntry, VisitJob } from '../../log/kinds/visit.ts'
import { areEitherOr } from './either-or.ts'
import { chooseWithin, costOf, type Chosen, type JobOption } from '../fixed-sum.ts'

/** What a visit's choice is made from. */
export type JobList = Pick<VisitEntry, 'jobs' | 'hour' | 'safetyTimes'>

/** A job as something to choose; safety counts for so many times its worth. */
const optionOf =
  (safetyTimes: number) =>
  ({ id, price, minutes, worth, isSafety, isOut, needs, needsOneOf, excludes }: VisitJob): JobOption => ({
    id,
    price,
    minutes,
    value: worth * (isSafety ? safetyTimes : 1),
    available: isOut !== true,
    ...(needs && { needs }),
    ...(needsOneOf && { needsOneOf }),
    ...(excludes && { excludes }),
  })

/** What a job costs, its work included, minor units. */
export const jobCost = ({ price, minutes }: VisitJob, hour: number): number =>
  costOf({ id: '', price, minutes, value: 0 }, hour)

/** Jobs that point at one that is not in the list any longer do so no more: taking a line out harms no other. */
function sound(jobs: readonly VisitJob[]): readonly VisitJob[] {
  const ids = new Set(jobs.map(({ id }) => id))
  const kept = (list: readonly string[] = []): string[] => list.filter((id) => ids.has(id))
  return jobs.map((job) => ({
    ...job,
    needs: kept(job.needs),
    needsOneOf: (job.needsOneOf ?? []).map(kept).filter((group) => group.length > 0),
    excludes: kept(job.excludes),
  }))
}

/** The jobs that are worth most within a sum, minor units. @throws RangeError in plain words for a list that cannot be */
export const chooseJobs = ({ jobs, hour, safetyTimes }: JobList, sum: number): Chosen =>
  chooseWithin({ sum, ratePerHour: hour, options: sound(jobs).map(optionOf(safetyTimes)) })

/** The least that makes the bike as safe as it can be made now. */
export interface LeastSafe {
  /** With all that they need; none where nothing is a matter of safety. */
  readonly chosen: readonly string[]
  readonly total: number
  /** Matters of safety that cannot be seen to now, whatever the sum. */
  readonly isLeft: readonly string[]
}

/** Every job that can be had, together, minor units. */
const allCost = ({ jobs, hour }: JobList): number => jobs.reduce((sum, job) => sum + jobCost(job, hour), 0)

/** The cheapest way to see to every matter of safety that can be seen to. */
export function leastSafe(list: JobList): LeastSafe {
  // Only safety counts, each matter alike: of equal worth the cheapest is chosen, with what it needs and nothing else.
  const jobs = list.jobs.map((job) => ({ ...job, worth: job.isSafety ? 1 : 0 }))
  const { chosen, total } = chooseJobs({ ...list, jobs, safetyTimes: 1 }, allCost(list))
  const isLeft = list.jobs.filter(({ id, isSafety }) => isSafety && !chosen.includes(id)).map(({ id }) => id)
  return { chosen, total, isLeft }
}

/** From this sum on, minor units, and up to the next one, this is chosen. */
export interface SumStep extends Chosen {
  readonly from: number
}

const isSame = (a: Chosen, b: Chosen): boolean =>
  a.chosen.length === b.chosen.length && a.chosen.every((id, i) => id === b.chosen[i])

/**
 * Every sum at which the choice changes, from nothing to all that can be had: found by halving, since what is chosen for two sums
 * alike is chosen for all between them.
 * @param unit sums are told apart to this, minor units
 * @yields how much of the way is known
 * @throws RangeError in plain words for a list that cannot be
 */
export function* sumSteps(
  list: JobList & { readonly unit: number },
): Generator<JobStep, readonly SumStep[], undefined> {
  const most = Math.ceil(allCost(list) / list.unit)
  const at = (units: number): Chosen => chooseJobs(list, units * list.unit)
  const steps: SumStep[] = [{ from: 0, ...at(0) }]
  const open: {
    readonly low: number
    readonly lowAt: Chosen
    readonly high: number
    readonly highAt: Chosen
  }[] = []
  const [first] = steps
  if (first && most > 0) open.push({ low: 0, lowAt: first, high: most, highAt: at(most) })
  while (open.length > 0) {
    const part = open.pop()
    if (!part) break
    const { low, lowAt, high, highAt } = part
    if (isSame(lowAt, highAt)) continue
    if (high - low === 1) {
      steps.push({ from: high * list.unit, ...highAt })
      yield { done: high, of: most }
      continue
    }
    const middle = (low + high) >> 1
    const middleAt = at(middle)
    // The lower half is looked at first, so that the steps come in order.
    open.push({ low: middle, lowAt: middleAt, high, highAt })
    open.push({ low, lowAt, high: middle, highAt: middleAt })
  }
  return steps
}

/** What is chosen for a sum, by the steps. */
export const stepAt = (steps: readonly SumStep[], sum: number): SumStep | undefined =>
  steps.filter(({ from }) => from <= sum).at(-1)

/** Why a job is left out. */
export type LeftWhy =
  | { readonly kind: 'out' }
  | { readonly kind: 'instead'; readonly id: string }
  /** It needs this, which is not done. */
  | { readonly kind: 'needs'; readonly ids: readonly string[] }
  /** From this sum on it would be done, minor units. */
  | { readonly kind: 'sum'; readonly from: number }
  | { readonly kind: 'worth' }

/** Why a job that is not chosen is not. */
export function whyLeft(list: JobList, steps: readonly SumStep[], sum: number, id: string): LeftWhy {
  const job = list.jobs.find((one) => one.id === id)
  const chosen = stepAt(steps, sum)?.chosen ?? []
  if (!job || job.isOut) return { kind: 'out' }
  const instead = list.jobs.find((other) => chosen.includes(other.id) && areEitherOr(job, other))
  if (instead) return { kind: 'instead', id: instead.id }
  const later = steps.find((step) => step.from > sum && step.chosen.includes(id))
  if (later) return { kind: 'sum', from: later.from }
  const missing = (job.needs ?? []).filter((other) => !chosen.includes(other))
  const groups = (job.needsOneOf ?? []).filter((group) => !group.some((other) => chosen.includes(other)))
  return missing.length > 0 || groups.length > 0
    ? { kind: 'needs', ids: [...missing, ...groups.flat()] }
    : { kind: 'worth' }
}

/**
 * Jobs that need one another in a ring: they are done together or not at all. Empty where there is none.
 * @returns ids along the ring
 */
export function needsInARing(jobs: readonly VisitJob[]): readonly string[] {
  const needsOf = new Map(jobs.map(({ id, needs = [] }) => [id, needs]))
  for (const { id } of jobs) {
    const path: string[] = []
    const walk = (at: string): readonly string[] | undefined => {
      if (path.includes(at)) return at === id ? path : undefined
      path.push(at)
      for (const next of needsOf.get(at) ?? []) {
        const found = walk(next)
        if (found) return found
      }
      path.pop()
      return undefined
    }
    const found = walk(id)
    if (found) return [...found]
  }
  return []
}
