import type { JobStep } from '../core/job.ts'
import type { Entry } from '../core/log/entries.ts'
import { BackupFileError, type BackupContents } from '../formats/backup-contents.ts'
import { backupSteps } from '../formats/read-backup.ts'

/** Entries are handed over in handfuls, so that the page that takes them is never held up for long. */
const HANDFUL = 1000

/** How a backup was read, but for its entries, which were handed over before. */
export type BackupRead = Omit<BackupContents, 'entries'> | { readonly fault: string }

/** Reads a backup. @yields how far it has come, and then its entries, some at a time */
export async function* backupJobSteps(
  file: Blob,
): AsyncGenerator<JobStep<readonly Entry[]>, BackupRead, undefined> {
  try {
    const { entries, ...rest } = yield* backupSteps(await file.text())
    for (let from = 0; from < entries.length; from += HANDFUL)
      yield { part: entries.slice(from, from + HANDFUL), done: 1, of: 1 }
    return rest
  } catch (error) {
    if (error instanceof BackupFileError) return { fault: error.message }
    throw error
  }
}
