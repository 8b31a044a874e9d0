import { proxy, wrap, type Remote } from 'comlink'
import type { RiderAsk, RiderOutlook } from '../core/wear/rider-outlook.ts'
import type { OutlookJob } from './forecast-keeper.ts'
import type { WearWorker } from './wear.worker.ts'

let worker: Remote<WearWorker> | undefined
let jobs = 0

/** The one worker that works out wear, started when it is first asked. */
export function wearWorker(): Remote<WearWorker> {
  worker ??= wrap<WearWorker>(new Worker(new URL('./wear.worker.ts', import.meta.url), { type: 'module' }))
  return worker
}

/** Has a rider's chains worked out in the worker; the promise gives nothing where it was stopped. */
export function workOutlook(ask: RiderAsk, onProgress: (share: number) => void): OutlookJob {
  const job = ++jobs
  const remote = wearWorker()
  const done: Promise<RiderOutlook | undefined> = remote.outlook(job, ask, proxy(onProgress))
  return { done, stop: () => void remote.stop(job) }
}
