import { fillUp } from './abridged.ts'
import { isStampedAhead } from './bounds.ts'
import type { Entry } from './entries.ts'
import type { EntryId } from './entry.ts'
import { firstIdOf, firstText, isProven } from './first-writing.ts'
import { isAfterAll } from './refers-to.ts'
import { withdrawnIds } from './supersede.ts'

/** An entry that takes the place of some of ours. */
export interface Replaced {
  readonly now: Entry
  readonly from: readonly Entry[]
}

export interface Merge {
  /** What the other log holds and ours does not, in its order. Ours and these together are the union. */
  readonly added: readonly Entry[]
  /** Of the added, those stamped later than tomorrow: they are to be given ids of today, and keep theirs as `firstId`. */
  readonly ahead: ReadonlySet<EntryId>
  /** How many of its entries we already had. */
  readonly known: number
  /** The others, whatever becomes of them. */
  readonly fresh: readonly Entry[]
  /** Of those we had, the ones that were undone or taken out here and that the other log still counts. */
  readonly undoneHere: readonly EntryId[]
  /**
   * Those that go by an id under which another one stands that says something else: theirs or ours. Entries are never
   * changed once written: somebody edited a file. They are kept beside the log, and asked about.
   */
  readonly differing: readonly Entry[]
  /** What takes the place of ours: the whole of what was shortened, or what proves to be the original. */
  readonly replaced: readonly Replaced[]
}

/** Entries by every id they go by. One id may be claimed by several, in logs of earlier versions. */
function nameBook(entries: readonly Entry[]) {
  const byId = new Map<EntryId, Entry>(entries.map((entry) => [entry.id, entry]))
  const byFirst = new Map<EntryId, readonly Entry[]>()
  const file = (entry: Entry): void => {
    byId.set(entry.id, entry)
    const { firstId } = entry
    if (firstId !== undefined) byFirst.set(firstId, [...(byFirst.get(firstId) ?? []), entry])
  }
  for (const entry of entries) if (entry.firstId !== undefined) file(entry)
  const named = (id: EntryId): readonly Entry[] => {
    const held = byId.get(id)
    const again = byFirst.get(id)
    return again ? (held ? [held, ...again] : again) : held ? [held] : []
  }
  return {
    file,
    drop: ({ id, firstId }: Entry): void => {
      byId.delete(id)
      if (firstId !== undefined)
        byFirst.set(
          firstId,
          (byFirst.get(firstId) ?? []).filter((one) => one.id !== id),
        )
    },
    /** Those that go by one of an entry's ids. */
    touching: ({ id, firstId }: Pick<Entry, 'id' | 'firstId'>): readonly Entry[] =>
      firstId === undefined ? named(id) : [...new Set([...named(id), ...named(firstId)])],
  }
}

/**
 * How far an entry is to be believed where another of its ids says something else: 2 for the original, which proves it;
 * 0 for one that only says that it was first written under an id.
 */
const trustIn = (entry: Entry): number => (isProven(entry) ? 2 : entry.firstId === undefined ? 1 : 0)

/** What an entry of theirs is to ours: new, another id of one, known, contradicting, or in the place of some. */
type Meeting =
  | { readonly as: 'new' | 'known' | 'differing' }
  | {
      readonly as: 'replacing'
      readonly now: Entry
      readonly was: readonly Entry[]
      readonly contradicts: boolean
    }

/** Where one of two copies of an entry was shortened. The original is whole, and stands whatever a shortened one says. */
function meetShortened(ours: Entry, theirs: Entry): Meeting {
  const { whole, contradicts } = fillUp(ours, theirs)
  if (whole === ours) return { as: contradicts ? 'differing' : 'known' }
  return { as: 'replacing', now: whole, was: [ours], contradicts }
}

/** Where ours say the same: it is known, or has an id that others may refer to, or one that its corrections count under. */
function meetCopies(
  theirs: Entry,
  same: readonly Entry[],
  held: readonly Entry[],
  isInOrder: (entry: Entry) => boolean,
): Meeting {
  const isOther = held.every(({ id }) => id !== theirs.id)
  const isOfOurs = same.some((one) => firstIdOf(one) === firstIdOf(theirs))
  if (!isOther || !isOfOurs || !isInOrder(theirs)) return { as: 'known' }
  if (!same.some(isInOrder)) return { as: 'replacing', now: theirs, was: same, contradicts: false }
  return { as: theirs.firstId === undefined ? 'known' : 'new' }
}

