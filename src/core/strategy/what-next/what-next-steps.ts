import type { RoadStretch } from '../../exposure/road-ahead.ts'
import type { JobStep } from '../../job.ts'
import type { PartId } from '../../log/entry.ts'
import { likelihoodByTool } from '../../measure/instrument-likelihood.ts'
import type { TakenReading } from '../../measure/reading.ts'
import { keptChain, type KeptDraws } from '../../wear/kept-draws.ts'
import type { WearAnswer } from '../../wear/outlook.ts'
import { afterFinding, type AfterFinding } from './after-finding.ts'
import { chainAhead } from './chain-ahead.ts'

/** Readings that could be taken next, and what is known of the chain. Plain data. */
export interface WhatNextAsk {
  /** A name for all of this: changes where any of it does. */
  readonly named: string
  readonly draws: KeptDraws
  readonly chain: PartId
  readonly limit: number
  readonly stretches: readonly RoadStretch[]
  readonly before: Pick<WearAnswer, 'now' | 'events' | 'toLimitDays'>
  /** What one tool can say, in its own order. */
  readonly possible: readonly TakenReading[]
}

/** One reading that could be taken next. */
export interface PossibleReading {
  /** Chance that the tool says this. */
  readonly p: number
  readonly after: AfterFinding
}

/** What each possible reading would make of the chain, in the order in which they were asked. */
export interface WhatNext {
  readonly readings: readonly PossibleReading[]
}

/**
 * Tries every reading that one tool could give next: the draws are weighed by how likely each of them makes it (methods 2), and all
 * that a verdict goes by is read off them again. The tool must be one that has not read this chain yet: its bias then
 * stands by itself.
 * @yields how many readings were tried
 * @throws RangeError where no reading is asked about, or one cannot be
 */
export function* whatNextSteps(ask: WhatNextAsk): Generator<JobStep, WhatNext, undefined> {
  const { draws, limit, possible, before } = ask
  if (possible.length === 0) throw new RangeError('No reading to try.')
  const ahead = chainAhead(draws, keptChain(draws, ask.chain), ask.stretches, limit)
  const count = ahead.worn.length
  const tried: { readonly evidence: number; readonly after: AfterFinding }[] = []
  for (const taken of possible) {
    const [likelihood] = likelihoodByTool([taken], () => 0, true).values()
    const logs = Float64Array.from(ahead.worn, (e) => likelihood?.([e]) ?? 0)
    const top = logs.reduce((most, one) => Math.max(most, one), -Infinity)
    const weights = logs.map((one) => Math.exp(one - top))
    const sum = weights.reduce((a, b) => a + b, 0)
    tried.push({
      evidence: Math.exp(top) * (sum / count),
      after: afterFinding(
        ahead,
        weights.map((one) => one / sum),
        before,
        limit,
      ),
    })
    yield { done: tried.length, of: possible.length }
  }
  const total = tried.reduce((sum, { evidence }) => sum + evidence, 0)
  return { readings: tried.map(({ evidence, after }) => ({ p: evidence / total, after })) }
}
