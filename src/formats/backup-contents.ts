import type { AsideEntry } from '../core/log/aside.ts'
import type { KeptPicture } from '../core/log/kept-picture.ts'
import type { Entry } from '../core/log/entries.ts'
import type { World } from '../core/log/world.ts'

/** A file that is no backup at all: what is wrong and how to mend it, in one sentence. */
export class BackupFileError extends Error {
  override readonly name = 'BackupFileError'
}

/** What a backup holds. */
export interface BackupContents {
  /** Those that are sound, in the order of the file, in today's format. */
  readonly entries: readonly Entry[]
  /** The others, to be kept beside the log. */
  readonly aside: readonly AsideEntry[]
  readonly pictures: readonly KeptPicture[]
  /** Whose records these are: as the file says, or as its entries show. */
  readonly world: World
  /** What is wrong with the file as a whole, in one sentence, where something is. */
  readonly remark?: string
}
