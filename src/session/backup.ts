import type { AsideEntry } from '../core/log/aside.ts'
import type { Entry } from '../core/log/entries.ts'
import { readBackup, type BackupContents } from '../formats/read-backup.ts'
import { differenceOf } from '../formats/verify-backup.ts'
import { writeBackup } from '../formats/write-backup.ts'
import { readBackupFile } from '../workers/read-backup.ts'
import { WorkerError } from '../workers/start-worker.ts'

/** A backup that was read again after it was written, and holds everything. */
export interface CheckedBackup {
  readonly text: string
  /** What does not come back from it, in a few words; absent where all does. */
  readonly difference?: string
}

/**
 * Reads a backup in the worker, or here where there is no worker to be had: a backup matters more than a smooth page.
 * @param text what the file holds, asked for only where the worker is not there
 */
export async function readAnyhow(
  file: Blob,
  text: () => string | Promise<string>,
  onProgress: (share: number) => void = () => undefined,
): Promise<BackupContents | 'cancelled'> {
  try {
    return await readBackupFile(file, onProgress).result
  } catch (error) {
    if (error instanceof WorkerError) return readBackup(await text())
    throw error
  }
}

/** Writes a backup and reads it again, entry for entry, before anyone calls it saved. */
export async function makeBackup(
  stored: readonly Entry[],
  aside: readonly AsideEntry[],
  now: string,
  onProgress: (share: number) => void = () => undefined,
): Promise<CheckedBackup> {
  const text = writeBackup(stored, now, aside)
  const contents = await readAnyhow(new Blob([text]), () => text, onProgress)
  const difference = contents === 'cancelled' ? undefined : differenceOf(contents, stored, aside)
  return { text, ...(difference !== undefined && { difference }) }
}

/** What a backup file is called. */
export const backupName = (world: 'own' | 'demo', now: string): string =>
  `jolt-mile-${world === 'demo' ? 'demo-' : ''}${now.slice(0, 10)}.json`
