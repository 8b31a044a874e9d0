import type { Entry } from './entries.ts'
import type { EntryId } from './entry.ts'
import { firstIdOf, firstText } from './first-writing.ts'
import { withOneStamp } from './one-stamp.ts'
import { lineage, liveEntries } from './supersede.ts'

/** An entry that another log made to count no more, or again. */
export interface Overruled {
  readonly id: EntryId
  /** What stands in its place: a correction; absent where it was taken out, and where it counts again. */
  readonly now?: EntryId
  /** It had been taken out here, and counts again. */
  readonly again?: true
}

const mayOverrule = ({ kind, supersedes, firstId }: Entry): boolean =>
  kind === 'withdraw' || supersedes !== undefined || firstId !== undefined

/**
 * Which entries count no longer, or again, once another log has come in: corrected or taken out by somebody else, or for
 * whatever reason. Nothing goes without being told: neither what counted here, nor what counts in the other log and met
 * here what takes it out.
 * @param before the log as it is stored
 * @param theirs what came in
 * @param after what came of both
 */
export function overruledBy(
  before: readonly Entry[],
  theirs: readonly Entry[],
  after: readonly Entry[],
): readonly Overruled[] {
  if (before.length === 0 || theirs.length === 0) return []
  const held = new Map(before.map((entry) => [firstIdOf(entry), entry]))
  const fresh = theirs.filter((entry) => {
    const ours = held.get(firstIdOf(entry))
    return ours === undefined || firstText(ours) !== firstText(entry)
  })
  if (!theirs.some(mayOverrule) && (fresh.length === 0 || !before.some(mayOverrule))) return []
  const other = withOneStamp(after)
  const living = liveEntries(other)
  const counting = new Set(living.map(firstIdOf))
  const live = new Set(living.map(({ id }) => id))
  const current = lineage(other)
  const changed = (log: readonly Entry[]): readonly Overruled[] => {
    const counted = liveEntries(log)
    const gone = counted.flatMap((entry): readonly Overruled[] => {
      if (counting.has(firstIdOf(entry))) return []
      const now = current(entry.id)
      return [{ id: entry.id, ...(now !== entry.id && live.has(now) && { now }) }]
    })
    const known = new Set([...counted.map(({ id }) => id), ...gone.flatMap(({ now }) => now ?? [])])
    const again = log.flatMap((entry): readonly Overruled[] =>
      counting.has(firstIdOf(entry)) && !known.has(entry.id) ? [{ id: entry.id, again: true }] : [],
    )
    return [...gone, ...again]
  }
  const all = [...changed(withOneStamp(fresh)), ...changed(withOneStamp(before))]
  return [...new Map(all.map((one) => [one.id, one])).values()]
}

/** Of what was overruled, what is so still: some of it may have been put back, or changed here, since. */
export function stillOverruled(
  entries: readonly Entry[],
  overruled: readonly Overruled[],
): readonly Overruled[] {
  if (overruled.length === 0) return []
  const live = new Set(liveEntries(entries).map(({ id }) => id))
  const held = new Set(entries.map(({ id }) => id))
  return overruled.filter(({ id, now, again }) =>
    again ? live.has(id) : held.has(id) && !live.has(id) && (now === undefined || live.has(now)),
  )
}
