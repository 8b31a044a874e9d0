import { firstIndex } from './first-index.ts'

/** Values with weights that sum to 1, sorted by value. */
export interface Weighted {
  readonly values: Float64Array
  /** Sum of the weights up to and including half of each value's own. */
  readonly midpoints: Float64Array
}

/** Sorts a weighted sample once, so that many quantiles can be read off it. */
export function weighted(values: ArrayLike<number>, weights: ArrayLike<number>): Weighted {
  const order = new Uint32Array(values.length)
  let total = 0
  for (let i = 0; i < values.length; i++) {
    order[i] = i
    total += weights[i] ?? 0
  }
  order.sort((a, b) => (values[a] ?? 0) - (values[b] ?? 0))
  const sorted = new Float64Array(order.length)
  const midpoints = new Float64Array(order.length)
  let sum = 0
  order.forEach((index, i) => {
    const share = (weights[index] ?? 0) / total
    sorted[i] = values[index] ?? 0
    midpoints[i] = sum + share / 2
    sum += share
  })
  return { values: sorted, midpoints }
}

/**
 * Quantile of a weighted sample, interpolated between the midpoints of neighbouring weights.
 * @param p 0 to 1
 */
export function quantile({ values, midpoints }: Weighted, p: number): number {
  const last = values.length - 1
  if (p <= (midpoints[0] ?? 0)) return values[0] ?? NaN
  if (p >= (midpoints[last] ?? 1)) return values[last] ?? NaN
  const high = firstIndex(values.length, (i) => (midpoints[i] ?? 1) > p)
  const low = high - 1
  const [a, b] = [midpoints[low] ?? 0, midpoints[high] ?? 1]
  const t = b > a ? (p - a) / (b - a) : 0
  return (values[low] ?? 0) * (1 - t) + (values[high] ?? 0) * t
}
