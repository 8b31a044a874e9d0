import { describe, expect, test } from '@jest/globals'
import type { RiderAsk, RiderOutlook } from '../core/wear/rider-outlook.ts'
import { answerKeeper, type Kept, type Subject } from './answer-keeper.ts'

const outlookNamed = (name: string): RiderOutlook =>
  ({ chains: { [name]: { readings: 1 } } }) as unknown as RiderOutlook
const group = (about: string, seed: number): Subject<RiderAsk> => ({
  about,
  question: { chains: [], seasons: [], seed },
})

/** A job whose end the test decides. */
interface Held {
  readonly seed: number
  readonly isWaitedFor: boolean
  readonly progress: (share: number) => void
  readonly give: (outlook: RiderOutlook | undefined) => void
  readonly fail: (error: Error) => void
  stopped: boolean
}

/** @param older what is kept about something, whatever was asked */
function workshop(
  kept: Readonly<Record<string, RiderOutlook>> = {},
  older: Readonly<Record<string, RiderOutlook>> = {},
) {
  const jobs: Held[] = []
  const hurried: number[] = []
  const saved: Record<string, RiderOutlook> = { ...kept }
  const keeper = answerKeeper<'rider-outlook'>({
    ask: ({ seed }, { isWaitedFor, onStep }) => {
      let give: Held['give'] = () => undefined
      let fail: Held['fail'] = () => undefined
      const done = new Promise<RiderOutlook | undefined>((resolve, reject) => {
        give = resolve
        fail = reject
      })
      const progress = (share: number): void => onStep?.({ done: share, of: 1 })
      const job: Held = { seed, isWaitedFor, progress, give, fail, stopped: false }
      jobs.push(job)
      return {
        done,
        stop: () => {
          job.stopped = true
          give(undefined)
        },
        hurry: () => void hurried.push(seed),
      }
    },
    load: (question, about): Promise<Kept<RiderOutlook> | undefined> => {
      const [same, before] = [saved[question], older[about ?? '']]
      return Promise.resolve(
        same ? { answer: same, isSame: true } : before && { answer: before, isSame: false },
      )
    },
    save: (question, _about, one) => {
      saved[question] = one
      return Promise.resolve()
    },
  })
  return { keeper, jobs, saved, hurried }
}

/** Lets everything that is waiting on a promise go on. */
const settle = async (): Promise<void> => {
  for (let i = 0; i < 10; i++) await Promise.resolve()
}
const keyOf = ({ question }: Subject<RiderAsk>): string => JSON.stringify(question)

