import { useMemo, useState } from 'react'
import { chooseJobs, leastSafe, needsInARing, stepAt } from '../../../core/strategy/job/job-choice.ts'
import { proposedJobs } from '../../../core/strategy/job/job-options.ts'
import { pricesOf } from '../../../core/strategy/plans/plans-ask.ts'
import { findingJobs } from '../../../core/strategy/job/finding-jobs.ts'
import { guessedMinor } from '../../../core/strategy/plans/usual-prices.ts'
import type { VisitJob } from '../../../core/log/kinds/visit.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { useAnswer } from '../../../session/use-answer.ts'
import type { JudgedBike } from '../../../session/verdicts.ts'
import { jobOfFinding } from '../../../words/job-words.ts'
import { minorPerMajor } from '../../../words/money.ts'
import { firstJobs, keepJob, recallJob, SAFETY_TIMES, type JobDraft } from './job-draft.ts'
import { newId } from '../../../session/new-id.ts'

/** A sum to begin with, where none was said: about a small service, euro cents. */
const FIRST_SUM = 12_000

/** The job that is being put together for a bike: its list, what is chosen for the sum, and where the choice changes. */
export function useJob({
  report,
  answer,
  teeth,
  verdict,
}: JudgedBike & { readonly verdict: NonNullable<JudgedBike['verdict']> }) {
  const { garage, world } = useOpenLog()
  const { bike } = report.bike.entry
  const { prices, currency } = useMemo(() => pricesOf(garage, report), [garage, report])
  const ofChecks = useMemo(
    () => findingJobs(report.findings).map((one) => jobOfFinding(one, guessedMinor(one.cents, currency))),
    [report, currency],
  )
  const fresh = useMemo(
    (): Omit<JobDraft, 'visit'> => ({
      currency,
      sum: guessedMinor(FIRST_SUM, currency),
      hour: prices.hour,
      safetyTimes: SAFETY_TIMES,
      jobs: firstJobs(proposedJobs(garage, report, answer, teeth, prices), ofChecks, report.advice, verdict),
    }),
    [garage, report, answer, teeth, prices, currency, verdict, ofChecks],
  )
  const [visit] = useState<string>(() => newId())
  const [kept, setKept] = useState(() => recallJob(world, bike))
  const draft: JobDraft = kept ?? { visit, ...fresh }
  // By its own currency: prices may have been given another since it was begun.
  const unit = minorPerMajor(draft.currency)
  const change = (next: Partial<JobDraft>): void => {
    const whole = { ...draft, ...next }
    keepJob(world, bike, whole)
    setKept(whole)
  }
  const list = useMemo(
    () => ({ jobs: draft.jobs, hour: draft.hour, safetyTimes: draft.safetyTimes, unit }),
    [draft.jobs, draft.hour, draft.safetyTimes, unit],
  )
  const tried = useAnswer('job-sums', list, `job for ${bike}`)
  const steps = tried.fresh ? tried.answer : undefined
  const chosen = useMemo(
    () => (steps && stepAt(steps, draft.sum)) ?? chooseJobs(list, draft.sum),
    [steps, list, draft.sum],
  )
  return {
    draft,
    list,
    change,
    setJob: (job: VisitJob) =>
      change({
        jobs: draft.jobs.some(({ id }) => id === job.id)
          ? draft.jobs.map((one) => (one.id === job.id ? job : one))
          : [...draft.jobs, job],
      }),
    dropJob: (id: string) => change({ jobs: draft.jobs.filter((one) => one.id !== id) }),
    startAnew: () => {
      keepJob(world, bike, undefined)
      setKept(undefined)
    },
    isKept: kept !== undefined,
    /** Found at a check, and not in the list: it was found after the list was begun, or taken out. */
    foundSince: ofChecks.filter(({ id }) => !draft.jobs.some((one) => one.id === id)),
    steps,
    fault: tried.fault,
    chosen,
    safe: useMemo(() => leastSafe(list), [list]),
    ring: useMemo(() => needsInARing(list.jobs), [list]),
    unit,
  }
}

export type Job = ReturnType<typeof useJob>
