import type { Entry, EntryId } from './entries.ts'

const targetsOf = (entry: Entry): readonly EntryId[] =>
  entry.kind === 'withdraw' ? entry.targets : entry.supersedes === undefined ? [] : [entry.supersedes]

/**
 * The entries that count: those that no living entry supersedes or withdraws.
 *
 * An entry may only take back what was written before it (a smaller id), so reading from the newest back to the
 * oldest settles each one with a single look, and two entries can never take each other back. The result keeps
 * the order of the input; withdrawals themselves are left out, since they carry nothing but their effect.
 */
export function liveEntries(entries: readonly Entry[]): Entry[] {
  const takers = entries.filter((entry) => targetsOf(entry).length > 0)
  if (takers.length === 0) return [...entries]
  takers.sort((a, b) => (a.id < b.id ? 1 : a.id > b.id ? -1 : 0))
  const dead = new Set<EntryId>()
  for (const taker of takers) {
    if (dead.has(taker.id)) continue
    for (const target of targetsOf(taker)) if (target < taker.id) dead.add(target)
  }
  return entries.filter((entry) => !dead.has(entry.id) && entry.kind !== 'withdraw')
}

/**
 * What one press of "undo" should take back: the ids of the newest action that still counts, or none.
 * Entries without an action (written by the demo) are history, not somebody's last step. A withdrawal is not
 * undone by the next press; it is put back from where it is announced.
 */
export function lastAct(entries: readonly Entry[]): Entry[] {
  const live = liveEntries(entries).filter((entry) => entry.act !== undefined)
  let newest: EntryId | undefined
  for (const { act } of live) if (act !== undefined && (newest === undefined || act > newest)) newest = act
  return newest === undefined ? [] : live.filter((entry) => entry.act === newest)
}

/**
 * Which entry stands for an id today: the last correction of it, or itself. What was said of an entry (a reading
 * left out, a ride's condition) goes on to be said of its correction. Of two corrections of one entry the newer
 * takes its place.
 */
export function lineage(entries: readonly Entry[]): (id: EntryId) => EntryId {
  const corrected = entries.filter((entry) => entry.supersedes !== undefined)
  if (corrected.length === 0) return (id) => id
  const earlier = new Map(corrected.map((entry) => [entry.id, entry.supersedes]))
  const living = new Set(liveEntries(entries).map((entry) => entry.id))
  const now = new Map<EntryId, EntryId>()
  for (const { id } of corrected) {
    if (!living.has(id)) continue
    // An entry may only correct what was written before it, so the walk back ends.
    for (let old = earlier.get(id), from = id; old !== undefined && old < from;) {
      if ((now.get(old) ?? '') < id) now.set(old, id)
      from = old
      old = earlier.get(old)
    }
  }
  return (id) => now.get(id) ?? id
}
