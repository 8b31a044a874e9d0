/** Where wear quickens, about, %: the hard surface of pins and bushes is then worn through. A guess, as is its spread. */
export const LATE_FROM = 0.45
export const LATE_FROM_SD = 0.05
/**
 * How much faster a chain wears from there on, as a share of its rate: with most riders next to nothing, with a few in a
 * thousand as much again. Log-normal: this in the median, with this spread of its logarithm. A guess.
 */
const LATE_MORE = 0.02
const LATE_MORE_LOG_SD = 1.4
const MEAN_MORE = LATE_MORE * Math.exp(LATE_MORE_LOG_SD ** 2 / 2)

const lateMore = (z: number): number => LATE_MORE * Math.exp(LATE_MORE_LOG_SD * z)

/** So many times as fast, at its coordinate: 1 in the mean, so that nothing is forecast sooner or later for not being known. */
export const lateTimesAt = (z: number): number => 1 - MEAN_MORE + lateMore(z)

/** How fast {@link lateTimesAt} grows with the coordinate. */
export const lateTimesSlope = (z: number): number => LATE_MORE_LOG_SD * lateMore(z)

/** The bend is spread over about this much, %, so that the slope has no jump. */
export const BEND = 0.04

/**
 * How far a chain is past the bend, %, with a smooth way there: `(x + sqrt(x^2 + w^2)) / 2`, nearly 0 well before it and
 * nearly `x` well past it.
 * @param x over where the bend is, %
 */
export const pastBend = (x: number): number => (x + Math.sqrt(x * x + BEND * BEND)) / 2

/** The slope of {@link pastBend}. */
export const pastBendSlope = (x: number): number => 0.5 + (0.5 * x) / Math.sqrt(x * x + BEND * BEND)

/**
 * Elongation, %, with wear that is `times` as fast from a bend on.
 * @param plain what it would be without, %
 */
export const lateWear = (plain: number, times: number, from: number): number =>
  plain + (times - 1) * pastBend(plain - from)

/** What {@link lateWear} was made of: its inverse in closed form, a root of a quadratic. */
export function plainWear(elongation: number, times: number, from: number): number {
  const y = elongation - from
  return from + ((times + 1) * y - (times - 1) * Math.sqrt(y * y + times * BEND * BEND)) / (2 * times)
}
