import type { KINDS } from './kinds/index.ts'
import type { Kind } from './kinds/kind.ts'

/** The entry of each kind, by its name. */
export type EntryByKind = {
  readonly [K in keyof typeof KINDS]: (typeof KINDS)[K] extends Kind<infer E> ? E : never
}
export type EntryKind = keyof EntryByKind

/** Everything that can stand in the log. */
export type Entry = EntryByKind[EntryKind]

/** An entry before the store has given it its id, format and action. Distributes over the union. */
export type EntryDraft = Entry extends infer E
  ? E extends Entry
    ? Omit<E, 'id' | 'format' | 'action'>
    : never
  : never
