import { dropOldAnswers, keepAnswer, newestAnswer, readAnswer } from '../store/answers.ts'
import type { LogDatabase } from '../store/database.ts'
import type { KeeperMeans } from '../workers/answer-keeper.ts'
import { bytesOf } from '../workers/buffers.ts'
import { JOB_VERSIONS, type Answer, type JobName } from '../workers/jobs.ts'
import type { Pool } from '../workers/pool.ts'

/** Has a job done by the pool; its answers go with the page. */
export const passingMeans = <N extends JobName>(job: N, pool: Pool): KeeperMeans<N> => ({
  ask: (question, options) => pool.ask(job, question, options),
  load: () => Promise.resolve(undefined),
  save: () => Promise.resolve(),
})

/** Old answers are looked for with the first that is kept, and then with every so many. */
const DROP_EVERY = 32

/**
 * Has a job done by the pool, and its answers kept in a database: by the job, its version, and a hash of the question.
 * @param hash of a question's text
 * @param time now, ms since 1970
 */
export function keptMeans<N extends JobName>(
  job: N,
  pool: Pool,
  database: LogDatabase,
  hash: (question: string) => Promise<string>,
  time: () => number,
): KeeperMeans<N> {
  const version = JOB_VERSIONS[job]
  let saves = 0
  const keyOf = async (question: string) => `${job} ${version} ${await hash(question)}`
  return {
    ask: (question, options) => pool.ask(job, question, options),
    load: async (question, about) => {
      const same = await readAnswer(database, await keyOf(question))
      if (same) return { answer: same.answer as Answer<N>, isSame: true }
      const older = about === undefined ? undefined : await newestAnswer(database, job, version, about)
      return older && { answer: older.answer as Answer<N>, isSame: false }
    },
    save: async (question, about, answer) => {
      await keepAnswer(database, {
        key: await keyOf(question),
        job,
        version,
        about,
        bytes: bytesOf(answer),
        at: time(),
        answer,
      })
      if (saves++ % DROP_EVERY === 0) await dropOldAnswers(database)
    },
  }
}
