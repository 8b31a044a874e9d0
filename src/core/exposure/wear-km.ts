import type { Lube } from '../lube/lubes.ts'
import { CONDITION_MULTIPLIER, type Condition } from './conditions.ts'

/**
 * Chain energy of the ride that the multipliers are scaled to, kJ per km (methods 3): a rider of 150 to 200 W on rolling
 * road.
 */
export const REFERENCE_KJ_PER_KM = 25

/**
 * How much a ride's energy wears over the reference (methods 3); 1 where nothing is known. An energy of 0 is nothing known:
 * the first builds wrote it for recordings that did not tell.
 */
export const energyFactor = (energyKjPerKm: number | undefined): number =>
  energyKjPerKm === undefined || energyKjPerKm === 0 ? 1 : energyKjPerKm / REFERENCE_KJ_PER_KM

/** Wear multiplier of what is on the chain, in a given condition (methods 3); drip lube, or nothing known, is 1. */
export function lubeMultiplier(lube: Lube | undefined, condition: Condition): number {
  switch (lube) {
    case 'immersion-wax':
      return 0.6
    case 'drip-wax':
      return 0.8
    case 'wet-lube':
      // It holds the dust that a dry lube sheds.
      return condition === 'dry-gravel' ? 1.3 : 1
    case 'none':
      return 3
    case 'dry-lube':
    case undefined:
      return 1
  }
}

/**
 * The lubricant's multiplier once some of its life is used: its own up to 1, then rising in a straight line to 2
 * at twice its life, and 2 from there on (methods 3: "past its interval rising to 2"; the slope is our guess).
 * @param used share of the application's life used, 0 or more
 */
export function agedLubeMultiplier(lube: Lube | undefined, condition: Condition, used: number): number {
  const own = lubeMultiplier(lube, condition)
  if (used <= 1 || own >= 2) return own
  return own + (2 - own) * Math.min(1, used - 1)
}

export interface WearKmInput {
  /** km, 0 or more */
  readonly km: number
  readonly condition: Condition
  readonly lube?: Lube | undefined
  /** Energy through the chain, kJ per km; absent: the reference, so that the factor is 1. */
  readonly energyKjPerKm?: number | undefined
}

/**
 * Wear-kilometres: distance on a dry, lubricated road at ordinary effort that wears a chain as much (methods 3).
 * @throws RangeError when the distance or the energy is negative or not a number
 */
export function wearKm({ km, condition, lube, energyKjPerKm }: WearKmInput): number {
  if (!(km >= 0)) throw new RangeError('A distance must be 0 km or more.')
  if (energyKjPerKm !== undefined && !(energyKjPerKm >= 0))
    throw new RangeError('Energy per km must be 0 kJ or more.')
  return km * CONDITION_MULTIPLIER[condition] * lubeMultiplier(lube, condition) * energyFactor(energyKjPerKm)
}
