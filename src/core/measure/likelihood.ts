import { elongationFromCaliper, elongationFromLength } from './elongation.ts'
import { readingSd, SLACK_SHIFT } from './instruments.ts'
import { normalCdf } from '../stats/normal.ts'
import { LIFT_RESULTS, PLAY_RESULTS, type Bias, type Reading } from './reading.ts'

/** How deep below its mark a limit side begins to enter, %: the `w` of methods 2. */
export const ENTRY_WIDTH = 0.1

/**
 * What one reading says of the apparent elongation `a = e + bias + noise`, %: either a value, or only that it
 * lies between two marks.
 */
export type Evidence =
  | { readonly form: 'value'; readonly value: number; readonly sd: number }
  | { readonly form: 'between'; readonly low: number; readonly high: number; readonly sd: number }

/**
 * A reading as evidence about elongation plus the instrument's bias, %. On a slack run every instrument reads
 * {@link SLACK_SHIFT} less (methods 2: "`b` falls by 0.10"), which is put back here, and scatters more.
 * @param noise of one reading as this rider takes it, %; absent: the instrument's in general
 * @throws RangeError where the reading cannot be (see {@link elongationFromLength})
 */
export function evidenceOf(reading: Reading, noise?: number): Evidence {
  const sd = readingSd(reading, noise)
  const shift = reading.slack ? SLACK_SHIFT : 0
  switch (reading.instrument) {
    case 'rule':
    case 'strip':
      return { form: 'value', value: elongationFromLength(reading.pitches, reading.lengthMm) + shift, sd }
    case 'caliper-pair': {
      const { elongation } = elongationFromCaliper(reading.pitches, reading.insideMm, reading.outsideMm)
      return { form: 'value', value: elongation + shift, sd }
    }
    case 'two-contact-scale':
    case 'three-contact-scale':
      if (!Number.isFinite(reading.percent)) throw new RangeError('The reading on the scale is not a number.')
      return { form: 'value', value: reading.percent + shift, sd }
    case 'two-contact-limit':
    case 'three-contact-limit':
      if (!(reading.limit > 0)) throw new RangeError("A limit side's mark must be over 0 %.")
      return { form: 'between', ...limitInterval(reading.limit + shift, reading.result), sd }
    case 'ring-lift':
      return { form: 'between', ...hintInterval(HINT_MARKS.lift, LIFT_RESULTS.indexOf(reading.result)), sd }
    case 'side-play':
      return { form: 'between', ...hintInterval(HINT_MARKS.play, PLAY_RESULTS.indexOf(reading.result)), sd }
  }
}

/** Between which elongations each hint's three answers change over, %. A guess. */
const HINT_MARKS = { lift: [0.45, 0.95], play: [0.4, 0.9] } as const

function hintInterval(marks: readonly [number, number], answer: number): { low: number; high: number } {
  if (answer < 0) throw new RangeError('That is none of the three answers.')
  return { low: [-Infinity, ...marks][answer] ?? -Infinity, high: [...marks, Infinity][answer] ?? Infinity }
}

/** Between which apparent elongations a drop-in gauge's answer lies, %. @throws RangeError for what is no answer */
export function limitInterval(mark: number, result: string): { low: number; high: number } {
  switch (result) {
    case 'clear':
      return { low: -Infinity, high: mark - ENTRY_WIDTH }
    case 'starts':
      return { low: mark - ENTRY_WIDTH, high: mark }
    case 'drops':
      return { low: mark, high: Infinity }
    case 'not-in':
      return { low: -Infinity, high: mark }
    default:
      throw new RangeError(`A limit side answers clear, starts, drops or not-in, not "${result}".`)
  }
}

/** Keeps a logarithm finite where a probability underflows; e^-700 is as good as never. */
const LOG_NEVER = -700

/** Log-probability that noise of `sd` around `centre` falls between the marks. */
export function logBetween(low: number, high: number, centre: number, sd: number): number {
  // Both tails are taken on the side where they are small, so that a difference of two near-ones is avoided.
  const a = (low - centre) / sd
  const b = (high - centre) / sd
  const p = a > 0 ? normalCdf(-a) - normalCdf(-b) : normalCdf(b) - normalCdf(a)
  return p > 0 ? Math.max(LOG_NEVER, Math.log(p)) : LOG_NEVER
}

/**
 * Log-likelihood of value readings of one instrument, its shared bias integrated out in closed form: residuals
 * are jointly normal with covariance `diag(sd^2) + sb^2`, by the Sherman-Morrison identity. Up to a constant that
 * does not depend on the residuals.
 * @param sumW sum of 1/sd^2
 * @param sumWR sum of residual/sd^2, residual = value - elongation - b
 * @param sumWRR sum of residual^2/sd^2
 */
export function logValuesMarginal(sumW: number, sumWR: number, sumWRR: number, bias: Bias): number {
  const v = bias.sb * bias.sb
  return -0.5 * (sumWRR - (v * sumWR * sumWR) / (1 + v * sumW))
}

/** Weights of an even lattice over a normal bias: exact to rounding once the step is below half its spread. */
export interface BiasNodes {
  readonly offsets: readonly number[]
  readonly logWeights: readonly number[]
}

/**
 * Nodes for integrating a bias `N(b, sb^2)` numerically: an even lattice over 5 spreads each way.
 * @param perSide nodes on each side of the mean
 */
export function biasNodes({ b, sb }: Bias, perSide = 12): BiasNodes {
  if (sb <= 0) return { offsets: [b], logWeights: [0] }
  const z = Array.from({ length: 2 * perSide + 1 }, (_, i) => (5 * (i - perSide)) / perSide)
  const total = z.reduce((sum, value) => sum + Math.exp(-0.5 * value * value), 0)
  return {
    offsets: z.map((value) => b + value * sb),
    logWeights: z.map((value) => -0.5 * value * value - Math.log(total)),
  }
}

/** Logarithm of a sum of exponentials, without overflow. */
export function logSumExp(values: ArrayLike<number>): number {
  let max = -Infinity
  for (let i = 0; i < values.length; i++) max = Math.max(max, values[i] ?? -Infinity)
  if (max === -Infinity) return -Infinity
  let sum = 0
  for (let i = 0; i < values.length; i++) sum += Math.exp((values[i] ?? -Infinity) - max)
  return max + Math.log(sum)
}
