import { sumOf } from '../stats/mean.ts'
import type { EventEntry } from '../log/kinds/event.ts'
import type { IsoTime } from '../log/entry.ts'
import type { BikeState, Ride } from '../log/garage.ts'
import type { Lube } from '../lube/lubes.ts'
import { addDays, daysBetween } from '../units/days.ts'
import type { ChainStory } from './chain-story.ts'
import { quarterOf, QUARTERS, usualAt, type Condition, type Quarter } from './conditions.ts'
import { firstAtOrAfter, totalKm } from './distance.ts'
import { RECENT_WEEKS, type RidingPlan } from './riding-plan.ts'
import { gathered, type RoadPiece } from './roads.ts'

/** A stretch of riding to come. */
export interface RoadStretch {
  /** How long it takes, days, 0 or more. */
  readonly days: number
  /** How far it goes at the usual pace, km. */
  readonly km: number
  /** What one kilometre of it is made of. */
  readonly perKm: readonly RoadPiece[]
  /** The event it is. */
  readonly event?: string
}

/** Rides of a part of the year tell of the same part of the next one from this distance on, km. */
const TELLING_KM = 40
/** How far back rides tell of the time of year. */
const TELLING_YEARS = 2
/** So many parts of the year are laid out one by one; what lies beyond is a year like any other. */
const QUARTERS_AHEAD = 8

/** The first moment of the part of the year after the one a moment falls in. */
export function nextQuarter(at: IsoTime): IsoTime {
  const date = new Date(at)
  const month = date.getUTCMonth()
  // Parts begin with December, March, June and September.
  const next = (Math.floor(((month + 1) % 12) / 3) + 1) * 3 - 1
  const year = date.getUTCFullYear() + (month === 11 ? 1 : 0)
  return new Date(Date.UTC(year, next, 1)).toISOString()
}

/** The shares in which rides were ridden in one condition or another. */
function mixOf(rides: readonly Ride[]): RoadPiece[] {
  const km = totalKm(rides)
  if (km <= 0) return []
  return gathered(
    rides.map(({ km: distance, condition, unsure }) => ({
      km: distance / km,
      condition,
      ...(unsure && { notSet: true as const }),
    })),
  )
}

/**
 * What a kilometre of each part of the year is made of: as the bike was ridden in that part over the last two years;
 * where there is too little of it, as its owner said it usually is; else as it was ridden lately. The part it is now
 * goes by the last twelve weeks too.
 */
export function mixByQuarter({ entry, rides }: BikeState, now: IsoTime): Record<Quarter, RoadPiece[]> {
  const recent = rides.slice(firstAtOrAfter(rides, addDays(now, -7 * RECENT_WEEKS)))
  const telling = rides.slice(firstAtOrAfter(rides, addDays(now, -365.25 * TELLING_YEARS)))
  const lately = mixOf(recent)
  const single = (condition: Condition): RoadPiece[] => [{ km: 1, condition }]
  return Object.fromEntries(
    QUARTERS.map((quarter) => {
      const isNow = quarter === quarterOf(now)
      const own = telling.filter(({ at }) => quarterOf(at) === quarter)
      const all = isNow ? [...new Set([...own, ...recent])] : own
      if (totalKm(all) >= TELLING_KM) return [quarter, mixOf(all)]
      const stated = entry.usualByQuarter?.[quarter]
      if (stated) return [quarter, single(stated)]
      return [quarter, lately.length > 0 ? lately : single(usualAt(entry, now))]
    }),
  ) as Record<Quarter, RoadPiece[]>
}

/** What a chain's kilometres are on, and how much energy and overdue lubrication add to each. */
interface Habit {
  readonly lubes: readonly { readonly lube: Lube | undefined; readonly share: number }[]
  readonly times: number
}

/** As the chain is lubricated now; where it is bare or nobody knows, as it was lately. */
function habitOf({ rides, lube }: ChainStory, now: IsoTime): Habit {
  const recent = rides.slice(firstAtOrAfter(rides, addDays(now, -7 * RECENT_WEEKS)))
  const km = recent.reduce((sum, { ride }) => sum + ride.km, 0)
  const times = km > 0 ? recent.reduce((sum, { piece }) => sum + piece.km, 0) / km : 1
  if (lube.lube !== undefined && lube.lube !== 'none')
    return { lubes: [{ lube: lube.lube, share: 1 }], times }
  const shares = new Map<Lube | undefined, number>()
  for (const { ride, piece } of recent)
    if (piece.lube !== 'none') shares.set(piece.lube, (shares.get(piece.lube) ?? 0) + ride.km)
  const lubricated = sumOf(shares.values())
  if (lubricated <= 0) return { lubes: [{ lube: undefined, share: 1 }], times: 1 }
  return { lubes: [...shares].map(([of, share]) => ({ lube: of, share: share / lubricated })), times }
}

/** A mix of roads under a chain with its habits. */
const withHabit = (mix: readonly RoadPiece[], { lubes, times }: Habit): RoadPiece[] =>
  mix.flatMap((piece) =>
    lubes.map(({ lube, share }) => ({
      ...piece,
      km: piece.km * share * times,
      ...(lube !== undefined && { lube }),
    })),
  )

/** Events that are not over, in order, none of them beginning before the one before it has ended. */
export function eventsAhead(
  events: readonly EventEntry[],
  now: IsoTime,
): readonly { readonly event: EventEntry; readonly from: IsoTime; readonly days: number }[] {
  let free = now
  return events.flatMap((event) => {
    // An event that has begun is being ridden: its rides are in the log, and count with all others.
    if (event.starts < now.slice(0, 10)) return []
    const from = event.starts > free ? event.starts : free
    free = addDays(from, event.days)
    return [{ event, from, days: event.days }]
  })
}

/**
 * Riding to come, in stretches from now on: part of the year after part of the year, each in its own mix, at the
 * plan's pace, with the events between; the last stretch is a year like any other and goes on for good.
 */
export function roadAhead(
  bike: BikeState,
  story: ChainStory,
  plan: RidingPlan,
  now: IsoTime,
): readonly RoadStretch[] {
  const habit = habitOf(story, now)
  const byQuarter = mixByQuarter(bike, now)
  const mixes = Object.fromEntries(
    QUARTERS.map((quarter) => [quarter, withHabit(byQuarter[quarter], habit)]),
  ) as Record<Quarter, RoadPiece[]>
  const stretches: RoadStretch[] = []
  const perDay = plan.weeklyKm / 7
  let at = now
  const usualUntil = (until: IsoTime): void => {
    while (at < until) {
      const next = nextQuarter(at)
      const end = next < until ? next : until
      const days = daysBetween(at, end)
      stretches.push({ days, km: days * perDay, perKm: mixes[quarterOf(at)] })
      at = end
    }
  }
  for (const { event, from, days } of eventsAhead(bike.events, now)) {
    usualUntil(from)
    const perKm = withHabit([{ km: 1, condition: event.condition }], habit)
    stretches.push({ days, km: event.km, perKm, event: event.event })
    at = addDays(from, days)
  }
  let far = nextQuarter(now)
  for (let i = 1; i < QUARTERS_AHEAD; i++) far = nextQuarter(far)
  usualUntil(far)
  const yearly = gathered(
    QUARTERS.flatMap((quarter) => mixes[quarter].map((piece) => ({ ...piece, km: piece.km / 4 }))),
  )
  return [...stretches, { days: 7, km: plan.weeklyKm, perKm: yearly }]
}
