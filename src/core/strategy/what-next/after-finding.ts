import type { Summary } from '../../measure/posterior.ts'
import { summariseDensity } from '../../measure/posterior.ts'
import type { Interval } from '../../stats/interval.ts'
import { quantile, weighted } from '../../stats/weighted.ts'
import { smoothDensity } from '../../wear/density.ts'
import { adviceFor } from '../../wear/event-outlook.ts'
import type { WearAnswer } from '../../wear/outlook.ts'
import type { ChainAhead } from './chain-ahead.ts'

/** What a verdict goes by of a chain's answer, as it would be after a finding. */
export type AfterFinding = Pick<
  WearAnswer,
  'now' | 'toLimitKm' | 'toLimitDays' | 'nextLookKm' | 'nextLookDays' | 'events'
>

/** 10th, 50th and 90th percentile of weighted draws. */
function intervalWith(values: Float64Array, weights: Float64Array): Interval {
  const sorted = weighted(values, weights)
  return { p10: quantile(sorted, 0.1), p50: quantile(sorted, 0.5), p90: quantile(sorted, 0.9) }
}

const shareWith = (values: Float64Array, weights: Float64Array, from: number): number =>
  values.reduce((sum, value, n) => (value >= from ? sum + (weights[n] as number) : sum), 0)

function summaryWith(worn: Float64Array, weights: Float64Array, limits: readonly number[]): Summary {
  return summariseDensity(smoothDensity(worn, weights), limits)
}

/**
 * A chain's answer once its draws count for more or less, as they do after a finding.
 * @param weights of the draws; they sum to 1
 * @param before the answer as it is now: its marks, its events and whether there are days are kept
 * @param limit %
 */
export function afterFinding(
  ahead: ChainAhead,
  weights: Float64Array,
  before: Pick<WearAnswer, 'now' | 'events' | 'toLimitDays'>,
  limit: number,
): AfterFinding {
  const toLimitKm = intervalWith(ahead.toLimitKm, weights)
  const toLimitDays = before.toLimitDays && intervalWith(ahead.toLimitDays, weights)
  return {
    now: summaryWith(ahead.worn, weights, Object.keys(before.now.pAbove).map(Number)),
    toLimitKm,
    nextLookKm: toLimitKm.p10,
    ...(toLimitDays && { toLimitDays, nextLookDays: toLimitDays.p10 }),
    events: before.events.map((outlook) => {
      const found = ahead.events.find(({ event }) => event === outlook.event)
      if (!found) return outlook
      const pastBefore = shareWith(found.begins, weights, limit)
      const pastAfter = shareWith(found.ends, weights, limit)
      return { ...outlook, pastBefore, pastAfter, advice: adviceFor(pastBefore, pastAfter) }
    }),
  }
}
