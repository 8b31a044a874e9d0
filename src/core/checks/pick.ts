import { itemOf, type ItemId } from './items.ts'

/** How long ago something was looked at. */
export interface SinceLooked {
  /** Absent: never, as far as the log goes. */
  readonly days?: number
  readonly km?: number
}

/** Something that was never looked at is as one that was not for so many times as long as it usually stays right. Ours. */
const NEVER_TIMES = 2

/**
 * How likely something is no longer right: `1 - exp(-t)`, `t` the time and distance since it was looked at over those for which it
 * usually stays right (a constant rate of going wrong).
 */
export function chanceWrong(id: ItemId, { days, km = 0 }: SinceLooked): number {
  const { goodDays, goodKm } = itemOf(id)
  if (days === undefined) return 1 - Math.exp(-NEVER_TIMES)
  return 1 - Math.exp(-(days / goodDays + (goodKm === undefined ? 0 : km / goodKm)))
}

/** What it is worth to look at something now: how bad it is to overlook it, times how likely it is wrong. */
export const worthOf = (id: ItemId, since: SinceLooked): number => itemOf(id).harm * chanceWrong(id, since)

/** Times are counted in quarters of a minute. */
const PER_MINUTE = 4
/** Less than this is the same worth. */
const SAME = 1e-9

/**
 * What is worth most in the minutes there are, exactly; of equal worth the shortest. Dynamic programming over quarters of a minute
 * (the 0/1 knapsack of any textbook).
 * @param minutes at hand, 0 or more
 * @returns in the order given
 */
export function pickWithin(
  items: readonly ItemId[],
  minutes: number,
  sinceOf: (id: ItemId) => SinceLooked,
): readonly ItemId[] {
  const room = Math.max(0, Math.floor(minutes * PER_MINUTE))
  const worths = items.map((id) => worthOf(id, sinceOf(id)))
  const costs = items.map((id) => Math.round(itemOf(id).minutes * PER_MINUTE))
  /** best[i][r]: the most worth of the first i items within r. */
  const best = [new Float64Array(room + 1)]
  items.forEach((_, i) => {
    const before = best[i] as Float64Array
    const cost = costs[i] as number
    best.push(
      before.map((without, r) =>
        cost <= r ? Math.max(without, (before[r - cost] as number) + (worths[i] as number)) : without,
      ),
    )
  })
  const most = (best.at(-1) as Float64Array)[room] as number
  // The shortest time in which as much is worth.
  let left = (best.at(-1) as Float64Array).findIndex((worth) => worth >= most - SAME)
  const taken = new Set<ItemId>()
  for (let i = items.length - 1; i >= 0; i--) {
    const [withIt, without] = [best[i + 1] as Float64Array, best[i] as Float64Array]
    if ((withIt[left] as number) > (without[left] as number) + SAME) {
      taken.add(items[i] as ItemId)
      left -= costs[i] as number
    }
  }
  return items.filter((id) => taken.has(id))
}
