import type { AsideEntry } from '../core/log/aside.ts'
import type { Entry } from '../core/log/entries.ts'
import type { KeptPicture } from '../core/log/kept-picture.ts'
import type { BackupContents } from '../formats/backup-contents.ts'
import { differenceOf } from '../formats/verify-backup.ts'
import { writeBackup } from '../formats/write-backup.ts'
import type { Ledger } from '../store/ledger.ts'

/** What of a folder is used here, as the browser gives it. */
export type Folder = Pick<FileSystemDirectoryHandle, 'name' | 'getFileHandle'> & {
  readonly values: () => AsyncIterable<FileSystemHandle>
}

const OURS = /^jolt-mile-[a-z0-9-]+\.json$/

/** How a backup is read: away from the page where there is a worker. */
export type ReadBackup = (
  file: Blob,
  text: () => string | Promise<string>,
) => Promise<BackupContents | 'cancelled'>

/** The file of one device in a folder that several share. */
export const folderFileName = (device: string): string => `jolt-mile-${device}.json`

/** Files of other devices that were read before, by name: size and day of change. */
export type SeenFiles = Map<string, string>

/**
 * Reads what other devices have put into the folder since it was last looked at.
 * @returns how many entries came in
 */
export async function readOthers(
  folder: Folder,
  device: string,
  seen: SeenFiles,
  merge: Ledger['merge'],
  read: ReadBackup,
): Promise<number> {
  let broughtIn = 0
  for await (const handle of folder.values()) {
    if (handle.kind !== 'file' || !OURS.test(handle.name) || handle.name === folderFileName(device)) continue
    const file = await (handle as FileSystemFileHandle).getFile()
    const mark = `${file.size} ${file.lastModified}`
    if (seen.get(handle.name) === mark) continue
    const contents = await read(file, () => file.text())
    if (contents === 'cancelled') continue
    broughtIn += (await merge(contents.entries, contents.aside, contents.pictures)).added.length
    // Half a file, still on its way, is read again when the rest is there.
    if (contents.remark === undefined) seen.set(handle.name, mark)
  }
  return broughtIn
}

/**
 * Writes this device's log into its own file of the folder, and reads it back: the browser puts a whole file in the
 * place of the old one, or leaves that.
 * @throws Error where what was written does not hold everything
 */
export async function writeOwn(
  folder: Folder,
  device: string,
  stored: readonly Entry[],
  aside: readonly AsideEntry[],
  pictures: readonly KeptPicture[],
  now: string,
  read: ReadBackup,
): Promise<void> {
  const handle = await folder.getFileHandle(folderFileName(device), { create: true })
  const stream = await handle.createWritable()
  await stream.write(writeBackup(stored, now, aside, pictures))
  await stream.close()
  const file = await handle.getFile()
  const contents = await read(file, () => file.text())
  const difference = contents === 'cancelled' ? undefined : differenceOf(contents, stored, aside, pictures)
  if (difference !== undefined) throw new Error(difference)
}
