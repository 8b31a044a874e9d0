import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { commuter, noon, ride, written } from '../../test/log.ts'
import type { Entry } from '../core/log/entries.ts'
import { entryIdTime, makeEntryId } from '../core/log/entry-id.ts'
import { openDatabase, type LogDatabase } from './database.ts'
import { keepForecast, readForecast } from './forecasts.ts'
import { watchLog } from './live-log.ts'
import { allEntries, append, entriesSince, mergeIn, wipe } from './write.ts'

let database: LogDatabase

beforeEach(() => {
  database = openDatabase('own')
})
afterEach(async () => {
  await database.delete()
})

describe('appending', () => {
  test('gives ids in the order of writing and one action to what was written together', async () => {
    const written = await append(database, [ride(1, 2, 10), ride(1, 3, 20)])
    expect(written.map(({ id }) => id)).toEqual([...written.map(({ id }) => id)].sort())
    expect(new Set(written.map(({ action: act }) => act))).toEqual(new Set([written[0]?.id]))
    expect(await allEntries(database)).toEqual(written)
  })

  test('writes after everything it has seen, even where another device’s clock runs ahead', async () => {
    const ahead = Date.now() + 10 * 86_400_000
    const theirs: Entry = { ...ride(1, 2, 10), id: makeEntryId(ahead, 0, new Uint8Array(16)) }
    await mergeIn(database, [theirs])
    const [mine] = await append(database, [{ kind: 'withdraw', at: noon(1, 3), targets: [theirs.id] }])
    expect(mine && mine.id > theirs.id).toBe(true)
    expect(entryIdTime(mine?.id ?? '')).toBeGreaterThan(ahead)
  })

  test('writes all or nothing', async () => {
    const [first] = await append(database, [ride(1, 2, 10)])
    const clash = { ...ride(1, 3, 5), seq: 1 }
    await expect(append(database, [ride(1, 4, 1), clash])).rejects.toThrow()
    expect(await allEntries(database)).toEqual([first])
  })

  test('of nothing writes nothing', async () => {
    expect(await append(database, [])).toEqual([])
    expect(await allEntries(database)).toEqual([])
  })

  test('a thousand rides are one transaction', async () => {
    await append(
      database,
      Array.from({ length: 1000 }, (_, i) => ride(1 + (i % 12), 1 + (i % 28), 1 + i)),
    )
    expect((await entriesSince(database, 0)).total).toBe(1000)
  })
})

describe('merging a file in', () => {
  const file = written([...commuter, ride(1, 2, 10)])

  test('adds what is new, says how much was known, and does no harm twice', async () => {
    expect(await mergeIn(database, file.slice(0, 3))).toMatchObject({ known: 0, differing: [] })
    const second = await mergeIn(database, file)
    expect([second.added.length, second.known]).toEqual([file.length - 3, 3])
    expect((await mergeIn(database, file)).added).toEqual([])
    expect(await allEntries(database)).toEqual(file)
  })

  test('with an entry that contradicts ours changes nothing', async () => {
    await mergeIn(database, file.slice(0, 2))
    const edited = file.map((entry, i) => (i === 0 ? ({ ...entry, name: 'Another' } as Entry) : entry))
    expect((await mergeIn(database, edited)).differing).toEqual([file[0]?.id])
    expect(await allEntries(database)).toEqual(file.slice(0, 2))
  })
})

test('the two worlds do not mix', async () => {
  const demo = openDatabase('demo')
  await append(demo, [ride(1, 2, 10)])
  expect(await allEntries(database)).toEqual([])
  await demo.delete()
})

test('a forecast is kept for the next visit, one for each rider, and goes with the log', async () => {
  expect(await readForecast(database, 'all')).toBeUndefined()
  await keepForecast(database, { group: 'all', version: 1, key: 'older', outlook: { chains: {} } })
  await keepForecast(database, { group: 'all', version: 1, key: 'newer', outlook: { chains: {} } })
  expect(await readForecast(database, 'all')).toMatchObject({ key: 'newer' })
  await wipe(database)
  expect(await readForecast(database, 'all')).toBeUndefined()
})

test('the log is watched: what arrives is seen, and a wipe is too', async () => {
  const seen: number[] = []
  const reached = (count: number) =>
    new Promise<void>((resolve) => {
      const timer = setInterval(() => {
        if (seen.at(-1) === count) {
          clearInterval(timer)
          resolve()
        }
      }, 5)
    })
  const subscription = watchLog(database).subscribe((entries) => seen.push(entries.length))
  await reached(0)
  await append(database, [ride(1, 2, 10), ride(1, 3, 10)])
  await reached(2)
  await append(database, [ride(1, 4, 10)])
  await reached(3)
  await wipe(database)
  await reached(0)
  await append(database, [ride(1, 4, 10)])
  await reached(1)
  subscription.unsubscribe()
})

test('places in the order of arrival tell what is new', async () => {
  await append(database, [ride(1, 2, 10)])
  const { seq } = await entriesSince(database, 0)
  const [second] = await append(database, [ride(1, 3, 20)])
  expect(await entriesSince(database, seq)).toMatchObject({ entries: [second], total: 2 })
})
