/** The form in which this app stores entries. Counted up with every step in `upgrade.ts`. */
export const ENTRY_FORMAT = 2

/** ISO 8601 time in UTC, as `2026-03-09T07:30:00.000Z`. */
export type IsoTime = string
/** A version 7 UUID: sorts by the moment of writing, unique across devices. */
export type EntryId = string
export type BikeId = string
export type PartId = string
export type ToolId = string

/** What every entry has, whatever its kind. */
export interface EntryBase {
  readonly id: EntryId
  /** Which form of stored entries this is: {@link ENTRY_FORMAT} for all that the log holds. */
  readonly format: number
  /** When the thing happened, which may be long before it was written down. */
  readonly at: IsoTime
  /** The id of the first entry of the action that wrote this one: what one press of "undo" takes back. */
  readonly action?: EntryId
  /** A correction: the entry that this one replaces. */
  readonly supersedes?: EntryId
  /** The id it was first written under, by a device whose clock ran ahead: see `one-stamp.ts`. */
  readonly firstId?: EntryId
  /** Who wrote it: the name that was given to the device it was written on. */
  readonly writtenBy?: string
  /** Something of it was left out when it was given to others: the whole of it may be elsewhere. */
  readonly abridged?: true
  /** Of an abridged one: the fields that say something else than the whole of it, by their names. */
  readonly altered?: readonly string[]
}

/** The five words for wear. */
export type WearWord = 'fresh' | 'good' | 'watch' | 'swap' | 'spent'
