import type { Entry } from './entries.ts'
import type { EntryId } from './entry.ts'

/**
 * A log in which every entry has one id.
 *
 * Ids sort by the time of writing, so an id from a device whose clock runs years ahead would stand above everything
 * written since, and nothing could undo it. Such an entry is given an id of today when it is met, and remembers the one
 * it had (`firstId`). Two devices may do so independently: of all entries that were first the same one the smallest id
 * stands for it, and whatever refers to any of them refers to that.
 * @returns the very list where no entry was ever stamped again, which is nearly always
 */
export function withOneStamp(entries: readonly Entry[]): readonly Entry[] {
  if (!entries.some(({ firstId }) => firstId !== undefined)) return entries
  const standing = new Map<EntryId, EntryId>()
  for (const { firstId, id } of entries) {
    if (firstId === undefined) continue
    const held = standing.get(firstId)
    if (held === undefined || id < held) standing.set(firstId, id)
  }
  const idOf = new Map(standing)
  for (const { firstId, id } of entries) if (firstId !== undefined) idOf.set(id, standing.get(firstId) ?? id)
  const current = (id: EntryId): EntryId => idOf.get(id) ?? id
  return entries.flatMap((entry) => (current(entry.id) === entry.id ? [withIds(entry, current)] : []))
}

/**
 * {@link withOneStamp} of a growing log: where nothing in it was ever stamped again, only what has arrived since is looked
 * at.
 */
export function followStamps(): (entries: readonly Entry[]) => readonly Entry[] {
  let plain: readonly Entry[] = []
  return (entries) => {
    const isGrown = entries.length >= plain.length && entries[plain.length - 1] === plain.at(-1)
    const from = isGrown ? plain.length : 0
    for (let i = from; i < entries.length; i++)
      if (entries[i]?.firstId !== undefined) return withOneStamp(entries)
    plain = entries
    return entries
  }
}

/** An entry whose references have been given other ids. */
function withIds(entry: Entry, current: (id: EntryId) => EntryId): Entry {
  const { action, supersedes } = entry
  const line = {
    ...(action !== undefined && { action: current(action) }),
    ...(supersedes !== undefined && { supersedes: current(supersedes) }),
  }
  switch (entry.kind) {
    case 'withdraw':
    case 'condition':
      return { ...entry, ...line, targets: entry.targets.map(current) }
    case 'reading-use':
      return { ...entry, ...line, target: current(entry.target) }
    default:
      return action === undefined && supersedes === undefined ? entry : { ...entry, ...line }
  }
}
