/** Instruments whose reading is a length over a number of pitches. */
export type LengthInstrument = 'rule' | 'strip'
export type ScaleInstrument = 'two-contact-scale' | 'three-contact-scale'
export type LimitInstrument = 'two-contact-limit' | 'three-contact-limit'
export type Instrument = LengthInstrument | 'caliper-pair' | ScaleInstrument | LimitInstrument

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
export type Reading = LengthReading | CaliperReading | ScaleReading | LimitReading