/**
 * @param held those of ours that go by one of its ids
 * @param isInOrder whether an entry comes after all that it speaks of
 */
function meet(theirs: Entry, held: readonly Entry[], isInOrder: (entry: Entry) => boolean): Meeting {
  const [ours] = held
  if (!ours) return { as: 'new' }
  if (ours === theirs) return { as: 'known' }
  const text = firstText(theirs)
  const same = held.filter((one) => firstText(one) === text)
  if (same.length > 0) return meetCopies(theirs, same, held, isInOrder)
  const isOneEntry = held.length === 1 && firstIdOf(ours) === firstIdOf(theirs)
  if (isOneEntry && (ours.abridged || theirs.abridged)) return meetShortened(ours, theirs)
  const trust = trustIn(theirs)
  return held.some((one) => trustIn(one) >= trust)
    ? { as: 'differing' }
    : { as: 'replacing', now: theirs, was: held, contradicts: true }
}

const smaller = (least: EntryId | undefined, { id }: Entry): EntryId =>
  least === undefined || id < least ? id : least

/**
 * The union of two logs, told as what would be added to ours. Idempotent, and commutative as a set: who asks whom does
 * not matter, so long as no id stands for two different entries.
 *
 * Of two that go by one id and say different things, the one whose id is made from what it says is the original,
 * whichever came first. Where neither proves it, ours stays; but the whole of an entry takes the place of what was
 * shortened, and one written under the id the place of one that only says so. Each of these is told.
 * @param nowMs ms since 1970
 */
export function mergeLogs(ours: readonly Entry[], theirs: readonly Entry[], nowMs: number): Merge {
  const book = nameBook(ours)
  const isInOrder = (entry: Entry): boolean =>
    isAfterAll(entry, (id) => book.touching({ id }).reduce<EntryId | undefined>(smaller, undefined))
  /** What is to be written: what is new, and what takes the place of ours. */
  const changes = new Map<EntryId, Replaced>()
  const differing: Entry[] = []
  const known: EntryId[] = []
  const fresh: Entry[] = []
  const write = (now: Entry, from: readonly Entry[]): void => {
    changes.set(now.id, { now, from })
    book.file(now)
  }
  const replace = (now: Entry, was: readonly Entry[], contradicts: boolean): void => {
    const from = was.flatMap((one) => {
      book.drop(one)
      if (contradicts) differing.push(one)
      const earlier = changes.get(one.id)
      if (earlier?.now !== one) return [one]
      // It came with the same file: what it took the place of is what this one takes the place of.
      changes.delete(one.id)
      return earlier.from
    })
    write(now, from)
  }
  for (const entry of theirs) {
    const meeting = meet(entry, book.touching(entry), isInOrder)
    if (meeting.as !== 'known') fresh.push(entry)
    switch (meeting.as) {
      case 'new':
        write(entry, [])
        break
      case 'known':
        known.push(entry.id)
        break
      case 'differing':
        differing.push(entry)
        break
      case 'replacing':
        replace(meeting.now, meeting.was, meeting.contradicts)
    }
  }
  const written = [...changes.values()]
  const added = written.flatMap(({ now, from }) => (from.length === 0 ? [now] : []))
  return {
    added,
    ahead: new Set(added.flatMap(({ id }) => (isStampedAhead(id, nowMs) ? [id] : []))),
    known: known.length,
    fresh,
    undoneHere: undoneHere(ours, theirs, known),
    differing,
    replaced: written.filter(({ from }) => from.length > 0),
  }
}

/**
 * A log with what came of a merge.
 * @param added what is added, where some of it was given other ids
 */
export function logAfter(
  log: readonly Entry[],
  { replaced, added: came }: Merge,
  added: readonly Entry[] = came,
): readonly Entry[] {
  if (replaced.length === 0) return [...log, ...added]
  const gone = new Set(replaced.flatMap(({ from }) => from))
  return [...log.filter((entry) => !gone.has(entry)), ...replaced.map(({ now }) => now), ...added]
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
