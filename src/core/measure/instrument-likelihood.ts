import { tailNodes } from './bias-tail.ts'
import { logAt } from './log-table.ts'
import { betweenTable, readingTable } from './reading-table.ts'
import { slipOf } from './slip.ts'
import { INSTRUMENTS } from './instruments.ts'
import { biasNodes, evidenceOf, logSumExp, logValuesMarginal, type Evidence } from './likelihood.ts'
import type { Bias, TakenReading } from './reading.ts'

/** One reading's evidence and which of several elongations of the chain (now, earlier) it is about. */
export interface PlacedEvidence {
  readonly item: Evidence
  readonly step: number
}

type Between = Extract<Evidence, { form: 'between' }>

/** Equal limit readings counted together: a gauge has few answers, and each costs two distribution functions. */
function tallied(evidence: readonly PlacedEvidence[]): { item: Between; step: number; times: number }[] {
  const tally = new Map<string, { item: Between; step: number; times: number }>()
  for (const { item, step } of evidence) {
    if (item.form !== 'between') continue
    const key = `${item.low} ${item.high} ${item.sd} ${step}`
    const held = tally.get(key)
    if (held) held.times++
    else tally.set(key, { item, step, times: 1 })
  }
  return [...tally.values()]
}

/**
 * Log-likelihood of all readings of one instrument, its shared bias integrated out (methods 2), as a function of
 * the chain's elongation at each step, %. In closed form where every reading is a value, else numerically over an
 * even lattice of the bias. Up to a constant.
 */
export function instrumentLogLikelihood(evidence: readonly PlacedEvidence[], bias: Bias): LogLikelihood {
  const values = evidence.flatMap(({ item, step }) => (item.form === 'value' ? [{ ...item, step }] : []))
  const between = tallied(evidence)
  if (between.length === 0) {
    const sumW = values.reduce((sum, { sd }) => sum + 1 / (sd * sd), 0)
    return (at) => {
      let sumWR = 0
      let sumWRR = 0
      for (const { value, sd, step } of values) {
        const residual = value - (at[step] ?? 0) - bias.b
        sumWR += residual / (sd * sd)
        sumWRR += (residual / sd) ** 2
      }
      return logValuesMarginal(sumW, sumWR, sumWRR, bias)
    }
  }
  const { offsets, logWeights } = biasNodes(bias)
  const terms = new Float64Array(offsets.length)
  const limits = between.map(({ item: { low, high, sd }, step, times }) => ({
    step,
    times,
    table: betweenTable(low, high, sd),
  }))
  return (at) => {
    for (let k = 0; k < offsets.length; k++) {
      const offset = offsets[k] ?? 0
      let sum = logWeights[k] ?? 0
      for (const { table, step, times } of limits) sum += times * logAt(table, (at[step] ?? 0) + offset)
      for (const { value, sd, step } of values) sum -= 0.5 * ((value - (at[step] ?? 0) - offset) / sd) ** 2
      terms[k] = sum
    }
    return logSumExp(terms)
  }
}

/** A reading and which of several elongations of the chain it is about. */
interface PlacedReading {
  readonly taken: TakenReading
  readonly step: number
}

/**
 * The same as the forecast has it (methods 4): each reading may be a slip, and the bias may be far off, so that one reading or
 * one tool cannot carry all before it.
 */
function doubtfulLogLikelihood(readings: readonly PlacedReading[], bias: Bias): LogLikelihood {
  const { offsets, logWeights } = tailNodes(bias)
  const laid = readings.map(({ taken, step }) => {
    const evidence = evidenceOf(taken.reading, taken.noise)
    return { step, ...readingTable(evidence, slipOf(taken, evidence)) }
  })
  const terms = new Float64Array(offsets.length)
  return (at) => {
    for (let k = 0; k < offsets.length; k++) {
      let sum = logWeights[k] ?? 0
      for (const { table, value, step } of laid)
        sum += logAt(table, (at[step] ?? 0) + (offsets[k] ?? 0) - value)
      terms[k] = sum
    }
    return logSumExp(terms)
  }
}

export type LogLikelihood = (elongationAt: ArrayLike<number>) => number

/** The tool of a reading: its own, or the one there is of its instrument. */
export const toolOf = ({ tool, reading }: TakenReading): string => tool ?? reading.instrument

/** What is known of the bias behind a reading. */
export const biasOf = ({ bias, reading }: TakenReading): Bias => bias ?? INSTRUMENTS[reading.instrument].bias

/**
 * The log-likelihood of each tool's readings: tools are independent given the chain, readings of one are not.
 * @param stepOf which of the elongations asked about a reading belongs to
 * @param isDoubted whether readings may be slips and tools far off, as in methods 4; else as in methods 2
 */
export function likelihoodByTool<T extends TakenReading>(
  taken: readonly T[],
  stepOf: (one: T) => number,
  isDoubted = false,
): Map<string, LogLikelihood> {
  const groups = new Map<string, { bias: Bias; readings: PlacedReading[] }>()
  for (const one of taken) {
    const tool = toolOf(one)
    const group = groups.get(tool) ?? { bias: biasOf(one), readings: [] }
    group.readings.push({ taken: one, step: stepOf(one) })
    groups.set(tool, group)
  }
  return new Map(
    [...groups].map(([tool, { bias, readings }]) => [
      tool,
      isDoubted
        ? doubtfulLogLikelihood(readings, bias)
        : instrumentLogLikelihood(
            readings.map(({ taken: { reading, noise }, step }) => ({
              item: evidenceOf(reading, noise),
              step,
            })),
            bias,
          ),
    ]),
  )
}
