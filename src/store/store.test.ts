import 'fake-indexeddb/auto'
import { readFileSync } from 'node:fs'
import Dexie from 'dexie'
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { append, openedLedger, storedIn, until } from '../../test/ledger.ts'
import { commuter, noon, ride, written } from '../../test/log.ts'
import { ENTRY_FORMAT } from '../core/log/entry.ts'
import type { Entry, EntryDraft } from '../core/log/entries.ts'
import { entryIdTime, makeEntryId } from '../core/log/entry-id.ts'
import { replay } from '../core/log/replay.ts'
import { stillNew } from '../core/log/still-new.ts'
import { withOneStamp } from '../core/log/one-stamp.ts'
import { isFull, LogOpenError, openDatabase, openPatiently } from './database.ts'
import { isGone, readGeneration } from './generation.ts'
import { dropOldAnswers, keepAnswer, newestAnswer, readAnswer } from './answers.ts'
import type { Ledger } from './ledger.ts'
import { allAside } from './merge-in.ts'
import { allEntries, DraftError } from './write.ts'

const DAY_MS = 86_400_000
let ledger: Ledger

beforeEach(async () => {
  ledger = await openedLedger()
})
afterEach(async () => {
  ledger.stop()
  await ledger.database.delete()
})

describe('writing', () => {
  test('gives ids in the order of writing and one action to what was written together', async () => {
    const entries = await append(ledger, [ride(1, 2, 10), ride(1, 3, 20)])
    expect(entries.map(({ id }) => id)).toEqual([...entries.map(({ id }) => id)].sort())
    expect(new Set(entries.map(({ action }) => action))).toEqual(new Set([entries[0]?.id]))
    expect(await allEntries(ledger.database)).toEqual(entries)
    expect(storedIn(ledger)).toEqual(entries)
  })

  test('writes after everything it has seen, even where another device’s clock runs hours ahead', async () => {
    const ahead = Date.now() + DAY_MS / 2
    const theirs: Entry = {
      ...(written([ride(1, 2, 10)])[0] as Entry),
      id: makeEntryId(ahead, 0, new Uint8Array(16)),
    }
    await ledger.merge([theirs], [])
    const [mine] = await append(ledger, [{ kind: 'withdraw', at: noon(1, 3), targets: [theirs.id] }])
    expect(mine && mine.id > theirs.id).toBe(true)
    expect(entryIdTime(mine?.id ?? '')).toBeGreaterThan(ahead)
  })

  test('writes all or nothing: one that could not be read back stops the others', async () => {
    const [first] = await append(ledger, [ride(1, 2, 10)])
    await expect(append(ledger, [ride(1, 4, 1), ride(1, 5, 123_456)])).rejects.toThrow(DraftError)
    expect(await allEntries(ledger.database)).toEqual([first])
  })

  test('of nothing writes nothing', async () => {
    expect(await append(ledger, [])).toEqual([])
    expect(await allEntries(ledger.database)).toEqual([])
  })

  test('decides on the log as it is, whichever tab wrote last', async () => {
    const other = await openedLedger()
    const import_: readonly EntryDraft[] = [ride(1, 2, 10, { source: { file: 'a.gpx', fingerprint: 'p' } })]
    const add = (tab: Ledger) => tab.write((entries) => stillNew(entries, import_))
    const results = await Promise.all([add(ledger), add(other), add(ledger)])
    expect(results.map((result) => result.written.length).sort()).toEqual([0, 0, 1])
    expect(await allEntries(ledger.database)).toHaveLength(1)
    other.stop()
  })

  test('a bike saved twice by one form is one bike', async () => {
    const drafts = commuter
    await ledger.write((entries) => stillNew(entries, drafts))
    await ledger.write((entries) => stillNew(entries, drafts))
    expect(storedIn(ledger)).toHaveLength(commuter.length)
  })
})

