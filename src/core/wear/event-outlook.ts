import type { RoadStretch } from '../exposure/road-ahead.ts'
import type { DrawnWay } from './ahead.ts'
import { elongationDraws, type ChainDraws, type RiderDraws } from './draws.ts'
import { intervalOf, quantileOf, shareFrom, type Interval } from '../stats/interval.ts'

/** What to do about a chain before an event. */
export type EventAdvice =
  /** It lasts: swap it afterwards, or later still. */
  | 'after'
  /** It may not: look before, and swap it if it reads more than it may. */
  | 'look-first'
  /** It does not: swap it before. */
  | 'before'
  /** It is past the limit before the event begins. */
  | 'before-anyway'

/** Whether a chain lasts through an event. */
export interface EventOutlook {
  readonly event: string
  /** Distance from now to where it begins, km. */
  readonly beginsKm: Interval
  /** Elongation when it is over, %. */
  readonly ends: Interval
  /** Chance of being past the limit when it begins and when it is over. */
  readonly pastBefore: number
  readonly pastAfter: number
  /** A chain that reads more than this beforehand, %, is swapped: it has 1 chance in 4 of not lasting. */
  readonly mayRead: number
  readonly advice: EventAdvice
}

/** A chance of not lasting that one may take, and one that nobody should. Ours, a judgement. */
export const TAKEN = 1 / 4
export const REFUSED = 3 / 4

/** What to do before an event, by the chances of being past the limit when it begins and when it is over. */
export function adviceFor(pastBefore: number, pastAfter: number): EventAdvice {
  if (pastBefore >= 0.5) return 'before-anyway'
  if (pastAfter <= TAKEN) return 'after'
  return pastAfter < REFUSED ? 'look-first' : 'before'
}

/**
 * For each event ahead: how worn the chain is when it begins and ends, by the draws, and what to do about it.
 * @param gone wear-km so far, by draw
 */
export function eventOutlooks(
  draws: RiderDraws,
  own: ChainDraws,
  gone: Float64Array,
  ways: readonly DrawnWay[],
  stretches: readonly RoadStretch[],
  limit: number,
): EventOutlook[] {
  return stretches.flatMap(({ event }, i): EventOutlook[] => {
    if (event === undefined) return []
    const at = (place: number): Float64Array =>
      elongationDraws(
        draws,
        own,
        gone.map((wearKm, n) => wearKm + (ways[n]?.wearKm[place] ?? 0)),
      )
    const [begins, ends] = [at(i), at(i + 1)]
    const growth = ends.map((end, n) => end - (begins[n] ?? 0)).sort()
    const [pastBefore, pastAfter] = [shareFrom(begins, limit), shareFrom(ends, limit)]
    return [
      {
        event,
        beginsKm: intervalOf(Float64Array.from(ways, ({ km }) => km[i] ?? 0)),
        ends: intervalOf(ends),
        pastBefore,
        pastAfter,
        mayRead: Math.max(0, limit - quantileOf(growth, 1 - TAKEN)),
        advice: adviceFor(pastBefore, pastAfter),
      },
    ]
  })
}
