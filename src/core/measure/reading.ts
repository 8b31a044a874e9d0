/** A bias shared by all readings of one tool: normal with mean `b` and spread `sb`, in % elongation. */
export interface Bias {
  readonly b: number
  readonly sb: number
}

/** Instruments whose reading is a length over a number of pitches. */
export type LengthInstrument = 'rule' | 'strip'
export type ScaleInstrument = 'two-contact-scale' | 'three-contact-scale'
export type LimitInstrument = 'two-contact-limit' | 'three-contact-limit'
/** Quick looks that hint at wear and never decide by themselves. */
export type HintInstrument = 'ring-lift' | 'side-play'
export type Instrument =
  LengthInstrument | 'caliper-pair' | ScaleInstrument | LimitInstrument | HintInstrument

/**
 * What a limit side did: `clear`, the tip does not enter; `starts`, it enters but does not seat; `drops`, it
 * seats; `not-in`, all that was noted is that it did not seat.
 */
export const LIMIT_RESULTS = ['clear', 'starts', 'drops', 'not-in'] as const
export type LimitResult = (typeof LIMIT_RESULTS)[number]

interface ReadingBase {
  /** Taken with the chain hanging loose. */
  readonly slack?: boolean
}
export interface LengthReading extends ReadingBase {
  readonly instrument: LengthInstrument
  readonly pitches: number
  readonly lengthMm: number
}
export interface CaliperReading extends ReadingBase {
  readonly instrument: 'caliper-pair'
  readonly pitches: number
  readonly insideMm: number
  readonly outsideMm: number
}
export interface ScaleReading extends ReadingBase {
  readonly instrument: ScaleInstrument
  /** Elongation read off the scale, %. */
  readonly percent: number
}
export interface LimitReading extends ReadingBase {
  readonly instrument: LimitInstrument
  /** The side's mark, %. */
  readonly limit: number
  readonly result: LimitResult
}
/** How far the chain lifts off the front of the ring: not at all, light shows, half a tooth. */
export const LIFT_RESULTS = ['none', 'light', 'half-tooth'] as const
/** How far the chain bends sideways. */
export const PLAY_RESULTS = ['little', 'some', 'much'] as const
export interface LiftReading extends ReadingBase {
  readonly instrument: 'ring-lift'
  readonly result: (typeof LIFT_RESULTS)[number]
}
export interface PlayReading extends ReadingBase {
  readonly instrument: 'side-play'
  readonly result: (typeof PLAY_RESULTS)[number]
}
export type Reading = LengthReading | CaliperReading | ScaleReading | LimitReading | LiftReading | PlayReading

/** A reading with the tool that gave it. */
export interface TakenReading {
  readonly reading: Reading
  /** Which tool: readings of one tool share its bias. Absent: the one there is of its instrument. */
  readonly tool?: string
  /** What is known of that tool's bias; absent: what is known of its instrument in general. */
  readonly bias?: Bias
  /** The noise of one reading as its rider takes it, %, as lessons measured it; absent: the instrument's in general. */
  readonly noise?: number
  /** Its rider was asked about it and said that it is right: it is no slip. */
  readonly isSure?: true
}
