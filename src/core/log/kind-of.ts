import type { Entry, EntryByKind, EntryDraft, EntryKind } from './entries.ts'
import type { EntryId } from './entry.ts'
import { KINDS } from './kinds/index.ts'
import type { Kind, RideKind } from './kinds/kind.ts'

/** What the log knows of an entry's kind. */
export const kindOf = <E extends Entry | EntryDraft>(entry: E): Kind<E> =>
  // The registry's compiler-checked shape: the home under a kind's name takes entries of that kind.
  KINDS[entry.kind] as unknown as Kind<E>

/** The ids of the bikes, parts and tools that an entry is about. */
export const aboutOf = (entry: Entry): readonly string[] => kindOf(entry).isAbout(entry)

/** The kinds that stand on the mile strip. */
export const ROAD_KINDS = (Object.keys(KINDS) as EntryKind[]).filter(
  (kind): kind is keyof ListedBeside => (KINDS[kind] as Kind<never>).onRoad === true,
)

/** Entries by kind, each in the order in which they were passed. */
export type ByKind = { readonly [K in EntryKind]: readonly EntryByKind[K][] }

/** Sorts entries into their kinds. */
export function byKind(entries: readonly Entry[]): ByKind {
  const lists = Object.fromEntries(Object.keys(KINDS).map((kind) => [kind, [] as Entry[]]))
  for (const entry of entries) lists[entry.kind]?.push(entry)
  return lists as unknown as ByKind
}

/** Entries of each kind under their key, in the order in which they were passed. */
export type Listed = { readonly [K in EntryKind]: ReadonlyMap<string, readonly EntryByKind[K][]> }

/** The lists of those kinds that never change what was ridden. */
export type ListedBeside = {
  readonly [K in EntryKind as (typeof KINDS)[K] extends RideKind<never> ? never : K]: Listed[K]
}

/** Leaves out the kinds that may change what was ridden: what they come to stands in the bikes. */
export const besideRides = (lists: Listed): ListedBeside =>
  Object.fromEntries(
    Object.entries(lists).filter(([kind]) => !(KINDS[kind as EntryKind] as Kind<never>).changesRides),
  ) as unknown as ListedBeside

/** Entries of one kind under the key that its home names, in the order in which they were passed. */
export function underKeys<E extends Entry>(entries: readonly E[]): ReadonlyMap<string, readonly E[]> {
  const groups = new Map<string, E[]>()
  const [first] = entries
  const keyOf = first && kindOf(first).key
  if (!keyOf) return groups
  for (const entry of entries) {
    const key = keyOf(entry)
    const group = groups.get(key)
    if (group) group.push(entry)
    else groups.set(key, [entry])
  }
  return groups
}

/** Lists the entries of each kind under the key that its home names. Words about other entries have none. */
export const listed = (lists: ByKind): Listed =>
  Object.fromEntries(
    Object.entries(lists).map(([kind, entries]) => [kind, underKeys<Entry>(entries)]),
  ) as unknown as Listed

/**
 * The last word on each entry that words of one kind speak of, by the order of writing.
 * @param words in any order
 * @param current which entry stands for an id today
 */
export function lastWords<E extends Entry>(
  words: readonly E[],
  current: (id: EntryId) => EntryId,
): ReadonlyMap<EntryId, E> {
  const last = new Map<EntryId, E>()
  // The order of writing decides here: two words may be about the same moment.
  for (const word of [...words].sort((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0)))
    for (const target of kindOf(word).speaksOf?.(word) ?? []) last.set(current(target), word)
  return last
}