describe('a clock that ran ahead', () => {
  test('leaves no entry that nothing can undo: what it wrote is stamped again', async () => {
    const wrong = await openedLedger('own', () => Date.UTC(2090, 0, 1))
    const [far] = await append(wrong, [ride(1, 2, 10)])
    await until(ledger, () => storedIn(ledger).length === 1)
    const [undone] = await append(ledger, [{ kind: 'withdraw', at: noon(1, 3), targets: [far?.id ?? ''] }])
    const stored = storedIn(ledger)
    expect(stored.map(({ firstId }) => firstId)).toContain(far?.id)
    expect(stored.every(({ id }) => entryIdTime(id) < Date.now() + 1000)).toBe(true)
    expect(undone && stored.every(({ id }) => id <= undone.id)).toBe(true)
    expect(replay(withOneStamp(stored)).bikes.size).toBe(0)
    wrong.stop()
  })

  test('of another device is mended as its entries come in, once and for all', async () => {
    const file = written([...commuter, ride(2, 1, 30)], Date.UTC(2090, 0, 1))
    const merge = await ledger.merge(file, [])
    expect([merge.added.length, merge.ahead.size]).toEqual([file.length, file.length])
    expect((await ledger.merge(file, [])).added).toEqual([])
    const state = ledger.state()
    expect(
      state.status === 'open' &&
        replay(state.entries)
          .bikes.get('heron')
          ?.rides.map(({ km }) => km),
    ).toEqual([30])
  })
})

describe('merging a backup in', () => {
  const file = written(commuter)

  test('adds what is new, says how much was known, and does no harm twice', async () => {
    expect(await ledger.merge(file.slice(0, 3), [])).toMatchObject({ known: 0, differing: [] })
    const second = await ledger.merge(file, [])
    expect([second.added.length, second.known]).toEqual([file.length - 3, 3])
    expect((await ledger.merge(file, [])).added).toEqual([])
    expect(await allEntries(ledger.database)).toEqual(file)
  })

  test('keeps ours where an entry contradicts it, theirs aside, and takes the rest', async () => {
    await ledger.merge(file.slice(0, 2), [])
    const edited = file.map((entry, i) => (i === 0 ? ({ ...entry, name: 'Another' } as Entry) : entry))
    expect((await ledger.merge(edited, [])).differing).toEqual([edited[0]])
    expect(await allEntries(ledger.database)).toEqual(file)
    expect(await allAside(ledger.database)).toMatchObject([{ why: 'differs' }])
  })

  test('what only a newer app knows waits beside the log, and comes in once it is known', async () => {
    const [entry] = written([ride(1, 5, 12)])
    await ledger.merge([], [{ text: JSON.stringify(entry), why: 'newer', said: 'an entry of format 3' }])
    expect(storedIn(ledger)).toEqual([])
    const later = await openedLedger()
    await until(later, () => storedIn(later).length === 1)
    expect(await allAside(ledger.database)).toEqual([])
    later.stop()
  })

  test('an entry set aside is out of the log, kept, and can come back', async () => {
    await ledger.merge(file, [])
    const [first] = file
    await ledger.setAside([first?.id ?? ''])
    expect(storedIn(ledger)).toHaveLength(file.length - 1)
    const [held] = await allAside(ledger.database)
    await ledger.takeBack([held?.text ?? ''])
    expect(storedIn(ledger)).toHaveLength(file.length)
    expect(await allAside(ledger.database)).toEqual([])
  })
})

test('the two worlds do not mix', async () => {
  const demo = await openedLedger('demo')
  await append(demo, [ride(1, 2, 10)])
  expect(await allEntries(ledger.database)).toEqual([])
  demo.stop()
  await demo.database.delete()
})

