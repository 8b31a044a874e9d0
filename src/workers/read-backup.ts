import { proxy } from 'comlink'
import type { Entry } from '../core/log/entries.ts'
import { BackupFileError, type BackupContents } from '../formats/read-backup.ts'
import type { BackupPart, BackupWorker } from './backup.worker.ts'
import { startWorker } from './start-worker.ts'

/** A backup being read. */
export interface BackupReading {
  /** Fails with a BackupFileError for a file that is no backup, and with a WorkerError where the worker is not there. */
  readonly result: Promise<BackupContents | 'cancelled'>
  readonly cancel: () => void
}

/**
 * Reads a backup in a worker, so that the page stays free whatever its size.
 * @param onProgress told the share that is done, 0 to 1
 */
export function readBackupFile(file: Blob, onProgress: (share: number) => void): BackupReading {
  const { remote, failed, stop } = startWorker<BackupWorker>(
    () => new Worker(new URL('./backup.worker.ts', import.meta.url), { type: 'module' }),
  )
  let cancel = (): void => undefined
  const cancelled = new Promise<'cancelled'>((resolve) => {
    cancel = () => resolve('cancelled')
  })
  const read = async (): Promise<BackupContents> => {
    const entries: Entry[] = []
    const onPart = (part: BackupPart): Promise<void> => {
      entries.push(...part.entries)
      onProgress(part.of === 0 ? 0 : part.done / part.of)
      return Promise.resolve()
    }
    const rest = await Promise.race([remote.read(file, proxy(onPart)), failed])
    if ('fault' in rest) throw new BackupFileError(rest.fault)
    return { ...rest, entries }
  }
  return { result: Promise.race([read(), cancelled]).finally(stop), cancel }
}
