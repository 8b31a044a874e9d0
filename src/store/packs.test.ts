import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { append, openedLedger, storedIn, until } from '../../test/ledger.ts'
import { commuter, ride } from '../../test/log.ts'
import type { EntryDraft } from '../core/log/entries.ts'
import { allEntries } from './write.ts'
import type { Ledger } from './ledger.ts'
import { logReader } from './log-reader.ts'
import { packNext, readPacked } from './packs.ts'
import { readGeneration } from './generation.ts'

/** A pack of a few entries: whole ones take a database in memory far too long. */
const SIZE = 20
let ledger: Ledger
beforeEach(async () => {
  ledger = await openedLedger()
})
afterEach(async () => {
  ledger.stop()
  await ledger.database.delete()
})

const rides = (count: number): EntryDraft[] =>
  Array.from({ length: count }, (_, i) => ride(1 + (i % 3), 1 + (i % 27), 1 + (i % 90)))
/** A log with enough for so many packs, and seven entries more. */
async function longLog(packs: number): Promise<void> {
  await append(ledger, [...commuter, ...rides(packs * SIZE)])
  while (await packNext(ledger.database, SIZE));
}
/** The log as a page that has just been opened reads it. */
const readAfresh = () => {
  const { database } = ledger
  return database.transaction('r', [database.entries, database.kept, database.packs], () =>
    logReader(database).read(),
  )
}
const packedNow = async () => {
  const { database } = ledger
  const generation = await readGeneration(database)
  if (!generation) throw new Error('a log without a mark')
  const last = (await database.entries.orderBy('seq').last())?.seq ?? 0
  return readPacked(database, generation, last)
}

describe('packs of a long log', () => {
  test('a log of fewer entries has none', async () => {
    await append(ledger, [...commuter, ...rides(SIZE - commuter.length - 1)])
    expect(await packNext(ledger.database, SIZE)).toBe(false)
    expect(await ledger.database.packs.count()).toBe(0)
    expect(await readAfresh()).toEqual(await allEntries(ledger.database))
  })

  test('hold the beginning of the log, entry for entry, and the rest is read as ever', async () => {
    await longLog(2)
    expect(await ledger.database.packs.count()).toBe(2)
    const packed = await packedNow()
    const all = await allEntries(ledger.database)
    expect(packed.entries).toHaveLength(2 * SIZE)
    expect(packed.entries).toEqual(all.slice(0, 2 * SIZE))
    const read = await readAfresh()
    expect(read).toEqual(all)
    expect(read.some((entry) => 'seq' in entry)).toBe(false)
    // What arrives later comes after them.
    await append(ledger, [ride(3, 9, 33)])
    expect((await readAfresh()).at(-1)).toMatchObject({ km: 33 })
    expect(await readAfresh()).toHaveLength(all.length + 1)
  })

  test('say nothing once an entry was set aside: it does not come back from them', async () => {
    await longLog(1)
    const [, , third] = storedIn(ledger)
    if (!third) throw new Error('an empty log')
    await ledger.setAside([third.id])
    expect(await packedNow()).toEqual({ entries: [], seq: 0 })
    const read = await readAfresh()
    expect(read.some(({ id }) => id === third.id)).toBe(false)
    expect(read).toEqual(await allEntries(ledger.database))
    // They are made again of the log as it is.
    expect(await packNext(ledger.database, SIZE)).toBe(true)
    expect((await packedNow()).entries.some(({ id }) => id === third.id)).toBe(false)
    expect(await readAfresh()).toEqual(await allEntries(ledger.database))
  })

  test('go with a wipe', async () => {
    await longLog(1)
    await ledger.wipe()
    expect(await ledger.database.packs.count()).toBe(0)
    expect(await readAfresh()).toEqual([])
  })

  test.each([
    ['damaged', { text: '[{"id":' }],
    ['cut short', { text: '[]' }],
    ['of another place', { from: 1 }],
    ['of another log', { generation: { id: 'another', changes: 0 } }],
    ['of more than there is', { to: 10 * SIZE }],
  ])('one that is %s is passed over, and nothing is lost', async (_, change) => {
    await longLog(2)
    const { packs } = ledger.database
    const [first] = await packs.toArray()
    if (!first) throw new Error('no pack')
    await packs.delete(first.from)
    await packs.put({ ...first, ...change })
    expect((await packedNow()).entries).toEqual([])
    expect(await readAfresh()).toEqual(await allEntries(ledger.database))
  })

  test('are opened by a page like any other log', async () => {
    await longLog(1)
    const before = storedIn(ledger)
    ledger.stop()
    const again = await openedLedger()
    await until(again, () => storedIn(again).length === before.length)
    expect(storedIn(again)).toEqual(before)
    await append(again, [ride(3, 9, 33)])
    expect(storedIn(again)).toHaveLength(before.length + 1)
    again.stop()
    ledger = await openedLedger()
  })
})
