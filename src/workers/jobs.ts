import { compareSteps } from '../core/compare/compare-steps.ts'
import type { JobSteps } from '../core/job.ts'
import { timedPlanSteps } from '../core/session/fit-time.ts'
import { sumSteps } from '../core/strategy/job/job-choice.ts'
import { waitSteps } from '../core/strategy/plans/wait-steps.ts'
import { whatNextSteps } from '../core/strategy/what-next/what-next-steps.ts'
import { rateSteps } from '../core/strategy/plans/rate-tips.ts'
import { plansSteps } from '../core/strategy/plans/plans-steps.ts'
import { nextLookSteps } from '../core/wear/next-look-value.ts'
import { pictureSteps } from '../core/teeth/picture/measure.ts'
import { teethOutlookSteps } from '../core/teeth/teeth-outlook.ts'
import { riderOutlookSteps } from '../core/wear/rider-outlook.ts'
import type { ArchiveQuestion, PackedQuestion, RideFilesQuestion } from './ride-jobs.ts'

/**
 * Everything that is worked out away from the page, by name: what a job is asked, and the steps to its answer. What a
 * question and an answer are is said by the function alone. Large or seldom used ones are loaded when they are first asked.
 */
export const JOBS = {
  'rider-outlook': riderOutlookSteps,
  'teeth-outlook': teethOutlookSteps,
  'next-look': nextLookSteps,
  'teeth-picture': pictureSteps,
  'wash-plan': timedPlanSteps,
  plans: plansSteps,
  'plan-rates': rateSteps,
  'swap-wait': waitSteps,
  'what-next': whatNextSteps,
  'job-sums': sumSteps,
  compare: compareSteps,
  'ride-files': async function* (question: RideFilesQuestion) {
    const { rideFileSteps } = await import('./ride-jobs.ts')
    return yield* rideFileSteps(question)
  },
  'ride-archive': async function* (question: ArchiveQuestion) {
    const { archiveSteps } = await import('./ride-jobs.ts')
    return yield* archiveSteps(question)
  },
  'packed-rides': async function* (question: PackedQuestion) {
    const { packedRideSteps } = await import('./ride-jobs.ts')
    return yield* packedRideSteps(question)
  },
  'sheet-file': async function* (file: Blob) {
    const { sheetJobSteps } = await import('./sheet-job.ts')
    return yield* sheetJobSteps(file)
  },
  backup: async function* (file: Blob) {
    const { backupJobSteps } = await import('./backup-job.ts')
    return yield* backupJobSteps(file)
  },
} as const

export type JobName = keyof typeof JOBS
export type Question<N extends JobName> = Parameters<(typeof JOBS)[N]>[0]
export type Answer<N extends JobName> =
  ReturnType<(typeof JOBS)[N]> extends JobSteps<infer A, unknown> ? A : never
/** What a job hands over on the way; nothing but for those with long lists to give. */
export type Part<N extends JobName> =
  ReturnType<(typeof JOBS)[N]> extends JobSteps<unknown, infer P> ? P : never

/**
 * Counts up with every change of what a job answers to the same question: answers kept of another version are worked out
 * again. Beside the jobs, not in them, so that the page, which needs no more than this, does not load them.
 */
export const JOB_VERSIONS: Readonly<Record<JobName, number>> = {
  'rider-outlook': 6,
  'teeth-outlook': 1,
  'next-look': 1,
  'teeth-picture': 1,
  'wash-plan': 1,
  plans: 2,
  'plan-rates': 1,
  'swap-wait': 1,
  'what-next': 1,
  'job-sums': 1,
  compare: 1,
  'ride-files': 1,
  'ride-archive': 1,
  'packed-rides': 1,
  'sheet-file': 1,
  backup: 1,
}
