import { PITCH_MM } from '../units/pitch.ts'

/** How long a chain must be. */
export interface ChainLength {
  /** Links round ring and cog by the formula, with a fraction. */
  readonly exact: number
  /** To be cut to: whole, and even. */
  readonly links: number
}

/** A derailleur's chain has so many links more than goes round the largest ring and cog. */
const FOR_THE_CAGE = 2

/**
 * Links for a ring and a cog (methods 10): `N = 2C/p + (z1 + z2)/2 + p (z2 - z1)^2 / (4 pi^2 C)`; with a derailleur, on the largest
 * of both, 2 more; up to an even number.
 * @param chainstayMm between the two axles, mm, over 0
 * @throws RangeError outside these ranges
 */
export function chainLength(
  chainstayMm: number,
  ring: number,
  cog: number,
  hasDerailleur: boolean,
): ChainLength {
  if (!(chainstayMm > 0) || !Number.isFinite(chainstayMm))
    throw new RangeError('The distance between the axles must be over 0 mm.')
  if (!(ring > 0) || !(cog > 0)) throw new RangeError('A ring or cog has at least one tooth.')
  const exact =
    (2 * chainstayMm) / PITCH_MM +
    (ring + cog) / 2 +
    (PITCH_MM * (ring - cog) ** 2) / (4 * Math.PI ** 2 * chainstayMm)
  const needed = exact + (hasDerailleur ? FOR_THE_CAGE : 0)
  // A hair over an even number, from rounding alone, is that number.
  return { exact, links: 2 * Math.ceil(needed / 2 - 1e-9) }
}
