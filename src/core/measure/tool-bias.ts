import { INSTRUMENTS } from './instruments.ts'
import { evidenceOf } from './likelihood.ts'
import { invertPositive } from './linear.ts'
import type { Bias, Instrument, Reading } from './reading.ts'

/** How far a chain sold as new may be from its nominal length, % (methods 4's start). */
const NEW_CHAIN_SD = 0.02

/** Readings that tell of tools' biases: of a chain known to be new, or several tools on one chain in one look. */
export interface Meeting {
  /** The chain is new, so its elongation is known but for {@link NEW_CHAIN_SD}; else it is not known at all. */
  readonly isNew: boolean
  readonly readings: readonly { readonly tool: string; readonly reading: Reading }[]
}

export interface LearnedBias extends Bias {
  /** The noise of one reading as its rider takes it, %; absent: the instrument's in general. */
  readonly noise?: number
  /** Readings on new chains that this tool was zeroed with. */
  readonly zeroings: number
  /** Looks at chains in which it met another tool. */
  readonly meetings: number
}

/**
 * A reading as a figure with a spread, whatever its form. A bound on both sides counts as its middle, spread as an
 * even chance between the marks; a bound on one side tells next to nothing of a bias and is passed over.
 */
function asFigure(reading: Reading): { value: number; variance: number } | undefined {
  const evidence = evidenceOf(reading)
  if (evidence.form === 'value') return { value: evidence.value, variance: evidence.sd ** 2 }
  if (!Number.isFinite(evidence.low) || !Number.isFinite(evidence.high)) return undefined
  const width = evidence.high - evidence.low
  return { value: (evidence.low + evidence.high) / 2, variance: width ** 2 / 12 + evidence.sd ** 2 }
}

/**
 * The bias of each tool, from its instrument's in general and from all that its readings tell: zeroings give it
 * directly, and where two tools read one chain their difference tells of both. Readings are `e + bias + noise` with
 * `e` unknown (flat, or known to 0.02 % on a new chain), so that biases are jointly normal: the precision of each
 * meeting is `W - w w^T / (sum w + 1/var(e))`, added to the prior's, and inverted.
 * @param instruments of each tool
 * @param ownBias what is believed of an instrument beforehand, as this rider reads it
 */
export function learnBiases(
  instruments: ReadonlyMap<string, Instrument>,
  meetings: readonly Meeting[],
  ownBias: (instrument: Instrument) => Bias = (instrument) => INSTRUMENTS[instrument].bias,
): Map<string, LearnedBias> {
  const tools = [...instruments.keys()]
  const index = new Map(tools.map((tool, i) => [tool, i]))
  const prior = tools.map((tool) => ownBias(instruments.get(tool) ?? 'rule'))
  const precision = prior.map(({ sb }, i) => prior.map((_, j) => (i === j ? 1 / sb ** 2 : 0)))
  // Worked with each tool's deviation from its prior mean, so that the prior adds nothing to the right-hand side.
  const right = prior.map(() => 0)
  const zeroings = prior.map(() => 0)
  const met = prior.map(() => 0)
  for (const { isNew, readings } of meetings) {
    const taken = readings.flatMap(({ tool, reading }) => {
      const i = index.get(tool)
      const figure = asFigure(reading)
      if (i === undefined || !figure) return []
      return [{ i, weight: 1 / figure.variance, residual: figure.value - (prior[i]?.b ?? 0) }]
    })
    const present = new Set(taken.map(({ i }) => i))
    if (!isNew && present.size < 2) continue
    for (const i of present) {
      if (isNew) zeroings[i] = (zeroings[i] ?? 0) + taken.filter((one) => one.i === i).length
      else met[i] = (met[i] ?? 0) + 1
    }
    const total = taken.reduce((sum, { weight }) => sum + weight, isNew ? 1 / NEW_CHAIN_SD ** 2 : 0)
    const pull = taken.reduce((sum, { weight, residual }) => sum + weight * residual, 0) / total
    for (const one of taken) {
      right[one.i] = (right[one.i] ?? 0) + one.weight * (one.residual - pull)
      const row = precision[one.i]
      if (!row) continue
      row[one.i] = (row[one.i] ?? 0) + one.weight
      for (const other of taken) row[other.i] = (row[other.i] ?? 0) - (one.weight * other.weight) / total
    }
  }
  const covariance = invertPositive(precision)
  return new Map(
    tools.map((tool, i) => {
      const shift = right.reduce((sum, value, j) => sum + (covariance[i]?.[j] ?? 0) * value, 0)
      return [
        tool,
        {
          b: (prior[i]?.b ?? 0) + shift,
          sb: Math.sqrt(covariance[i]?.[i] ?? 0),
          zeroings: zeroings[i] ?? 0,
          meetings: met[i] ?? 0,
        },
      ]
    }),
  )
}
