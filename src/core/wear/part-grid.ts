import { logSumExp } from '../measure/likelihood.ts'
import type { LogLikelihood } from '../measure/instrument-likelihood.ts'
import { UNSURE_LOG_SD } from '../exposure/conditions.ts'
import { sumOf } from '../stats/mean.ts'

/** Wear-distance gathered up to a moment, km. */
export interface WearDistance {
  readonly wearKm: number
  /** The part of it that rests on rides whose condition is not set; absent: none. */
  readonly unsureWearKm?: number
}

/** Belief about how one part wears: `e = start + rate (S/1000)^beta`. Weights sum to 1. */
export interface PartBelief {
  readonly rate: Float64Array
  readonly start: Float64Array
  readonly beta: Float64Array
  /** What the rides without conditions really were, over what they are taken to be; 1 where there are none. */
  readonly unsure: Float64Array
  readonly weight: Float64Array
  /** The share of each grid that the belief was made of, in their order. */
  readonly shares: readonly number[]
}

/** Even places from one value to another. */
export const lattice = (from: number, to: number, count: number): number[] =>
  Array.from({ length: count }, (_, i) => (count === 1 ? from : from + ((to - from) * i) / (count - 1)))

/** The grid that a part's wear is believed on, and what is believed beforehand along each axis. */
export interface Axes {
  readonly logRates: readonly number[]
  readonly logBetas: readonly number[]
  readonly starts: readonly number[]
  readonly logPriorRate: (logRate: number) => number
  readonly logPriorBeta: (logBeta: number) => number
  readonly logPriorStart: (start: number) => number
  readonly unsures: readonly UnsureNode[]
}

/** One value of the multiplier of rides without conditions, and the logarithm of its weight. */
export interface UnsureNode {
  readonly factor: number
  readonly log: number
}

/**
 * Nodes over the multiplier of rides without conditions: three-point Gauss-Hermite quadrature of a normal logarithm (Abramowitz
 * & Stegun 25.10), or the one certain node where every ride's condition is said.
 */
export const unsureNodes = (any: boolean): readonly UnsureNode[] =>
  any
    ? [-1, 0, 1].map((side) => ({
        factor: Math.exp(side * Math.sqrt(3) * UNSURE_LOG_SD),
        log: Math.log(side === 0 ? 2 / 3 : 1 / 6),
      }))
    : [{ factor: 1, log: 0 }]

/** Points of the grid that carry less than this share of the best point's weight are dropped. */
const NEGLIGIBLE_LOG = -14

interface GridPoint {
  readonly rate: number
  readonly start: number
  readonly beta: number
  readonly unsure: number
  readonly log: number
}

/** Logarithm of the prior's sum over a grid: the three axes are independent, so it is a sum of three. */
const logPriorTotal = ({
  logRates,
  logBetas,
  starts,
  logPriorRate,
  logPriorBeta,
  logPriorStart,
}: Axes): number =>
  logSumExp(logRates.map(logPriorRate)) +
  logSumExp(logBetas.map(logPriorBeta)) +
  logSumExp(starts.map(logPriorStart))

/** Wear-distance, km, once the rides without conditions count so many times what they were taken to be. */
export const wearKmUnder = ({ wearKm, unsureWearKm = 0 }: WearDistance, unsure: number): number =>
  Math.max(0, wearKm + unsureWearKm * (unsure - 1))

/** Every so many rates are tried first; those between are tried where a neighbour is not hopeless. */
const STRIDE = 4
/** Hopeless is what lies this much further below the best than what is dropped: a fall no four steps make up. */
const HOPELESS_LOG = NEGLIGIBLE_LOG - 30

/** One line of a grid: one curvature and one multiplier of rides without conditions, all rates, all starts. */
function gridLine(
  axes: Axes,
  { factor, log: logUnsure }: UnsureNode,
  logBeta: number,
  likelihoods: readonly LogLikelihood[],
  steps: readonly WearDistance[],
) {
  const beta = Math.exp(logBeta)
  const curved = steps.map((step) => (wearKmUnder(step, factor) / 1000) ** beta)
  const at = new Float64Array(steps.length)
  const base = logUnsure + axes.logPriorBeta(logBeta)
  return {
    beta,
    unsure: factor,
    /** Log-weights at one rate, by start. */
    logsAt: (logRate: number): Float64Array => {
      const rate = Math.exp(logRate)
      const logPrior = base + axes.logPriorRate(logRate)
      return Float64Array.from(axes.starts, (start) => {
        for (let i = 0; i < curved.length; i++) at[i] = start + rate * (curved[i] ?? 0)
        let log = logPrior + axes.logPriorStart(start)
        for (const likelihood of likelihoods) log += likelihood(at)
        return log
      })
    },
  }
}

