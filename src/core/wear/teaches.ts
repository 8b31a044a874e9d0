import { meanOf } from '../stats/mean.ts'
import type { RiderDraws } from './draws.ts'
import type { Factor } from '../exposure/roads.ts'

/** Something that could be learned, and the share of what is unsure of the chains' distances that it would settle. */
export type Lesson = { readonly share: number } & (
  | { readonly kind: 'look'; readonly chain: string }
  | { readonly kind: 'factor'; readonly of: Factor }
  | { readonly kind: 'tool'; readonly tool: string }
)

/** What is said of a chain that is on a bike, by draw. */
export interface AskedOutcome {
  readonly chain: string
  /** Elongation now, %. */
  readonly worn: Float64Array
  readonly toLimitKm: Float64Array
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

/** Settles less than this and is not worth a word. */
const WORTH_SAYING = 0.02

/**
 * What to find out next: how much of what is unsure of the chains' distances to their limits hangs on each chain's
 * wear now, on each multiplier and on each tool's bias. Most first.
 */
export function lessons({ model, times, offsets }: RiderDraws, outcomes: readonly AskedOutcome[]): Lesson[] {
  if (outcomes.length === 0) return []
  const logs = outcomes.map(({ toLimitKm }) => toLimitKm.map((km) => Math.log(km + 20)))
  const over = (values: Float64Array): number =>
    logs.reduce((sum, log) => sum + shareExplained(log, values), 0) / logs.length
  const looks = outcomes.map(({ chain, worn }, i): Lesson => ({
    kind: 'look',
    chain,
    share: shareExplained(logs[i] ?? worn, worn) / outcomes.length,
  }))
  const factors = model.factors.map(({ of }, f): Lesson => ({
    kind: 'factor',
    of,
    share: over((times[f] ?? new Float64Array(1)).map(Math.log)),
  }))
  const tools = model.tools.map(({ tool }, t): Lesson => ({
    kind: 'tool',
    tool,
    share: over(offsets[t] ?? new Float64Array(1)),
  }))
  return [...looks, ...factors, ...tools]
    .filter(({ share }) => share >= WORTH_SAYING)
    .sort((a, b) => b.share - a.share)
}
