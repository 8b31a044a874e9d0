import type { Entry } from '../core/log/entries.ts'
import { checkEntry } from './entry-schema.ts'

/** Name and version of the backup format. A version is never changed, only followed. */
export const BACKUP_FORMAT = 'jolt-mile-log'
export const BACKUP_VERSION = 1

/**
 * The whole log as one JSON text: `{ format, version, exportedAt, count, entries }`, an entry a line, so that it
 * can be read and compared by people too.
 */
export function writeBackup(entries: readonly Entry[], exportedAt: string): string {
  const head = JSON.stringify({ format: BACKUP_FORMAT, version: BACKUP_VERSION, exportedAt, count: entries.length })
  const lines = entries.map((entry) => JSON.stringify(entry)).join(',\n')
  return `${head.slice(0, -1)},"entries":[\n${lines}\n]}\n`
}

export type BackupResult =
  | { readonly ok: true; readonly entries: readonly Entry[] }
  /** One plain sentence: what is wrong and how to mend it. */
  | { readonly ok: false; readonly fault: string }

const fail = (fault: string): BackupResult => ({ ok: false, fault })

/**
 * Reads a backup whole or not at all.
 */
export function readBackup(text: string): BackupResult {
  let file: unknown
  try {
    file = JSON.parse(text)
  } catch {
    const trimmed = text.trim()
    if (trimmed === '') return fail('The file is empty. Choose the backup again, or another copy of it.')
    if (trimmed.startsWith('{') && !trimmed.endsWith('}'))
      return fail('The file is cut short: its end is missing. Copy it again from where it was saved.')
    return fail('This is not a Jolt Mile backup: it cannot be read as one. Choose the file that "Save a backup" wrote.')
  }
  const { format, version, entries } = (file ?? {}) as Record<string, unknown>
  if (format !== BACKUP_FORMAT)
    return fail('This is not a Jolt Mile backup. Choose the file that "Save a backup" wrote.')
  if (version !== BACKUP_VERSION)
    return fail(
      `The backup is of version ${JSON.stringify(version) ?? 'unknown'}; this app reads version ${BACKUP_VERSION}. Open it with the app that wrote it, brought up to date.`,
    )
  if (!Array.isArray(entries)) return fail('The backup holds no list of entries. Choose another copy of it.')
  const checked: Entry[] = []
  for (const [index, value] of entries.entries()) {
    const result = checkEntry(value)
    if ('fault' in result)
      return fail(`Entry ${index + 1} of ${entries.length} cannot be read: ${result.fault}. Choose another copy of the backup.`)
    checked.push(result.entry)
  }
  return { ok: true, entries: checked }
}
