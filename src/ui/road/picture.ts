import { type MileStrip, type StripChain, type StripLane } from '../../core/strategy/mile-strip.ts'
import type { ChainNow, WearAnswer } from '../../core/wear/outlook.ts'
import type { Planned } from '../charts/planned.ts'
import type { Peg } from '../charts/pegs.ts'

/** A chain on the strip with what the model says of it, and its readings as pegs. */
export interface CurvedChain {
  readonly strip: StripChain
  readonly answer: ChainNow | undefined
  readonly pegs: readonly Peg[]
}

/** All that a drawing depends on. */
export interface StripPicture {
  readonly strip: MileStrip
  readonly chains: readonly CurvedChain[]
  readonly limit: number
  /** The fan ahead: the chain now on, and what is said where it meets the limit. */
  readonly ahead?: {
    readonly answer: WearAnswer
    readonly said: string
    /** Events, km from today. */
    readonly events: readonly Planned[]
  }
  /** A distance in the units chosen, and the ruler's name. */
  readonly perUnit: number
  readonly unit: string
  readonly sayLane: (lane: StripLane, span: number) => string
}
