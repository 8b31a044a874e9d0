import type { Motor } from '../log/entries.ts'
import { chainPower, energyKj, USUAL_MASS_KG, USUAL_MOTOR_SHARE } from './chain-energy.ts'
import { useOfGears, type GearSetup } from './gears-in-use.ts'
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
  /** Energy through the chain, kJ. */
  readonly energyKj: number
  /** kJ by ring and cog, as "40x15"; absent where there was no cadence. */
  readonly gears?: Readonly<Record<string, number>>
}

/**
 * Energy through the chain of one recorded ride, and through each gear where cadence tells the gear (methods 3).
 * @returns undefined where the ride carries neither cadence nor power
 */
export function rideGears(samples: readonly GearRecord[], setup: RideSetup): RideGears | undefined {
  if (samples.length < 2) return undefined
  const powers = chainPower(samples, {
    massKg: setup.massKg ?? USUAL_MASS_KG,
    motor: setup.motor,
    motorShare: setup.motorShare ?? USUAL_MOTOR_SHARE[setup.motor],
  })
  const energy = energyKj(samples, powers)
  const gearSetup: GearSetup = {
    wheelMm: setup.circumferenceMm ?? USUAL_CIRCUMFERENCE_MM,
    rings: setup.rings,
    cogs: setup.cogs,
  }
  const told =
    samples.some(({ cadenceRpm }) => cadenceRpm !== undefined) &&
    setup.rings.length > 0 &&
    setup.cogs.length > 0
  if (!told) return { energyKj: energy }
  const gears = useOfGears(samples, gearSetup, (i) => powers[i])
  const rounded = Object.fromEntries(
    Object.entries(gears).map(([gear, kj]) => [gear, Math.round(kj * 10) / 10] as const),
  )
  return { energyKj: energy, gears: rounded }
}

/** Rounded to about a kilometre: enough for the weather, not for anybody's door. */
export const roughPlace = ({ lat, lon }: { readonly lat: number; readonly lon: number }) => ({
  lat: Math.round(lat * 100) / 100,
  lon: Math.round(lon * 100) / 100,
})

/** Recognises rides along the same way: where they begin, roughly, and how long they are to a twentieth. */
export const routeKey = (place: { readonly lat: number; readonly lon: number }, km: number): string =>
  `${(Math.round(place.lat * 50) / 50).toFixed(2)} ${(Math.round(place.lon * 50) / 50).toFixed(2)} ${Math.round(Math.log(Math.max(0.1, km)) * 10)}`
