import type { JobStep } from '../job.ts'
import { tailNodes } from './bias-tail.ts'
import { biasOf, likelihoodByTool, toolOf } from './instrument-likelihood.ts'
import { INSTRUMENTS, readingSd } from './instruments.ts'
import { evidenceOf, logBetween } from './likelihood.ts'
import { GRID_FROM, GRID_TO, type Density } from './posterior.ts'
import type { Bias, Instrument, Reading, TakenReading } from './reading.ts'

/** A reading that could be taken next. */
export interface Candidate {
  readonly tool: string
  readonly instrument: Instrument
  readonly bias: Bias
  /** For a gauge with sides: which side. */
  readonly limit?: number
}

export interface NextReadingQuestion {
  /** What is believed before the readings of this look: a density, %, on an even grid. */
  readonly before: Density
  readonly readings: readonly TakenReading[]
  readonly limit: number
  readonly candidates: readonly Candidate[]
}

export interface NextReadingValue {
  readonly candidate: Candidate
  /** Expected chance that the verdict (past the limit or not) is wrong after this reading. */
  readonly wrong: number
  /** Expected half width of the 90 % interval after it, %. */
  readonly half: number
}

export interface NextReadingAnswer {
  readonly wrongNow: number
  readonly halfNow: number
  /** The most telling first. */
  readonly values: readonly NextReadingValue[]
}

/** Below this chance of a wrong verdict, readings are told apart by how closely they would pin the chain down. */
const SETTLED = 0.01
const STEPS = 111
const E = Array.from({ length: STEPS }, (_, i) => GRID_FROM + ((GRID_TO - GRID_FROM) * i) / (STEPS - 1))
/** Places of a tool's bias on either side of its middle. */
const BIAS_PER_SIDE = 8
/** A value reading's outcomes are gathered into this many. */
const OUTCOMES = 41

/** A sample reading of a candidate, for its noise and the shape of its answer. */
function sampleOf({ instrument, limit }: Candidate): Reading {
  switch (instrument) {
    case 'rule':
      return { instrument, pitches: 24, lengthMm: 305 }
    case 'strip':
      return { instrument, pitches: 20, lengthMm: 254 }
    case 'caliper-pair':
      return { instrument, pitches: 8, insideMm: 94, outsideMm: 109 }
    case 'two-contact-scale':
    case 'three-contact-scale':
      return { instrument, percent: 0 }
    case 'two-contact-limit':
    case 'three-contact-limit':
      return { instrument, limit: limit ?? 0.75, result: 'drops' }
    case 'ring-lift':
      return { instrument, result: 'none' }
    case 'side-play':
      return { instrument, result: 'little' }
  }
}

/** The stretches of apparent elongation that a candidate can tell apart. */
function outcomesOf(candidate: Candidate): { readonly low: number; readonly high: number }[] {
  const sample = sampleOf(candidate)
  if ('result' in sample) {
    const answers: Reading[] =
      sample.instrument === 'ring-lift'
        ? (['none', 'light', 'half-tooth'] as const).map((result) => ({ ...sample, result }))
        : sample.instrument === 'side-play'
          ? (['little', 'some', 'much'] as const).map((result) => ({ ...sample, result }))
          : (['clear', 'starts', 'drops'] as const).map((result) => ({ ...sample, result }))
    return answers.flatMap((reading) => {
      const evidence = evidenceOf(reading)
      return evidence.form === 'between' ? [{ low: evidence.low, high: evidence.high }] : []
    })
  }
  const edges = Array.from({ length: OUTCOMES - 1 }, (_, i) => -0.3 + (2.2 * i) / (OUTCOMES - 2))
  return [-Infinity, ...edges].map((low, i) => ({ low, high: edges[i] ?? Infinity }))
}

/** Belief over elongation (rows) and a candidate tool's bias (columns) together, given all readings so far. */
function jointBelief(question: NextReadingQuestion, candidate: Candidate, prior: readonly number[]) {
  const own = question.readings.filter((one) => toolOf(one) === candidate.tool)
  const others = question.readings.filter((one) => toolOf(one) !== candidate.tool)
  const rest = [...likelihoodByTool(others, () => 0, true).values()]
  const { offsets, logWeights } = tailNodes(own[0] ? biasOf(own[0]) : candidate.bias, BIAS_PER_SIDE)
  const evidence = own.map(({ reading, noise }) => evidenceOf(reading, noise))
  const log = E.map((e, i) => {
    const base = (prior[i] ?? 0) + rest.reduce((sum, part) => sum + part([e]), 0)
    return offsets.map((offset, k) => {
      return evidence.reduce(
        (sum, item) =>
          sum +
          (item.form === 'value'
            ? -0.5 * ((item.value - e - offset) / item.sd) ** 2
            : logBetween(item.low, item.high, e + offset, item.sd)),
        base + (logWeights[k] ?? 0),
      )
    })
  })
  const top = Math.max(...log.map((row) => Math.max(...row)))
  const raw = log.map((row) => row.map((value) => Math.exp(value - top)))
  const total = raw.reduce((sum, row) => sum + row.reduce((a, x) => a + x, 0), 0)
  return { offsets, mass: raw.map((row) => row.map((value) => value / total)) }
}

