import type { IsoTime } from '../log/entries.ts'
import { addDays, daysBetween } from '../units/days.ts'
import { firstAtOrAfter } from './distance.ts'

/** Riding to come, drawn from the last twelve weeks (methods 4). */
export interface RidingPlan {
  /** Mean distance a week, km; 0 where nothing was ridden. */
  readonly weeklyKm: number
  /** Uncertainty of that mean, as a share of it. */
  readonly weeklySpread: number
  /** Wear-kilometres per kilometre, and the part of them that rests on rides nobody has said the condition of. */
  readonly perKm: { readonly wearKm: number; readonly unsureWearKm: number }
}

const WEEKS = 12

/**
 * Weekly distance and its uncertainty, and wear per km, over the last twelve weeks, or as many as the log is long.
 * @param rides in order of time
 * @param usualWearPerKm taken where nothing was ridden in that time
 */
export function ridingPlan(
  rides: readonly {
    readonly at: IsoTime
    readonly km: number
    readonly wearKm: number
    readonly unsure?: boolean
  }[],
  now: IsoTime,
  usualWearPerKm: number,
): RidingPlan {
  const first = rides[0]
  const idle = { weeklyKm: 0, weeklySpread: 1, perKm: { wearKm: usualWearPerKm, unsureWearKm: 0 } }
  if (!first) return idle
  const weeks = Math.min(WEEKS, Math.max(1, Math.ceil(daysBetween(first.at, now) / 7)))
  const recent = rides.slice(
    firstAtOrAfter(rides, addDays(now, -7 * weeks)),
    firstAtOrAfter(rides, addDays(now, 1)),
  )
  const perWeek = new Array<number>(weeks).fill(0)
  let wear = 0
  let unsure = 0
  for (const ride of recent) {
    const week = Math.min(weeks - 1, Math.max(0, Math.floor(daysBetween(ride.at, now) / 7)))
    perWeek[week] = (perWeek[week] ?? 0) + ride.km
    wear += ride.wearKm
    if (ride.unsure) unsure += ride.wearKm
  }
  const km = perWeek.reduce((a, b) => a + b, 0)
  if (km === 0) return idle
  const mean = km / weeks
  const variance = perWeek.reduce((sum, week) => sum + (week - mean) ** 2, 0) / Math.max(1, weeks - 1)
  // A week or two of riding says little about the next ones, however even they were.
  const spread = Math.max(Math.sqrt(variance / weeks) / mean, 0.25 / Math.sqrt(weeks))
  return { weeklyKm: mean, weeklySpread: spread, perKm: { wearKm: wear / km, unsureWearKm: unsure / km } }
}
