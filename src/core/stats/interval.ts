/** The 10th, 50th and 90th percentile: an 80 % interval about a median. */
export interface Interval {
  readonly p10: number
  readonly p50: number
  readonly p90: number
}

/**
 * Quantile of sorted values, in a straight line between neighbours.
 * @param share 0 to 1
 * @returns NaN where there are no values
 */
export function quantileOf(sorted: Float64Array, share: number): number {
  const place = share * (sorted.length - 1)
  const low = Math.floor(place)
  const a = sorted[low] ?? NaN
  return a + (place - low) * ((sorted[low + 1] ?? a) - a)
}

/** Median and 80 % interval of draws. */
export function intervalOf(draws: Float64Array): Interval {
  const sorted = Float64Array.from(draws).sort()
  return { p10: quantileOf(sorted, 0.1), p50: quantileOf(sorted, 0.5), p90: quantileOf(sorted, 0.9) }
}

/** Share of draws that are at or over a value. */
export function shareFrom(draws: Float64Array, value: number): number {
  let count = 0
  for (const draw of draws) if (draw >= value) count++
  return count / draws.length
}
