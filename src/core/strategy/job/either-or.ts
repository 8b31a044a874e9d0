import type { VisitJob } from '../../log/kinds/visit.ts'

/** Whether one of two jobs takes the place of the other. */
export const areEitherOr = (a: VisitJob, b: VisitJob): boolean =>
  (a.excludes?.includes(b.id) ?? false) || (b.excludes?.includes(a.id) ?? false)

/** Whether another job that is done takes the place of this one: it is not left for another time then. */
export const isStoodInFor = (job: VisitJob, jobs: readonly VisitJob[], done: readonly string[]): boolean =>
  jobs.some((other) => done.includes(other.id) && areEitherOr(job, other))

/**
 * Whether a job that is left should not be advised, since a cheaper one that does the same is left too and can be had.
 * @param left ids of all that are left
 */
export const isSecondBest = (job: VisitJob, jobs: readonly VisitJob[], left: readonly string[]): boolean =>
  jobs.some(
    (other) =>
      other.id !== job.id &&
      left.includes(other.id) &&
      other.isOut !== true &&
      areEitherOr(job, other) &&
      (other.price < job.price || job.isOut === true),
  )
