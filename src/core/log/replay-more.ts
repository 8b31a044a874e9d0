import type { Entry } from './entries.ts'
import type { RideEntry } from './kinds/ride.ts'
import type { BikeState, Garage } from './garage.ts'
import { kindOf } from './kind-of.ts'
import { countedRide, replayed, replayedWithMore, type Replayed } from './replay.ts'

/** A ride that only adds: it corrects nothing, and its bike's distance comes from rides alone. */
const isPlainRide = (entry: Entry, garage: Garage): entry is RideEntry =>
  entry.kind === 'ride' &&
  entry.supersedes === undefined &&
  garage.bikes.has(entry.bike) &&
  garage.bikes.get(entry.bike)?.odometer.length === 0

/** An entry that leaves everything ridden as it is, and takes nothing back. */
const isBeside = (entry: Entry): boolean =>
  entry.supersedes === undefined && entry.firstId === undefined && !kindOf(entry).changesRides

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

function withRides(garage: Garage, rides: readonly RideEntry[]): Garage {
  if (rides.length === 0) return garage
  const bikes = new Map(garage.bikes)
  for (const entry of rides) {
    const bike = bikes.get(entry.bike)
    if (bike) bikes.set(entry.bike, insertRide(bike, entry))
  }
  return { ...garage, bikes }
}

/** So many entries at once are replayed from the start: carrying on would take as long. */
const MOST = 50

/** Gives the garage of the entries passed. */
export type LogFollower = (entries: readonly Entry[]) => Garage

/**
 * Follows a growing log: each call gives the garage of the entries passed. Where the log has only gained rides, or
 * entries that leave the rides alone, the last garage is carried on instead of replaying everything; the result is the
 * same as {@link replay}'s.
 * @param first what was replayed before, and of which entries
 */
export function followLog(
  first: { readonly entries: readonly Entry[]; readonly replayed: Replayed } = {
    entries: [],
    replayed: replayed([]),
  },
): LogFollower {
  let held = first.entries
  let last = first.replayed
  const carryOn = (fresh: readonly Entry[]): Replayed | undefined => {
    const rides = fresh.filter((entry) => isPlainRide(entry, last.garage))
    const beside = fresh.filter(isBeside)
    if (rides.length + beside.length < fresh.length) return undefined
    const carried = beside.length > 0 ? replayedWithMore(last, beside) : last
    return { ...carried, garage: withRides(carried.garage, rides) }
  }
  return (entries) => {
    if (entries === held) return last.garage
    const isGrown =
      held.length > 0 && entries.length > held.length && entries[held.length - 1] === held.at(-1)
    const fresh = isGrown ? entries.slice(held.length) : []
    last = (isGrown && fresh.length <= MOST ? carryOn(fresh) : undefined) ?? replayed(entries)
    held = entries
    return last.garage
  }
}
