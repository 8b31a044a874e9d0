import type { EntryBase } from '../entry.ts'

/** What the words in a field are, as far as giving them on goes. */
type TextHolds =
  /** An id, a time, a currency, or a word out of a list of the app's own. */
  | 'own'
  /** What somebody called a thing: without people it is called by what it is. */
  | 'name'
  /** Whatever somebody typed, in a field that is always there. */
  | 'remark'
  /** Whatever somebody typed. */
  | 'words'
  | 'person'
  | 'place'

type HasText<V> = V extends string
  ? string extends V
    ? true
    : never
  : V extends readonly (infer I)[]
    ? HasText<I>
    : V extends object
      ? { [K in keyof V]-?: HasText<V[K]> }[keyof V]
      : never

type KeysOf<U> = U extends unknown ? keyof U : never
type ValueAt<U, K> = U extends unknown ? (K extends keyof U ? NonNullable<U[K]> : never) : never

/** What a field may be declared as, by what it can hold: words are never declared as a measure. */
export type HoldsOf<V> = [HasText<V>] extends [never]
  ? 'measure' | 'money' | 'place'
  : [V] extends [string]
    ? TextHolds
    : [V] extends [readonly (infer I)[]]
      ? HoldsOf<I>
      : { readonly [K in KeysOf<V>]: HoldsOf<ValueAt<V, K>> } | 'person' | 'place'

/** What each field of an entry holds, but for those that every entry has. The compiler refuses one that is not declared. */
export type FieldsOf<E> = {
  readonly [F in Exclude<keyof E, keyof EntryBase | 'kind'>]-?: HoldsOf<NonNullable<E[F]>>
}

/** The same without the types of its entry: to go through it. */
export type Holds = TextHolds | 'measure' | 'money' | { readonly [field: string]: Holds }
