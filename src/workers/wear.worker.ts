import { expose } from 'comlink'
import type { NextReadingAnswer } from '../core/measure/next-reading.ts'
import { valueNextLook, type NextLookQuestion } from '../core/wear/next-look-value.ts'
import { riderOutlookSteps, type RiderAsk, type RiderOutlook } from '../core/wear/rider-outlook.ts'

/** The worker listens again after so long at work, ms: so late at most a stop takes hold. */
const LISTEN_EVERY_MS = 40

const stopped = new Set<number>()

/** Lets waiting messages in. */
const listen = (): Promise<void> => new Promise((resolve) => setTimeout(resolve))

/**
 * Works out a rider's chains, a piece at a time.
 * @param job a number of the caller's own, by which it can be stopped
 * @returns undefined where it was stopped
 */
async function outlook(
  job: number,
  ask: RiderAsk,
  onProgress: (share: number) => void,
): Promise<RiderOutlook | undefined> {
  const steps = riderOutlookSteps(ask)
  let heard = performance.now()
  for (let step = steps.next(); ; step = steps.next()) {
    if (step.done) return step.value
    if (performance.now() - heard < LISTEN_EVERY_MS) continue
    onProgress(step.value.done / step.value.of)
    await listen()
    if (stopped.delete(job)) return undefined
    heard = performance.now()
  }
}

const wear = {
  nextLook: (question: NextLookQuestion): NextReadingAnswer => valueNextLook(question),
  outlook,
  stop: (job: number): void => void stopped.add(job),
}
export type WearWorker = typeof wear
expose(wear)
