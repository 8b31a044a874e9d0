import type { Entry } from '../core/log/entries.ts'
import { checkEntry } from './entry-schema.ts'
import { BACKUP_FORMAT, BACKUP_VERSION } from './write-backup.ts'

/** A file that is no backup, or not a whole one: what is wrong and how to mend it, in one sentence. */
export class BackupFileError extends Error {
  override readonly name = 'BackupFileError'
}

function parsed(text: string): Record<string, unknown> {
  try {
    return (JSON.parse(text) ?? {}) as Record<string, unknown>
  } catch {
    const trimmed = text.trim()
    if (trimmed === '')
      throw new BackupFileError('The file is empty. Choose the backup again, or another copy of it.')
    if (trimmed.startsWith('{') && !trimmed.endsWith(']}'))
      throw new BackupFileError(
        'The file is cut short: its end is missing. Copy it again from where it was saved.',
      )
    throw new BackupFileError(
      'This is not a Jolt Mile backup: it cannot be read as one. Choose the file that "Save a backup" wrote.',
    )
  }
}

/**
 * Reads a backup whole or not at all.
 * @throws BackupFileError where it is cut short, of another version, or no backup
 */
export function readBackup(text: string): Entry[] {
  const { format, version, count, entries } = parsed(text)
  if (format !== BACKUP_FORMAT)
    throw new BackupFileError('This is not a Jolt Mile backup. Choose the file that "Save a backup" wrote.')
  if (version !== BACKUP_VERSION)
    throw new BackupFileError(
      `The backup is of version ${JSON.stringify(version) ?? 'unknown'}; this app reads version ${BACKUP_VERSION}. Open it with the app that wrote it, brought up to date.`,
    )
  if (!Array.isArray(entries))
    throw new BackupFileError('The backup holds no list of entries. Choose another copy of it.')
  if (count !== entries.length)
    throw new BackupFileError(
      `The backup says it holds ${String(count)} entries, but ${entries.length} are there. Choose another copy of it.`,
    )
  return entries.map((value: unknown, index) => {
    const result = checkEntry(value)
    if ('entry' in result) return result.entry
    throw new BackupFileError(
      `Entry ${index + 1} of ${entries.length} cannot be read: ${result.fault}. Choose another copy of the backup.`,
    )
  })
}
