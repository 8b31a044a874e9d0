import { conditionFromWeather, SALT_HOURS } from '../../core/exposure/weather-guess.ts'
import type { Condition } from '../../core/exposure/conditions.ts'
import type { BikeEntry } from '../../core/log/kinds/bike.ts'
import type { Ride } from '../../core/log/garage.ts'
import type { Patience } from '../../services/patient-fetch.ts'
import { weatherAt } from '../../services/weather.ts'

const HOUR_MS = 3_600_000

/**
 * What the weather suggests for each ride whose place is known. Rides of one place and day are asked about together.
 * @throws ServiceError when the service gives out
 */
export async function suggestFromWeather(
  rides: readonly Ride[],
  bike: BikeEntry,
  patience: Patience & { readonly onProgress: (done: number, of: number) => void },
): Promise<ReadonlyMap<string, Condition>> {
  const groups = new Map<string, Ride[]>()
  for (const ride of rides) {
    if (!ride.place) continue
    const key = `${ride.place.lat.toFixed(1)} ${ride.place.lon.toFixed(1)} ${ride.at.slice(0, 10)}`
    groups.set(key, [...(groups.get(key) ?? []), ride])
  }
  const found = new Map<string, Condition>()
  let done = 0
  for (const group of groups.values()) {
    const [first] = group
    if (!first?.place) continue
    const day = Date.parse(`${first.at.slice(0, 10)}T00:00:00Z`)
    const hours = await weatherAt(
      first.place,
      new Date(day - SALT_HOURS * HOUR_MS).toISOString(),
      new Date(day + 30 * HOUR_MS).toISOString(),
      patience,
    )
    for (const ride of group) {
      const condition = conditionFromWeather(hours, ride, bike.usualCondition)
      if (condition) found.set(ride.id, condition)
    }
    patience.onProgress(++done, groups.size)
  }
  return found
}
