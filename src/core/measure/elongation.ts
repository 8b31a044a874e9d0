import { PITCH_MM, ROLLER_MM } from '../units/pitch.ts'

function checkPitches(pitches: number): void {
  if (!Number.isInteger(pitches) || pitches < 1) throw new RangeError('Count at least one whole pitch.')
}

/**
 * Elongation, % of nominal pitch, from a length over a number of pitches (methods 1): `100 (L / (n p) - 1)`.
 * @param pitches whole, 1 or more
 * @param lengthMm between the same edge of two pins, over 0
 * @throws RangeError outside these ranges
 * @example elongationFromLength(24, 304.8) // 0
 */
export function elongationFromLength(pitches: number, lengthMm: number): number {
  checkPitches(pitches)
  if (!(lengthMm > 0)) throw new RangeError('A length must be over 0 mm.')
  return 100 * (lengthMm / (pitches * PITCH_MM) - 1)
}

/** The length, mm, that `pitches` pitches have at an elongation in %: the inverse of the above. */
export const lengthAtElongation = (pitches: number, elongation: number): number =>
  pitches * PITCH_MM * (1 + elongation / 100)

export interface CaliperResult {
  readonly elongation: number
  /** Roller play, mm. */
  readonly playMm: number
}

/**
 * Elongation and roller play from a caliper pair over the same rollers (methods 1): `L = (A + B) / 2`, in which
 * roller diameter and play cancel, and play `c = D + (A - B) / 2`.
 * @param insideMm between the inner faces of the two rollers pushed apart, mm
 * @param outsideMm over their outer faces pushed together, mm
 * @throws RangeError where a number is not over 0 or the inside is not less than the outside
 */
export function elongationFromCaliper(pitches: number, insideMm: number, outsideMm: number): CaliperResult {
  checkPitches(pitches)
  if (!(insideMm > 0) || !(outsideMm > 0)) throw new RangeError('A length must be over 0 mm.')
  if (insideMm >= outsideMm)
    throw new RangeError('The inside length must be less than the outside length: are the two swapped?')
  return {
    elongation: elongationFromLength(pitches, (insideMm + outsideMm) / 2),
    playMm: ROLLER_MM + (insideMm - outsideMm) / 2,
  }
}
