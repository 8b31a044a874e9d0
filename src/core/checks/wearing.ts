import { lattice, partBelief, unsureNodes, wearAt, wearKmToReach, wearKmUnder } from '../wear/part-grid.ts'
import type { Axes, PartBelief, WearDistance } from '../wear/part-grid.ts'
import { instrumentLogLikelihood, type LogLikelihood } from '../measure/instrument-likelihood.ts'
import { logBetween } from '../measure/likelihood.ts'
import type { Interval } from '../stats/interval.ts'
import { quantile, weighted } from '../stats/weighted.ts'
import { THICKNESS_ERRORS, type ThicknessTool, type WearingLaw } from './wearing-parts.ts'

/** A thickness that was read, or sealant that was looked at, and how far it had gone by then. */
export interface WearingReading extends WearDistance {
  /** mm; absent where only whether it is worn out was seen. */
  readonly mm?: number
  readonly by?: ThicknessTool
  /** It was past its limit, or not yet: sealant that had dried, or had not. */
  readonly isPast?: boolean
}

/** One life of a part: from when it was fitted new, or from the first that is known of it. */
export interface WearingLife {
  readonly past: 'new' | 'unknown'
  /** In order of distance. */
  readonly readings: readonly WearingReading[]
}

/** What is believed of a rate beforehand: median per 1000 km on a dry road, and its spread as a logarithm. */
export interface RatePrior {
  readonly median: number
  readonly logSd: number
}

/** Wear bends a little over a life, as a chain's does (methods 4). */
const BETA_LOG_SD = 0.08
/** How surely an eye tells dried sealant from what is nearly dry, as a share of its life. A guess. */
const DRY_SD = 0.08

/** Wear counts upwards whatever the part does: what gets thinner is counted from its thickness down. */
const sign = ({ gets }: WearingLaw): number => (gets === 'thinner' ? -1 : 1)

/** The limit on that scale. */
const limitOf = (law: WearingLaw): number => sign(law) * law.limitMm

function axesFor(law: WearingLaw, past: WearingLife['past'], prior: RatePrior, anyUnsure: boolean): Axes {
  const centre = Math.log(prior.median)
  const { mean, sd } = law.newMm
  const fresh = sign(law) * mean
  const isNew = past === 'new'
  return {
    logRates: lattice(centre - 4 * prior.logSd, centre + 4 * prior.logSd, 61),
    // Of an unknown past, curvature cannot be told from the start.
    logBetas: isNew ? lattice(-2 * BETA_LOG_SD, 2 * BETA_LOG_SD, 3) : [0],
    starts: isNew
      ? lattice(fresh - 3 * sd, fresh + 3 * sd, sd > 0 ? 31 : 1)
      : lattice(fresh - 3 * sd, limitOf(law) + 0.5 * (limitOf(law) - fresh), 81),
    logPriorRate: (logRate) => -0.5 * ((logRate - centre) / prior.logSd) ** 2,
    logPriorBeta: (logBeta) => -0.5 * (logBeta / BETA_LOG_SD) ** 2,
    logPriorStart: (start) => (isNew && sd > 0 ? -0.5 * ((start - fresh) / sd) ** 2 : 0),
    unsures: unsureNodes(anyUnsure),
  }
}

/** The readings as likelihoods of the wear at each step: those of one tool share its bias. */
function likelihoodsOf(law: WearingLaw, readings: readonly WearingReading[]): LogLikelihood[] {
  const tools = [...new Set(readings.flatMap(({ mm, by }) => (mm === undefined || !by ? [] : [by])))]
  const byTool = tools.map((tool) => {
    const { sb, s } = THICKNESS_ERRORS[tool]
    const evidence = readings.flatMap(({ mm, by }, step) =>
      mm === undefined || by !== tool
        ? []
        : [{ item: { form: 'value' as const, value: sign(law) * mm, sd: Math.hypot(s, law.placeMm) }, step }],
    )
    return instrumentLogLikelihood(evidence, { b: 0, sb })
  })
  const seen = readings.flatMap(({ isPast }, step): LogLikelihood[] =>
    isPast === undefined
      ? []
      : [
          (at) =>
            isPast
              ? logBetween(limitOf(law), Infinity, at[step] ?? 0, DRY_SD)
              : logBetween(-Infinity, limitOf(law), at[step] ?? 0, DRY_SD),
        ],
  )
  return [...byTool, ...seen]
}

/** What is believed of one life of a part, by the wear model's smallest part. */
export const beliefOf = (
  law: WearingLaw,
  { past, readings }: WearingLife,
  prior: RatePrior,
  anyUnsure = readings.some(({ unsureWearKm = 0 }) => unsureWearKm > 0),
): PartBelief =>
  partBelief(
    [{ axes: axesFor(law, past, prior, anyUnsure), logShare: 0 }],
    likelihoodsOf(law, readings),
    readings,
  )