describe('answers kept for the next visit', () => {
  const answer = (key: string, at: number, changes = {}) => ({
    key,
    job: 'rider-outlook',
    version: 1,
    about: 'all',
    bytes: 100,
    at,
    answer: { draws: Float32Array.of(1, 2) },
    ...changes,
  })

  test('are found by their question, and the newest by what it is about', async () => {
    const { database } = ledger
    expect(await readAnswer(database, 'one')).toBeUndefined()
    await keepAnswer(database, answer('two', 2))
    await keepAnswer(database, answer('one', 1))
    await keepAnswer(database, answer('of another version', 3, { version: 2 }))
    await keepAnswer(database, answer('about another', 4, { about: 'kite' }))
    expect(await readAnswer(database, 'one')).toMatchObject({ answer: { draws: Float32Array.of(1, 2) } })
    expect(await newestAnswer(database, 'rider-outlook', 1, 'all')).toMatchObject({ key: 'two' })
    expect(await newestAnswer(database, 'rider-outlook', 3, 'all')).toBeUndefined()
  })

  test('take so much room and no more: the oldest go', async () => {
    const { database } = ledger
    for (const at of [3, 1, 4, 2]) await keepAnswer(database, answer(`of ${at}`, at))
    await dropOldAnswers(database, 350)
    expect(await readAnswer(database, 'of 1')).toBeUndefined()
    for (const at of [2, 3, 4]) expect(await readAnswer(database, `of ${at}`)).toBeDefined()
    await keepAnswer(database, answer('a large one', 5, { bytes: 1000 }))
    await dropOldAnswers(database, 350)
    expect(await database.answers.toCollection().primaryKeys()).toEqual(['a large one'])
  })

  test('go with the log', async () => {
    await keepAnswer(ledger.database, answer('one', 1))
    await ledger.wipe()
    expect(await readAnswer(ledger.database, 'one')).toBeUndefined()
  })
})

describe('another tab', () => {
  test('sees what arrives, and a wipe', async () => {
    const other = await openedLedger()
    await append(ledger, [ride(1, 2, 10), ride(1, 3, 10)])
    await until(other, () => storedIn(other).length === 2)
    await ledger.wipe()
    await until(other, () => storedIn(other).length === 0)
    await append(other, [ride(1, 4, 10)])
    await until(ledger, () => storedIn(ledger).length === 1)
    other.stop()
  })

  test('with a newer build: this one stops, and writes nothing more', async () => {
    await append(ledger, [ride(1, 2, 10)])
    const newer = new Dexie('jolt-mile')
    newer.version(9).stores({ entries: '++seq, &id', kept: '&key', forecasts: '&group', aside: '&text' })
    await newer.open()
    await until(ledger, ({ status }) => status === 'outdated')
    await expect(append(ledger, [ride(1, 3, 10)])).rejects.toThrow(/loaded again/)
    expect(await newer.table('entries').count()).toBe(1)
    newer.close()
    // A build that knows less leaves the log alone, and says so.
    const older = openDatabase('own')
    await expect(openPatiently(older)).rejects.toMatchObject({ fault: 'newer' })
    older.close()
  })
})

