/** Beyond this the series is left and the engine's own functions answer. */
const MOST_LOG_SQUARE = 0.04
const MOST_EXP = 0.5

const [A3, A5, A7, A9, A11, A13] = [1 / 3, 1 / 5, 1 / 7, 1 / 9, 1 / 11, 1 / 13]
const [E2, E3, E4, E5, E6] = [1 / 2, 1 / 6, 1 / 24, 1 / 120, 1 / 720]
const [E7, E8, E9, E10] = [1 / 5040, 1 / 40320, 1 / 362880, 1 / 3628800]

/**
 * Logarithms of values that move only a little from one call to the next, kept by place: a sampler's steps are
 * small, and the engine's own logarithm costs it several times as much. `log x = log c + 2 artanh((x - c)/(x + c))`
 * with the last exact value c and seven terms (Abramowitz & Stegun 4.1.27): right to 4 parts in 10^12.
 * @param count number of places
 * @returns the natural logarithm of a value over 0, by its place
 */
export function nearLogs(count: number): (x: number, place: number) => number {
  const centres = new Float64Array(count).fill(1)
  const logs = new Float64Array(count)
  return (x, place) => {
    const centre = centres[place] as number
    const s = (x - centre) / (x + centre)
    const t = s * s
    // Written so that what is no number takes this way too.
    if (!(t <= MOST_LOG_SQUARE)) {
      const log = Math.log(x)
      centres[place] = x
      logs[place] = log
      return log
    }
    const square = t * t
    // In pairs, as Estrin sums a polynomial: none waits for all the others.
    const last = A9 + A11 * t + square * A13
    const series = 1 + A3 * t + square * (A5 + A7 * t + square * last)
    return (logs[place] as number) + 2 * s * series
  }
}

/**
 * The exponential function of small values, by ten terms of its series: right to 2 parts in 10^11 within -0.5..0.5,
 * beyond which the engine's own answers.
 */
export function expNearZero(u: number): number {
  if (!(u > -MOST_EXP && u < MOST_EXP)) return Math.exp(u)
  const square = u * u
  const fourth = square * square
  const high = E8 + E9 * u + E10 * square
  return 1 + u + square * (E2 + E3 * u) + fourth * (E4 + E5 * u + square * (E6 + E7 * u) + fourth * high)
}
