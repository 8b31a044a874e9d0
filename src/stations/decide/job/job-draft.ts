import { object } from 'yup'
import type { BikeId } from '../../../core/log/entry.ts'
import type { VisitEntry, VisitJob } from '../../../core/log/kinds/visit.ts'
import type { OpenAdvice } from '../../../core/strategy/facts/advice.ts'
import type { ProposedJob } from '../../../core/strategy/job/job-options.ts'
import type { Verdict } from '../../../core/strategy/verdict.ts'
import { visitSchema } from '../../../formats/entries/visit.ts'
import type { World } from '../../../session/log-context.ts'
import { forgetText, recallText, rememberText } from '../../../ui/local-memory.ts'
import { JOB_NAMES, sayFound } from '../../../words/job-words.ts'

/** A job for a fixed sum that is being put together. */
export type JobDraft = Pick<VisitEntry, 'visit' | 'currency' | 'sum' | 'hour' | 'safetyTimes' | 'jobs'>

/** Safety counts for so many times its worth until the mechanic says otherwise. A judgement. */
export const SAFETY_TIMES = 5

const keyOf = (world: World, bike: BikeId): string => `jolt-mile-job-${world}-${bike}`

/** Of a visit's fields those that a draft has. */
const draftSchema = object({
  visit: visitSchema.fields['visit'] as never,
  currency: visitSchema.fields['currency'] as never,
  sum: visitSchema.fields['sum'] as never,
  hour: visitSchema.fields['hour'] as never,
  safetyTimes: visitSchema.fields['safetyTimes'] as never,
  jobs: visitSchema.fields['jobs'] as never,
}).noUnknown()

/** What was being put together for a bike when the page was left; undefined where nothing was, or it cannot be read. */
export function recallJob(world: World, bike: BikeId): JobDraft | undefined {
  try {
    const held: unknown = JSON.parse(recallText(keyOf(world, bike)) ?? 'null')
    return draftSchema.isValidSync(held) ? (held as unknown as JobDraft) : undefined
  } catch {
    return undefined
  }
}

/** Keeps what is being put together through reloads; undefined: it is finished. */
export function keepJob(world: World, bike: BikeId, draft: JobDraft | undefined): void {
  if (draft) rememberText(keyOf(world, bike), JSON.stringify(draft))
  else forgetText(keyOf(world, bike))
}

/** What the app proposes, as a job of the list. */
export function asJob(proposed: ProposedJob, verdict: Verdict): VisitJob {
  const { cogs: _cogs, ...rest } = proposed
  return { ...rest, name: JOB_NAMES[proposed.id], found: sayFound(proposed, verdict), outcome: 'open' }
}

/**
 * The list to begin with: what is found on the drivetrain now, what was found at the checks, and what was advised before and not done
 * since.
 */
export function firstJobs(
  proposed: readonly ProposedJob[],
  checks: readonly VisitJob[],
  advice: readonly OpenAdvice[],
  verdict: Verdict,
): readonly VisitJob[] {
  const found = [...proposed.map((one) => asJob(one, verdict)), ...checks]
  const known = new Set(found.map(({ id }) => id))
  const before = advice
    .filter(({ job }) => !known.has(job.id))
    .map(({ job: { byKm: _km, byDay: _day, why: _why, ...job } }): VisitJob => ({ ...job, outcome: 'open' }))
  return [...found, ...before]
}
