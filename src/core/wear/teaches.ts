import { meanOf, sumOf } from '../stats/mean.ts'
import type { RiderDraws } from './draws.ts'
import type { Factor } from '../exposure/roads.ts'

/** Something that could be learned, and the share of what is unsure of the chains' distances that it would settle. */
export type Lesson = { readonly share: number } & (
  | { readonly kind: 'question'; readonly chain: string }
  | { readonly kind: 'look'; readonly chain: string }
  | { readonly kind: 'factor'; readonly of: Factor }
  | { readonly kind: 'tool'; readonly tool: string }
)

/** What is said of a chain that is on a bike, by draw. */
export interface AskedOutcome {
  readonly chain: string
  readonly draws: RiderDraws
  /** Elongation now, %. */
  readonly worn: Float64Array
  readonly toLimitKm: Float64Array
  /** While a question about it is open: which of the answers, by draw. */
  readonly which?: Float64Array
}

/** Squared correlation: the share of one's variance that knowing the other would take away, in a straight line. */
function shareExplained(a: Float64Array, b: Float64Array): number {
  const [meanA, meanB] = [meanOf(a), meanOf(b)]
  let [ab, aa, bb] = [0, 0, 0]
  for (let n = 0; n < a.length; n++) {
    const [da, db] = [(a[n] ?? 0) - meanA, (b[n] ?? 0) - meanB]
    ab += da * db
    aa += da * da
    bb += db * db
  }
  return aa > 0 && bb > 0 ? (ab * ab) / (aa * bb) : 0
}

/** The share of a variance that lies between groups: knowing which one would take it away. */
function shareBetween(values: Float64Array, which: Float64Array): number {
  const mean = meanOf(values)
  const groups = new Map<number, number[]>()
  values.forEach((value, n) => {
    const group = which[n] ?? 0
    const held = groups.get(group)
    if (held) held.push(value - mean)
    else groups.set(group, [value - mean])
  })
  const all = values.reduce((sum, value) => sum + (value - mean) ** 2, 0)
  const between = [...groups.values()].reduce((sum, of) => sum + sumOf(of) ** 2 / of.length, 0)
  return all > 0 ? between / all : 0
}

/** What one chain's distance to its limit hangs on. */
function lessonsOf({ chain, draws, worn, toLimitKm, which }: AskedOutcome): Lesson[] {
  const log = toLimitKm.map((km) => Math.log(km + 20))
  const { model, times, offsets } = draws
  return [
    ...(which ? [{ kind: 'question' as const, chain, share: shareBetween(log, which) }] : []),
    { kind: 'look', chain, share: shareExplained(log, worn) },
    ...model.factors.map(({ of }, f): Lesson => ({
      kind: 'factor',
      of,
      share: shareExplained(log, (times[f] ?? new Float64Array(1)).map(Math.log)),
    })),
    ...model.tools.map(({ tool }, t): Lesson => ({
      kind: 'tool',
      tool,
      share: shareExplained(log, offsets[t] ?? new Float64Array(1)),
    })),
  ]
}

/** Settles less than this and is not worth a word. */
const WORTH_SAYING = 0.02

const nameOf = ({ share: _, ...rest }: Lesson): string => JSON.stringify(rest)

/**
 * What to find out next: how much of what is unsure of the chains' distances to their limits hangs on each open question,
 * on each chain's wear now, on each multiplier and on each tool's bias. Questions first, since
 * an answer costs nothing; then most first.
 */
export function lessons(outcomes: readonly AskedOutcome[]): Lesson[] {
  const sums = new Map<string, Lesson>()
  for (const lesson of outcomes.flatMap(lessonsOf)) {
    const name = nameOf(lesson)
    const share = (sums.get(name)?.share ?? 0) + lesson.share / outcomes.length
    sums.set(name, { ...lesson, share })
  }
  const isQuestion = ({ kind }: Lesson): number => Number(kind === 'question')
  return [...sums.values()]
    .filter(({ share }) => share >= WORTH_SAYING)
    .sort((a, b) => isQuestion(b) - isQuestion(a) || b.share - a.share)
}
