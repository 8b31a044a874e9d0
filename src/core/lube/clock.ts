import type { Condition } from '../exposure/conditions.ts'
import type { Storage } from '../log/kinds/bike.ts'
import { tableShare, type OwnLives } from './learn.ts'
import { LUBE_LIFE_KM, type Lube } from './lubes.ts'

/** Days of storage after which a chain is wiped and lubricated before it is ridden (methods 6). */
export const STORAGE_DAYS: Readonly<Record<Storage, number>> = { indoors: 30, outdoors: 7 }

interface LubeRide {
  readonly km: number
  readonly condition: Condition
}

/** Why a chain needs lubricating, worst first; `distance` covers both used up and not yet. */
export type ClockReason = 'none' | 'mud' | 'rain' | 'distance' | 'storage'

export interface LubeClock {
  /** Share of the application's life used by distance; 1 is due. A bare chain counts as 1. */
  readonly used: number
  readonly due: boolean
  readonly reason: ClockReason
}

/**
 * Share of an application's life that one ride uses.
 * @param own lives as this rider's chains have shown them; the table's where it is absent
 */
export function lifeUsed(lube: Lube, ride: LubeRide, own?: OwnLives): number {
  if (lube === 'none') return 0
  const { dryUsed, wetUsed } = tableShare(lube, ride)
  if (!own) return dryUsed + wetUsed
  const { lifeKm, wetFactor } = own[lube]
  return ((dryUsed + wetUsed * wetFactor.after.p50) * LUBE_LIFE_KM[lube]) / lifeKm.after.p50
}

/**
 * The lubrication clock (methods 6): share of life used over the rides since the last application, and whether
 * rain on a dry lube, mud, or a lay-off ended it sooner.
 * @param rides since the application; km 0 or more
 * @param own lives as this rider's chains have shown them; the table's where it is absent
 * @param stored days since the last ride or application, and where
 * @throws RangeError for a negative distance or number of days
 */
export function lubeClock(
  lube: Lube,
  rides: readonly LubeRide[],
  stored?: { readonly days: number; readonly where: Storage },
  own?: OwnLives,
): LubeClock {
  if (rides.some((ride) => !(ride.km >= 0))) throw new RangeError('A ride must be 0 km or more.')
  if (stored && !(stored.days >= 0)) throw new RangeError('Storage must be 0 days or more.')
  if (lube === 'none') return { used: 1, due: true, reason: 'none' }
  const used = rides.reduce((sum, ride) => sum + lifeUsed(lube, ride, own), 0)
  const rainEnds = (condition: Condition): boolean =>
    condition === 'wet-road' || condition === 'winter-salt' || condition === 'wet-gravel'
  if (rides.some((ride) => ride.condition === 'mud')) return { used, due: true, reason: 'mud' }
  if (lube === 'dry-lube' && rides.some((ride) => rainEnds(ride.condition)))
    return { used, due: true, reason: 'rain' }
  if (used >= 1) return { used, due: true, reason: 'distance' }
  if (stored && stored.days >= STORAGE_DAYS[stored.where]) return { used, due: true, reason: 'storage' }
  return { used, due: false, reason: 'distance' }
}
