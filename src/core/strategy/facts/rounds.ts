import type { ItemId } from '../../checks/items.ts'
import { OCCASIONS, type Occasion } from '../../checks/sheets.ts'
import type { BikeId, IsoTime } from '../../log/entry.ts'
import type { Garage } from '../../log/garage.ts'
import { checkKey, type CheckEntry } from '../../log/kinds/check.ts'
import type { RoundEntry } from '../../log/kinds/round.ts'
import { daysBetween } from '../../units/days.ts'

/** A round as it stands: several of one sheet that are open at once, on two devices, are one. */
export interface RoundState {
  readonly occasion: Occasion
  readonly bike: BikeId
  readonly began: IsoTime
  readonly items: readonly ItemId[]
  /** What was found since it began, by item. */
  readonly done: ReadonlyMap<ItemId, CheckEntry>
  readonly left: readonly ItemId[]
  /** The entries that it was begun with. */
  readonly rounds: readonly RoundEntry[]
  readonly isOver: boolean
}

/** The last word on each round of a bike, in the order in which they began. */
const roundsOf = (garage: Garage, bike: BikeId): readonly RoundEntry[] =>
  [...new Map((garage.listed.round.get(bike) ?? []).map((entry) => [entry.round, entry])).values()].sort(
    (a, b) => (a.began < b.began ? -1 : 1),
  )

/** The checks of a round's items since it began, the last of each. */
function doneSince(garage: Garage, bike: BikeId, items: readonly ItemId[], began: IsoTime, until?: IsoTime) {
  return new Map(
    items.flatMap((item) => {
      const last = garage.listed.check
        .get(checkKey(bike, item))
        ?.findLast(({ at }) => at >= began && (until === undefined || at <= until))
      return last ? [[item, last] as const] : []
    }),
  )
}

function stateOf(garage: Garage, rounds: readonly RoundEntry[]): RoundState | undefined {
  const [first] = rounds
  if (!first) return undefined
  const { bike, occasion, began } = first
  const items = [...new Set(rounds.flatMap((one) => one.items))]
  const done = doneSince(garage, bike, items, began)
  const left = items.filter((item) => !done.has(item))
  return { occasion, bike, began, items, done, left, rounds, isOver: left.length === 0 }
}

/** A round waits half done for so long, days: after that what was looked at is to be looked at again. Ours. */
const WAITS_DAYS = 14

/** A round that was begun and not ended, though something of it is left: it waits. The last one begun first. */
export function openRounds(garage: Garage, bike: BikeId, now: IsoTime): readonly RoundState[] {
  const begun = roundsOf(garage, bike).filter(
    ({ isEnded, began }) => !isEnded && daysBetween(began, now) <= WAITS_DAYS,
  )
  return OCCASIONS.flatMap((occasion) => {
    // Older rounds of a sheet that were gone through are over by themselves.
    const open = begun.filter((one) => {
      const state = one.occasion === occasion ? stateOf(garage, [one]) : undefined
      return state !== undefined && !state.isOver
    })
    return stateOf(garage, open) ?? []
  })
    .filter(({ isOver }) => !isOver)
    .sort((a, b) => (a.began < b.began ? 1 : -1))
}

/** So much of a sheet must have been looked at for it to count as gone through. Ours. */
const ENOUGH = 0.8

/** When a sheet was last gone through, or as good as; absent: never. */
export function lastRound(garage: Garage, bike: BikeId, occasions: readonly Occasion[]): IsoTime | undefined {
  return roundsOf(garage, bike)
    .filter(({ occasion }) => occasions.includes(occasion))
    .flatMap(({ items, began, isEnded, at }) => {
      const done = doneSince(garage, bike, items, began, isEnded ? at : undefined)
      const last = [...done.values()]
        .map((one) => one.at)
        .sort()
        .at(-1)
      return last !== undefined && done.size >= ENOUGH * items.length ? last : []
    })
    .sort()
    .at(-1)
}
