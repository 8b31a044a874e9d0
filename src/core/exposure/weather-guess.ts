import type { Condition } from './conditions.ts'

/** An hour of weather at a place. */
export interface WeatherHour {
  readonly at: string
  readonly rainMm: number
  readonly temperatureC: number
}

/** Hours before a ride whose rain still stands on the road, and whose frost brings out the salt. */
export const WET_HOURS = 4
export const SALT_HOURS = 48
/** More than this in those hours, mm, and the road is wet. */
const WET_MM = 0.4
const FROST_C = 1

/** Whether a bike's rides go on gravel, by what they usually are. */
export const isLooseSurface = (usual: Condition): boolean =>
  usual === 'dry-gravel' || usual === 'wet-gravel' || usual === 'mud'

/**
 * What a ride was probably ridden in: wet where it rained during it or in the four hours before, salted road where it
 * froze in the two days before and something fell. The surface is taken from what the bike usually rides on. A guess
 * of ours; it waits to be agreed to.
 * @returns undefined where no hour of the ride is known, or the bike is ridden indoors
 */
export function conditionFromWeather(
  hours: readonly WeatherHour[],
  ride: { readonly at: string; readonly elapsedSeconds?: number },
  usual: Condition,
): Condition | undefined {
  if (usual === 'indoor') return undefined
  const start = Date.parse(ride.at)
  const end = start + 1000 * (ride.elapsedSeconds ?? 3600)
  const between = (before: number) =>
    hours.filter(({ at }) => Date.parse(at) >= start - before * 3_600_000 && Date.parse(at) <= end)
  const near = between(WET_HOURS)
  if (near.length === 0) return undefined
  const wet = near.reduce((sum, { rainMm }) => sum + rainMm, 0) > WET_MM
  if (isLooseSurface(usual)) return wet ? 'wet-gravel' : 'dry-gravel'
  const lately = between(SALT_HOURS)
  const frost = lately.some(({ temperatureC }) => temperatureC < FROST_C)
  const fell = lately.reduce((sum, { rainMm }) => sum + rainMm, 0) > WET_MM
  if (frost && fell) return 'winter-salt'
  return wet ? 'wet-road' : 'dry-road'
}
