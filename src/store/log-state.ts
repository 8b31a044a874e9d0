import type { MergedIn } from './merge-in.ts'
import type { AsideEntry } from '../core/log/aside.ts'
import type { KeptPicture } from '../core/log/kept-picture.ts'
import type { Entry, EntryDraft } from '../core/log/entries.ts'
import type { Merge } from '../core/log/merge.ts'
import type { LogDatabase, OpenFault } from './database.ts'

/** How it stands with the log. */
export type LogState =
  | { readonly status: 'opening' }
  | { readonly status: 'shut'; readonly fault: OpenFault }
  /** `stored`: as the database has them, for backups. `entries`: each under one id, for everything else. */
  | { readonly status: 'open'; readonly stored: readonly Entry[]; readonly entries: readonly Entry[] }
  /** The browser deleted it while it was open: what this page still knows of it. */
  | { readonly status: 'vanished'; readonly stored: readonly Entry[] }
  /** A newer build of the app changed the database: this one must not write any more. */
  | { readonly status: 'outdated'; readonly stored: readonly Entry[] }

/** What was written, and the log with it. */
export interface Written {
  readonly written: readonly Entry[]
  readonly entries: readonly Entry[]
}

/** The log of one database: how it stands, and every way to change it. */
export interface Ledger {
  readonly database: LogDatabase
  readonly state: () => LogState
  readonly subscribe: (onChange: () => void) => () => void
  /** Opens the log, or tries again where it could not be opened. */
  readonly open: () => void
  /** How many entries the browser had lost and were put back from the second copy when the log was opened. */
  readonly cameBack: () => number
  /**
   * Writes, all or none, what is decided on the log as it is at that moment, whichever tab wrote last.
   * @throws DraftError, LogVanishedError, or what the database throws
   */
  readonly write: (decide: (entries: readonly Entry[]) => readonly EntryDraft[]) => Promise<Written>
  /** Adds what another log holds and this one does not, all or none; and the pictures that the log then names. */
  readonly merge: (
    theirs: readonly Entry[],
    aside: readonly AsideEntry[],
    pictures?: readonly KeptPicture[],
  ) => Promise<MergedIn>
  /** Takes entries out of the log and keeps them beside it. */
  readonly setAside: (ids: readonly string[]) => Promise<number>
  /** Puts entries kept beside the log into it, where they can be counted. */
  readonly takeBack: (texts: readonly string[]) => Promise<Merge>
  /** Forgets something kept beside the log, for good. */
  readonly forget: (text: string) => Promise<void>
  /** Empties the log and all that is kept beside it. */
  readonly wipe: () => Promise<void>
  /** Starts the log over in the database that took the place of a deleted one, with what this page still knows. */
  readonly writeBack: () => Promise<void>
  /** Lets go of the database. */
  readonly stop: () => void
}
