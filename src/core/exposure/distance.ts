import type { BikeId, IsoTime, PartId } from '../log/entry.ts'
import type { Fitting, Garage, PartState } from '../log/garage.ts'
import { firstIndex } from '../stats/first-index.ts'

interface Ridden {
  readonly at: IsoTime
  readonly km: number
}

/** Index of the first ride at or after a time, in rides that stand in order of time. */
export const firstAtOrAfter = (rides: readonly { readonly at: IsoTime }[], at: IsoTime): number =>
  firstIndex(rides.length, (i) => (rides[i]?.at ?? '') >= at)

/**
 * The rides of a fitting: those that start while the part is on (`from` inclusive, `to` exclusive).
 * @param rides of one bike, in order of time
 */
export function ridesDuring<R extends { readonly at: IsoTime }>(
  rides: readonly R[],
  from: IsoTime,
  to?: IsoTime,
): readonly R[] {
  return rides.slice(firstAtOrAfter(rides, from), to === undefined ? rides.length : firstAtOrAfter(rides, to))
}

/** Sum of distances, km. */
export const totalKm = (rides: readonly { readonly km: number }[]): number =>
  rides.reduce((sum, ride) => sum + ride.km, 0)

/**
 * Distance of each part, km: the sum of the rides that start while it is fitted (methods 3).
 * @param ridesByBike of each bike, in order of time
 */
export function partDistances(
  ridesByBike: ReadonlyMap<BikeId, readonly Ridden[]>,
  fittings: readonly Fitting[],
): Map<PartId, number> {
  const km = new Map<PartId, number>()
  for (const { part, bike, from, to } of fittings) {
    const ridden = totalKm(ridesDuring(ridesByBike.get(bike) ?? [], from, to))
    km.set(part, (km.get(part) ?? 0) + ridden)
  }
  return km
}

/** Distance of one part in the log, km, over every bike it was on; what it did before it came is not in it. */
export const kmOf = (garage: Garage, part: PartState): number =>
  part.fittings.reduce(
    (sum, { bike, from, to }) => sum + totalKm(ridesDuring(garage.bikes.get(bike)?.rides ?? [], from, to)),
    0,
  )
