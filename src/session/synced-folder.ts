import type { AsideEntry } from '../core/log/aside.ts'
import type { Entry } from '../core/log/entries.ts'
import type { KeptPicture } from '../core/log/kept-picture.ts'
import type { World } from '../core/log/world.ts'
import { BackupFileError, type BackupContents } from '../formats/backup-contents.ts'
import { differenceOf } from '../formats/verify-backup.ts'
import { writeBackup } from '../formats/write-backup.ts'
import type { Ledger } from '../store/ledger.ts'

/** What of a folder is used here, as the browser gives it. */
export type Folder = Pick<FileSystemDirectoryHandle, 'name' | 'getFileHandle'> & {
  readonly values: () => AsyncIterable<FileSystemHandle>
}

const OURS = /^(demo-)?jolt-mile-[a-z0-9-]+\.json$/

/** How a backup is read: away from the page where there is a worker. */
export type ReadBackup = (
  file: Blob,
  text: () => string | Promise<string>,
) => Promise<BackupContents | 'cancelled'>

/**
 * The file of one device in a folder that several share. The demo's has a name that earlier versions, which did not ask
 * whose records a file holds, pass over.
 */
export const folderFileName = (device: string, world: World): string =>
  `${world === 'demo' ? 'demo-' : ''}jolt-mile-${device}.json`

/** A file of another device that was not taken in, or not whole. */
export interface PassedOver {
  readonly name: string
  /** Of the other world; not to be read at all; or only in part. */
  readonly why: World | 'unreadable' | 'partial'
  /** What is wrong with it, as a sentence; empty for one of the other world. */
  readonly said: string
}

/** Files of other devices that were looked at before, by name: size and day of change, and what was wrong with them. */
export type SeenFiles = Map<string, { readonly mark: string; readonly passed?: PassedOver }>

/** What a look at the others' files came to. */
interface FolderLook {
  /** How many entries came in. */
  readonly broughtIn: number
  /** Files that are there and were not taken in. */
  readonly passed: readonly PassedOver[]
}

/** What is needed to take in one file of another device. */
interface Taking {
  readonly world: World
  readonly merge: Ledger['merge']
  readonly read: ReadBackup
}

/** Takes in one file. A file that cannot be read is no fault of the folder's: it is told of by its name. */
async function takeFile(
  file: File,
  { world, merge, read }: Taking,
): Promise<{ readonly added: number; readonly passed?: PassedOver } | 'cancelled'> {
  const { name } = file
  let contents: Awaited<ReturnType<ReadBackup>>
  try {
    contents = await read(file, () => file.text())
  } catch (error) {
    if (!(error instanceof BackupFileError)) throw error
    return { added: 0, passed: { name, why: 'unreadable', said: error.message } }
  }
  if (contents === 'cancelled') return contents
  if (contents.world !== world) return { added: 0, passed: { name, why: contents.world, said: '' } }
  const { added } = await merge(contents.entries, contents.aside, contents.pictures)
  return {
    added: added.length,
    ...(contents.remark !== undefined && { passed: { name, why: 'partial', said: contents.remark } }),
  }
}

/**
 * Reads what other devices have put into the folder since it was last looked at. A file that cannot be read, or that is
 * of the other world, is passed over and looked at again once it has changed; the others come in all the same.
 */
export async function readOthers(
  folder: Folder,
  device: string,
  seen: SeenFiles,
  taking: Taking,
): Promise<FolderLook> {
  let broughtIn = 0
  const there = new Set<string>()
  for await (const handle of folder.values()) {
    const { name } = handle
    if (handle.kind !== 'file' || !OURS.test(name) || name === folderFileName(device, taking.world)) continue
    there.add(name)
    try {
      const file = await (handle as FileSystemFileHandle).getFile()
      const mark = `${file.size} ${file.lastModified}`
      if (seen.get(name)?.mark === mark) continue
      const taken = await takeFile(file, taking)
      if (taken === 'cancelled') continue
      broughtIn += taken.added
      seen.set(name, { mark, ...(taken.passed && { passed: taken.passed }) })
    } catch (error) {
      // The browser does not give it, or the log could not be written: tried again at the next turn.
      const said = error instanceof Error ? error.message : String(error)
      seen.set(name, { mark: '', passed: { name, why: 'unreadable', said } })
    }
  }
  const passed = [...seen].flatMap(([name, held]) => (there.has(name) && held.passed ? [held.passed] : []))
  return { broughtIn, passed }
}

/**
 * Writes this device's log into its own file of the folder, and reads it back: the browser puts a whole file in the
 * place of the old one, or leaves that.
 * @throws Error where what was written does not hold everything
 */
export async function writeOwn(
  folder: Folder,
  device: string,
  world: World,
  stored: readonly Entry[],
  aside: readonly AsideEntry[],
  pictures: readonly KeptPicture[],
  now: string,
  read: ReadBackup,
): Promise<void> {
  const handle = await folder.getFileHandle(folderFileName(device, world), { create: true })
  const stream = await handle.createWritable()
  await stream.write(writeBackup(stored, now, aside, pictures, world))
  await stream.close()
  const file = await handle.getFile()
  const contents = await read(file, () => file.text())
  const difference = contents === 'cancelled' ? undefined : differenceOf(contents, stored, aside, pictures)
  if (difference !== undefined) throw new Error(difference)
}
