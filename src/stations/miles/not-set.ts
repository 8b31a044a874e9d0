import type { Condition } from '../../core/exposure/conditions.ts'
import type { ConditionEntry } from '../../core/log/kinds/condition.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import type { IsoTime } from '../../core/log/entry.ts'
import type { Ride } from '../../core/log/garage.ts'

/** Which of the rides without conditions are meant. */
export type Which = 'one' | 'month' | 'route' | 'between' | 'all'

/** The rides whose condition is not set, oldest first. Distance spread by the odometer is no ride to ask about. */
export const ridesNotSet = (rides: readonly Ride[]): readonly Ride[] =>
  rides.filter((ride) => ride.unsure === true && ride.spread !== true)

/** The rides without conditions that are meant, given the one in hand and, for a range, its first and last day. */
export function ridesMeant(
  notSet: readonly Ride[],
  current: Ride | undefined,
  which: Which,
  range: { readonly from: string; readonly to: string },
): readonly Ride[] {
  switch (which) {
    case 'all':
      return notSet
    case 'between':
      return notSet.filter(({ at }) => at.slice(0, 10) >= range.from && at.slice(0, 10) <= range.to)
    case 'one':
      return current ? [current] : []
    case 'month':
      return current ? notSet.filter(({ at }) => at.slice(0, 7) === current.at.slice(0, 7)) : []
    case 'route':
      return current?.route === undefined
        ? current
          ? [current]
          : []
        : notSet.filter(({ route }) => route === current.route)
  }
}

/** One entry for each condition that rides are said to have had. */
export function settingConditions(
  conditions: ReadonlyMap<string, Condition>,
  from: ConditionEntry['from'],
  at: IsoTime,
): EntryDraft[] {
  const targets = new Map<Condition, string[]>()
  for (const [ride, condition] of conditions)
    targets.set(condition, [...(targets.get(condition) ?? []), ride])
  return [...targets].map(([condition, rides]) => ({
    kind: 'condition',
    at,
    targets: rides,
    condition,
    from,
  }))
}
