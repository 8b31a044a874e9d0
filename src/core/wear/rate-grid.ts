import { sumOf } from '../stats/mean.ts'
import { UNSURE_LOG_SD } from '../exposure/conditions.ts'
import { likelihoodByTool, type LogLikelihood } from '../measure/instrument-likelihood.ts'
import { logSumExp } from '../measure/likelihood.ts'
import type { TakenReading } from '../measure/reading.ts'

/** Wear-distance gathered up to a moment, km. */
export interface WearDistance {
  readonly wearKm: number
  /** The part of it that rests on rides whose condition is not set; absent: none. */
  readonly unsureWearKm?: number
}

/** A reading and the wear-kilometres the chain had gathered when it was taken. */
export interface WearObservation extends TakenReading, WearDistance {}

/** Fitted new, or bought used with an unknown past. */
export type ChainPast = 'new' | 'unknown'

/** Typical rate, % per 1000 wear-km, and its spread between riders and between chains together (methods 4). */
export const RATE_MEDIAN = 0.17
const RATE_LOG_SD = Math.hypot(0.5, 0.3)
const BETA_LOG_SD = 0.08
const START_SD = 0.02

/** Belief about how one chain lengthens: `e = start + rate (S/1000)^beta`. Weights sum to 1. */
export interface RateBelief {
  readonly rate: Float64Array
  readonly start: Float64Array
  readonly beta: Float64Array
  /** What the rides without conditions really were, over what they are taken to be; 1 where there are none. */
  readonly unsure: Float64Array
  readonly weight: Float64Array
  /** Chance that the log does not tell the chain's whole past; 0 for one that never claimed to. */
  readonly missingPast: number
}

const lattice = (from: number, to: number, count: number): number[] =>
  Array.from({ length: count }, (_, i) => (count === 1 ? from : from + ((to - from) * i) / (count - 1)))

interface Axes {
  readonly logRates: readonly number[]
  readonly logBetas: readonly number[]
  readonly starts: readonly number[]
  readonly logPriorStart: (start: number) => number
  readonly unsures: readonly UnsureNode[]
}

interface UnsureNode {
  readonly factor: number
  readonly log: number
}

/**
 * Nodes over the multiplier of rides without conditions: three-point Gauss-Hermite quadrature of a normal logarithm (Abramowitz
 * & Stegun 25.10), or the one certain node where every ride's condition is said.
 */
const unsureNodes = (any: boolean): readonly UnsureNode[] =>
  any
    ? [-1, 0, 1].map((side) => ({
        factor: Math.exp(side * Math.sqrt(3) * UNSURE_LOG_SD),
        log: Math.log(side === 0 ? 2 / 3 : 1 / 6),
      }))
    : [{ factor: 1, log: 0 }]

/** The grid of a chain fitted new, of unknown past, or, coarser, of a past that the log is only suspected to leave out. */
function axesFor(past: ChainPast | 'missing', unsures: readonly UnsureNode[]): Axes {
  const centre = Math.log(RATE_MEDIAN)
  const around = (count: number) => lattice(centre - 4 * RATE_LOG_SD, centre + 4 * RATE_LOG_SD, count)
  return past === 'new'
    ? {
        unsures,
        logRates: around(241),
        logBetas: lattice(-2 * BETA_LOG_SD, 2 * BETA_LOG_SD, 5),
        starts: lattice(-3 * START_SD, 3 * START_SD, 7),
        logPriorStart: (start) => -0.5 * (start / START_SD) ** 2,
      }
    : {
        unsures,
        logRates: around(past === 'missing' ? 21 : 61),
        logBetas: [0],
        starts: lattice(-0.05, 1.2, past === 'missing' ? 126 : 251),
        logPriorStart: () => 0,
      }
}

/** Points of the grid that carry less than this share of the best point's weight are dropped. */
const NEGLIGIBLE_LOG = -14

/**
 * Chance that the log does not tell a chain's whole past though it was fitted new: rides or a swap not written
 * down. Our own addition to the model: without it a chain with no logged distance could never be found worn, however
 * plainly it was measured. A guess.
 */
const MISSING_PAST = 0.02

interface GridPoint {
  readonly rate: number
  readonly start: number
  readonly beta: number
  readonly unsure: number
  readonly log: number
}

