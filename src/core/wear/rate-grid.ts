import { likelihoodByTool } from '../measure/instrument-likelihood.ts'
import type { TakenReading } from '../measure/reading.ts'
import {
  lattice,
  partBelief,
  unsureNodes,
  type Axes,
  type PartBelief,
  type UnsureNode,
  type WearDistance,
} from './part-grid.ts'

/** A reading and the wear-kilometres the chain had gathered when it was taken. */
export interface WearObservation extends TakenReading, WearDistance {}

/** Fitted new, or bought used with an unknown past. */
export type ChainPast = 'new' | 'unknown'

/** Typical rate, % per 1000 wear-km, and its spread between riders and between chains together (methods 4). */
export const RATE_MEDIAN = 0.17
const RATE_LOG_SD = Math.hypot(0.5, 0.3)
const BETA_LOG_SD = 0.08
const START_SD = 0.02

/** Belief about how one chain lengthens. */
export interface RateBelief extends PartBelief {
  /** Chance that the log does not tell the chain's whole past; 0 for one that never claimed to. */
  readonly missingPast: number
}

const logPriorRate = (logRate: number): number =>
  -0.5 * ((logRate - Math.log(RATE_MEDIAN)) / RATE_LOG_SD) ** 2
const logPriorBeta = (logBeta: number): number => -0.5 * (logBeta / BETA_LOG_SD) ** 2

/** The grid of a chain fitted new, of unknown past, or, coarser, of a past that the log is only suspected to leave out. */
function axesFor(past: ChainPast | 'missing', unsures: readonly UnsureNode[]): Axes {
  const centre = Math.log(RATE_MEDIAN)
  const around = (count: number) => lattice(centre - 4 * RATE_LOG_SD, centre + 4 * RATE_LOG_SD, count)
  return past === 'new'
    ? {
        unsures,
        logPriorRate,
        logPriorBeta,
        logRates: around(241),
        logBetas: lattice(-2 * BETA_LOG_SD, 2 * BETA_LOG_SD, 5),
        starts: lattice(-3 * START_SD, 3 * START_SD, 7),
        logPriorStart: (start) => -0.5 * (start / START_SD) ** 2,
      }
    : {
        unsures,
        logPriorRate,
        logPriorBeta,
        logRates: around(past === 'missing' ? 21 : 61),
        logBetas: [0],
        starts: lattice(-0.05, 1.2, past === 'missing' ? 126 : 251),
        logPriorStart: () => 0,
      }
}

/**
 * Chance that the log does not tell a chain's whole past though it was fitted new: rides or a swap not written
 * down. Our own addition to the model: without it a chain with no logged distance could never be found worn, however
 * plainly it was measured. A guess.
 */
const MISSING_PAST = 0.02

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
  const belief = partBelief(
    [
      { axes: axesFor(past, nodes), logShare: Math.log(doubts ? 1 - MISSING_PAST : 1) },
      ...(doubts ? [{ axes: axesFor('missing', nodes), logShare: Math.log(MISSING_PAST) }] : []),
    ],
    likelihoods,
    steps,
  )
  return { ...belief, missingPast: belief.shares[1] ?? 0 }
}
