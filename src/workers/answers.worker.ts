import { expose, transfer } from 'comlink'
import type { JobStep, JobSteps } from '../core/job.ts'
import { buffersOf } from './buffers.ts'
import { JOBS, type Answer, type JobName, type Question } from './jobs.ts'

/** The worker listens again after so long at work, ms: so late at most a stop takes hold. */
const LISTEN_EVERY_MS = 40

const stopped = new Set<number>()

/** Lets waiting messages in. */
const listen = (): Promise<void> => new Promise((resolve) => setTimeout(resolve))

/** Its outcome: nothing where it was stopped. */
export type Outcome<A> = { readonly answer: A } | undefined

/**
 * Walks a job to its end, listening now and then whether it is still wanted.
 * @param id a number of the caller's own, by which it can be stopped
 * @param onStep told how far it has come; a part of the answer is waited for until it was taken
 */
async function run<N extends JobName>(
  id: number,
  name: N,
  question: Question<N>,
  onStep: (step: JobStep<unknown>) => Promise<void> | void,
): Promise<Outcome<Answer<N>>> {
  // Which question goes with which job the compiler has seen where it was asked.
  const steps = (JOBS[name] as (asked: Question<N>) => JobSteps<Answer<N>, unknown>)(question)
  let heard = performance.now()
  for (;;) {
    const step = await steps.next()
    if (step.done) return transfer({ answer: step.value }, buffersOf(step.value))
    if (step.value.part !== undefined) await onStep(step.value)
    else if (performance.now() - heard < LISTEN_EVERY_MS) continue
    else void onStep(step.value)
    await listen()
    if (stopped.delete(id)) return undefined
    heard = performance.now()
  }
}

const answers = {
  run,
  stop: (id: number): void => void stopped.add(id),
}
export type AnswersWorker = typeof answers
expose(answers)
