import { logBetween, logSumExp } from '../measure/likelihood.ts'

/** One lesson as it tells of its rider's error: what was right, and what was read or said. */
export type LessonEvidence =
  | { readonly right: number; readonly read: number }
  | { readonly right: number; readonly low: number; readonly high: number }

/** What is believed of a rider's error before any lesson: normal shift, log-normal spread; all %. */
export interface ErrorPrior {
  readonly shiftSd: number
  readonly spread: number
  readonly spreadLogSd: number
}

/** A rider's own error: reads so much high, how surely that is known, and how much the readings scatter. %. */
export interface OwnError {
  readonly shift: number
  readonly shiftSd: number
  readonly spread: number
  readonly lessons: number
}

const SHIFTS = 81
const SPREADS = 25
const REACH = 4

/**
 * A rider's own shift and spread, from lessons with known truth: `read = right + shift + noise`, `noise ~ N(0, spread^2)`, on a grid
 * of shift and log spread. An answer of a gauge or a word for teeth only says between which marks the reading fell.
 */
export function ownError(lessons: readonly LessonEvidence[], prior: ErrorPrior): OwnError {
  const shifts = Array.from(
    { length: SHIFTS },
    (_, i) => REACH * prior.shiftSd * ((2 * i) / (SHIFTS - 1) - 1),
  )
  const logs = Array.from(
    { length: SPREADS },
    (_, i) => Math.log(prior.spread) + 3 * prior.spreadLogSd * ((2 * i) / (SPREADS - 1) - 1),
  )
  const points = shifts.flatMap((shift) =>
    logs.map((logSpread) => {
      const spread = Math.exp(logSpread)
      const before =
        -0.5 * (shift / prior.shiftSd) ** 2 -
        0.5 * ((logSpread - Math.log(prior.spread)) / prior.spreadLogSd) ** 2
      const log = lessons.reduce((sum, lesson) => {
        const centre = lesson.right + shift
        return 'read' in lesson
          ? sum - 0.5 * ((lesson.read - centre) / spread) ** 2 - logSpread
          : sum + logBetween(lesson.low, lesson.high, centre, spread)
      }, before)
      return { shift, spread, log }
    }),
  )
  const total = logSumExp(points.map(({ log }) => log))
  let [shift, square, spread] = [0, 0, 0]
  for (const point of points) {
    const weight = Math.exp(point.log - total)
    shift += weight * point.shift
    square += weight * point.shift ** 2
    spread += weight * point.spread
  }
  return { shift, shiftSd: Math.sqrt(Math.max(0, square - shift * shift)), spread, lessons: lessons.length }
}
