import type { EntryId } from '../../log/entry.ts'
import type { ReadingState } from '../../log/garage.ts'
import type { ChainNow } from '../../wear/outlook.ts'

/** Readings less likely than this to be slips are not remarked on. */
const WORTH_SAYING = 0.3

/**
 * Which of a chain's readings were probably misread, and how likely that is, 0 to 1: one list for every screen that marks them.
 * @param readings all of the chain, in the order of the log
 * @param answer what was worked out of them; absent until it is
 */
export function likelySlips(
  readings: readonly ReadingState[],
  answer: Pick<ChainNow, 'slips'> | undefined,
): ReadonlyMap<EntryId, number> {
  const found = new Map<EntryId, number>()
  readings
    .filter(({ used }) => used)
    .forEach(({ entry }, i) => {
      const chance = answer?.slips[i] ?? 0
      if (chance >= WORTH_SAYING) found.set(entry.id, chance)
    })
  return found
}
