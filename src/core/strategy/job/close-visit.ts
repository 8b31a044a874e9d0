import { roadAhead } from '../../exposure/road-ahead.ts'
import type { IsoTime } from '../../log/entry.ts'
import type { VisitJob } from '../../log/kinds/visit.ts'
import { intervalOf, type Interval } from '../../stats/interval.ts'
import { addDays } from '../../units/days.ts'
import { keptChain, type KeptDraws } from '../../wear/kept-draws.ts'
import type { BikeReport } from '../facts/bike-report.ts'
import { askedAt } from '../rider-ask.ts'
import { chainAhead } from '../what-next/chain-ahead.ts'
import { isSecondBest, isStoodInFor } from './either-or.ts'

/** Advice without a distance of its own is due after so many km. A judgement. */
const NEXT_VISIT_KM = 1000

/**
 * A visit's jobs as it ends: done, or left with the distance and the day by which to see to each. Open stays what another job stands in
 * for, and the dearer of two that do the same. Safety has no distance: it is due at once.
 * @param done ids of those that were done
 * @param whys why the others were not, by id
 * @param weeklyKm 0 where nothing is being ridden: there are then no days
 */
export function closeJobs(
  jobs: readonly VisitJob[],
  done: ReadonlySet<string>,
  whys: Readonly<Record<string, string>>,
  { now, weeklyKm }: { readonly now: IsoTime; readonly weeklyKm: number },
): readonly VisitJob[] {
  const left = jobs.flatMap(({ id }) => (done.has(id) ? [] : [id]))
  return jobs.map((job): VisitJob => {
    if (done.has(job.id)) return { ...job, outcome: 'done' }
    if (isStoodInFor(job, jobs, [...done]) || isSecondBest(job, jobs, left))
      return { ...job, outcome: 'open' }
    const byKm = job.byKm ?? (job.isSafety ? undefined : NEXT_VISIT_KM)
    const why = whys[job.id]?.trim()
    return {
      ...job,
      outcome: 'left',
      ...(why && { why }),
      ...(byKm !== undefined && { byKm }),
      ...(byKm !== undefined && weeklyKm > 0 && { byDay: addDays(now, (7 * byKm) / weeklyKm) }),
    }
  })
}

/** How far a new chain of the rider's goes on a bike's road, km; undefined for a bike without a chain, whose road is not known. */
export function newChainKm(
  { bike, chain, plan, limit, now }: BikeReport,
  draws: KeptDraws | undefined,
): Interval | undefined {
  if (!draws || !chain) return undefined
  const road = roadAhead(bike, chain.story, plan, askedAt(now))
  // No chain has this name: it is drawn as any new one of the rider's.
  return intervalOf(chainAhead(draws, keptChain(draws, ''), road, limit.percent).toLimitKm)
}
