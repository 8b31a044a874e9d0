import { PITCH_MM } from '../units/pitch.ts'
import type { Bias, Instrument, Reading } from './reading.ts'

/** Real differences between places on one chain, % (methods 2). */
export const PLACE_SD = 0.03
/** On a slack run a reading falls short by this much, and scatters by as much more, %. */
export const SLACK_SHIFT = 0.1

interface InstrumentRow {
  readonly bias: Bias
  /** Reading noise: a fixed %, or mm over the span that was read. */
  readonly noise: { readonly percent: number } | { readonly mm: number }
}

/**
 * The instrument table of methods 2, and below it two hints with a small weight of our own guessing: their noise is
 * so wide that one moves a flat belief by about as much as a gauge read through a glove.
 */
export const INSTRUMENTS: Readonly<Record<Instrument, InstrumentRow>> = {
  rule: { bias: { b: 0, sb: 0.03 }, noise: { mm: 0.4 } },
  strip: { bias: { b: 0, sb: 0.02 }, noise: { mm: 0.15 } },
  'caliper-pair': { bias: { b: 0, sb: 0.02 }, noise: { mm: 0.06 } },
  'two-contact-scale': {
    bias: { b: 0.1, sb: 0.06 },
    noise: { percent: 0.08 },
  },
  'two-contact-limit': {
    bias: { b: 0.1, sb: 0.06 },
    noise: { percent: 0.08 },
  },
  'three-contact-scale': {
    bias: { b: 0, sb: 0.02 },
    noise: { percent: 0.05 },
  },
  'three-contact-limit': {
    bias: { b: 0, sb: 0.02 },
    noise: { percent: 0.05 },
  },
  'ring-lift': { bias: { b: 0, sb: 0.15 }, noise: { percent: 0.35 } },
  'side-play': { bias: { b: 0, sb: 0.2 }, noise: { percent: 0.5 } },
}

/** The noise of one reading with an instrument in general, %. */
function noiseOf(reading: Reading): number {
  const { noise } = INSTRUMENTS[reading.instrument]
  return 'percent' in noise
    ? noise.percent
    : (100 * noise.mm) / (('pitches' in reading ? reading.pitches : 1) * PITCH_MM)
}

/**
 * Standard deviation of one reading's noise, %: the instrument's own, a slack run's, and the differences between
 * places, in quadrature.
 * @param own the noise of one reading as this rider takes it, %; absent: the instrument's in general
 */
export function readingSd(reading: Reading, own = noiseOf(reading)): number {
  return Math.hypot(own, PLACE_SD, reading.slack ? SLACK_SHIFT : 0)
}