/** Chance of the wrong verdict, and half the width of the 90 % interval, of a belief over the grid. */
function riskOf(mass: ArrayLike<number>, limit: number): { readonly wrong: number; readonly half: number } {
  let total = 0
  for (let i = 0; i < STEPS; i++) total += mass[i] ?? 0
  if (!(total > 0)) return { wrong: 0, half: 0 }
  const step = (E[1] ?? 0) - (E[0] ?? 0)
  let past = 0
  let sum = 0
  let [p05, p95] = [GRID_FROM, GRID_TO]
  for (let i = 0; i < STEPS; i++) {
    const share = (mass[i] ?? 0) / total
    const x = E[i] ?? 0
    // A cell that the limit cuts counts in part.
    past += share * Math.min(1, Math.max(0, (x + step / 2 - limit) / step))
    if (sum < 0.05 && sum + share >= 0.05) p05 = x - step / 2 + (step * (0.05 - sum)) / share
    if (sum < 0.95 && sum + share >= 0.95) p95 = x - step / 2 + (step * (0.95 - sum)) / share
    sum += share
  }
  return { wrong: Math.min(past, 1 - past), half: (p95 - p05) / 2 }
}

function valueOf(
  question: NextReadingQuestion,
  candidate: Candidate,
  prior: readonly number[],
): NextReadingValue {
  const { offsets, mass } = jointBelief(question, candidate, prior)
  const sd = readingSd(sampleOf(candidate))
  let [wrong, half] = [0, 0]
  for (const { low, high } of outcomesOf(candidate)) {
    const after = new Float64Array(STEPS)
    let chance = 0
    mass.forEach((row, i) =>
      row.forEach((share, k) => {
        if (share < 1e-9) return
        const p = share * Math.exp(logBetween(low, high, (E[i] ?? 0) + (offsets[k] ?? 0), sd))
        after[i] = (after[i] ?? 0) + p
        chance += p
      }),
    )
    const risk = riskOf(after, question.limit)
    wrong += chance * risk.wrong
    half += chance * risk.half
  }
  return { candidate, wrong, half }
}

/** A density read off at a point, as a logarithm that stays finite. */
function logAt({ e, density }: Density, x: number): number {
  const step = (e[1] ?? 1) - (e[0] ?? 0)
  const i = Math.min(e.length - 1, Math.max(0, Math.round((x - (e[0] ?? 0)) / step)))
  return Math.log(Math.max(1e-12, density[i] ?? 0))
}

/**
 * What another reading would tell you (expected value of sample information): for each candidate, over all it
 * could answer, the expected chance that the verdict is then wrong, and the expected width. A second reading with a
 * tool already used shares its bias, and so is worth less.
 * @yields after each candidate
 */
export function* nextReadingSteps(
  question: NextReadingQuestion,
): Generator<JobStep, NextReadingAnswer, undefined> {
  const prior = E.map((e) => logAt(question.before, e))
  const parts = [...likelihoodByTool(question.readings, () => 0, true).values()]
  const log = E.map((e, i) => (prior[i] ?? 0) + parts.reduce((sum, part) => sum + part([e]), 0))
  const top = Math.max(...log)
  const now = riskOf(
    log.map((value) => Math.exp(value - top)),
    question.limit,
  )
  const values: NextReadingValue[] = []
  for (const candidate of question.candidates) {
    values.push(valueOf(question, candidate, prior))
    yield { done: values.length, of: question.candidates.length }
  }
  return {
    wrongNow: now.wrong,
    halfNow: now.half,
    values: values.sort((a, b) =>
      now.wrong < SETTLED ? a.half - b.half : a.wrong - b.wrong || a.half - b.half,
    ),
  }
}

/** One candidate of each instrument in general, hints left out; for gauges with sides, the side at the limit. */
export function usualCandidates(limit: number): Candidate[] {
  const side = limit <= 0.5 ? 0.5 : limit <= 0.75 ? 0.75 : 1
  return (Object.keys(INSTRUMENTS) as Instrument[])
    .filter((instrument) => instrument !== 'ring-lift' && instrument !== 'side-play')
    .map((instrument) => ({
      tool: instrument,
      instrument,
      bias: INSTRUMENTS[instrument].bias,
      ...(instrument.endsWith('-limit') && { limit: side }),
    }))
}
