import type { AsideEntry } from '../core/log/aside.ts'
import type { KeptPicture } from '../core/log/kept-picture.ts'
import { writePicture } from './picture-text.ts'
import type { Entry } from '../core/log/entries.ts'
import type { World } from '../core/log/world.ts'

/** Name and version of the backup format. A version is never changed, only followed. */
export const BACKUP_FORMAT = 'jolt-mile-log'
export const BACKUP_VERSION = 4

const lines = (texts: readonly string[]): string => texts.join(',\n')

/**
 * The whole log as one JSON text: `{ format, version, world, exportedAt, count, entries, aside, pictures }`, an entry a line, so that it
 * can be read and compared by people too, and so that what is left of a damaged copy can still be read. `aside` holds
 * what is kept beside the log: `{ why, said, value }`; `pictures` those that entries name: `{ id, jpeg }`, in base 64.
 * `world` says whose records these are: one's own, or the demo's, which are all made up.
 */
export function writeBackup(
  entries: readonly Entry[],
  exportedAt: string,
  aside: readonly AsideEntry[] = [],
  pictures: readonly KeptPicture[] = [],
  world: World = 'own',
): string {
  const head = JSON.stringify({
    format: BACKUP_FORMAT,
    version: BACKUP_VERSION,
    world,
    exportedAt,
    count: entries.length,
  })
  const held = aside.map(
    ({ text, why, said }) => `{"why":${JSON.stringify(why)},"said":${JSON.stringify(said)},"value":${text}}`,
  )
  return `${head.slice(0, -1)},"entries":[\n${lines(entries.map((entry) => JSON.stringify(entry)))}\n],"aside":[\n${lines(held)}\n],"pictures":[\n${lines(pictures.map(writePicture))}\n]}\n`
}
