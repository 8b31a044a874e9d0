import 'fake-indexeddb/auto'
import { afterEach, beforeEach, expect, test } from '@jest/globals'
import { openDatabase, type LogDatabase } from '../store/database.ts'
import { JOB_VERSIONS, type Answer } from '../workers/jobs.ts'
import type { Pool } from '../workers/pool.ts'
import { keptMeans, passingMeans } from './answer-means.ts'
import { questionHash } from './question-hash.ts'

const IDLE: Pool = {
  size: 2,
  ask: () => ({ done: new Promise(() => undefined), stop: () => undefined, hurry: () => undefined }),
}
const worth = (wrongNow: number): Answer<'next-look'> => ({ wrongNow, halfNow: 0.1, values: [] })

let database: LogDatabase
beforeEach(() => {
  database = openDatabase('own')
})
afterEach(() => database.delete())

const means = () => {
  let time = 0
  return keptMeans('next-look', IDLE, database, questionHash, () => ++time)
}

test('a question is known by its SHA-256, as published for "abc"', async () => {
  expect(await questionHash('abc')).toBe('ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad')
})

test('where the browser works out no hashes a question has the same one', async () => {
  const odd = 'ü 0.5 % {"past":"new"} 1234567890'.repeat(9)
  const own = await questionHash(odd)
  const held = Object.getOwnPropertyDescriptor(globalThis, 'crypto')
  Object.defineProperty(globalThis, 'crypto', { value: {}, configurable: true })
  try {
    expect(await questionHash(odd)).toBe(own)
    expect(await questionHash('abc')).toBe('ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad')
  } finally {
    if (held) Object.defineProperty(globalThis, 'crypto', held)
  }
})

test('an answer is found again by its question, and, where it has none, by what it is about', async () => {
  const { load, save } = means()
  expect(await load('{"past":"new"}', 'chain')).toBeUndefined()
  await save('{"past":"new"}', 'chain', worth(0.1))
  await save('{"past":"unknown"}', 'chain', worth(0.2))
  expect(await load('{"past":"new"}', 'chain')).toEqual({ answer: worth(0.1), isSame: true })
  expect(await load('{"past":"never asked"}', 'chain')).toEqual({ answer: worth(0.2), isSame: false })
  // Whoever has a newer one at hand is not given an older.
  expect(await load('{"past":"never asked"}', undefined)).toBeUndefined()
  expect(await load('{"past":"never asked"}', 'another chain')).toBeUndefined()
})

test('an answer of another version of the job is none', async () => {
  const { load, save } = means()
  await save('{"past":"new"}', 'chain', worth(0.1))
  const [kept] = await database.answers.toArray()
  if (!kept) throw new Error('nothing kept')
  await database.answers.clear()
  await database.answers.put({
    ...kept,
    version: JOB_VERSIONS['next-look'] - 1,
    key: kept.key.replace(' 1 ', ' 0 '),
  })
  expect(await load('{"past":"new"}', 'chain')).toBeUndefined()
})

test('what is not of the log leaves nothing behind', async () => {
  const { load, save } = passingMeans('next-look', IDLE)
  await save('{"past":"new"}', '', worth(0.1))
  expect(await load('{"past":"new"}', '')).toBeUndefined()
  expect(await database.answers.count()).toBe(0)
})
