import { expose } from 'comlink'
import type { Entry } from '../core/log/entries.ts'
import { BackupFileError, backupSteps, type BackupContents } from '../formats/read-backup.ts'

/** Entries are handed over in handfuls, so that the page that takes them is never held up for long. */
const HANDFUL = 1000

/** How a backup was read, but for its entries, which were handed over before. */
export type BackupRead = Omit<BackupContents, 'entries'> | { readonly fault: string }

/** A handful of entries, and how far the reading is. */
export interface BackupPart {
  readonly entries: readonly Entry[]
  readonly done: number
  readonly of: number
}

const backup = {
  read: async (file: Blob, onPart: (part: BackupPart) => Promise<void>): Promise<BackupRead> => {
    try {
      const steps = backupSteps(await file.text())
      let step = steps.next()
      for (; !step.done; step = steps.next()) await onPart({ entries: [], ...step.value })
      const { entries, ...rest } = step.value
      for (let from = 0; from < entries.length; from += HANDFUL)
        await onPart({ entries: entries.slice(from, from + HANDFUL), done: 1, of: 1 })
      return rest
    } catch (error) {
      if (error instanceof BackupFileError) return { fault: error.message }
      throw error
    }
  },
}
export type BackupWorker = typeof backup
expose(backup)
