import { ITEM_IDS, itemOf, type ItemId } from '../../checks/items.ts'
import type { SinceLooked } from '../../checks/pick.ts'
import { ridesDuring, totalKm } from '../../exposure/distance.ts'
import type { BikeId, IsoTime } from '../../log/entry.ts'
import type { BikeState, Garage } from '../../log/garage.ts'
import { checkKey, type CheckEntry } from '../../log/kinds/check.ts'
import { thicknessKey } from '../../log/kinds/thickness.ts'
import { daysBetween, isStillToCome } from '../../units/days.ts'
import { visitsOf } from './advice.ts'
import { isRenewedSince, jobOfItem } from './item-jobs.ts'

/** A finding of a check that is still open. */
export interface OpenFinding {
  readonly check: CheckEntry
  /** Ridden since then, km. */
  readonly km: number
  /** To be seen to at once, or its day or distance has come. */
  readonly isDue: boolean
}

/** The last check of each item of a bike, those dated in the future left out. */
export function lastChecks(garage: Garage, bike: BikeId, now: IsoTime): ReadonlyMap<ItemId, CheckEntry> {
  return new Map(
    ITEM_IDS.flatMap((item) => {
      const last = garage.listed.check
        .get(checkKey(bike, item))
        ?.findLast(({ at }) => !isStillToCome(at, now))
      return last ? [[item, last] as const] : []
    }),
  )
}

/** Checks of a bike that are dated in the future: they do not count until their day is corrected. */
export const checksAhead = (garage: Garage, bike: BikeId, now: IsoTime): readonly CheckEntry[] =>
  ITEM_IDS.flatMap((item) =>
    (garage.listed.check.get(checkKey(bike, item)) ?? []).filter(({ at }) => isStillToCome(at, now)),
  )

/** Items that were answered "not on this bike". */
export const notHere = (last: ReadonlyMap<ItemId, CheckEntry>): ReadonlySet<ItemId> =>
  new Set([...last].flatMap(([item, { result }]) => (result === 'not-here' ? [item] : [])))

/** How long ago an item was looked at: by a check, or by measuring what it measures. */
export function sinceLooked(
  garage: Garage,
  { entry, rides }: BikeState,
  last: ReadonlyMap<ItemId, CheckEntry>,
  item: ItemId,
  now: IsoTime,
): SinceLooked {
  const measured = (itemOf(item).measures ?? []).flatMap(
    (part) => garage.listed.thickness.get(thicknessKey(entry.bike, part))?.at(-1)?.at ?? [],
  )
  const at = [last.get(item)?.at, ...measured]
    .filter((one) => one !== undefined && !isStillToCome(one, now))
    .sort()
    .at(-1)
  return at === undefined
    ? {}
    : { days: Math.max(0, daysBetween(at, now)), km: totalKm(ridesDuring(rides, at, now)) }
}

/** Whether something was renewed, or seen to at a visit, since it was found. */
function isSeenTo(garage: Garage, { bike, item, at }: CheckEntry): boolean {
  // What was left at a visit stands in its advice from then on.
  const isInVisit = visitsOf(garage, bike).some(
    (visit) =>
      visit.isClosed &&
      visit.at >= at &&
      visit.jobs.some(({ id, outcome }) => id === jobOfItem(item) && outcome !== 'open'),
  )
  return isRenewedSince(garage, bike, item, at) || isInVisit
}

const WEIGHT: Readonly<Record<NonNullable<CheckEntry['act']>, number>> = {
  stop: 4,
  mechanic: 3,
  now: 2,
  soon: 1,
}

/** What was found at a bike's checks and not seen to since, the weightiest first. */
export function openFindings(garage: Garage, bike: BikeState, now: IsoTime): readonly OpenFinding[] {
  const weigh = ({ check: { act, result } }: OpenFinding): number =>
    result === 'fail' ? WEIGHT[act ?? 'soon'] : 0
  return [...lastChecks(garage, bike.entry.bike, now).values()]
    .filter(({ result }) => result === 'fail' || result === 'watch')
    .filter((check) => !isSeenTo(garage, check))
    .map((check) => {
      const km = totalKm(ridesDuring(bike.rides, check.at, now))
      const { act, byKm, byDay, result } = check
      const isDue =
        (result === 'fail' && act !== 'soon') ||
        (byKm !== undefined && km >= byKm) ||
        (byDay !== undefined && now >= byDay)
      return { check, km, isDue }
    })
    .sort((a, b) => weigh(b) - weigh(a) || Number(b.isDue) - Number(a.isDue))
}

/** Findings that are due: those for which the bike is not ridden, or those to be seen to before the next ride. */
export interface FoundAtCheck {
  readonly items: readonly ItemId[]
  readonly isStop: boolean
}

/** What was found at the checks and is due; where the bike must not be ridden, that alone. Undefined where nothing is. */
export function foundAtCheck(findings: readonly OpenFinding[]): FoundAtCheck | undefined {
  const due = findings.filter(({ isDue }) => isDue)
  const stop = due.filter(
    ({ check: { result, act } }) => result === 'fail' && (act === 'stop' || act === 'mechanic'),
  )
  const said = stop.length > 0 ? stop : due
  return said.length > 0 ? { items: said.map(({ check }) => check.item), isStop: stop.length > 0 } : undefined
}
