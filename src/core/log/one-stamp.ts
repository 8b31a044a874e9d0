import type { Entry } from './entries.ts'
import type { EntryId } from './entry.ts'
import { firstText } from './first-writing.ts'
import { isAfterAll } from './refers-to.ts'

/** Entries that were first one and the same: of one first id, and saying the same. */
type Copies = readonly [Entry, ...Entry[]]

/** Those of which there is more than one copy, or one under another id than its first. */
function copiesIn(
  entries: readonly Entry[],
): readonly { readonly first: EntryId; readonly copies: Copies }[] {
  const firsts = new Set(entries.flatMap(({ firstId }) => firstId ?? []))
  const groups = new Map<EntryId, Map<string, [Entry, ...Entry[]]>>()
  for (const entry of entries) {
    const first = entry.firstId ?? entry.id
    if (!firsts.has(first)) continue
    const byText = groups.get(first) ?? new Map<string, [Entry, ...Entry[]]>()
    groups.set(first, byText)
    const text = firstText(entry)
    const held = byText.get(text)
    if (held) held.push(entry)
    else byText.set(text, [entry])
  }
  return [...groups].flatMap(([first, byText]) => [...byText.values()].map((copies) => ({ first, copies })))
}

const smallestId = ([first, ...rest]: Copies): EntryId =>
  rest.reduce((least, { id }) => (id < least ? id : least), first.id)

/** The smallest id of some copies, of those that come after all that the entry speaks of where there are any. */
function standingId(copies: Copies, eldest: (id: EntryId) => EntryId | undefined): EntryId {
  const [first, ...rest] = copies.filter((copy) => isAfterAll(copy, eldest))
  return smallestId(first ? [first, ...rest] : copies)
}

/**
 * A log in which every entry has one id.
 *
 * Ids sort by the time of writing, so an id from a device whose clock runs years ahead would stand above everything
 * written since, and nothing could undo it. Such an entry is given an id of today when it is met, and remembers the one
 * it had (`firstId`). Two devices may do so independently: of all copies of one entry the smallest id stands for it, and
 * whatever refers to any of them refers to that. One that only says that it was first written under an id, and says
 * something else than the entry of that id, is an entry of its own: nobody's place is taken by saying so.
 * @returns the very list where no entry was ever stamped again, which is nearly always
 */
export function withOneStamp(entries: readonly Entry[]): readonly Entry[] {
  if (!entries.some(({ firstId }) => firstId !== undefined)) return entries
  const standing = new Map<EntryId, EntryId>()
  const owners = new Set<EntryId>()
  const groups = copiesIn(entries)
  const least = new Map(entries.map(({ id }) => [id, id]))
  for (const { copies } of groups) for (const { id } of copies) least.set(id, smallestId(copies))
  for (const { first, copies } of groups) {
    const id = standingId(copies, (referred) => least.get(referred))
    for (const copy of copies) standing.set(copy.id, id)
    // The first id means the entry that was written under it; where there is none, the eldest that says so.
    const isOwner = copies.some((copy) => copy.id === first)
    const held = standing.get(first)
    if (isOwner) owners.add(first)
    else if (!owners.has(first) && (held === undefined || id < held)) standing.set(first, id)
  }
  const current = (id: EntryId): EntryId => standing.get(id) ?? id
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
