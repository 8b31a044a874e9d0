/** The values of one quantity along each chain of a sampler. */
export type Traces = readonly (readonly number[] | Float64Array)[]

const meanOf = (values: ArrayLike<number>): number => {
  let sum = 0
  for (let i = 0; i < values.length; i++) sum += values[i] ?? 0
  return sum / values.length
}
function varianceOf(values: ArrayLike<number>): number {
  const mean = meanOf(values)
  let sum = 0
  for (let i = 0; i < values.length; i++) sum += ((values[i] ?? 0) - mean) ** 2
  return sum / (values.length - 1)
}

/** Each chain in two halves, so that a chain that drifts disagrees with itself. */
const halves = (traces: Traces): Float64Array[] =>
  traces.flatMap((trace) => {
    const half = Math.floor(trace.length / 2)
    return [Float64Array.from(trace.slice(0, half)), Float64Array.from(trace.slice(trace.length - half))]
  })

/** Variance between and within chains, as Gelman et al. (Bayesian Data Analysis, 3rd ed., 11.4) combine them. */
function variances(parts: readonly Float64Array[]): { readonly within: number; readonly pooled: number } {
  const length = parts[0]?.length ?? 0
  const within = meanOf(parts.map(varianceOf))
  const between = varianceOf(parts.map(meanOf))
  return { within, pooled: ((length - 1) / length) * within + between }
}

/**
 * Split R-hat: how much the chains of a sampler still disagree. 1 where they agree; below 1.02 is good enough. A
 * quantity that never changes gives 1.
 */
export function rHat(traces: Traces): number {
  const { within, pooled } = variances(halves(traces))
  return within > 0 ? Math.sqrt(pooled / within) : 1
}

/** Correlation of a chain with itself so many steps later, over its own mean. */
function autocovariance(values: Float64Array, lag: number): number {
  const mean = meanOf(values)
  let sum = 0
  for (let i = 0; i + lag < values.length; i++)
    sum += ((values[i] ?? 0) - mean) * ((values[i + lag] ?? 0) - mean)
  return sum / values.length
}

/**
 * Effective sample size: so many independent draws would tell as much. Autocorrelations are summed in pairs until a
 * pair is no longer positive (Geyer's initial positive sequence; Bayesian Data Analysis, 3rd ed., 11.5).
 */
export function effectiveSize(traces: Traces): number {
  const parts = halves(traces)
  const length = parts[0]?.length ?? 0
  const total = length * parts.length
  const { within, pooled } = variances(parts)
  if (!(pooled > 0)) return total
  const correlation = (lag: number): number =>
    1 - (within - meanOf(parts.map((part) => (autocovariance(part, lag) * length) / (length - 1)))) / pooled
  let sum = 0
  for (let lag = 1; lag + 1 < length; lag += 2) {
    const pair = correlation(lag) + correlation(lag + 1)
    if (pair <= 0) break
    sum += pair
  }
  return Math.min(total, total / (1 + 2 * sum))
}
