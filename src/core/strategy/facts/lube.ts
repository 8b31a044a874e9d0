import type { ChainStory } from '../../exposure/chain-story.ts'
import { quarterOf } from '../../exposure/conditions.ts'
import { mixByQuarter } from '../../exposure/road-ahead.ts'
import type { IsoTime } from '../../log/entry.ts'
import type { Storage } from '../../log/kinds/bike.ts'
import type { BikeState } from '../../log/garage.ts'
import { lifeUsed, lubeClock, type LubeClock } from '../../lube/clock.ts'
import type { OwnLives } from '../../lube/learn.ts'
import type { Lube } from '../../lube/lubes.ts'
import { daysBetween } from '../../units/days.ts'

/** What is on a chain, how much of its life is used, and how far it still goes. */
export interface LubeFacts {
  readonly lube: Lube
  readonly since: IsoTime
  readonly clock: LubeClock
  /** km on the roads of this time of year; 0 where it is due. */
  readonly leftKm: number
}

/** Share of a lubricant's life that a km takes on the roads that the bike is ridden on at this time of year. */
export const lifePerKm = (bike: BikeState, lube: Lube, now: IsoTime, own: OwnLives): number =>
  mixByQuarter(bike, now)[quarterOf(now)].reduce((sum, road) => sum + lifeUsed(lube, road, own), 0)

/**
 * How far the lubricant still goes on the roads that the bike is ridden on at this time of year: the share of its life that
 * is left, over the mean multiplier of those roads (methods 6).
 */
function kmLeft(bike: BikeState, lube: Lube, clock: LubeClock, now: IsoTime, own: OwnLives): number {
  if (clock.due || lube === 'none') return 0
  return (1 - clock.used) / lifePerKm(bike, lube, now, own)
}

/**
 * What is on a chain, and how long it lasts.
 * @param own lives as this rider's chains have shown them
 * @param where it rests between two rides
 * @returns undefined where what is on the chain is not known
 */
export function lubeFacts(
  bike: BikeState,
  story: ChainStory,
  now: IsoTime,
  own: OwnLives,
  where: Storage = bike.entry.storage,
): LubeFacts | undefined {
  const { lube, since } = story.lube
  if (lube === undefined || since === undefined) return undefined
  const lastRide = story.rides.at(-1)?.at
  const restingSince = lastRide !== undefined && lastRide > since ? lastRide : since
  const clock = lubeClock(
    lube,
    story.rides.filter(({ at }) => at >= since).map(({ ride }) => ride),
    { days: Math.max(0, daysBetween(restingSince, now)), where },
    own,
  )
  return { lube, since, clock, leftKm: kmLeft(bike, lube, clock, now, own) }
}
