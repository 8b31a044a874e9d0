import { expect, test } from '@jest/globals'
import { demoWorld } from '../../demo/world.ts'
import { deepText, isTooDeep } from './deep-text.ts'
import { readBackup } from './read-backup.ts'
import { writeBackup } from './write-backup.ts'

const nested = (depth: number): unknown => JSON.parse(`${'['.repeat(depth)}1${']'.repeat(depth)}`)
const NOW = '2026-12-02T12:00:00.000Z'
const entries = demoWorld(NOW)

test('a value is written as JSON is, however deep', () => {
  const value = { a: [1, 'two', null, { b: true }], '"': [], c: {} }
  expect(deepText(value)).toBe(JSON.stringify(value))
  expect(deepText(nested(200_000))).toHaveLength(400_001)
  expect(deepText(undefined)).toBe('null')
})

test('no entry of the demo is too deep; what is deeper than any is', () => {
  expect(entries.some(isTooDeep)).toBe(false)
  expect(isTooDeep(nested(32))).toBe(false)
  expect(isTooDeep(nested(33))).toBe(true)
  expect(isTooDeep(nested(200_000))).toBe(true)
})

test.each([40, 3000, 200_000])(
  'of a backup one entry of which is %i deep, that one alone is kept aside',
  (depth) => {
    const few = entries.slice(0, 20)
    const text = writeBackup(few, NOW)
    const deep = `{"kind":"note","text":${'['.repeat(depth)}${']'.repeat(depth)}}`
    const spoilt = text.replace('"entries":[', `"entries":[${deep},`)
    expect(spoilt).not.toBe(text)
    const read = readBackup(spoilt)
    expect(read.entries).toHaveLength(20)
    expect(read.aside).toMatchObject([{ why: 'damaged', text: JSON.stringify(deep) }])
    // It goes out with the next backup, and comes in again as it was.
    const again = readBackup(writeBackup(read.entries, NOW, read.aside))
    expect(again.aside).toEqual(read.aside)
  },
)
