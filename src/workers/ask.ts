import type { AnswersWorker } from './answers.worker.ts'
import { workerPool } from './pool.ts'
import { startWorker } from './start-worker.ts'

const LEAST = 2
const MOST = 4

/** The one pool of the app: from two to four workers, by the cores there are. */
export const pool = workerPool(
  () =>
    startWorker<AnswersWorker>(
      () => new Worker(new URL('./answers.worker.ts', import.meta.url), { type: 'module' }),
    ),
  Math.max(LEAST, Math.min(MOST, navigator.hardwareConcurrency)),
)
