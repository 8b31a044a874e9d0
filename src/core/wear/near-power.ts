/** Beyond this the series is left and the engine's own functions answer. */
const MOST_LOG_SQUARE = 0.04
const MOST_EXP = 0.5

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
    const series = 1 + t * (1 / 3 + t * (1 / 5 + t * (1 / 7 + t * (1 / 9 + t * (1 / 11 + t / 13)))))
    return (logs[place] as number) + 2 * s * series
  }
}

/**
 * The exponential function of small values, by ten terms of its series: right to 2 parts in 10^11 within -0.5..0.5,
 * beyond which the engine's own answers.
 */
export function expNearZero(u: number): number {
  if (!(u > -MOST_EXP && u < MOST_EXP)) return Math.exp(u)
  const high = 1 / 5040 + u * (1 / 40320 + u * (1 / 362880 + u / 3628800))
  const middle = 1 / 24 + u * (1 / 120 + u * (1 / 720 + u * high))
  return 1 + u * (1 + u * (1 / 2 + u * (1 / 6 + u * middle)))
}
