import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import { IDBFactory } from 'fake-indexeddb'
import { afterEach, beforeEach, expect, test } from '@jest/globals'
import { append, storedIn, until } from '../../test/ledger.ts'
import { ride } from '../../test/log.ts'
import type { Entry } from '../core/log/entries.ts'
import { openDatabase } from './database.ts'
import { openLedger, type Ledger } from './ledger.ts'
import { allAside } from './merge-in.ts'
import { placeBeside, secondCopy, type CopyPlace } from './second-copy.ts'
import { allEntries } from './write.ts'

let place: CopyPlace
const open: Ledger[] = []

/** The app is opened, as a page opens it. */
async function visit(): Promise<Ledger> {
  const ledger = openLedger(openDatabase('own'), undefined, () => Promise.resolve(place))
  open.push(ledger)
  ledger.open()
  await until(ledger, ({ status }) => status === 'open')
  return ledger
}

/** What the copy holds now, asked as another log would. */
async function copied(): Promise<readonly Entry[]> {
  const reader = secondCopy(place, () => Promise.resolve([]))
  const lost = await reader.lost({ id: 'another', changes: 0 })
  reader.stop()
  return lost?.entries ?? []
}

async function untilCopied(count: number): Promise<void> {
  while ((await copied()).length !== count) await new Promise((resolve) => setTimeout(resolve, 20))
}

beforeEach(() => {
  place = { indexedDB: new IDBFactory() }
})
afterEach(async () => {
  for (const ledger of open.splice(0)) ledger.stop()
  await Dexie.delete('jolt-mile')
})

test('a log that the browser began anew comes back from the copy, entry for entry', async () => {
  const first = await visit()
  const entries = await append(first, [ride(1, 2, 10), ride(1, 3, 20)])
  const [later] = await append(first, [ride(1, 4, 30)])
  await untilCopied(3)
  first.stop()
  await Dexie.delete('jolt-mile')

  const second = await visit()
  expect(storedIn(second)).toEqual([...entries, later])
  expect(await allEntries(second.database)).toEqual([...entries, later])
  expect(second.cameBack()).toBe(3)

  // And the copy goes on with the log as it is now.
  await append(second, [ride(1, 5, 40)])
  await untilCopied(4)
  second.stop()
  const third = await visit()
  expect(third.cameBack()).toBe(0)
  expect(storedIn(third)).toHaveLength(4)
})

test('what is kept beside the log comes back with it', async () => {
  const first = await visit()
  const [kept, moved] = await append(first, [ride(1, 2, 10), ride(1, 3, 20)])
  await first.setAside([moved?.id ?? ''])
  await untilCopied(1)
  first.stop()
  await Dexie.delete('jolt-mile')
  const second = await visit()
  expect(storedIn(second)).toEqual([kept])
  expect(await allAside(second.database)).toMatchObject([{ why: 'removed' }])
})

test('what was wiped stays wiped', async () => {
  const first = await visit()
  await append(first, [ride(1, 2, 10)])
  await untilCopied(1)
  await first.wipe()
  await untilCopied(0)
  first.stop()
  expect(storedIn(await visit())).toEqual([])
})

test('after a log was put back from the page’s memory the copy follows it, and a wipe stays one', async () => {
  const first = await visit()
  await append(first, [ride(1, 2, 10)])
  await untilCopied(1)
  await Dexie.delete('jolt-mile')
  await until(first, ({ status }) => status === 'vanished')
  await first.writeBack()
  await append(first, [ride(1, 3, 10)])
  await untilCopied(2)
  await first.wipe()
  await untilCopied(0)
})

test('a copy of a lost log is not written over before it was put back', async () => {
  const first = await visit()
  await append(first, [ride(1, 2, 10)])
  await untilCopied(1)
  first.stop()
  const hasty = secondCopy(place, () => Promise.resolve([]))
  hasty.follow([], { id: 'begun anew', changes: 0 })
  await new Promise((resolve) => setTimeout(resolve, 400))
  hasty.stop()
  expect(await copied()).toHaveLength(1)
})

test('a copy that cannot be kept or found keeps nobody from the log', async () => {
  const broken = new IDBFactory()
  broken.open = () => {
    throw new Error('no')
  }
  place = { indexedDB: broken }
  const ledger = await visit()
  await append(ledger, [ride(1, 2, 10)])
  expect(storedIn(ledger)).toHaveLength(1)
})

test('a browser with no other store, or one that refuses it, has no second copy', async () => {
  const buckets = (storageBuckets: unknown) => Object.assign(globalThis, { navigator: { storageBuckets } })
  buckets(undefined)
  expect(await placeBeside()).toBeUndefined()
  buckets({ open: () => Promise.reject(new Error('not allowed')) })
  expect(await placeBeside()).toBeUndefined()
  buckets({ open: () => Promise.resolve(place) })
  expect(await placeBeside()).toBe(place)
})
