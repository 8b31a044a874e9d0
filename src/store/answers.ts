import Dexie from 'dexie'
import type { LogDatabase, StoredAnswer } from './database.ts'

/** All kept answers together may take so much room, bytes: those of a workshop with two hundred bikes, and their teeth. */
const MOST_BYTES = 128_000_000

/** The kept answer to just this question; undefined where there is none. */
export const readAnswer = (database: LogDatabase, key: string): Promise<StoredAnswer | undefined> =>
  database.answers.get(key)

/** The newest kept answer of a job about something, whatever the log was then; undefined where there is none. */
export const newestAnswer = (
  database: LogDatabase,
  job: string,
  version: number,
  about: string,
): Promise<StoredAnswer | undefined> =>
  database.answers
    .where('[job+version+about+at]')
    .between([job, version, about, Dexie.minKey], [job, version, about, Dexie.maxKey])
    .last()

/** Keeps an answer. Not a record: it can be worked out again from the log at any time. */
export const keepAnswer = (database: LogDatabase, answer: StoredAnswer): Promise<unknown> =>
  database.answers.put(answer)

/**
 * Drops the oldest answers where there are too many. It goes through the sizes of all that are kept, which is too much to do
 * with each of a workshop's answers.
 * @param mostBytes room for all of them together; the newest stays in any case
 */
export async function dropOldAnswers(database: LogDatabase, mostBytes = MOST_BYTES): Promise<void> {
  const { answers } = database
  await database.transaction('rw', answers, async () => {
    // By the index alone: the answers themselves are not read.
    const byAge = answers.orderBy('[at+bytes]')
    const [sizes, keys] = await Promise.all([byAge.keys(), byAge.primaryKeys()])
    let room = mostBytes
    let isNewest = true
    const dropped: string[] = []
    for (let i = keys.length - 1; i >= 0; i--) {
      const [, bytes] = sizes[i] as unknown as readonly [number, number]
      room -= bytes
      const key = keys[i]
      if (room < 0 && !isNewest && key !== undefined) dropped.push(key)
      isNewest = false
    }
    await answers.bulkDelete(dropped)
  })
}