describe('a log that is deleted while it is open', () => {
  test('is not begun again by the next write, and can be put back from memory', async () => {
    const entries = await append(ledger, [...commuter, ride(1, 2, 10)])
    await Dexie.delete('jolt-mile')
    await until(ledger, ({ status }) => status === 'vanished')
    await expect(append(ledger, [ride(1, 3, 30)])).rejects.toThrow()
    await ledger.writeBack()
    await until(ledger, ({ status }) => status === 'open')
    const kept = await allEntries(ledger.database)
    // What was to be written meanwhile is kept with the rest, after it.
    expect(kept.slice(0, -1)).toEqual(entries)
    expect(kept.at(-1)).toMatchObject({ kind: 'ride', km: 30 })
    expect((kept.at(-1)?.id ?? '') > (entries.at(-1)?.id ?? '')).toBe(true)
    await append(ledger, [ride(1, 3, 10)])
    expect(storedIn(ledger)).toHaveLength(entries.length + 2)
  })

  test('is known to be gone by whoever opens it anew, and by nobody else', async () => {
    await append(ledger, commuter)
    const mark = await readGeneration(ledger.database)
    if (!mark) throw new Error('the log has no mark')
    expect(await isGone('jolt-mile', mark)).toBe(false)
    expect(await isGone('jolt-mile', { ...mark, id: 'another' })).toBe(true)
    expect(await isGone('jolt-mile-nowhere', mark)).toBe(true)
    // Looking begins no database.
    expect((await indexedDB.databases()).map(({ name }) => name)).not.toContain('jolt-mile-nowhere')
  })

  test('with nothing in it is begun again without a word', async () => {
    await Dexie.delete('jolt-mile')
    const [first] = await append(ledger, [ride(1, 2, 10)])
    expect(await allEntries(ledger.database)).toEqual([first])
    expect(storedIn(ledger)).toEqual([first])
  })

  test.each(Array.from({ length: 24 }, (_, i) => i))(
    'a look at it under way %i turns into the deletion does not count for the log in its place',
    async (turns) => {
      await append(ledger, [ride(1, 2, 10)])
      const gone = Dexie.delete('jolt-mile')
      // A write that began before it was known: what it reads overlaps the deletion by a little more each time.
      const late = append(ledger, [ride(1, 3, 10)]).catch(() => undefined)
      for (let i = 0; i < turns; i++) await new Promise((resolve) => setImmediate(resolve))
      await gone
      await until(ledger, ({ status }) => status === 'vanished')
      await ledger.writeBack()
      await late
      await until(ledger, ({ status }) => status === 'open')
      expect(storedIn(ledger).length).toBeGreaterThan(0)
      expect(await allEntries(ledger.database)).toEqual(storedIn(ledger))
    },
  )

  test('emptied by a strange hand counts as deleted', async () => {
    await append(ledger, [ride(1, 2, 10)])
    await ledger.database.entries.clear()
    await until(ledger, ({ status }) => status === 'vanished')
  })
})

describe('a database of an earlier build', () => {
  test('is brought to today’s format, and what cannot be counted is kept aside', async () => {
    ledger.stop()
    await ledger.database.delete()
    const old = new Dexie('jolt-mile')
    old.version(3).stores({ entries: '++seq, &id', kept: '&key', forecasts: '&group' })
    const kept = (JSON.parse(readFileSync('test/backups/format-1.json', 'utf8')) as { entries: object[] })
      .entries
    await old.table('entries').bulkAdd(kept)
    await old.table('entries').add({
      kind: 'event',
      id: '01a2165f-9e8f-7000-8000-00416b98ffff',
      at: noon(1, 1),
      event: 'tour',
      bike: 'heron',
      name: 'Tour',
      starts: '9999-12-31T12:00:00.000Z',
      days: 9,
      km: 900,
      condition: 'dry-road',
    })
    old.close()
    ledger = await openedLedger()
    const stored = storedIn(ledger)
    expect(stored).toHaveLength(kept.length)
    expect(new Set(stored.map(({ format }) => format))).toEqual(new Set([ENTRY_FORMAT]))
    expect(replay(stored).parts.get('kite-chain')?.lentTo).toBe('the ferry crew')
    expect(await allAside(ledger.database)).toMatchObject([{ why: 'unsound' }])
  })
})

describe('storage that fails', () => {
  test('that does not answer is said to', async () => {
    const hanging = openDatabase('own')
    hanging.open = () => new Dexie.Promise(() => undefined)
    await expect(openPatiently(hanging, 20)).rejects.toMatchObject({ fault: 'hanging' })
  })

  test.each([
    ['MissingAPIError', 'missing'],
    ['SecurityError', 'denied'],
    ['InvalidStateError', 'denied'],
    ['QuotaExceededError', 'full'],
    ['OddError', 'broken'],
  ])('with %s is %s', async (name, fault) => {
    const failing = openDatabase('own')
    const cause = new Error('no')
    cause.name = name
    failing.open = () => Dexie.Promise.reject(new LogOpenErrorLike(cause))
    await expect(openPatiently(failing)).rejects.toMatchObject({ fault })
    expect(isFull(cause)).toBe(name === 'QuotaExceededError')
  })
})

/** An error that wraps another, as the database library does. */
class LogOpenErrorLike extends Error {
  override readonly name = 'OpenFailedError'
  constructor(readonly inner: Error) {
    super(inner.message)
  }
}

test('an opening that failed is an error of its own', () => {
  expect(new LogOpenError('denied').message).toMatch(/denied/)
})
