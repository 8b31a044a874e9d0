import type { Motor } from '../log/kinds/bike.ts'
import { chainPower, energyPerKm, USUAL_MASS_KG, USUAL_MOTOR_SHARE, type EnergyFrom } from './chain-energy.ts'
import { useOfGears, type GearSetup } from './gears-in-use.ts'
import { sensed } from './sensors.ts'
import type { GearRecord } from './track-samples.ts'

/** A bike as far as its rides' energy and gears depend on it. */
export interface RideSetup {
  readonly circumferenceMm?: number | undefined
  readonly massKg?: number | undefined
  readonly motor: Motor
  readonly motorShare?: number | undefined
  /** Teeth. */
  readonly rings: readonly number[]
  readonly cogs: readonly number[]
}

/** A wheel of 28 inches with a tyre of 37 mm, mm: a guess. */
export const USUAL_CIRCUMFERENCE_MM = 2155

export interface RideGears {
  /** Energy through the chain, kJ per km of the ride, above 0; absent where nothing tells it. */
  readonly energyKjPerKm?: number
  /** What it is worked out from. */
  readonly from?: EnergyFrom
  /** kJ by ring and cog, as "40x15"; absent where there was no cadence. */
  readonly gears?: Readonly<Record<string, number>>
}

/**
 * Energy through the chain of one recorded ride, and through each gear where cadence tells the gear (methods 3). How often
 * the device wrote makes no difference, up to steps of 30 s.
 * @returns empty where neither power nor cadence was there: nothing is known then, which is not nothing
 */
export function rideGears(samples: readonly GearRecord[], setup: RideSetup): RideGears {
  const held = sensed(samples)
  const power = chainPower(held, {
    massKg: setup.massKg ?? USUAL_MASS_KG,
    motor: setup.motor,
    motorShare: setup.motorShare ?? USUAL_MOTOR_SHARE[setup.motor],
  })
  const energyKjPerKm = power && energyPerKm(held, power)
  if (!power || energyKjPerKm === undefined) return {}
  const told = { energyKjPerKm, from: power.from }
  const isTold =
    held.some(({ cadenceRpm }) => cadenceRpm !== undefined) && setup.rings.length > 0 && setup.cogs.length > 0
  if (!isTold) return told
  const gearSetup: GearSetup = {
    wheelMm: setup.circumferenceMm ?? USUAL_CIRCUMFERENCE_MM,
    rings: setup.rings,
    cogs: setup.cogs,
  }
  const gears = useOfGears(held, gearSetup, (i) => power.powers[i] || 0)
  const rounded = Object.fromEntries(
    Object.entries(gears)
      .map(([gear, kj]) => [gear, Math.round(kj * 10) / 10] as const)
      .filter(([, kj]) => kj > 0),
  )
  return Object.keys(rounded).length > 0 ? { ...told, gears: rounded } : told
}

/** Rounded to about a kilometre: enough for the weather, not for anybody's door. */
export const roughPlace = ({ lat, lon }: { readonly lat: number; readonly lon: number }) => ({
  lat: Math.round(lat * 100) / 100,
  lon: Math.round(lon * 100) / 100,
})

/** Recognises rides along the same way: where they begin, roughly, and how long they are to a twentieth. */
export const routeKey = (place: { readonly lat: number; readonly lon: number }, km: number): string =>
  `${(Math.round(place.lat * 50) / 50).toFixed(2)} ${(Math.round(place.lon * 50) / 50).toFixed(2)} ${Math.round(Math.log(Math.max(0.1, km)) * 10)}`
