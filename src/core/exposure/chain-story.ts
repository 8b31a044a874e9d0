import type { IsoTime, PartId } from '../log/entry.ts'
import type { Fitting, Garage, Ride } from '../log/garage.ts'
import { afterRide, afterWash, type LubeState } from '../lube/state.ts'
import { CONDITION_MULTIPLIER } from './conditions.ts'
import { firstAtOrAfter, ridesDuring } from './distance.ts'
import { gathered, type RoadPiece } from './roads.ts'
import { bikeEnergy, tellsEnergy } from './ride-energy.ts'
import { agedLubeMultiplier, lubeMultiplier } from './wear-km.ts'

/** One ride as the chain felt it. */
export interface ChainRide {
  readonly at: IsoTime
  readonly ride: Ride
  readonly wearKm: number
  /** The ride as a piece of road: its energy and the age of the lubricant count as distance. */
  readonly piece: RoadPiece
}

/** Distance gathered up to a moment. */
export interface Gathered {
  readonly km: number
  readonly wearKm: number
  /** The part of the wear-distance that rests on rides whose condition is not set. */
  readonly unsureWearKm: number
}

/** All that a chain has been through, in order of time. */
export interface ChainStory extends Gathered {
  readonly rides: readonly ChainRide[]
  /** What is on it now. */
  readonly lube: LubeState
  /** Distance and wear-distance gathered before a moment. */
  readonly at: (time: IsoTime) => Gathered
}

/**
 * A chain's distance and wear-distance through its whole life, over every bike it was on (methods 3): each ride's
 * km times surface and wetness, times what was on the chain by then, times the ride's energy.
 */
export function chainStory(garage: Garage, chain: PartId): ChainStory {
  const ridden = (garage.parts.get(chain)?.fittings ?? []).flatMap(({ bike, from, to }) => {
    const state = garage.bikes.get(bike)
    if (!state) return []
    const energy = bikeEnergy(state)
    return ridesDuring(state.rides, from, to).map((ride) => ({ ride, energy }))
  })
  const washes = garage.washes.get(chain) ?? []
  const rides: ChainRide[] = []
  const sumKm = [0]
  const sumWear = [0]
  const sumUnsure = [0]
  let lube: LubeState = { used: 0 }
  let nextWash = 0
  for (const { ride, energy } of ridden) {
    for (; (washes[nextWash]?.at ?? '~') <= ride.at; nextWash++) {
      const wash = washes[nextWash]
      if (wash) lube = afterWash(lube, wash)
    }
    const wear =
      ride.km *
      CONDITION_MULTIPLIER[ride.condition] *
      agedLubeMultiplier(lube.lube, ride.condition, lube.used) *
      energy.factorOf(ride)
    const piece: RoadPiece = {
      km: wear / (CONDITION_MULTIPLIER[ride.condition] * lubeMultiplier(lube.lube, ride.condition)),
      condition: ride.condition,
      ...(lube.lube !== undefined && { lube: lube.lube }),
      ...(ride.unsure && { notSet: true }),
      ...(energy.isMixed && !tellsEnergy(ride) && { energyUnknown: true }),
    }
    rides.push({ at: ride.at, ride, wearKm: wear, piece })
    sumKm.push((sumKm.at(-1) ?? 0) + ride.km)
    sumWear.push((sumWear.at(-1) ?? 0) + wear)
    sumUnsure.push((sumUnsure.at(-1) ?? 0) + (ride.unsure ? wear : 0))
    lube = afterRide(lube, ride)
  }
  for (const wash of washes.slice(nextWash)) lube = afterWash(lube, wash)
  return {
    rides,
    km: sumKm.at(-1) ?? 0,
    wearKm: sumWear.at(-1) ?? 0,
    unsureWearKm: sumUnsure.at(-1) ?? 0,
    lube,
    at: (time) => {
      const i = firstAtOrAfter(rides, time)
      return { km: sumKm[i] ?? 0, wearKm: sumWear[i] ?? 0, unsureWearKm: sumUnsure[i] ?? 0 }
    },
  }
}

/**
 * All that a chain had been through at each of some moments, by kind of road.
 * @param times in any order
 */
export function roadsAt({ rides }: ChainStory, times: readonly IsoTime[]): readonly (readonly RoadPiece[])[] {
  const ends = times.map((time) => firstAtOrAfter(rides, time))
  const found = new Map<number, readonly RoadPiece[]>()
  let [road, from] = [[] as readonly RoadPiece[], 0]
  for (const end of [...new Set(ends)].sort((a, b) => a - b)) {
    road = gathered([...road, ...rides.slice(from, end).map(({ piece }) => piece)])
    from = end
    found.set(end, road)
  }
  return ends.map((end) => found.get(end) ?? [])
}

/** A wear-distance of a chain's way as distance, by its own story. */
export function kmAtWear({ rides }: ChainStory, wearKm: number): number {
  let km = 0
  let sum = 0
  for (const ride of rides) {
    if (sum + ride.wearKm >= wearKm)
      return km + (ride.wearKm > 0 ? (ride.ride.km * (wearKm - sum)) / ride.wearKm : 0)
    km += ride.ride.km
    sum += ride.wearKm
  }
  return km
}

const DRAWN_POINTS = 24

/** A moment of a chain's life and what it had gathered by then. */
export interface StoryMark extends Gathered {
  readonly at: IsoTime
}

/**
 * Moments at which a chain's way is drawn: where each of its fittings begins and ends, and some two dozen of its
 * rides between, evenly. In order of time, the last one being its end or now.
 */
export function drawnMarks(story: ChainStory, fittings: readonly Fitting[]): readonly StoryMark[] {
  const { rides } = story
  const step = Math.max(1, rides.length / DRAWN_POINTS)
  const between = Array.from(
    { length: Math.min(rides.length, DRAWN_POINTS) },
    (_, i) => rides[Math.floor(i * step)]?.at,
  )
  const ends = fittings.flatMap(({ from, to }) => [from, to])
  const times = [...new Set([...between, ...ends])].filter((at) => at !== undefined).sort()
  const marks = times.map((at) => ({ at, ...story.at(at) }))
  const { km, wearKm, unsureWearKm } = story
  const open = fittings.at(-1)?.to === undefined
  return open ? [...marks, { at: rides.at(-1)?.at ?? times.at(-1) ?? '', km, wearKm, unsureWearKm }] : marks
}
