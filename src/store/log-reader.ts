import type { Entry } from '../core/log/entries.ts'
import type { LogDatabase } from './database.ts'
import { readGeneration, type Generation } from './generation.ts'
import { readPacked } from './packs.ts'
import { entriesSince, lastSeq } from './write.ts'

/** The log was deleted under the app: nothing may be written into the empty one in its place. */
export class LogVanishedError extends Error {
  override readonly name = 'LogVanishedError'
}

/** Reads the log of a database, each time only what has arrived since. */
export interface LogReader {
  /**
   * Everything that is stored now, in the order of arrival; the very same list where nothing has changed. Within a
   * transaction on `entries`, `kept` and `packs`.
   * @throws LogVanishedError where the log that was read before is no longer there
   */
  readonly read: () => Promise<readonly Entry[]>
  /** What was last read. */
  readonly held: () => readonly Entry[]
  /** Which log that was; undefined before the first read. */
  readonly generation: () => Generation | undefined
}

const NOTHING = { entries: [], seq: 0 }

/** A reader that has read nothing yet. Whatever log is there at its first read is the one it goes on with. */
export function logReader(database: LogDatabase): LogReader {
  let stored: readonly Entry[] = []
  let seq = 0
  let generation: Generation | undefined

  const read = async (): Promise<readonly Entry[]> => {
    const before = stored
    const mark = await readGeneration(database)
    if (generation && mark?.id !== generation.id) throw new LogVanishedError('The log was deleted.')
    const isSame = mark?.changes === generation?.changes
    const isFirst = !isSame || seq === 0
    const packed = isFirst && mark ? await readPacked(database, mark, await lastSeq(database)) : NOTHING
    const fresh = await entriesSince(database, isFirst ? packed.seq : seq)
    // Two reads may have gone side by side: what the other one added is not added twice.
    if (stored !== before) return read()
    // Entries are only taken away with a change that is counted: these were taken by nobody of ours.
    if (isSame && fresh.isEmpty && stored.length > 0) throw new LogVanishedError('The log was emptied.')
    generation = mark
    seq = fresh.seq
    if (isSame && packed.entries.length + fresh.entries.length === 0) return stored
    stored = [...(isSame ? stored : []), ...packed.entries, ...fresh.entries]
    return stored
  }

  return { read, held: () => stored, generation: () => generation }
}