describe('the keeper of answers', () => {
  test('works out what is asked, tells how far it has come, and keeps the answer', async () => {
    const { keeper, jobs, saved } = workshop()
    const told: number[] = []
    keeper.subscribe(() => told.push(keeper.known()[0]?.progress ?? -1))
    keeper.want([group('all', 1)])
    await settle()
    expect(jobs).toHaveLength(1)
    jobs[0]?.progress(0.4)
    expect(keeper.known()[0]).toMatchObject({ fresh: false, progress: 0.4 })
    jobs[0]?.give(outlookNamed('new'))
    await settle()
    const [known] = keeper.known()
    expect(known).toMatchObject({ fresh: true, answer: outlookNamed('new') })
    expect(known).not.toHaveProperty('progress')
    expect(saved[keyOf(group('all', 1))]).toEqual(outlookNamed('new'))
    // That it is asked is told at once, and that nothing was kept of it; what comes right after that together, a moment later.
    expect(told).toEqual([-1, 0])
    await new Promise((resolve) => setTimeout(resolve, 250))
    expect(told).toEqual([-1, 0, -1])
  })

  test('a workshop’s kept answers are told when the last of them was read, all at once', async () => {
    const bikes = Array.from({ length: 60 }, (_, i) => group(`bike ${i}`, i))
    const kept = Object.fromEntries(bikes.map((one) => [keyOf(one), outlookNamed(one.about)]))
    const { keeper, jobs } = workshop(kept)
    const told: number[] = []
    keeper.subscribe(() => told.push(keeper.known().filter(({ fresh }) => fresh).length))
    keeper.want(bikes)
    for (let i = 0; i < 5; i++) await settle()
    // Once that they are asked for, once that all are there: nobody waits a second for what is on the disk.
    expect(told).toEqual([0, 60])
    expect(jobs).toHaveLength(0)
  })

  test('looks up a few at a time, each once, and nothing that is not asked any longer', async () => {
    const looked: string[] = []
    const answers: (() => void)[] = []
    const keeper = answerKeeper<'rider-outlook'>({
      ask: () => ({ done: new Promise(() => undefined), stop: () => undefined, hurry: () => undefined }),
      load: (question) => {
        looked.push(question)
        return new Promise((resolve) => answers.push(() => resolve(undefined)))
      },
      save: () => Promise.resolve(),
    })
    const bikes = Array.from({ length: 50 }, (_, i) => group(`bike ${i}`, i))
    keeper.want(bikes)
    const atOnce = looked.length
    expect(atOnce).toBeLessThan(50)
    // Asked again meanwhile, and a stop: what waits goes on waiting, and is not forgotten.
    keeper.stop()
    keeper.resume()
    keeper.want(bikes.slice(0, 40))
    expect(looked).toHaveLength(atOnce)
    for (let i = 0; i < 60 && answers.length > 0; i++) {
      answers.shift()?.()
      await settle()
    }
    expect(looked.sort()).toEqual(bikes.slice(0, 40).map(keyOf).sort())
  })

  test('a stop holds for what is still looked up too, unless just that was kept', async () => {
    const [one, two] = [group('one', 1), group('two', 2)]
    const { keeper, jobs } = workshop({ [keyOf(two)]: outlookNamed('kept') })
    keeper.want([one, two])
    keeper.stop()
    await settle()
    expect(jobs).toHaveLength(0)
    expect(keeper.known()[0]).toMatchObject({ fresh: false, stopped: true })
    expect(keeper.known()[1]).toMatchObject({ fresh: true, answer: outlookNamed('kept') })
    expect(keeper.known()[1]).not.toHaveProperty('stopped')
    keeper.resume()
    await settle()
    expect(jobs.map(({ seed }) => seed)).toEqual([1])
  })

  test('what was kept for the same log is there without any work', async () => {
    const one = group('all', 1)
    const { keeper, jobs } = workshop({ [keyOf(one)]: outlookNamed('kept') })
    keeper.want([one])
    await settle()
    expect(keeper.known()[0]).toMatchObject({ fresh: true, answer: outlookNamed('kept') })
    expect(jobs).toHaveLength(0)
  })

  test('what was kept of an older log is shown at once and refreshed behind', async () => {
    const { keeper, jobs } = workshop({}, { all: outlookNamed('older') })
    keeper.want([group('all', 1)])
    await settle()
    expect(jobs[0]?.isWaitedFor).toBe(false)
    expect(keeper.known()[0]).toMatchObject({ fresh: false, answer: outlookNamed('older') })
    jobs[0]?.give(outlookNamed('newer'))
    await settle()
    expect(keeper.known()[0]).toMatchObject({ fresh: true, answer: outlookNamed('newer') })
  })

  test('what was worked out before an entry was taken back is there again without any work', async () => {
    const { keeper, jobs } = workshop()
    for (const seed of [1, 2]) {
      keeper.want([group('all', seed)])
      await settle()
      jobs.at(-1)?.give(outlookNamed(`${seed}`))
      await settle()
    }
    keeper.want([group('all', 1)])
    await settle()
    expect(keeper.known()[0]).toMatchObject({ fresh: true, answer: outlookNamed('1') })
    expect(jobs).toHaveLength(2)
  })

  test('a new entry stops what is being worked out and shows the last answer until the next', async () => {
    const { keeper, jobs } = workshop()
    keeper.want([group('all', 1)])
    await settle()
    jobs[0]?.give(outlookNamed('first'))
    await settle()
    keeper.want([group('all', 2)])
    await settle()
    keeper.want([group('all', 3)])
    await settle()
    expect(jobs.map(({ seed, stopped }) => [seed, stopped])).toEqual([
      [1, false],
      [2, true],
      [3, false],
    ])
    expect(keeper.known()[0]).toMatchObject({ fresh: false, answer: outlookNamed('first') })
    jobs[2]?.give(outlookNamed('third'))
    await settle()
    expect(keeper.known()[0]).toMatchObject({ fresh: true, answer: outlookNamed('third') })
  })

  test('an entry added and taken back at once is not taken for a stop', async () => {
    const { keeper, jobs } = workshop()
    keeper.want([group('all', 1)])
    await settle()
    keeper.want([group('all', 2)])
    keeper.want([group('all', 1)])
    await settle()
    expect(keeper.known()[0]).not.toHaveProperty('stopped')
    jobs.at(-1)?.give(outlookNamed('again'))
    await settle()
    expect(keeper.known()[0]).toMatchObject({ fresh: true })
  })

  test('asks about all at once: whose turn it is is the pool’s to say', async () => {
    const { keeper, jobs } = workshop()
    keeper.want([group('heron', 1), group('kite', 2)])
    await settle()
    expect(jobs.map(({ seed, isWaitedFor }) => [seed, isWaitedFor])).toEqual([
      [1, true],
      [2, true],
    ])
    jobs[1]?.give(outlookNamed('kite'))
    await settle()
    expect(keeper.known().map(({ fresh }) => fresh)).toEqual([false, true])
  })

  test('stopped, it stays stopped until it is resumed', async () => {
    const { keeper, jobs } = workshop()
    keeper.want([group('heron', 1), group('kite', 2)])
    await settle()
    keeper.stop()
    await settle()
    expect(jobs.map(({ stopped }) => stopped)).toEqual([true, true])
    expect(keeper.known().map(({ stopped }) => stopped)).toEqual([true, true])
    keeper.resume()
    await settle()
    expect(jobs.map(({ seed }) => seed)).toEqual([1, 2, 1, 2])
    expect(keeper.known()[0]).not.toHaveProperty('stopped')
  })

  test('resumed before the stopped work has let go, it is worked out all the same', async () => {
    const { keeper, jobs } = workshop()
    keeper.want([group('all', 1)])
    await settle()
    keeper.stop()
    keeper.resume()
    await settle()
    jobs.at(-1)?.give(outlookNamed('after all'))
    await settle()
    expect(keeper.known()[0]).toMatchObject({ fresh: true, answer: outlookNamed('after all') })
  })

  test('says what went wrong, and tries again when asked', async () => {
    const { keeper, jobs } = workshop()
    keeper.want([group('all', 1)])
    await settle()
    jobs[0]?.fail(new RangeError('A distance must be 0 km or more.'))
    await settle()
    expect(keeper.known()[0]?.fault).toBe('A distance must be 0 km or more.')
    keeper.resume()
    await settle()
    expect(jobs).toHaveLength(2)
  })
})
