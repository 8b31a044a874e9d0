/** A distribution as draws, or as points with weights that sum to 1. */
export interface Told {
  readonly values: ArrayLike<number>
  readonly weights?: ArrayLike<number>
}

function sortedPoints({ values, weights }: Told): { readonly value: number; readonly weight: number }[] {
  return Array.from({ length: values.length }, (_, i) => ({
    value: values[i] ?? 0,
    weight: weights ? (weights[i] ?? 0) : 1 / values.length,
  })).sort((a, b) => a.value - b.value)
}

/** Quantiles of a distribution at some shares, each from 0 to 1. */
export function quantiles(told: Told, shares: readonly number[]): number[] {
  const points = sortedPoints(told)
  return shares.map((share) => {
    let sum = 0
    for (const { value, weight } of points) {
      sum += weight
      if (sum >= share) return value
    }
    return points.at(-1)?.value ?? NaN
  })
}

/**
 * Continuous ranked probability score: the area between the distribution's steps and the truth's one step, in the
 * unit of the values; for a single value its distance from the truth. Lower is better (Gneiting & Raftery 2007).
 */
export function crps(told: Told, truth: number): number {
  const points = sortedPoints(told)
  let [below, area] = [0, 0]
  points.forEach(({ value, weight }, i) => {
    below += weight
    const next = points[i + 1]?.value
    if (next === undefined) return
    // Between two points the distribution stands at `below`; the truth's step may fall between them.
    const before = Math.max(0, Math.min(next, truth) - value)
    const after = Math.max(0, next - Math.max(value, truth))
    area += below * below * before + (1 - below) ** 2 * after
  })
  const first = points[0]?.value ?? truth
  const last = points.at(-1)?.value ?? truth
  return area + Math.max(0, first - truth) + Math.max(0, truth - last)
}

/**
 * Where a truth lies in a distribution, 0 to 1: the probability below it, and an even share of the probability at it,
 * for a truth of exactly 0 where many draws are 0 too. Over many truths it is even between 0 and 1 where the
 * distributions are calibrated.
 * @param share which part of the probability at the truth counts as below it, drawn evenly from 0 to 1
 */
export function placeIn({ values, weights }: Told, truth: number, share: number): number {
  let [below, at, total] = [0, 0, 0]
  for (let i = 0; i < values.length; i++) {
    const weight = weights ? (weights[i] ?? 0) : 1
    const value = values[i] ?? 0
    total += weight
    if (value < truth) below += weight
    else if (value === truth) at += weight
  }
  return (below + share * at) / total
}
