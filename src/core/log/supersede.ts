import type { Entry } from './entries.ts'
import type { EntryId } from './entry.ts'

/** The ids of everything taken back and not put back: a withdrawal counts unless a later one withdraws it. */
export function withdrawnIds(entries: readonly Entry[]): Set<EntryId> {
  const withdrawals = entries.filter((entry) => entry.kind === 'withdraw')
  withdrawals.sort((a, b) => (a.id < b.id ? 1 : a.id > b.id ? -1 : 0))
  const withdrawn = new Set<EntryId>()
  for (const { id, targets } of withdrawals) {
    if (withdrawn.has(id)) continue
    for (const target of targets) if (target < id) withdrawn.add(target)
  }
  return withdrawn
}

/**
 * For every entry that belongs to a line of corrections, the first entry of that line. Each step back is walked once,
 * however long the line is.
 */
function originsOf(entries: readonly Entry[]): Map<EntryId, EntryId> {
  const earlier = new Map<EntryId, EntryId>()
  for (const { id, supersedes } of entries)
    if (supersedes !== undefined && supersedes < id) earlier.set(id, supersedes)
  const origins = new Map<EntryId, EntryId>()
  for (const id of earlier.keys()) {
    const line: EntryId[] = []
    let at = id
    while (!origins.has(at)) {
      line.push(at)
      const before = earlier.get(at)
      if (before === undefined) break
      at = before
    }
    const origin = origins.get(at) ?? at
    for (const one of line) origins.set(one, origin)
  }
  return origins
}

/** Of each line of corrections (by its first entry), the one that stands: the newest that was not withdrawn. */
function standingOf(
  entries: readonly Entry[],
  origins: ReadonlyMap<EntryId, EntryId>,
  withdrawn: ReadonlySet<EntryId>,
): Map<EntryId, EntryId> {
  const standing = new Map<EntryId, EntryId>()
  for (const { id } of entries) {
    const origin = origins.get(id)
    if (origin === undefined || withdrawn.has(id)) continue
    const held = standing.get(origin)
    if (held === undefined || held < id) standing.set(origin, id)
  }
  return standing
}

/**
 * The entries that count: those that were not withdrawn and that no correction has taken the place of.
 *
 * An entry may only take back what was written before it (a smaller id), so two entries can never take each other
 * back. Of an entry, its corrections and theirs, the newest that was not withdrawn stands alone: correcting a
 * correction does not bring back what it corrected, withdrawing one brings back the one before, and two corrections
 * of one entry, made on two devices, do not count twice. The result keeps the order of the input; withdrawals
 * themselves are left out, since they carry nothing but their effect.
 */
export function liveEntries(entries: readonly Entry[]): Entry[] {
  if (!entries.some(({ kind, supersedes }) => kind === 'withdraw' || supersedes !== undefined))
    return [...entries]
  const withdrawn = withdrawnIds(entries)
  const origins = originsOf(entries)
  const standing = standingOf(entries, origins, withdrawn)
  return entries.filter(({ id, kind }) => {
    const origin = origins.get(id)
    return kind !== 'withdraw' && !withdrawn.has(id) && (origin === undefined || standing.get(origin) === id)
  })
}

/**
 * Which entry stands for an id today: the last correction of it, or itself. What was said of an entry (a reading
 * left out, a ride's condition) goes on to be said of its correction.
 */
export function lineage(entries: readonly Entry[]): (id: EntryId) => EntryId {
  const origins = originsOf(entries)
  if (origins.size === 0) return (id) => id
  const standing = standingOf(entries, origins, withdrawnIds(entries))
  return (id) => standing.get(origins.get(id) ?? id) ?? id
}

/** These entries with all they were corrected from and to: what has to be withdrawn for nothing of them to stand. */
export function linesOf(entries: readonly Entry[], ids: readonly EntryId[]): EntryId[] {
  const origins = originsOf(entries)
  const meant = new Set(ids.map((id) => origins.get(id) ?? id))
  return entries.flatMap(({ id }) => (meant.has(origins.get(id) ?? id) ? [id] : []))
}
