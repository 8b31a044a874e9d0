import type { Entry, EntryId } from './entries.ts'

/** Keys in order at every depth, so that equal entries have equal text whatever wrote them. */
function canonical(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(canonical)
  if (value === null || typeof value !== 'object') return value
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, held]) => held !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, held]) => [key, canonical(held)]),
  )
}
const textOf = (entry: Entry): string => JSON.stringify(canonical(entry))

export interface Merge {
  /** What the other log holds and ours does not, in its order. Ours and these together are the union. */
  readonly added: readonly Entry[]
  /** How many of its entries we already had. */
  readonly known: number
  /** Ids that both hold with different contents. Entries are never changed once written: somebody edited a file. */
  readonly differing: readonly EntryId[]
}

/**
 * The union of two logs by id, told as what would be added to ours. Idempotent, and commutative as a set: who
 * asks whom does not matter, so long as no id stands for two different entries, which is reported and not merged.
 */
export function mergeLogs(ours: readonly Entry[], theirs: readonly Entry[]): Merge {
  const held = new Map<EntryId, Entry>(ours.map((entry) => [entry.id, entry]))
  const added: Entry[] = []
  const differing: EntryId[] = []
  let known = 0
  for (const entry of theirs) {
    const same = held.get(entry.id)
    if (!same) {
      added.push(entry)
      held.set(entry.id, entry)
    } else if (textOf(same) === textOf(entry)) known++
    else differing.push(entry.id)
  }
  return { added, known, differing }
}
