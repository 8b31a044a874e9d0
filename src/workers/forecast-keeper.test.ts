import { describe, expect, test } from '@jest/globals'
import type { RiderGroup } from '../core/strategy/rider-ask.ts'
import { OUTLOOK_VERSION, type RiderOutlook } from '../core/wear/rider-outlook.ts'
import { answerFor, forecastKeeper, type KeptOutlook, type OutlookJob } from './forecast-keeper.ts'

const outlookNamed = (name: string): RiderOutlook =>
  ({ chains: { [name]: { readings: 1 } } }) as unknown as RiderOutlook
const group = (id: string, seed: number): RiderGroup => ({
  id,
  chains: [`${id}-chain`],
  ask: { chains: [], seasons: [], seed },
})

/** A job whose end the test decides. */
interface Held {
  readonly seed: number
  readonly progress: (share: number) => void
  readonly give: (outlook: RiderOutlook | undefined) => void
  readonly fail: (error: Error) => void
  stopped: boolean
}

function workshop(kept: Readonly<Record<string, KeptOutlook>> = {}) {
  const jobs: Held[] = []
  const saved: Record<string, KeptOutlook> = { ...kept }
  const keeper = forecastKeeper({
    work: ({ seed }, progress): OutlookJob => {
      let give: Held['give'] = () => undefined
      let fail: Held['fail'] = () => undefined
      const done = new Promise<RiderOutlook | undefined>((resolve, reject) => {
        give = resolve
        fail = reject
      })
      const job: Held = { seed, progress, give, fail, stopped: false }
      jobs.push(job)
      return {
        done,
        stop: () => {
          job.stopped = true
          give(undefined)
        },
      }
    },
    load: (id) => Promise.resolve(saved[id]),
    save: (id, one) => {
      saved[id] = one
      return Promise.resolve()
    },
  })
  return { keeper, jobs, saved }
}

/** Lets everything that is waiting on a promise go on. */
const settle = async (): Promise<void> => {
  for (let i = 0; i < 10; i++) await Promise.resolve()
}
const keyOf = ({ ask }: RiderGroup): string => JSON.stringify(ask)

describe('the keeper of forecasts', () => {
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
    expect(known).toMatchObject({ fresh: true, outlook: outlookNamed('new') })
    expect(known).not.toHaveProperty('progress')
    expect(saved['all']).toEqual({
      version: OUTLOOK_VERSION,
      key: keyOf(group('all', 1)),
      outlook: outlookNamed('new'),
    })
    // The first change is told at once, those that come right after it together, a moment later.
    expect(told).toHaveLength(1)
    await new Promise((resolve) => setTimeout(resolve, 250))
    expect(told).toHaveLength(2)
  })

  test('what was kept for the same log is there without any work', async () => {
    const one = group('all', 1)
    const { keeper, jobs } = workshop({
      all: { version: OUTLOOK_VERSION, key: keyOf(one), outlook: outlookNamed('kept') },
    })
    keeper.want([one])
    await settle()
    expect(keeper.known()[0]).toMatchObject({ fresh: true, outlook: outlookNamed('kept') })
    expect(jobs).toHaveLength(0)
  })

  test('what was kept of an older log is shown at once and refreshed behind', async () => {
    const { keeper, jobs } = workshop({
      all: { version: OUTLOOK_VERSION, key: 'older', outlook: outlookNamed('older') },
    })
    keeper.want([group('all', 1)])
    await settle()
    expect(keeper.known()[0]).toMatchObject({ fresh: false, outlook: outlookNamed('older') })
    jobs[0]?.give(outlookNamed('newer'))
    await settle()
    expect(keeper.known()[0]).toMatchObject({ fresh: true, outlook: outlookNamed('newer') })
  })

  test('what was kept by another version of the model is not shown: it may tell of other things', async () => {
    const one = group('all', 1)
    const older = { version: OUTLOOK_VERSION - 1, key: keyOf(one), outlook: outlookNamed('older') }
    const { keeper, jobs } = workshop({ all: older })
    keeper.want([one])
    await settle()
    expect(keeper.known()[0]).toMatchObject({ fresh: false })
    expect(keeper.known()[0]).not.toHaveProperty('outlook')
    expect(jobs).toHaveLength(1)
  })

  test('a new entry stops what is being worked out and shows the last answer until the next', async () => {
    const { keeper, jobs } = workshop()
    keeper.want([group('all', 1)])
    await settle()
    jobs[0]?.give(outlookNamed('first'))
    await settle()
    keeper.want([group('all', 2)])
    keeper.want([group('all', 3)])
    await settle()
    expect(jobs.map(({ seed, stopped }) => [seed, stopped])).toEqual([
      [1, false],
      [2, true],
      [3, false],
    ])
    expect(keeper.known()[0]).toMatchObject({ fresh: false, outlook: outlookNamed('first') })
    jobs[2]?.give(outlookNamed('third'))
    await settle()
    expect(keeper.known()[0]).toMatchObject({ fresh: true, outlook: outlookNamed('third') })
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

  test('works out one rider after another', async () => {
    const { keeper, jobs } = workshop()
    keeper.want([group('heron', 1), group('kite', 2)])
    await settle()
    expect(jobs.map(({ seed }) => seed)).toEqual([1])
    jobs[0]?.give(outlookNamed('heron'))
    await settle()
    expect(jobs.map(({ seed }) => seed)).toEqual([1, 2])
  })

  test('stopped, it stays stopped until it is resumed', async () => {
    const { keeper, jobs } = workshop()
    keeper.want([group('heron', 1), group('kite', 2)])
    await settle()
    keeper.stop()
    await settle()
    expect(jobs).toHaveLength(1)
    expect(keeper.known().map(({ stopped }) => stopped)).toEqual([true, true])
    keeper.resume()
    await settle()
    expect(jobs.map(({ seed }) => seed)).toEqual([1, 1])
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
    expect(keeper.known()[0]).toMatchObject({ fresh: true, outlook: outlookNamed('after all') })
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

  test('an answer is found by its chain', async () => {
    const { keeper, jobs } = workshop()
    keeper.want([group('heron', 1)])
    await settle()
    jobs[0]?.give(outlookNamed('heron-chain'))
    await settle()
    expect(answerFor(keeper.known(), 'heron-chain')?.answer).toMatchObject({ readings: 1 })
    expect(answerFor(keeper.known(), 'kite-chain')).toBeUndefined()
    expect(answerFor(keeper.known(), undefined)).toBeUndefined()
  })
})
