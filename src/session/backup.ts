import type { AsideEntry } from '../core/log/aside.ts'
import type { KeptPicture } from '../core/log/kept-picture.ts'
import type { Entry } from '../core/log/entries.ts'
import type { World } from '../core/log/world.ts'
import type { BackupContents } from '../formats/backup-contents.ts'
import { differenceOf } from '../formats/verify-backup.ts'
import { writeBackup } from '../formats/write-backup.ts'
import { readBackupFile } from '../workers/read-backup.ts'
import { WorkerError } from '../workers/start-worker.ts'
import { words } from '../words/session/backup.ts'

/** How saving a backup stands. */
export type BackupOutcome =
  | { readonly status: 'checking'; readonly share: number }
  /** Everything can be read back from the file. */
  | { readonly status: 'saved'; readonly count: number }
  /** The file was written, but not all comes back from it. */
  | { readonly status: 'partial'; readonly difference: string }
  | { readonly status: 'failed' }

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
    if (!(error instanceof WorkerError)) throw error
    const { readBackup } = await import('../formats/read-backup.ts')
    return readBackup(await text())
  }
}

/** What a backup file is called. */
const backupName = (world: World, now: string): string =>
  `jolt-mile-${world === 'demo' ? 'demo-' : ''}${now.slice(0, 10)}.json`

/** What goes into a backup: the log as it is stored, and what is kept beside it, the pictures that it names among it. */
export interface BackupOf {
  readonly stored: readonly Entry[]
  readonly aside: readonly AsideEntry[]
  readonly pictures?: readonly KeptPicture[]
}

/**
 * Writes a backup, reads it again, entry for entry, before anyone calls it saved, and hands it over.
 * @param world whose records these are: it says so inside
 * @param nameAt what the file is called, by the moment
 * @param find what goes into it; may throw, which makes the backup a failed one
 * @param hand gives the file to the browser
 * @param tell hears how it stands, the last time how it ended
 */
export async function saveLog(
  world: World,
  nameAt: (now: string) => string,
  find: () => BackupOf | Promise<BackupOf>,
  hand: (name: string, text: string) => void,
  tell: (outcome: BackupOutcome) => void,
): Promise<BackupOutcome> {
  const attempt = async (): Promise<BackupOutcome> => {
    const { stored, aside, pictures = [] } = await find()
    const now = new Date().toISOString()
    const text = writeBackup(stored, now, aside, pictures, world)
    const contents = await readAnyhow(
      new Blob([text]),
      () => text,
      (share) => tell({ status: 'checking', share }),
    ).catch(() => undefined)
    // A file that cannot be read again is still handed over: it may be all that there is.
    const difference =
      contents === undefined
        ? words.itCouldNotBe
        : contents === 'cancelled'
          ? undefined
          : differenceOf(contents, stored, aside, pictures)
    hand(nameAt(now), text)
    return difference === undefined
      ? { status: 'saved', count: stored.length }
      : { status: 'partial', difference }
  }
  tell({ status: 'checking', share: 0 })
  const outcome = await attempt().catch((): BackupOutcome => ({ status: 'failed' }))
  tell(outcome)
  return outcome
}

/** Saves the whole log as {@link saveLog} does, under the name that backups have. */
export const saveBackup = (
  world: World,
  ...rest: Parameters<typeof saveLog> extends [unknown, unknown, ...infer R] ? R : never
): Promise<BackupOutcome> => saveLog(world, (now) => backupName(world, now), ...rest)
