import { proxy } from 'comlink'
import type { RiderAsk, RiderOutlook } from '../core/wear/rider-outlook.ts'
import type { OutlookJob } from './forecast-keeper.ts'
import type { NextReadingAnswer } from '../core/measure/next-reading.ts'
import type { NextLookQuestion } from '../core/wear/next-look-value.ts'
import { startWorker, type Started } from './start-worker.ts'
import type { WearWorker } from './wear.worker.ts'

let worker: Started<WearWorker> | undefined
let jobs = 0

/** The one worker that works out wear, started when it is first asked, and anew after it failed. */
function wearWorker(): Started<WearWorker> {
  if (!worker) {
    const started = startWorker<WearWorker>(
      () => new Worker(new URL('./wear.worker.ts', import.meta.url), { type: 'module' }),
    )
    worker = started
    started.failed.catch(() => {
      if (worker === started) worker = undefined
    })
  }
  return worker
}

/** What another reading would tell you. */
export function workNextLook(question: NextLookQuestion): Promise<NextReadingAnswer> {
  const { remote, failed } = wearWorker()
  return Promise.race([remote.nextLook(question), failed])
}

/** Has a rider's chains worked out in the worker; the promise gives nothing where it was stopped. */
export function workOutlook(ask: RiderAsk, onProgress: (share: number) => void): OutlookJob {
  const job = ++jobs
  const { remote, failed } = wearWorker()
  const done: Promise<RiderOutlook | undefined> = Promise.race([
    remote.outlook(job, ask, proxy(onProgress)),
    failed,
  ])
  return { done, stop: () => void remote.stop(job) }
}
