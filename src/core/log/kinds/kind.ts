import type { EntryId } from '../entry.ts'
import type { FieldsOf } from './fields.ts'

/**
 * What the log itself has to know about a kind of entry. `replay` reads these; what the garage makes of the entries
 * beyond keeping them in order stands in `replay.ts`.
 */
export interface Kind<E> {
  /** What each of its fields holds: free words, people, places and money can be left out of what is given on. */
  readonly fields: FieldsOf<E>
  /** It says something about people or in free words alone: without those nothing is left of it. */
  readonly ofPeople?: true
  /** It is about money: left out as a whole where money is. */
  readonly ofMoney?: true
  /** The bikes, parts and tools that an entry is about, by their ids. */
  readonly isAbout: (entry: E) => readonly string[]
  /**
   * How the entries fold into the garage: listed under this key in order of time. The last one of a key stands alone
   * where only the last one counts, as with a limit. Absent for words about other entries.
   */
  readonly key?: (entry: E) => string
  /** For a word about other entries (a condition said later, a reading left out): those entries. The last word counts. */
  readonly speaksOf?: (entry: E) => readonly EntryId[]
  /** The key can come into the log only once: writing it a second time was a button pressed twice. */
  readonly bornOnce?: true
  /** See {@link RideKind}. */
  readonly changesRides?: true
  /** It stands on the mile strip, at its place of the road. */
  readonly onRoad?: true
}

/** A kind that may change what was ridden: the garage is then replayed from the start, and its entries are not listed. */
export interface RideKind<E> extends Kind<E> {
  readonly changesRides: true
}
