import type { RoadPiece } from '../exposure/roads.ts'
import type { PartId } from '../log/entry.ts'
import type { SprocketMaterial } from '../log/kinds/part.ts'
import type { KeptDraws } from '../wear/kept-draws.ts'
import type { ToothEvidence } from './evidence.ts'

/** A cog of a cassette, or a ring. */
export interface AskedSprocket {
  readonly teeth: number
  readonly material: SprocketMaterial
}

/** A stretch of road that a set of sprockets bore under one chain. */
export interface SetStretch {
  readonly chain: PartId
  /** The chain's road before it; absent where the chain goes on from the stretch before. */
  readonly gone?: readonly RoadPiece[]
  readonly road: readonly RoadPiece[]
  /** How much more than an even one of its set each sprocket bore: `u_j zbar / z_j`. */
  readonly loads: readonly number[]
}

/** What was found out on a ride: the chain's elongation is known only as draws. */
type RideFound = Omit<Extract<ToothEvidence, { readonly kind: 'ride' }>, 'chain'>

/** What was found out about a sprocket, and when. */
export interface PlacedEvidence {
  /** Its number in the set. */
  readonly sprocket: number
  /** So many stretches lay behind it. */
  readonly after: number
  readonly found: Exclude<ToothEvidence, { readonly kind: 'ride' }> | RideFound
  /** Nobody noted it: hard kilometres without a skip. */
  readonly isSilent?: true
}

/** A cassette, or one ring: sprockets with one history. */
export interface AskedSet {
  readonly part: PartId
  readonly role: 'cog' | 'ring'
  /** It came used, nobody knows how much. */
  readonly past: 'new' | 'unknown'
  readonly sprockets: readonly AskedSprocket[]
  /** In order of time. */
  readonly stretches: readonly SetStretch[]
  readonly evidence: readonly PlacedEvidence[]
}

/** Everything that is asked of a rider's teeth. Plain data. */
export interface TeethAsk {
  /** The question's name: bytes are not written out to tell one question from another. */
  readonly named: string
  /** What is known of the rider and the chains, draw by draw. */
  readonly draws: KeptDraws
  readonly sets: readonly AskedSet[]
  readonly seed: number
}
