import { ENTRY_FORMAT } from '../src/core/log/entry.ts'
import type { Entry, EntryDraft } from '../src/core/log/entries.ts'
import { makeEntryId } from '../src/core/log/entry-id.ts'
import { replay } from '../src/core/log/replay.ts'
import { toEnd } from '../src/core/job.ts'
import { seededRandom } from '../src/core/stats/random.ts'
import { bikeReport } from '../src/core/strategy/facts/bike-report.ts'
import { riderGroups } from '../src/core/strategy/rider-ask.ts'
import { SWAPS, verdictOf } from '../src/core/strategy/verdict.ts'
import { onBike } from '../src/core/wear/outlook.ts'
import { riderOutlookSteps } from '../src/core/wear/rider-outlook.ts'
import { realRider, type World } from './real-riders.ts'
import { crps, quantiles, type Told } from './score.ts'

/** How one rider was judged by the whole app's verdict, beside the truth. */
export interface Judged {
  /** Whether the 80 % interval of the elongation now holds the truth. */
  readonly holds: boolean
  /** Continuous ranked probability score of the elongation now, %. */
  readonly crps: number
  readonly isAsked: boolean
  readonly isSwap: boolean
  /** The advice is to measure again or to answer first. */
  readonly isHeld: boolean
  /** Truth less the limit, %. */
  readonly over: number
  /** How far the sampler's chains still disagreed, and how much their draws are worth. */
  readonly rHat: number
  readonly effectiveSize: number
}

/** Entries as the store would write them. */
const written = (drafts: readonly EntryDraft[]): Entry[] =>
  drafts.map((draft, i) => ({
    ...draft,
    format: ENTRY_FORMAT,
    id: makeEntryId(Date.UTC(2025, 0, 1) + i, 0, new Uint8Array(16)),
  }))

function normalised(weights: readonly number[]): number[] {
  const sum = weights.reduce((a, b) => a + b, 0)
  return weights.map((weight) => weight / sum)
}

/** Judges one made-up rider of a world, as the app would on the day of the last look. */
export function judge(world: World, seed: number): Judged {
  const { drafts, now, nowPercent } = realRider(seededRandom(seed), world)
  const garage = replay(written(drafts))
  const bike = garage.bikes.get('heron')
  const [group] = riderGroups(garage, now)
  if (!bike || !group) throw new Error('a rider without a bike')
  const report = bikeReport(garage, bike, now)
  const outlook = toEnd(riderOutlookSteps(group.ask))
  const answer = onBike(outlook.chains[report.chain?.part.entry.part ?? ''])
  if (!answer) throw new Error('the chain was not worked out')
  const verdict = verdictOf(report, answer)
  const told: Told = { values: answer.density.e, weights: normalised(answer.density.density) }
  const [low = NaN, high = NaN] = quantiles(told, [0.1, 0.9])
  return {
    holds: nowPercent >= low && nowPercent <= high,
    crps: crps(told, nowPercent),
    isAsked: answer.surprise !== undefined,
    isSwap: verdict !== undefined && SWAPS.includes(verdict.action),
    isHeld: verdict?.action === 'measure' || verdict?.action === 'answer-first',
    over: nowPercent - report.limit.percent,
    rHat: outlook.workings.rHat,
    effectiveSize: outlook.workings.effectiveSize,
  }
}
