/**
 * Places of some weights, each as often as it has weight, evenly spaced along their sum (systematic resampling, Kitagawa 1996).
 * @param weights 0 or more; where all are 0 no place comes out
 * @param count so many places come out, in their order
 * @param start where in the first stretch the first place is taken, 0 to 1: drawn, or 0.5 for the same each time
 */
export function evenlySpaced(weights: ArrayLike<number>, count: number, start: number): Int32Array {
  let total = 0
  for (let i = 0; i < weights.length; i++) total += weights[i] ?? 0
  const picked = new Int32Array(count)
  let [sum, next, at] = [0, start, 0]
  for (let i = 0; i < weights.length; i++) {
    sum += weights[i] ?? 0
    for (; at < count && (next * total) / count < sum; next++) picked[at++] = i
  }
  return at < count ? picked.slice(0, at) : picked
}
