import type { RoadPiece } from '../exposure/roads.ts'
import type { AheadQuestion } from './ahead.ts'
import type { RiderChain } from './rider-model.ts'

/** A place on a chain's way here at which to draw its wear. */
export interface DrawnPlace {
  /** Wear-km from new, at the default multipliers. */
  readonly wearKm: number
  readonly road: readonly RoadPiece[]
}

/** One look at a chain among its readings: the number of its first, and how many they are. */
export interface LookPlace {
  readonly first: number
  readonly size: number
}

/** A chain and what is asked of it. Plain data: it goes to a worker, and its text is the key of a cache. */
export interface AskedChain extends RiderChain {
  /** How many of its readings, the last, are of the last look. */
  readonly lookSize: number
  /** The looks that are asked about where they are odd, the last first. */
  readonly examined: readonly LookPlace[]
  readonly links: number
  /** All it has been through. */
  readonly now: readonly RoadPiece[]
  readonly limit: number
  readonly drawAt: readonly DrawnPlace[]
  /** Nobody can measure it any more. */
  readonly retired?: true
  /** Riding to come; absent for a chain that is not on a bike. */
  readonly ahead?: AheadQuestion
}
