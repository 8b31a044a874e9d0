import { sumOf } from '../stats/mean.ts'
import type { IsoTime } from '../log/entry.ts'
import { addDays, daysBetween } from '../units/days.ts'
import { firstAtOrAfter } from './distance.ts'

/** Riding to come, drawn from the last twelve weeks (methods 4), or as the rider has stated it. */
export interface RidingPlan {
  /** Mean distance a week, km; 0 where nothing is ridden. */
  readonly weeklyKm: number
  /** Uncertainty of that mean, as a share of it. */
  readonly weeklySpread: number
  /** Stated by the rider, not drawn from what was ridden. */
  readonly stated: boolean
}

/** The last weeks that tell of the next ones. */
export const RECENT_WEEKS = 12
/** How far people stray from what they mean to ride, as a share of it. A guess. */
const STATED_SPREAD = 0.15

/**
 * Weekly distance and its uncertainty over the last twelve weeks, or as many as the log is long; the rider's own word
 * counts for more.
 * @param rides in order of time
 * @param statedKm km a week, where the rider has said
 */
export function ridingPlan(
  rides: readonly { readonly at: IsoTime; readonly km: number }[],
  now: IsoTime,
  statedKm?: number,
): RidingPlan {
  if (statedKm !== undefined) return { weeklyKm: statedKm, weeklySpread: STATED_SPREAD, stated: true }
  const first = rides[0]
  const idle = { weeklyKm: 0, weeklySpread: 1, stated: false }
  if (!first) return idle
  const weeks = Math.min(RECENT_WEEKS, Math.max(1, Math.ceil(daysBetween(first.at, now) / 7)))
  const recent = rides.slice(
    firstAtOrAfter(rides, addDays(now, -7 * weeks)),
    firstAtOrAfter(rides, addDays(now, 1)),
  )
  const perWeek = new Array<number>(weeks).fill(0)
  for (const ride of recent) {
    const week = Math.min(weeks - 1, Math.max(0, Math.floor(daysBetween(ride.at, now) / 7)))
    perWeek[week] = (perWeek[week] ?? 0) + ride.km
  }
  const km = sumOf(perWeek)
  if (km === 0) return idle
  const mean = km / weeks
  const variance = perWeek.reduce((sum, week) => sum + (week - mean) ** 2, 0) / Math.max(1, weeks - 1)
  // A week or two of riding says little about the next ones, however even they were.
  const spread = Math.max(Math.sqrt(variance / weeks) / mean, 0.25 / Math.sqrt(weeks))
  return { weeklyKm: mean, weeklySpread: spread, stated: false }
}
