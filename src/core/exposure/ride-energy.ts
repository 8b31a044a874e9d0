import type { BikeState, Ride } from '../log/garage.ts'
import { energyFactor } from './wear-km.ts'
import type { Condition } from './conditions.ts'

/** So many rides tell what the others are like. */
const ENOUGH_RIDES = 5
/** What a mid-drive bike's rides count where none tells: its motor's energy goes through the chain too (methods 3). */
const MID_DRIVE = 1.8

/** How much each ride of a bike wears by its energy. */
export interface BikeEnergy {
  /** Times the reference, above 0. */
  readonly factorOf: (ride: Pick<Ride, 'energyKjPerKm' | 'condition'>) => number
  /** Whether some rides tell their energy, so that one that does not is only taken to be like them. */
  readonly isMixed: boolean
}

/** Whether a ride tells its energy; 0 with a distance was written by a build that could not tell it. */
export const tellsEnergy = (ride: Pick<Ride, 'energyKjPerKm'>): boolean => (ride.energyKjPerKm ?? 0) > 0

interface Sum {
  rides: number
  km: number
  weighted: number
}

function energyOf({ entry, rides }: BikeState): BikeEnergy {
  const nothing = (): Sum => ({ rides: 0, km: 0, weighted: 0 })
  const all = nothing()
  const byCondition = new Map<Condition, Sum>()
  for (const ride of rides) {
    if (!tellsEnergy(ride)) continue
    const own = byCondition.get(ride.condition) ?? nothing()
    byCondition.set(ride.condition, own)
    for (const sum of [all, own]) {
      sum.rides++
      sum.km += ride.km
      sum.weighted += ride.km * energyFactor(ride.energyKjPerKm)
    }
  }
  const meanOf = (sum: Sum | undefined): number | undefined =>
    sum && sum.rides >= ENOUGH_RIDES && sum.km > 0 ? sum.weighted / sum.km : undefined
  const usual = entry.motor === 'mid-drive' ? MID_DRIVE : 1
  return {
    factorOf: (ride) =>
      tellsEnergy(ride)
        ? energyFactor(ride.energyKjPerKm)
        : (meanOf(byCondition.get(ride.condition)) ?? usual),
    isMixed: all.rides > 0,
  }
}

const held = new WeakMap<BikeState, BikeEnergy>()

/**
 * How much a bike's rides wear by their energy (methods 3): as they tell it; where they do not, the mean of its rides
 * in the same conditions once five tell, else the reference, or a mid-drive's.
 */
export function bikeEnergy(bike: BikeState): BikeEnergy {
  const known = held.get(bike) ?? energyOf(bike)
  held.set(bike, known)
  return known
}