const logPriorRate = (logRate: number): number =>
  -0.5 * ((logRate - Math.log(RATE_MEDIAN)) / RATE_LOG_SD) ** 2
const logPriorBeta = (logBeta: number): number => -0.5 * (logBeta / BETA_LOG_SD) ** 2

/** Logarithm of the prior's sum over a grid: the three axes are independent, so it is a sum of three. */
const logPriorTotal = ({ logRates, logBetas, starts, logPriorStart }: Axes): number =>
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
  const base = logUnsure + logPriorBeta(logBeta)
  return {
    beta,
    unsure: factor,
    /** Log-weights at one rate, by start. */
    logsAt: (logRate: number): Float64Array => {
      const rate = Math.exp(logRate)
      const logPrior = base + logPriorRate(logRate)
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

/**
 * Belief about one chain's wear (methods 4 with the multipliers at their defaults), on a grid over rate, start and
 * curvature: `rate ~ LogN(log 0.17, 0.58)`, `beta ~ LogN(0, 0.08)`, `start ~ N(0, 0.02)` for a chain fitted new,
 * flat on -0.05..1.2 for one of unknown past, for which curvature is left out: it cannot be separated from the start.
 * Readings enter with the likelihoods of methods 2, each instrument's bias shared by all its readings. A measured
 * chain that was fitted new is held with a small chance to have a past the log does not tell.
 * Rides without conditions share one multiplier, `LogN(0, 0.5)` about what they are taken to be.
 * @param anyUnsure whether such rides matter, to the readings or to what will be asked of the belief
 * @throws RangeError where a reading cannot be
 */
export function rateBelief(
  past: ChainPast,
  observations: readonly WearObservation[],
  anyUnsure = observations.some(({ unsureWearKm = 0 }) => unsureWearKm > 0),
): RateBelief {
  const nodes = unsureNodes(anyUnsure)
  const keyOf = ({ wearKm, unsureWearKm = 0 }: WearDistance) => `${wearKm} ${unsureWearKm}`
  const steps = [...new Map(observations.map((one) => [keyOf(one), one])).values()]
  const places = new Map(steps.map((step, i) => [keyOf(step), i]))
  const likelihoods = [
    ...likelihoodByTool(observations, (one) => places.get(keyOf(one)) ?? -1, true).values(),
  ]
  const doubts = past === 'new' && observations.length > 0
  const own = gridPoints(axesFor(past, nodes), likelihoods, steps, Math.log(doubts ? 1 - MISSING_PAST : 1))
  const missing = doubts
    ? gridPoints(axesFor('missing', nodes), likelihoods, steps, Math.log(MISSING_PAST))
    : []
  const top = [...own, ...missing].reduce((best, { log }) => Math.max(best, log), -Infinity)
  const matters = ({ log }: GridPoint): boolean => log > top + NEGLIGIBLE_LOG
  const weighty = own.filter(matters)
  const points = [...weighty, ...missing.filter(matters)]
  const raw = points.map(({ log }) => Math.exp(log - top))
  const total = sumOf(raw)
  return {
    rate: Float64Array.from(points, (point) => point.rate),
    start: Float64Array.from(points, (point) => point.start),
    beta: Float64Array.from(points, (point) => point.beta),
    unsure: Float64Array.from(points, (point) => point.unsure),
    weight: Float64Array.from(raw, (value) => value / total),
    missingPast: sumOf(raw.slice(weighty.length)) / total,
  }
}

/** Elongation, %, at a wear-distance under each point of a belief. */
export function elongationsAt(belief: RateBelief, distance: WearDistance): Float64Array {
  return belief.start.map(
    (start, i) =>
      start +
      (belief.rate[i] ?? 0) * (wearKmUnder(distance, belief.unsure[i] ?? 1) / 1000) ** (belief.beta[i] ?? 1),
  )
}

/** Wear-distance, km from new, at which each point of a belief reaches a limit; 0 where it starts past it. */
export function wearKmToReach(belief: RateBelief, limit: number): Float64Array {
  return belief.start.map((start, i) =>
    start >= limit ? 0 : 1000 * ((limit - start) / (belief.rate[i] ?? 1)) ** (1 / (belief.beta[i] ?? 1)),
  )
}
