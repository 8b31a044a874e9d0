import type { Entry } from '../core/log/entries.ts'
import type { LogDatabase } from './database.ts'
import { readGeneration, type Generation } from './generation.ts'
import { entriesSince } from './write.ts'

/** The log was deleted under the app: nothing may be written into the empty one in its place. */
export class LogVanishedError extends Error {
  override readonly name = 'LogVanishedError'
}

/** Reads the log of a database, each time only what has arrived since. */
export interface LogReader {
  /**
   * Everything that is stored now, in the order of arrival; the very same list where nothing has changed. Within a
   * transaction on `entries` and `kept`.
   * @throws LogVanishedError where the log that was read before is no longer there
   */
  readonly read: () => Promise<readonly Entry[]>
  /** What was last read. */
  readonly held: () => readonly Entry[]
  /** Forgets what was read, so that whatever is there now is read as another log. */
  readonly forget: () => void
}

/** A reader that has read nothing yet. */
export function logReader(database: LogDatabase): LogReader {
  let stored: readonly Entry[] = []
  let seq = 0
  let generation: Generation | undefined
  let forgotten = 0

  const read = async (): Promise<readonly Entry[]> => {
    const before = stored
    const turn = forgotten
    const mark = await readGeneration(database)
    if (generation && mark?.id !== generation.id) throw new LogVanishedError('The log was deleted.')
    const isSame = mark?.changes === generation?.changes
    const fresh = await entriesSince(database, isSame ? seq : 0)
    const isWhole = isSame && fresh.total === before.length + fresh.entries.length
    const all = isSame && !isWhole ? await entriesSince(database, 0) : fresh
    // Two reads may have gone side by side: what the other one added is not added twice.
    if (stored !== before || forgotten !== turn) return read()
    generation = mark
    if (isWhole && all.entries.length === 0) return stored
    if (isSame && all.total === 0 && stored.length > 0) throw new LogVanishedError('The log was emptied.')
    stored = isWhole ? [...stored, ...all.entries] : all.entries
    seq = all.seq
    return stored
  }

  return {
    read,
    held: () => stored,
    forget: () => {
      forgotten++
      stored = []
      seq = 0
      generation = undefined
    },
  }
}
