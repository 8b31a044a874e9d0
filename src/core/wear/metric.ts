/**
 * How coordinates spread and correlate, as a matrix W with W Wᵀ their covariance: a sampler steps along W times its
 * momentum, and the momentum takes up Wᵀ times the slope.
 */
export interface Metric {
  /** Adds so many times Wᵀ slope to the momentum. */
  readonly kick: (momentum: Float64Array, slope: Float64Array, by: number) => void
  /** Adds so many times W momentum to the place. */
  readonly drift: (place: Float64Array, momentum: Float64Array, by: number) => void
  /** Fills `to` with W⁻¹ times a step from the middle: coordinates as a unit normal would have them. */
  readonly flatten: (to: Float64Array, step: Float64Array) => void
  /** Logarithm of W's determinant. */
  readonly logVolume: number
}

/** Every coordinate by itself, each with its own spread. */
export function spreadMetric(spreads: Float64Array): Metric {
  const along = (to: Float64Array, from: Float64Array, by: number): void => {
    for (let i = 0; i < spreads.length; i++)
      to[i] = (to[i] as number) + by * (spreads[i] as number) * (from[i] as number)
  }
  return {
    kick: along,
    drift: along,
    flatten: (to, step) => {
      for (let i = 0; i < spreads.length; i++) to[i] = (step[i] as number) / (spreads[i] as number)
    },
    logVolume: spreads.reduce((sum, spread) => sum + Math.log(spread), 0),
  }
}

/** The mean of draws. */
export function meanDraw(draws: readonly Float64Array[]): Float64Array {
  const mean = new Float64Array(draws[0]?.length ?? 0)
  for (const z of draws) for (let i = 0; i < mean.length; i++) mean[i] = (mean[i] ?? 0) + (z[i] ?? 0)
  return mean.map((sum) => sum / draws.length)
}
