import type { EntryId, IsoTime } from '../log/entry.ts'
import { firstAtOrAfter } from './distance.ts'
import type { RideEntry, RideSource } from '../log/kinds/ride.ts'

/** What tells one ride from another, and which of two recordings of it is the richer. */
export interface Recording {
  readonly at: IsoTime
  readonly km: number
  /** From start to end, s; absent where only the day is known. */
  readonly elapsedSeconds?: number
  readonly movingSeconds?: number
  readonly trackKm?: number
  readonly recorded?: readonly ('cadence' | 'power')[]
  readonly gears?: Readonly<Record<string, number>>
  readonly source?: RideSource
}

/** Two recordings are one ride where they share this much of the shorter one's time. */
const SHARED = 0.6
/** A ride of which only the day is known is the recorded one where the distances differ by less than this. */
const SAME_KM = 0.1

/** Start and end, ms, where both are known. */
function spanOf({ at, elapsedSeconds }: Recording): readonly [number, number] | undefined {
  if (elapsedSeconds === undefined || elapsedSeconds <= 0) return undefined
  const start = Date.parse(at)
  return [start, start + elapsedSeconds * 1000]
}

const sameKm = (a: Recording, b: Recording): boolean =>
  Math.abs(a.km - b.km) <= SAME_KM * Math.max(a.km, b.km)

/**
 * Whether two recordings are of one ride. The time that they share tells it; where one has only a day, day and distance
 * alone make it possible, and somebody has to say. Two of the same day by hand may well be there and back again.
 */
export function isSameRide(a: Recording, b: Recording): 'yes' | 'maybe' | 'no' {
  const [first, second] = [spanOf(a), spanOf(b)]
  if (first && second) {
    const shared = Math.min(first[1], second[1]) - Math.max(first[0], second[0])
    return shared >= SHARED * Math.min(first[1] - first[0], second[1] - second[0]) ? 'yes' : 'no'
  }
  if (a.source === undefined && b.source === undefined) return 'no'
  return a.at.slice(0, 10) === b.at.slice(0, 10) && sameKm(a, b) ? 'maybe' : 'no'
}

/** How much a recording tells: power above cadence above the device's distance above a track above a bare figure. */
export function richness(ride: Recording): number {
  return (
    (ride.recorded?.includes('power') ? 8 : 0) +
    (ride.recorded?.includes('cadence') ? 4 : 0) +
    (ride.gears ? 2 : 0) +
    (ride.trackKm !== undefined ? 2 : 0) +
    (spanOf(ride) ? 1 : 0)
  )
}

/** A ride that another may be the recording of. */
export interface Likeness<R> {
  readonly held: R
  readonly likeness: 'yes' | 'maybe'
}

/**
 * Looks up which rides of a log a recording may be: those that begin within a day of it. One that is surely the same comes
 * before one that may be.
 * @param isFree whether a ride that only may be the same is still to be had: each stands for one recording of a file
 */
export function rideFinder<R extends Recording & { readonly id: EntryId }>(
  rides: readonly R[],
): (ride: Recording, isFree: (held: R) => boolean) => Likeness<R> | undefined {
  const sorted = [...rides].sort((a, b) => (a.at < b.at ? -1 : 1))
  const DAY_MS = 86_400_000
  return (ride, isFree) => {
    const from = new Date(Date.parse(ride.at) - DAY_MS).toISOString()
    const to = new Date(Date.parse(ride.at) + DAY_MS).toISOString()
    let maybe: R | undefined
    for (let i = firstAtOrAfter(sorted, from); i < sorted.length; i++) {
      const held = sorted[i]
      if (!held || held.at > to) break
      const likeness = isSameRide(held, ride)
      if (likeness === 'yes') return { held, likeness }
      if (likeness === 'maybe' && !maybe && isFree(held)) maybe = held
    }
    return maybe && { held: maybe, likeness: 'maybe' }
  }
}

/** Every recording that a ride in the log stands for: its own and those that gave way to it. */
export const sourcesOf = (ride: Pick<RideEntry, 'source' | 'otherSources'>): readonly RideSource[] => [
  ...(ride.source ? [ride.source] : []),
  ...(ride.otherSources ?? []),
]
