import { proxy, transfer } from 'comlink'
import type { JobStep } from '../core/job.ts'
import type { AnswersWorker, Outcome } from './answers.worker.ts'
import { buffersOf } from './buffers.ts'
import type { Answer, JobName, Part, Question } from './jobs.ts'
import type { Started } from './start-worker.ts'

/** A worker that does not hear a stop within this, ms, is ended, and another started. */
const STOP_PATIENCE_MS = 1000

export interface AskOptions<N extends JobName> {
  /** Someone waits for it: it comes before whatever is only refreshed behind what is already shown. */
  readonly isWaitedFor: boolean
  /** Told how far it has come. A part that is handed over is the caller's from then on. */
  readonly onStep?: (step: JobStep<Part<N>>) => void
  /** The question's bytes go to the worker and are no longer here; else they are copied. */
  readonly isHandedOver?: true
}

/** Something that was asked. */
export interface Asked<A> {
  /** Gives nothing where it was stopped; fails where the job, or the worker, does. */
  readonly done: Promise<A | undefined>
  readonly stop: () => void
  /** Has it done before the others that wait, where it waits still. */
  readonly hurry: () => void
}

export interface Pool {
  readonly size: number
  readonly ask: <N extends JobName>(
    name: N,
    question: Question<N>,
    options: AskOptions<N>,
  ) => Asked<Answer<N>>
}

/** A job in the queue or at work, whatever it answers. */
interface Task {
  readonly isWaitedFor: boolean
  readonly run: (worker: Started<AnswersWorker>) => Promise<void>
  readonly fail: (error: unknown) => void
}

interface Seat {
  worker?: Started<AnswersWorker>
  task?: Task
}

/** Who works at what, and who waits. */
function seating(start: () => Started<AnswersWorker>, size: number) {
  const seats: readonly Seat[] = Array.from({ length: size }, (): Seat => ({}))
  let waiting = new Set<Task>()

  const end = (seat: Seat, worker: Started<AnswersWorker>): void => {
    worker.stop()
    if (seat.worker === worker) delete seat.worker
  }
  /** A worker that fell over is replaced with the next job; one whose job failed is none the worse. */
  const started = (seat: Seat): Started<AnswersWorker> => {
    const worker = start()
    worker.failed.catch(() => end(seat, worker))
    return worker
  }
  const next = (): Task | undefined => {
    const behind = seats.filter(({ task }) => task?.isWaitedFor === false).length
    for (const task of waiting) if (task.isWaitedFor) return task
    for (const task of waiting) if (behind < size - 1) return task
    return undefined
  }
  const take = (seat: Seat, task: Task): void => {
    waiting.delete(task)
    try {
      seat.worker ??= started(seat)
    } catch (error) {
      return task.fail(error)
    }
    const { worker } = seat
    seat.task = task
    const over = (): void => {
      if (seat.task !== task) return
      delete seat.task
      fill()
    }
    Promise.race([task.run(worker), worker.failed]).then(over, (error: unknown) => {
      task.fail(error)
      over()
    })
  }
  const fill = (): void => {
    for (const seat of seats) {
      const task = seat.task ? undefined : next()
      if (task) take(seat, task)
    }
  }
  return {
    enter: (task: Task): void => {
      waiting.add(task)
      fill()
    },
    hurry: (task: Task): void => {
      if (waiting.has(task)) waiting = new Set([task, ...waiting])
    },
    /** @param ask tells the worker that is at it */
    leave: (task: Task, ask: (worker: Started<AnswersWorker>) => void): void => {
      if (waiting.delete(task)) return
      const seat = seats.find((one) => one.task === task)
      const worker = seat?.worker
      if (!seat || !worker) return
      ask(worker)
      setTimeout(() => {
        if (seat.task !== task || seat.worker !== worker) return
        end(seat, worker)
        delete seat.task
        fill()
      }, STOP_PATIENCE_MS)
    },
  }
}

/** A worker's run as this job sees it: which question and answer go with which job is known where it was asked. */
type RunOf<N extends JobName> = (
  id: number,
  name: N,
  question: Question<N>,
  onStep: (step: JobStep<unknown>) => void,
) => Promise<Outcome<Answer<N>>>

/**
 * A few workers that share all jobs. What someone waits for is taken first, in the order it was asked; what is only
 * refreshed leaves one worker free, so that nobody ever waits for it.
 * @param start starts a worker: none is before the first job
 * @param size at least 2
 */
export function workerPool(start: () => Started<AnswersWorker>, size: number): Pool {
  const { enter, leave, hurry } = seating(start, size)
  let ids = 0
  return {
    size,
    ask: <N extends JobName>(
      name: N,
      question: Question<N>,
      { isWaitedFor, onStep, isHandedOver }: AskOptions<N>,
    ) => {
      const id = ++ids
      let settle: (answer: Answer<N> | undefined) => void = () => undefined
      let fail: (error: unknown) => void = () => undefined
      let isStopped = false
      const done = new Promise<Answer<N> | undefined>((resolve, reject) => {
        settle = resolve
        fail = reject
      })
      const heard = (step: JobStep<unknown>): void => {
        if (!isStopped) onStep?.(step as JobStep<Part<N>>)
      }
      const run = async ({ remote }: Started<AnswersWorker>): Promise<void> => {
        const given = isHandedOver
          ? transfer(question as Question<N> & object, buffersOf(question))
          : question
        const outcome = await (remote.run as unknown as RunOf<N>)(id, name, given, proxy(heard))
        settle(outcome?.answer)
      }
      const task: Task = { isWaitedFor, fail, run }
      enter(task)
      const stop = (): void => {
        if (isStopped) return
        isStopped = true
        settle(undefined)
        leave(task, ({ remote }) => void remote.stop(id))
      }
      return { done, stop, hurry: () => hurry(task) }
    },
  }
}
