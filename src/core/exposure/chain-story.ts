import type { IsoTime, PartId, RideEntry } from '../log/entries.ts'
import type { Garage } from '../log/garage.ts'
import { afterRide, afterWash, type LubeState } from '../lube/state.ts'
import { CONDITION_MULTIPLIER } from './conditions.ts'
import { firstAtOrAfter, ridesDuring } from './distance.ts'
import { agedLubeMultiplier, REFERENCE_KJ_PER_KM } from './wear-km.ts'

/** One ride as the chain felt it. */
export interface ChainRide {
  readonly at: IsoTime
  readonly ride: RideEntry
  readonly wearKm: number
}

/** All that a chain has been through, in order of time. */
export interface ChainStory {
  readonly rides: readonly ChainRide[]
  readonly km: number
  readonly wearKm: number
  /** What is on it now. */
  readonly lube: LubeState
  /** Distance and wear-distance gathered before a moment. */
  readonly at: (time: IsoTime) => { readonly km: number; readonly wearKm: number }
}

/**
 * A chain's distance and wear-distance through its whole life, over every bike it was on (methods 3): each ride's
 * km times surface and wetness, times what was on the chain by then, times the ride's energy.
 */
export function chainStory(garage: Garage, chain: PartId): ChainStory {
  const ridden = (garage.parts.get(chain)?.fittings ?? []).flatMap(({ bike, from, to }) =>
    ridesDuring(garage.bikes.get(bike)?.rides ?? [], from, to),
  )
  const washes = garage.washes.get(chain) ?? []
  const rides: ChainRide[] = []
  const sumKm = [0]
  const sumWear = [0]
  let lube: LubeState = { used: 0 }
  let nextWash = 0
  for (const ride of ridden) {
    for (; (washes[nextWash]?.at ?? '~') <= ride.at; nextWash++) {
      const wash = washes[nextWash]
      if (wash) lube = afterWash(lube, wash)
    }
    const energy = ride.energyKjPerKm === undefined ? 1 : ride.energyKjPerKm / REFERENCE_KJ_PER_KM
    const wear =
      ride.km *
      CONDITION_MULTIPLIER[ride.condition] *
      agedLubeMultiplier(lube.lube, ride.condition, lube.used) *
      energy
    rides.push({ at: ride.at, ride, wearKm: wear })
    sumKm.push((sumKm.at(-1) ?? 0) + ride.km)
    sumWear.push((sumWear.at(-1) ?? 0) + wear)
    lube = afterRide(lube, ride)
  }
  for (const wash of washes.slice(nextWash)) lube = afterWash(lube, wash)
  return {
    rides,
    km: sumKm.at(-1) ?? 0,
    wearKm: sumWear.at(-1) ?? 0,
    lube,
    at: (time) => {
      const i = firstAtOrAfter(rides, time)
      return { km: sumKm[i] ?? 0, wearKm: sumWear[i] ?? 0 }
    },
  }
}
