import { sumOf } from '../stats/mean.ts'
import { likelihoodByTool } from './instrument-likelihood.ts'
import type { Bias, Instrument, Reading, TakenReading } from './reading.ts'

/** The grid of elongation, % (methods 2). */
export const GRID_FROM = -0.05
export const GRID_TO = 1.6
const GRID_STEP = 0.0025
const GRID = Array.from(
  { length: Math.round((GRID_TO - GRID_FROM) / GRID_STEP) + 1 },
  (_, i) => GRID_FROM + i * GRID_STEP,
)

export interface Density {
  /** Elongation, %. Even steps. */
  readonly e: readonly number[]
  /** Probability density per %. Integrates to 1. */
  readonly density: readonly number[]
}

export interface Summary {
  readonly mean: number
  readonly p05: number
  readonly p95: number
  /** Probability of being at or past each limit; keys as {@link limitKey} writes them. */
  readonly pAbove: Readonly<Record<string, number>>
}

/** Either nothing known beforehand, a normal belief cut to the grid, or any density on the grid. */
export type Prior =
  { readonly mean: number; readonly sd: number } | { readonly logDensity: (e: number) => number }

export interface PosteriorOptions {
  readonly prior?: Prior
  /** Instruments zeroed on a new chain: their own measured bias in place of the table's. */
  readonly zeroed?: Readonly<Partial<Record<Instrument, Bias>>>
}

/** A limit as a key: "0.5", "0.75", "1.0": whole numbers keep one decimal. */
export const limitKey = (limit: number): string =>
  Number.isInteger(limit) ? limit.toFixed(1) : String(limit)

function logPrior(prior: Prior | undefined): (e: number) => number {
  if (prior === undefined) return () => 0
  if ('logDensity' in prior) return prior.logDensity
  if (!(prior.sd > 0)) throw new RangeError("The prior's spread must be over 0.")
  return (e) => -0.5 * ((e - prior.mean) / prior.sd) ** 2
}

/**
 * Density of a chain's elongation given readings (methods 2): per instrument the likelihood with its shared bias
 * integrated out, multiplied over instruments, times the prior, on a grid from -0.05 to 1.60 %.
 * @throws RangeError where a reading cannot be
 */
export function posteriorDensity(readings: readonly Reading[], options: PosteriorOptions = {}): Density {
  return densityOf(
    readings.map((reading) => {
      const bias = options.zeroed?.[reading.instrument]
      return { reading, ...(bias && { bias }) }
    }),
    options.prior,
  )
}

/**
 * The same for readings that know their tools: those of one tool share its bias.
 * @throws RangeError where a reading cannot be
 */
export function densityOf(taken: readonly TakenReading[], prior?: Prior): Density {
  const parts = [...likelihoodByTool(taken, () => 0).values()]
  const before = logPrior(prior)
  const log = GRID.map((e) => parts.reduce((sum, part) => sum + part([e]), before(e)))
  const top = log.reduce((a, b) => Math.max(a, b), -Infinity)
  const raw = log.map((value) => Math.exp(value - top))
  const area = trapezoid(raw)
  return { e: GRID, density: raw.map((value) => value / area) }
}

const trapezoid = (values: readonly number[]): number =>
  GRID_STEP * (sumOf(values) - 0.5 * ((values[0] ?? 0) + (values.at(-1) ?? 0)))

/**
 * Mean, 5th and 95th percentile and chance of each limit, from a density on an even grid.
 * @param limits %, any order
 */
export function summariseDensity({ e, density }: Density, limits: readonly number[]): Summary {
  const step = (e[1] ?? 0) - (e[0] ?? 0)
  const below: number[] = [0]
  let mean = 0
  for (let i = 1; i < e.length; i++) {
    const [a, b] = [density[i - 1] ?? 0, density[i] ?? 0]
    below.push((below[i - 1] ?? 0) + 0.5 * step * (a + b))
    mean += 0.5 * step * (a * (e[i - 1] ?? 0) + b * (e[i] ?? 0))
  }
  const total = below.at(-1) ?? 1
  const quantile = (p: number): number => {
    const at = below.findIndex((value) => value >= p * total)
    if (at <= 0) return e[0] ?? 0
    const [low, high] = [below[at - 1] ?? 0, below[at] ?? 0]
    return (e[at - 1] ?? 0) + (high > low ? (step * (p * total - low)) / (high - low) : 0)
  }
  const cdf = (x: number): number => {
    const position = (x - (e[0] ?? 0)) / step
    if (position <= 0) return 0
    if (position >= e.length - 1) return 1
    const i = Math.floor(position)
    return ((below[i] ?? 0) + (position - i) * ((below[i + 1] ?? 0) - (below[i] ?? 0))) / total
  }
  return {
    mean: mean / total,
    p05: quantile(0.05),
    p95: quantile(0.95),
    pAbove: Object.fromEntries(limits.map((limit) => [limitKey(limit), Math.max(0, 1 - cdf(limit))])),
  }
}

/** Density and summary in one. */
export function posterior(
  readings: readonly Reading[],
  limits: readonly number[],
  options: PosteriorOptions = {},
): Summary & { readonly curve: Density } {
  const curve = posteriorDensity(readings, options)
  return { ...summariseDensity(curve, limits), curve }
}
