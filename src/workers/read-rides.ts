import { proxy, wrap } from 'comlink'
import type { RideFile, RidesWorker } from './rides.worker.ts'

export type { RideFile } from './rides.worker.ts'

export interface Reading {
  readonly result: Promise<readonly RideFile[] | 'cancelled'>
  /** Stops at once; nothing read so far is kept. */
  readonly cancel: () => void
}

/** Reads ride files in a worker of their own, so that the screen stays free and a cancel takes hold at once. */
export function readRides(files: readonly File[], onProgress: (done: number) => void): Reading {
  const worker = new Worker(new URL('./rides.worker.ts', import.meta.url), { type: 'module' })
  let cancel = (): void => undefined
  const result = new Promise<readonly RideFile[] | 'cancelled'>((resolve, reject) => {
    cancel = () => {
      worker.terminate()
      resolve('cancelled')
    }
    wrap<RidesWorker>(worker)
      .read([...files], proxy(onProgress))
      .then(resolve, reject)
      .finally(() => worker.terminate())
  })
  return { result, cancel: () => cancel() }
}
