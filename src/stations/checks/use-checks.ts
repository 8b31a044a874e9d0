import { useMemo } from 'react'
import { FEATURES, bikeHas } from '../../core/checks/bike-has.ts'
import { ITEM_IDS, type ItemId } from '../../core/checks/items.ts'
import type { SinceLooked } from '../../core/checks/pick.ts'
import { itemsOfSheet, type Occasion } from '../../core/checks/sheets.ts'
import type { CheckEntry } from '../../core/log/kinds/check.ts'
import { checksAhead, lastChecks, notHere, sinceLooked } from '../../core/strategy/facts/check-facts.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { openRounds, type RoundState } from '../../core/strategy/facts/rounds.ts'
import { useOpenLog } from '../../session/log-context.ts'

/** What is known of a bike's checks. */
export interface ChecksInHand {
  readonly report: BikeReport
  readonly last: ReadonlyMap<ItemId, CheckEntry>
  readonly since: ReadonlyMap<ItemId, SinceLooked>
  readonly itemsOf: (occasion: Occasion) => readonly ItemId[]
  /** Rounds that wait, half done; the one begun last first. */
  readonly rounds: readonly RoundState[]
  /** Checks whose day is still to come. */
  readonly ahead: readonly CheckEntry[]
  /** Items that were answered "not on this bike". */
  readonly gone: ReadonlySet<ItemId>
  /** Something that decides which items there are is not entered. */
  readonly isBuildOpen: boolean
}

/** Everything about the checks of one bike. */
export function useChecks(report: BikeReport): ChecksInHand {
  const { garage, now } = useOpenLog()
  return useMemo(() => {
    const { entry } = report.bike
    const last = lastChecks(garage, entry.bike, now)
    const gone = notHere(last)
    const has = bikeHas(entry)
    return {
      report,
      last,
      since: new Map(ITEM_IDS.map((id) => [id, sinceLooked(garage, report.bike, last, id, now)])),
      itemsOf: (occasion) => itemsOfSheet(occasion, entry, gone),
      rounds: openRounds(garage, entry.bike, now),
      ahead: checksAhead(garage, entry.bike, now),
      gone,
      isBuildOpen: FEATURES.some((feature) => has[feature] === undefined),
    }
  }, [garage, report, now])
}
