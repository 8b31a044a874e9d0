import type { Entry } from '../../core/log/entries.ts'
import type { IsoTime } from '../../core/log/entry.ts'
import type { Garage, Ride } from '../../core/log/garage.ts'
import type { Units } from '../../core/units/units.ts'

/** An entry as a form writes it: without what the store gives it. */
export type Draft<E extends Entry> = Omit<E, 'id' | 'format' | 'action'>

/** What a field's reading depends on beside the entry. */
export interface FieldContext {
  readonly units: Units
  /** The ride as it is counted, where the entry is one. */
  readonly counted?: Ride | undefined
}

export type Written<E extends Entry> = { readonly draft: Draft<E> } | { readonly fault: string }

/** How a field is shown. `bike`, `part`, `chain` and `thing` (a bike or a part) are picked from the garage. */
export type FieldInput =
  | { readonly type: 'text' | 'number' | 'bike' | 'part' | 'chain' | 'thing' }
  | { readonly type: 'choice'; readonly options: Readonly<Record<string, string>> }

/** One thing that can be corrected in an entry: what it is now, and the entry with another text in its place. */
export interface Field<E extends Entry> {
  readonly name: string
  readonly label: (units: Units) => string
  readonly input: FieldInput
  readonly read: (entry: E, context: FieldContext) => string
  readonly write: (draft: Draft<E>, text: string, context: FieldContext) => Written<E>
  /** Shown only where another field says so. */
  readonly shownIf?: (values: Readonly<Record<string, string>>) => boolean
  /** Written even when it was not touched: what it shows is not all in the entry itself. */
  readonly always?: true
}

/** What the screens need to know of a kind of entry. */
export interface KindWords<E extends Entry> {
  /** What the kind is called: "reading". */
  readonly name: string
  /** What one step wrote, for the notice that it was undone: "2 rides". */
  readonly step: (count: number) => string
  /** An entry in a few words, without its day. */
  readonly say: (entry: E, garage: Garage, units: Units) => string
  /** What can be corrected beside its day. */
  readonly fields: readonly Field<E>[]
  /** One about a bike or part with nothing in its fields yet, for kinds that a plain form can write. */
  readonly blank?: (about: string, at: IsoTime) => Draft<E>
  /** The address where one is written, and what the list of new entries calls it. */
  readonly writtenAt?: { readonly to: string; readonly label: string }
}

/** Where a part that is off the bikes can be. */
export const WHERE_NAMES = { shelf: 'spare', retired: 'retired', lent: 'lent' } as const

/** The name of a bike. */
export const bikeName = (garage: Garage, id: string): string =>
  garage.bikes.get(id)?.entry.name ?? 'a bike not in the log'
