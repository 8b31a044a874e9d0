import type { Entry } from '../core/log/entries.ts'
import { BackupFileError, type BackupContents } from '../formats/backup-contents.ts'
import { pool } from './ask.ts'

/** A backup being read. */
export interface BackupReading {
  /** Fails with a BackupFileError for a file that is no backup, and with a WorkerError where the worker is not there. */
  readonly result: Promise<BackupContents | 'cancelled'>
  readonly cancel: () => void
}

/**
 * Reads a backup away from the page, which stays free whatever its size.
 * @param onProgress told the share that is done, 0 to 1
 */
export function readBackupFile(file: Blob, onProgress: (share: number) => void): BackupReading {
  const entries: Entry[] = []
  const asked = pool.ask('backup', file, {
    isWaitedFor: true,
    onStep: ({ part, done, of }) => {
      if (part) entries.push(...part)
      onProgress(of === 0 ? 0 : done / of)
    },
  })
  const result = asked.done.then((read): BackupContents | 'cancelled' => {
    if (!read) return 'cancelled'
    if ('fault' in read) throw new BackupFileError(read.fault)
    return { ...read, entries }
  })
  return { result, cancel: asked.stop }
}
