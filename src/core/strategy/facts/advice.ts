import { ridesDuring, totalKm } from '../../exposure/distance.ts'
import type { IsoTime } from '../../log/entry.ts'
import type { BikeState, Garage } from '../../log/garage.ts'
import type { PartSpec } from '../../log/kinds/part.ts'
import { isPassedSince, isRenewedSince, itemOfJob } from './item-jobs.ts'
import { isStoodInFor } from '../job/either-or.ts'
import type { VisitEntry, VisitJob } from '../../log/kinds/visit.ts'

/** Something that was left at a visit and not done since. */
export interface OpenAdvice {
  readonly job: VisitJob
  /** When it was left. */
  readonly since: IsoTime
  /** Ridden since then, km. */
  readonly km: number
  /** Its day or its distance has come. */
  readonly isDue: boolean
}

/** The visits of a bike as they ended, the first first. */
export const visitsOf = (garage: Garage, bike: string): readonly VisitEntry[] =>
  [...garage.listed.visit.values()]
    .flatMap((list) => list.at(-1) ?? [])
    .filter((visit) => visit.bike === bike)
    .sort((a, b) => (a.at < b.at ? -1 : 1))

/** Parts whose fitting does a job, whoever fitted them. */
const DONE_BY_FITTING: Readonly<Record<string, PartSpec['type']>> = {
  chain: 'chain',
  cassette: 'cassette',
  ring: 'ring',
  pulleys: 'pulley',
  'joining-link': 'joining-link',
}

/** Whether a part that does a job has gone on a bike since a moment. */
function isFittedSince(garage: Garage, bike: string, job: string, since: IsoTime): boolean {
  const type = DONE_BY_FITTING[job]
  return [...garage.parts.values()].some(
    ({ entry, fittings }) =>
      entry.spec.type === type && fittings.some((fitting) => fitting.bike === bike && fitting.from > since),
  )
}

/** Whether what a finding of a check asked for has passed, or was renewed, since a moment. */
function isCheckedSince(garage: Garage, bike: string, job: string, since: IsoTime): boolean {
  const item = itemOfJob(job)
  return (
    item !== undefined &&
    (isPassedSince(garage, bike, item, since) || isRenewedSince(garage, bike, item, since))
  )
}

/** What was advised at a bike's visits and not done since, what is due first. */
export function openAdvice(garage: Garage, { entry, rides }: BikeState, now: IsoTime): readonly OpenAdvice[] {
  const open = new Map<string, { readonly job: VisitJob; readonly since: IsoTime }>()
  for (const visit of visitsOf(garage, entry.bike)) {
    if (!visit.isClosed) continue
    const done = visit.jobs.filter(({ outcome }) => outcome === 'done')
    for (const { id } of done) open.delete(id)
    const doneIds = done.map(({ id }) => id)
    for (const job of visit.jobs)
      if (job.outcome === 'left' && !isStoodInFor(job, visit.jobs, doneIds))
        open.set(job.id, { job, since: visit.at })
  }
  return [...open.values()]
    .filter(({ job, since }) => !isFittedSince(garage, entry.bike, job.id, since))
    .filter(({ job, since }) => !isCheckedSince(garage, entry.bike, job.id, since))
    .map(({ job, since }) => {
      const km = totalKm(ridesDuring(rides, since))
      const isDue =
        job.isSafety ||
        (job.byKm !== undefined && km >= job.byKm) ||
        (job.byDay !== undefined && now >= job.byDay)
      return { job, since, km, isDue }
    })
    .sort((a, b) => Number(b.isDue) - Number(a.isDue))
}
