import { isStampedAhead } from './bounds.ts'
import type { Entry } from './entries.ts'
import type { EntryId } from './entry.ts'
import { withdrawnIds } from './supersede.ts'

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

/** A value as text that depends on what it says alone: not on the order in which its fields were written. */
export const canonicalText = (value: unknown): string => JSON.stringify(canonical(value)) ?? 'null'

/**
 * Whether two entries of one id are one entry. Where something was left out of one of them on purpose, nothing can be
 * compared: they are.
 */
const isSame = (ours: Entry, theirs: Entry): boolean =>
  ours.abridged === true || theirs.abridged === true || canonicalText(ours) === canonicalText(theirs)

export interface Merge {
  /** What the other log holds and ours does not, in its order. Ours and these together are the union. */
  readonly added: readonly Entry[]
  /** Of the added, those stamped later than tomorrow: they are to be given ids of today, and keep theirs as `firstId`. */
  readonly ahead: ReadonlySet<EntryId>
  /** How many of its entries we already had. */
  readonly known: number
  /** Of those we had, the ones that were undone or taken out here and that the other log still counts. */
  readonly undoneHere: readonly EntryId[]
  /** Theirs, where both hold an id with different contents. Entries are never changed once written: somebody edited a file. */
  readonly differing: readonly Entry[]
}

/**
 * The union of two logs by id, told as what would be added to ours. Idempotent, and commutative as a set: who
 * asks whom does not matter, so long as no id stands for two different entries, which is reported and not merged.
 * @param nowMs ms since 1970
 */
export function mergeLogs(ours: readonly Entry[], theirs: readonly Entry[], nowMs: number): Merge {
  const held = new Map<EntryId, Entry>(ours.map((entry) => [entry.id, entry]))
  const stamped = new Set(ours.flatMap(({ firstId }) => (firstId === undefined ? [] : [firstId])))
  const added: Entry[] = []
  const ahead = new Set<EntryId>()
  const differing: Entry[] = []
  const known: EntryId[] = []
  for (const entry of theirs) {
    const same = held.get(entry.id)
    if (same) {
      if (same === entry || isSame(same, entry)) known.push(entry.id)
      else differing.push(entry)
    } else if (stamped.has(entry.id)) known.push(entry.id)
    else {
      added.push(entry)
      held.set(entry.id, entry)
      if (isStampedAhead(entry.id, nowMs)) ahead.add(entry.id)
    }
  }
  return { added, ahead, known: known.length, undoneHere: undoneHere(ours, theirs, known), differing }
}

/** What was taken back in our log and not in theirs, of what both hold. */
function undoneHere(
  ours: readonly Entry[],
  theirs: readonly Entry[],
  known: readonly EntryId[],
): readonly EntryId[] {
  const here = withdrawnIds(ours)
  if (here.size === 0) return []
  const there = withdrawnIds(theirs)
  const withdrawals = new Set(ours.flatMap(({ kind, id }) => (kind === 'withdraw' ? [id] : [])))
  return known.filter((id) => here.has(id) && !there.has(id) && !withdrawals.has(id))
}
