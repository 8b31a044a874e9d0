import { wrap, type Remote } from 'comlink'
import { words } from '../words/workers/start-worker.ts'

/** A worker could not be started, or fell over: without the network its script may not be there. */
export class WorkerError extends Error {
  override readonly name = 'WorkerError'
  constructor() {
    super(words.aPartOfTheApp)
  }
}

/** A worker and what it exposes. */
export interface Started<T> {
  readonly remote: Remote<T>
  /** Never comes about, but fails where the worker does: to be raced with whatever it is asked. */
  readonly failed: Promise<never>
  readonly stop: () => void
}

/**
 * Starts what `begin` makes. A worker whose script cannot be loaded says nothing to what it is asked: its failure is
 * heard of here alone.
 * @throws WorkerError where there are no workers to be had
 */
export function startWorker<T>(begin: () => Worker): Started<T> {
  let worker: Worker
  try {
    worker = begin()
  } catch {
    throw new WorkerError()
  }
  const failed = new Promise<never>((_resolve, reject) => {
    const fail = (event: Event): void => {
      event.preventDefault()
      reject(new WorkerError())
    }
    worker.addEventListener('error', fail)
    worker.addEventListener('messageerror', fail)
  })
  // Nobody may be waiting when it fails.
  failed.catch(() => undefined)
  return { remote: wrap<T>(worker), failed, stop: () => worker.terminate() }
}
