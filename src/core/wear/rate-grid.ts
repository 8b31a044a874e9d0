import { INSTRUMENTS } from '../measure/instruments.ts'
import {
  biasNodes,
  evidenceOf,
  logBetween,
  logSumExp,
  logValuesMarginal,
  type Evidence,
} from '../measure/likelihood.ts'
import type { Instrument, Reading } from '../measure/reading.ts'

/** A reading and the wear-kilometres the chain had gathered when it was taken. */
export interface WearObservation {
  readonly wearKm: number
  readonly reading: Reading
}

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
  readonly weight: Float64Array
}

const lattice = (from: number, to: number, count: number): number[] =>
  Array.from({ length: count }, (_, i) => (count === 1 ? from : from + ((to - from) * i) / (count - 1)))

interface Axes {
  readonly logRates: readonly number[]
  readonly logBetas: readonly number[]
  readonly starts: readonly number[]
  readonly logPriorStart: (start: number) => number
}

function axesFor(past: ChainPast): Axes {
  const centre = Math.log(RATE_MEDIAN)
  const around = (count: number) => lattice(centre - 4 * RATE_LOG_SD, centre + 4 * RATE_LOG_SD, count)
  return past === 'new'
    ? {
        logRates: around(241),
        logBetas: lattice(-2 * BETA_LOG_SD, 2 * BETA_LOG_SD, 5),
        starts: lattice(-3 * START_SD, 3 * START_SD, 7),
        logPriorStart: (start) => -0.5 * (start / START_SD) ** 2,
      }
    : {
        logRates: around(61),
        logBetas: [0],
        starts: lattice(-0.05, 1.2, 251),
        logPriorStart: () => 0,
      }
}

interface Group {
  readonly evidence: readonly { readonly item: Evidence; readonly step: number }[]
  readonly logLikelihood: (elongationAt: Float64Array) => number
}

/** Log-likelihood of one instrument's readings given the elongation at each step, its bias integrated out. */
function groupLogLikelihood(instrument: Instrument, evidence: Group['evidence']): Group['logLikelihood'] {
  const { bias } = INSTRUMENTS[instrument]
  if (evidence.every(({ item }) => item.form === 'value')) {
    const sumW = evidence.reduce((sum, { item }) => sum + 1 / (item.sd * item.sd), 0)
    return (at) => {
      let sumWR = 0
      let sumWRR = 0
      for (const { item, step } of evidence) {
        if (item.form !== 'value') continue
        const residual = item.value - (at[step] ?? 0) - bias.b
        sumWR += residual / (item.sd * item.sd)
        sumWRR += (residual / item.sd) ** 2
      }
      return logValuesMarginal(sumW, sumWR, sumWRR, bias)
    }
  }
  const { offsets, logWeights } = biasNodes(bias, 8)
  const terms = new Float64Array(offsets.length)
  return (at) => {
    for (let k = 0; k < offsets.length; k++) {
      let sum = logWeights[k] ?? 0
      for (const { item, step } of evidence) {
        const centre = (at[step] ?? 0) + (offsets[k] ?? 0)
        sum +=
          item.form === 'between'
            ? logBetween(item.low, item.high, centre, item.sd)
            : -0.5 * ((item.value - centre) / item.sd) ** 2
      }
      terms[k] = sum
    }
    return logSumExp(terms)
  }
}

function groupsOf(observations: readonly WearObservation[], steps: readonly number[]): Group[] {
  const byInstrument = new Map<Instrument, { item: Evidence; step: number }[]>()
  for (const { reading, wearKm } of observations) {
    const held = byInstrument.get(reading.instrument) ?? []
    held.push({ item: evidenceOf(reading), step: steps.indexOf(wearKm) })
    byInstrument.set(reading.instrument, held)
  }
  return [...byInstrument].map(([instrument, evidence]) => ({
    evidence,
    logLikelihood: groupLogLikelihood(instrument, evidence),
  }))
}

/** Points of the grid that carry less than this share of the best point's weight are dropped. */
const NEGLIGIBLE_LOG = -14

/**
 * Belief about one chain's wear (methods 4 with the multipliers at their defaults), on a grid over rate, start and
 * curvature: `rate ~ LogN(log 0.17, 0.58)`, `beta ~ LogN(0, 0.08)`, `start ~ N(0, 0.02)` for a chain fitted new,
 * flat on -0.05..1.2 for one of unknown past, for which curvature is left out: it cannot be told from the start.
 * Readings enter with the likelihoods of methods 2, each instrument's bias shared by all its readings.
 * @throws RangeError where a reading cannot be
 */
export function rateBelief(past: ChainPast, observations: readonly WearObservation[]): RateBelief {
  const { logRates, logBetas, starts, logPriorStart } = axesFor(past)
  const steps = [...new Set(observations.map((observation) => observation.wearKm))]
  const groups = groupsOf(observations, steps)
  const kept: { rate: number; start: number; beta: number; log: number }[] = []
  const at = new Float64Array(steps.length)
  let top = -Infinity
  for (const logRate of logRates) {
    const logPriorRate = -0.5 * ((logRate - Math.log(RATE_MEDIAN)) / RATE_LOG_SD) ** 2
    const rate = Math.exp(logRate)
    for (const logBeta of logBetas) {
      const beta = Math.exp(logBeta)
      const grown = steps.map((wearKm) => rate * (wearKm / 1000) ** beta)
      const logPrior = logPriorRate - 0.5 * (logBeta / BETA_LOG_SD) ** 2
      for (const start of starts) {
        for (let i = 0; i < grown.length; i++) at[i] = start + (grown[i] ?? 0)
        let log = logPrior + logPriorStart(start)
        for (const group of groups) {
          log += group.logLikelihood(at)
          if (log < top + NEGLIGIBLE_LOG - 20) break
        }
        if (log > top) top = log
        if (log > top + NEGLIGIBLE_LOG) kept.push({ rate, start, beta, log })
      }
    }
  }
  const final = kept.filter(({ log }) => log > top + NEGLIGIBLE_LOG)
  const raw = final.map(({ log }) => Math.exp(log - top))
  const total = raw.reduce((a, b) => a + b, 0)
  return {
    rate: Float64Array.from(final, (point) => point.rate),
    start: Float64Array.from(final, (point) => point.start),
    beta: Float64Array.from(final, (point) => point.beta),
    weight: Float64Array.from(raw, (value) => value / total),
  }
}

/** Elongation, %, at a wear-distance under each point of a belief. */
export function elongationsAt(belief: RateBelief, wearKm: number): Float64Array {
  return belief.start.map(
    (start, i) => start + (belief.rate[i] ?? 0) * (Math.max(0, wearKm) / 1000) ** (belief.beta[i] ?? 1),
  )
}

/** Wear-distance, km from new, at which each point of a belief reaches a limit; 0 where it starts past it. */
export function wearKmToReach(belief: RateBelief, limit: number): Float64Array {
  return belief.start.map((start, i) =>
    start >= limit ? 0 : 1000 * ((limit - start) / (belief.rate[i] ?? 1)) ** (1 / (belief.beta[i] ?? 1)),
  )
}
