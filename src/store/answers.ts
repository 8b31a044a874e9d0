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

/**
 * Keeps an answer, and drops the oldest where there are too many. Not a record: it can be worked out again from the log at
 * any time.
 * @param mostBytes room for all of them together; the new one stays in any case
 */
export async function keepAnswer(
  database: LogDatabase,
  answer: StoredAnswer,
  mostBytes = MOST_BYTES,
): Promise<void> {
  const { answers } = database
  await database.transaction('rw', answers, async () => {
    await answers.put(answer)
    // By the index alone: the answers themselves are not read.
    const newestFirst = answers.orderBy('[at+bytes]').reverse()
    const [sizes, keys] = await Promise.all([newestFirst.keys(), newestFirst.primaryKeys()])
    let room = mostBytes
    const dropped = keys.filter((key, i) => {
      const [, bytes] = sizes[i] as unknown as readonly [number, number]
      room -= bytes
      return room < 0 && key !== answer.key
    })
    await answers.bulkDelete(dropped)
  })
}
