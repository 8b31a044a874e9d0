import { createContext, useContext } from 'react'
import type { AsideEntry } from '../core/log/aside.ts'
import type { Entry } from '../core/log/entries.ts'
import type { EntryId } from '../core/log/entry.ts'
import type { Overruled } from '../core/log/overruled.ts'
import type { PassedOver } from './synced-folder.ts'

/** Whether the browser promised not to delete the log when it wants room. */
export type StoragePromise = 'given' | 'refused' | 'unknown'

/** The last backup that was saved from this device. */
export interface LastBackup {
  readonly at: string
  /** The last entry it held, in the order of arrival; absent: it held none. */
  readonly last?: EntryId
}

/** How it stands with the folder in which the backup is kept up to date. */
export interface FolderState {
  readonly name: string
  /** `asking`: the browser wants the owner's leave again, as it does after a restart. */
  readonly status: 'asking' | 'working' | 'kept' | 'failed'
  readonly at?: string
  readonly fault?: string
  /** What came in from the other devices' files since the page was opened. */
  readonly broughtIn: number
  /** Files of other devices that are there and were not taken in. */
  readonly passed: readonly PassedOver[]
}

/** What is done so that the log is not lost with the browser. */
export interface SafeKeeping {
  readonly promise: StoragePromise
  readonly askForPromise: () => Promise<void>
  readonly lastBackup: LastBackup | undefined
  /** What would be lost with this browser today: what was written since the last backup or into no folder. */
  readonly unsaved: readonly Entry[]
  readonly aside: readonly AsideEntry[]
  /** What other devices made to count no more, or again, and nobody here has seen yet. */
  readonly overruled: readonly Overruled[]
  readonly overruledSeen: (ids: readonly EntryId[]) => Promise<void>
  readonly backupSaved: (stored: readonly Entry[]) => Promise<void>
  /** Undefined where the browser cannot write into folders. */
  readonly folder:
    | {
        readonly state: FolderState | undefined
        readonly choose: () => Promise<void>
        readonly resume: () => Promise<void>
        readonly leave: () => Promise<void>
      }
    | undefined
}

/**
 * What arrived after the last backup. Where the entry it ended with is no longer there (the log was wiped, or entries set
 * aside) all counts as unsaved: better one backup too many.
 */
export function unsavedSince(stored: readonly Entry[], backup: LastBackup | undefined): readonly Entry[] {
  const place = backup?.last === undefined ? -1 : stored.findLastIndex(({ id }) => id === backup.last)
  return stored.slice(place + 1)
}

export const SafeKeepingContext = createContext<SafeKeeping | undefined>(undefined)

/** What is done so that the log is not lost. Only within the shell. */
export function useSafeKeeping(): SafeKeeping {
  const keeping = useContext(SafeKeepingContext)
  if (!keeping) throw new Error('Nothing keeps the log safe here.')
  return keeping
}

/** So many entries without a backup are worth a word on Today. */
export const MUCH_UNSAVED = 50
/** So long without one, days, where there is anything to save. */
export const LONG_UNSAVED_DAYS = 30
