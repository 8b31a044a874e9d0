const SQRT_2PI = Math.sqrt(2 * Math.PI)

/** Density of the standard normal distribution. */
export const normalDensity = (z: number): number => Math.exp(-0.5 * z * z) / SQRT_2PI

/**
 * Complementary error function by a Chebyshev fit of its logarithm (W. H. Press et al., Numerical Recipes,
 * `erfcc`), for x of 0 or more; fractional error below 1.2e-7 everywhere, which keeps small tails right.
 */
function erfcPositive(x: number): number {
  const t = 2 / (2 + x)
  const u =
    -x * x -
    1.26551223 +
    t *
      (1.00002368 +
        t *
          (0.37409196 +
            t *
              (0.09678418 +
                t *
                  (-0.18628806 +
                    t *
                      (0.27886807 +
                        t * (-1.13520398 + t * (1.48851587 + t * (-0.82215223 + t * 0.17087277))))))))
  return t * Math.exp(u)
}

/**
 * Standard normal distribution function.
 * @example normalCdf(1.6448536) // 0.95
 */
export function normalCdf(z: number): number {
  const tail = 0.5 * erfcPositive(Math.abs(z) / Math.SQRT2)
  return z > 0 ? 1 - tail : tail
}
