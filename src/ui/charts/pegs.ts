import { evidenceOf } from '../../core/measure/likelihood.ts'
import { biasOf } from '../../core/measure/instrument-likelihood.ts'
import type { EntryId, IsoTime } from '../../core/log/entry.ts'
import type { ReadingState } from '../../core/log/garage.ts'
import type { LearnedBias } from '../../core/measure/tool-bias.ts'
import { placedReading } from '../../core/strategy/facts/chain-evidence.ts'
import type { Ink } from './ink.ts'

/** A reading on a drawing: a value with its spread, or a stretch between two marks. */
export interface Peg {
  readonly entry: EntryId
  readonly x: number
  /** Which of several at the same distance it is: they are drawn side by side. */
  readonly beside: number
  readonly low: number
  readonly high: number
  readonly middle: number | undefined
  /** The chance that it was misread, 0 to 1, where that is worth saying. */
  readonly slip?: number
}

/** The top of the drawings, %: what lies above is cut there. */
export const PEG_TOP = 1.3
/**
 * The top of a drawing, %: room above the limit, and above the highest figure that was read.
 * @param limit %
 */
export function topOver(pegs: readonly Peg[], limit: number): number {
  const highest = pegs.reduce((top, { middle }) => Math.max(top, middle ?? 0), 0)
  return Math.min(PEG_TOP, Math.max(0.75, limit + 0.25, Math.ceil((highest + 0.1) * 20) / 20))
}

/** Pegs at one distance stand this far beside one another, px. */
export const PEG_GAP_PX = 9

/**
 * The readings that count, as pegs: 90 % of what each alone would say, its tool's bias taken off.
 * @param slips those that were probably misread
 */
export function pegsOf(
  readings: readonly ReadingState[],
  biases: ReadonlyMap<string, LearnedBias>,
  xAt: (at: IsoTime) => number,
  slips?: ReadonlyMap<EntryId, number>,
): Peg[] {
  const seen = new Map<number, number>()
  return readings
    .filter((state) => state.used)
    .map((state) => {
      const x = xAt(state.entry.at)
      const beside = seen.get(x) ?? 0
      seen.set(x, beside + 1)
      const slip = slips?.get(state.entry.id)
      const of = { entry: state.entry.id, x, beside, ...(slip !== undefined && { slip }) }
      const taken = placedReading(state, biases)
      const evidence = evidenceOf(taken.reading, taken.noise)
      const bias = biasOf(taken)
      if (evidence.form === 'value') {
        const middle = evidence.value - bias.b
        const reach = 1.645 * Math.hypot(evidence.sd, bias.sb)
        return { ...of, low: middle - reach, high: middle + reach, middle }
      }
      const low = Number.isFinite(evidence.low) ? evidence.low - bias.b : 0
      const high = Number.isFinite(evidence.high) ? evidence.high - bias.b : PEG_TOP
      return { ...of, low, high, middle: undefined }
    })
}

/** A peg as the numbers that {@link drawPeg} reads. */
export const pegData = (pegs: readonly Peg[], scale: (x: number) => number): number[][] =>
  pegs.map(({ x, beside, low, high, middle, slip }) => [
    scale(x),
    low,
    high,
    middle ?? NaN,
    beside,
    slip ?? 0,
  ])

/** The marks that tell the pegs of one chain from another's. */
export type PegShape = 'ring' | 'square' | 'diamond'

function markOf(shape: PegShape, x: number, y: number) {
  switch (shape) {
    case 'ring':
      return { type: 'circle', shape: { cx: x, cy: y, r: 4 } }
    case 'square':
      return { type: 'rect', shape: { x: x - 4, y: y - 4, width: 8, height: 8 } }
    case 'diamond':
      return {
        type: 'polygon',
        shape: {
          points: [
            [x, y - 5.5],
            [x + 5.5, y],
            [x, y + 5.5],
            [x - 5.5, y],
          ],
        },
      }
  }
}

/** So far under the top, % of elongation, is what lies above it. */
const EDGE = 0.03

/** A stroke through what was probably misread. */
const struckThrough = (ink: Ink, x: number, y: number) => ({
  type: 'line',
  shape: { x1: x - 7, y1: y + 7, x2: x + 7, y2: y - 7 },
  style: { stroke: ink.rust, lineWidth: 2.2 },
})

/** A mark for a value, a bar for its spread; a limit side's answer is a faint bar with an end where it is bounded. */
export function drawPeg(ink: Ink, colour: string = ink.ink, shape: PegShape = 'ring') {
  return (_params: unknown, api: { value: (i: number) => number; coord: (p: number[]) => number[] }) => {
    const [at, low, high, middle] = [api.value(0), api.value(1), api.value(2), api.value(3)]
    const [centre = 0, yLow = 0] = api.coord([at, Math.max(0, low)])
    const x = centre - PEG_GAP_PX * api.value(4)
    const yHigh = api.coord([at, Math.min(PEG_TOP, high)])[1] ?? 0
    const isSlip = api.value(5) > 0
    const line = { stroke: colour, lineWidth: 1.4, fill: 'none' }
    const bar = { type: 'line', shape: { x1: x, y1: yLow, x2: x, y2: yHigh }, style: line }
    if (Number.isNaN(middle)) {
      const ends = [low > 0 ? yLow : undefined, high < PEG_TOP ? yHigh : undefined].filter(
        (y) => y !== undefined,
      )
      const caps = ends.map((y) => ({
        type: 'line',
        shape: { x1: x - 5, y1: y, x2: x + 5, y2: y },
        style: line,
      }))
      const struck = isSlip ? [struckThrough(ink, x, (yLow + yHigh) / 2)] : []
      return { type: 'group', children: [{ ...bar, style: { ...line, opacity: 0.35 } }, ...caps, ...struck] }
    }
    // What is above the drawing stands at its upper edge rather than nowhere.
    const y = api.coord([at, Math.min(PEG_TOP - EDGE, middle)])[1] ?? 0
    const mark = { ...markOf(shape, x, y), style: { ...line, fill: ink.paper } }
    return { type: 'group', children: [bar, mark, ...(isSlip ? [struckThrough(ink, x, y)] : [])] }
  }
}
