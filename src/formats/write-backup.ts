import type { Entry } from '../core/log/entries.ts'

/** Name and version of the backup format. A version is never changed, only followed. */
export const BACKUP_FORMAT = 'jolt-mile-log'
export const BACKUP_VERSION = 1

/**
 * The whole log as one JSON text: `{ format, version, exportedAt, count, entries }`, an entry a line, so that it
 * can be read and compared by people too.
 */
export function writeBackup(entries: readonly Entry[], exportedAt: string): string {
  const head = JSON.stringify({
    format: BACKUP_FORMAT,
    version: BACKUP_VERSION,
    exportedAt,
    count: entries.length,
  })
  const lines = entries.map((entry) => JSON.stringify(entry)).join(',\n')
  return `${head.slice(0, -1)},"entries":[\n${lines}\n]}\n`
}
