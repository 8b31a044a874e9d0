/** Longer than this between two samples nothing is known of what went on, s. A device that writes when something changes may be silent for less. */
export const MOST_STEP_S = 30

/** A sample at a moment, s, rising. */
interface Timed {
  readonly t: number
}

/** The step from a sample to the next, s; 0 where there is none, or it is too long to know anything of. */
export function stepAfter(samples: readonly Timed[], i: number): number {
  const step = (samples[i + 1]?.t ?? NaN) - (samples[i]?.t ?? NaN)
  return step > 0 && step <= MOST_STEP_S ? step : 0
}

/**
 * The time that each sample stands for, s: half of the steps on either side. At either end of a stretch the one step
 * counts whole, so that a ride written every second counts its samples; a sample by itself stands for a second.
 */
export function secondsEach(samples: readonly Timed[]): Float64Array {
  return Float64Array.from(samples, (_, i) => {
    const [before, after] = [i > 0 ? stepAfter(samples, i - 1) : 0, stepAfter(samples, i)]
    if (before === 0 && after === 0) return 1
    return ((before || after) + (after || before)) / 2
  })
}

/** First and last sample of the stretch without a long gap that each sample lies in. */
export function stretchEnds(samples: readonly Timed[]): {
  readonly first: Int32Array
  readonly last: Int32Array
} {
  const first = new Int32Array(samples.length)
  const last = new Int32Array(samples.length)
  for (let i = 0; i < samples.length; i++)
    first[i] = i > 0 && stepAfter(samples, i - 1) > 0 ? (first[i - 1] ?? 0) : i
  for (let i = samples.length - 1; i >= 0; i--) last[i] = stepAfter(samples, i) > 0 ? (last[i + 1] ?? i) : i
  return { first, last }
}

/**
 * Looks up a value between samples, in straight lines. Asked for in nearly rising order it takes no search.
 * @param values one for each sample
 */
export function between(samples: readonly Timed[], values: ArrayLike<number>): (t: number) => number {
  let at = 0
  return (t) => {
    while (at > 0 && (samples[at]?.t ?? 0) > t) at--
    while (at + 2 < samples.length && (samples[at + 1]?.t ?? 0) <= t) at++
    const [from, to] = [samples[at]?.t ?? 0, samples[at + 1]?.t ?? 0]
    const [a, b] = [values[at] ?? 0, values[at + 1] ?? values[at] ?? 0]
    return to > from ? a + (b - a) * Math.max(0, Math.min(1, (t - from) / (to - from))) : a
  }
}