const highest = (logs: Float64Array | undefined): number =>
  logs?.reduce((best, log) => Math.max(best, log), -Infinity) ?? -Infinity

/** The points of one grid that matter, with their log-weights; `logShare` is the log of the whole grid's prior share. */
function gridPoints(
  axes: Axes,
  likelihoods: readonly LogLikelihood[],
  steps: readonly WearDistance[],
  logShare: number,
): GridPoint[] {
  const { logRates } = axes
  const base = logShare - logPriorTotal(axes)
  const last = logRates.length - 1
  const isTried = (r: number): boolean => r % STRIDE === 0 || r === last
  const lines = axes.unsures.flatMap((node) =>
    axes.logBetas.map((logBeta) => gridLine(axes, node, logBeta, likelihoods, steps)),
  )
  const tried = lines.map((line) =>
    logRates.map((logRate, r) => (isTried(r) ? line.logsAt(logRate) : undefined)),
  )
  const top = Math.max(...tried.flatMap((logs) => logs.map(highest)))
  const kept: GridPoint[] = []
  lines.forEach(({ beta, unsure, logsAt }, l) => {
    const logsTried = tried[l] ?? []
    logRates.forEach((logRate, r) => {
      const below = r - (r % STRIDE)
      const hope = Math.max(highest(logsTried[below]), highest(logsTried[Math.min(last, below + STRIDE)]))
      const logs = logsTried[r] ?? (hope > top + HOPELESS_LOG ? logsAt(logRate) : undefined)
      const rate = Math.exp(logRate)
      logs?.forEach((log, i) => {
        if (log > top + NEGLIGIBLE_LOG)
          kept.push({ rate, start: axes.starts[i] ?? 0, beta, unsure, log: base + log })
      })
    })
  })
  return kept
}

/** One grid of a belief, and the logarithm of the chance that it is the one that holds. */
export interface SharedGrid {
  readonly axes: Axes
  readonly logShare: number
}

/**
 * Belief about the wear of one part with one limit, monotone in its distance (methods 4's smallest part): rate, start and curvature
 * on a grid, times the likelihoods of what was read.
 * @param grids one, or several that may hold with some chance
 * @param likelihoods of the readings of each tool, as functions of the wear at each step
 * @param steps the distances at which something was read
 */
export function partBelief(
  grids: readonly SharedGrid[],
  likelihoods: readonly LogLikelihood[],
  steps: readonly WearDistance[],
): PartBelief {
  const tried = grids.map(({ axes, logShare }) => gridPoints(axes, likelihoods, steps, logShare))
  const top = tried.flat().reduce((best, { log }) => Math.max(best, log), -Infinity)
  const kept = tried.map((points) => points.filter(({ log }) => log > top + NEGLIGIBLE_LOG))
  const points = kept.flat()
  const raw = points.map(({ log }) => Math.exp(log - top))
  const total = sumOf(raw)
  let from = 0
  return {
    rate: Float64Array.from(points, (point) => point.rate),
    start: Float64Array.from(points, (point) => point.start),
    beta: Float64Array.from(points, (point) => point.beta),
    unsure: Float64Array.from(points, (point) => point.unsure),
    weight: Float64Array.from(raw, (value) => value / total),
    shares: kept.map(({ length }) => sumOf(raw.slice(from, (from += length))) / total),
  }
}

/** Wear at a distance under each point of a belief. */
export function wearAt(belief: PartBelief, distance: WearDistance): Float64Array {
  return belief.start.map(
    (start, i) =>
      start +
      (belief.rate[i] ?? 0) * (wearKmUnder(distance, belief.unsure[i] ?? 1) / 1000) ** (belief.beta[i] ?? 1),
  )
}

/** Wear-distance, km from new, at which each point of a belief reaches a limit; 0 where it starts past it. */
export function wearKmToReach(belief: PartBelief, limit: number): Float64Array {
  return belief.start.map((start, i) =>
    start >= limit ? 0 : 1000 * ((limit - start) / (belief.rate[i] ?? 1)) ** (1 / (belief.beta[i] ?? 1)),
  )
}
