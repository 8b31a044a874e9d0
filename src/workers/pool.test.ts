import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import type { RiderAsk } from '../core/wear/rider-outlook.ts'
import type { AnswersWorker } from './answers.worker.ts'
import { bytesOf, buffersOf } from './buffers.ts'
import { workerPool, type Asked } from './pool.ts'
import type { Started } from './start-worker.ts'

/** What a worker was given to do; the test says when it is done. */
interface Work {
  readonly worker: number
  readonly id: number
  readonly seed: number
  readonly give: (answer: unknown) => void
  readonly step: (done: number) => void
}

function workshop(size: number) {
  const work: Work[] = []
  const stops: number[] = []
  const fall: ((error: Error) => void)[] = []
  const ended: number[] = []
  let broken = false
  const start = (): Started<AnswersWorker> => {
    if (broken) throw new Error('There are no workers to be had.')
    const worker = fall.length
    const failed = new Promise<never>((_resolve, reject) => fall.push(reject))
    const remote = {
      run: (id: number, _name: string, { seed }: RiderAsk, onStep: (step: unknown) => void) =>
        new Promise((resolve) =>
          work.push({
            worker,
            id,
            seed,
            give: (answer) => resolve({ answer }),
            step: (done) => onStep({ done, of: 10 }),
          }),
        ),
      stop: (id: number) => Promise.resolve(void stops.push(id)),
    }
    return { remote, failed, stop: () => void ended.push(worker) } as unknown as Started<AnswersWorker>
  }
  const pool = workerPool(start, size)
  const ask = (seed: number, isWaitedFor: boolean, told: number[] = []): Asked<unknown> =>
    pool.ask(
      'rider-outlook',
      { chains: [], seasons: [], seed },
      { isWaitedFor, onStep: ({ done }) => told.push(done) },
    )
  return { ask, work, stops, fall, ended, breakAll: () => (broken = true) }
}

/** Lets everything that is waiting on a promise go on. */
const settle = async (): Promise<void> => {
  for (let i = 0; i < 20; i++) await Promise.resolve()
}
const seedsOf = (work: readonly Work[]): readonly number[] => work.map(({ seed }) => seed)

beforeEach(() => void jest.useFakeTimers())
afterEach(() => void jest.useRealTimers())

describe('the pool of workers', () => {
  test('starts no more workers than there is work for, and gives each its turn', async () => {
    const { ask, work, fall } = workshop(3)
    const asked = [ask(1, true), ask(2, true)]
    expect(fall).toHaveLength(2)
    work[1]?.give('two')
    work[0]?.give('one')
    expect(await Promise.all(asked.map(({ done }) => done))).toEqual(['one', 'two'])
    ask(3, true)
    await settle()
    expect(fall).toHaveLength(2)
  })

  test('takes what someone waits for first, and keeps a worker free of what nobody waits for', async () => {
    const { ask, work } = workshop(2)
    for (const seed of [1, 2, 3]) ask(seed, false)
    expect(seedsOf(work)).toEqual([1])
    for (const seed of [4, 5]) ask(seed, true)
    expect(seedsOf(work)).toEqual([1, 4])
    work[0]?.give('one')
    await settle()
    expect(seedsOf(work)).toEqual([1, 4, 5])
    work[1]?.give('four')
    await settle()
    expect(seedsOf(work)).toEqual([1, 4, 5, 2])
  })

  test('tells of progress until it is stopped; the stopped one gives nothing at once', async () => {
    const { ask, work, stops } = workshop(2)
    const told: number[] = []
    const asked = ask(1, true, told)
    work[0]?.step(3)
    asked.stop()
    work[0]?.step(4)
    expect(await asked.done).toBeUndefined()
    expect(told).toEqual([3])
    expect(stops).toEqual([work[0]?.id])
  })

  test('one that is stopped before its turn is never begun', async () => {
    const { ask, work } = workshop(2)
    const [, , third] = [ask(1, true), ask(2, true), ask(3, true)]
    third?.stop()
    expect(await third?.done).toBeUndefined()
    work[0]?.give('one')
    await settle()
    expect(seedsOf(work)).toEqual([1, 2])
  })

  test('a worker that hears no stop is ended, and its place taken', () => {
    const { ask, work, ended } = workshop(2)
    const asked = [ask(1, true), ask(2, true), ask(3, true)]
    asked[0]?.stop()
    expect(seedsOf(work)).toEqual([1, 2])
    jest.advanceTimersByTime(2000)
    expect(ended).toEqual([0])
    expect(work.map(({ worker, seed }) => [worker, seed])).toEqual([
      [0, 1],
      [1, 2],
      [2, 3],
    ])
  })

  test('a worker that falls over fails its job alone; the next gets another', async () => {
    const { ask, work, fall, ended } = workshop(2)
    const asked = [ask(1, true), ask(2, true), ask(3, true)]
    const failing = expect(asked[0]?.done).rejects.toThrow('fell over')
    fall[0]?.(new Error('fell over'))
    await failing
    await settle()
    expect(ended).toEqual([0])
    expect(work.map(({ worker, seed }) => [worker, seed])).toEqual([
      [0, 1],
      [1, 2],
      [2, 3],
    ])
    work[2]?.give('three')
    expect(await asked[2]?.done).toBe('three')
  })

  test('where there are no workers every job says so', async () => {
    const { ask, breakAll } = workshop(2)
    breakAll()
    await expect(ask(1, true).done).rejects.toThrow('no workers')
  })
})

describe('the bytes of an answer', () => {
  const draws = Float32Array.of(1, 2, 3)
  const answer = { name: 'chain', draws, of: [{ draws }, { more: new Float64Array(2) }], numbers: [1, 2] }

  test('are handed over, each once', () => {
    expect(buffersOf(answer)).toEqual([draws.buffer, answer.of[1]?.more?.buffer])
    expect(buffersOf(undefined)).toEqual([])
  })

  test('and counted', () => {
    expect(bytesOf(answer)).toBe(8 + 10 + 10 + 12 + 4 + 10 + 12 + 8 + 16 + 14 + 16)
  })
})
