import type { Entry, RideEntry } from './entries.ts'
import type { BikeState, Garage } from './garage.ts'
import { countedRide, replay } from './replay.ts'

/** A ride that only adds: it corrects nothing, and its bike's distance is told by rides alone. */
const isPlainRide = (entry: Entry, garage: Garage): entry is RideEntry =>
  entry.kind === 'ride' &&
  entry.supersedes === undefined &&
  garage.bikes.has(entry.bike) &&
  garage.bikes.get(entry.bike)?.odometer.length === 0

function insertRide(bike: BikeState, entry: RideEntry): BikeState {
  const { rides } = bike
  let at = rides.length
  const after = (i: number): boolean => {
    const held = rides[i]
    return held !== undefined && (held.at > entry.at || (held.at === entry.at && held.id > entry.id))
  }
  while (at > 0 && after(at - 1)) at--
  return { ...bike, rides: [...rides.slice(0, at), countedRide(entry, bike.entry), ...rides.slice(at)] }
}

/**
 * Follows a growing log: each call gives the garage of the entries passed. Where the log has only gained rides the
 * last garage is carried on instead of replaying everything; the result is the same as {@link replay}'s.
 */
export function followLog(): (entries: readonly Entry[]) => Garage {
  let held: readonly Entry[] = []
  let garage = replay(held)
  return (entries) => {
    if (entries === held) return garage
    const grown = entries.length > held.length && entries[held.length - 1] === held.at(-1)
    const fresh = grown ? entries.slice(held.length) : []
    if (
      held.length > 0 &&
      grown &&
      fresh.length <= 50 &&
      fresh.every((entry) => isPlainRide(entry, garage))
    ) {
      const bikes = new Map(garage.bikes)
      for (const entry of fresh as readonly RideEntry[]) {
        const bike = bikes.get(entry.bike)
        if (bike) bikes.set(entry.bike, insertRide(bike, entry))
      }
      garage = { ...garage, bikes }
    } else garage = replay(entries)
    held = entries
    return garage
  }
}