/** Mean and spread of the logarithm of a belief's rate. */
function logRateOf({ rate, weight }: PartBelief): { readonly mean: number; readonly sd: number } {
  let [mean, square] = [0, 0]
  rate.forEach((value, i) => {
    const [log, w] = [Math.log(value), weight[i] ?? 0]
    mean += w * log
    square += w * log * log
  })
  return { mean, sd: Math.sqrt(Math.max(1e-6, square - mean * mean)) }
}

/**
 * What earlier lives of the same part tell of the next one's rate: sets differ by `setLogSd`, what all of one bike have in common is
 * learned. Normal, life after life: each life's rate is believed with what those before it told, and tells of the common rate in turn.
 */
export function priorFrom(law: WearingLaw, lives: readonly WearingLife[]): RatePrior {
  const { rate, setLogSd } = law
  let common = { mean: Math.log(rate.median), variance: Math.max(1e-4, rate.logSd ** 2 - setLogSd ** 2) }
  for (const life of lives) {
    const before = common.variance + setLogSd ** 2
    const { mean, sd } = logRateOf(
      beliefOf(law, life, { median: Math.exp(common.mean), logSd: Math.sqrt(before) }),
    )
    // What the readings of this life added to what was believed before.
    const told = 1 / sd ** 2 - 1 / before
    if (!(told > 1e-6)) continue
    const said = (mean / sd ** 2 - common.mean / before) / told
    const weight = 1 / (1 / told + setLogSd ** 2)
    const precision = 1 / common.variance + weight
    common = {
      mean: (common.mean / common.variance + said * weight) / precision,
      variance: 1 / precision,
    }
  }
  return { median: Math.exp(common.mean), logSd: Math.sqrt(common.variance + setLogSd ** 2) }
}

/** What is said of a part that wears. Distances are km, of sealant days. */
export interface WearingSaid {
  /** What it would measure now, mm; of sealant the share of its life that is gone. */
  readonly mm: Interval
  /** The chance that it is past its limit already. */
  readonly pPast: number
  /** How far to the limit; 0 where it is past. */
  readonly toLimit: Interval
  /** The distance at which the chance of being past reaches one in ten: when to look next. */
  readonly nextLook: number
  /** Wear per 1000 km as it is ridden (per 1000 days). */
  readonly rate: Interval
  /** What of this is only a guess from parts in general: nothing was measured in any of its lives. */
  readonly isGuess: boolean
}

/** A part that is past with at least this chance is looked at now. */
const LOOK_AT = 0.1

/**
 * What the lives of a part come to.
 * @param lives in order of time, the one now on last
 * @param now how far that one has gone
 * @param timesAhead how many times faster than on a dry road it will wear
 * @param unsureAhead whether rides to come are of no known condition
 */
export function sayWearing(
  law: WearingLaw,
  lives: readonly WearingLife[],
  now: WearDistance,
  timesAhead: number,
): WearingSaid {
  const life = lives.at(-1) ?? { past: 'unknown', readings: [] }
  const prior = priorFrom(law, lives.slice(0, -1))
  const belief = beliefOf(
    law,
    life,
    prior,
    (now.unsureWearKm ?? 0) > 0 || life.readings.some(({ unsureWearKm = 0 }) => unsureWearKm > 0),
  )
  const interval = (values: Float64Array): Interval => {
    const sorted = weighted(values, belief.weight)
    return { p10: quantile(sorted, 0.1), p50: quantile(sorted, 0.5), p90: quantile(sorted, 0.9) }
  }
  const worn = wearAt(belief, now)
  const times = Math.max(1e-6, timesAhead)
  const reach = wearKmToReach(belief, limitOf(law))
  const left = reach.map((at, i) => Math.max(0, at - wearKmUnder(now, belief.unsure[i] ?? 1)) / times)
  const pPast = worn.reduce((sum, value, i) => sum + (value >= limitOf(law) ? (belief.weight[i] ?? 0) : 0), 0)
  const toLimit = interval(left)
  return {
    mm: interval(worn.map((value) => sign(law) * value)),
    pPast,
    toLimit,
    nextLook: pPast >= LOOK_AT ? 0 : toLimit.p10,
    rate: interval(belief.rate.map((rate) => rate * times)),
    isGuess: lives.every(({ readings }) =>
      readings.every(({ mm, isPast }) => mm === undefined && isPast === undefined),
    ),
  }
}

/** A reading thinner or thicker than could be by the errors of both tools, where nothing was renewed. */
const STRANGE_SD = 3

/** Whether a part would have grown back: measured by so much less worn than the time before that no error of the tools explains it. */
export function hasGrownBack(
  law: WearingLaw,
  before: { readonly mm: number; readonly by: ThicknessTool },
  next: { readonly mm: number; readonly by: ThicknessTool },
): boolean {
  const sd = ({ by }: { readonly by: ThicknessTool }): number =>
    Math.hypot(THICKNESS_ERRORS[by].s, law.placeMm, THICKNESS_ERRORS[by].sb)
  return sign(law) * (next.mm - before.mm) < -STRANGE_SD * Math.hypot(sd(before), sd(next))
}
