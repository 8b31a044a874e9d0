import { expect, test } from '@jest/globals'
import { commuter, noon, ride, written } from '../../test/log.ts'
import { unsavedSince } from './safe-keeping.ts'

const log = written([...commuter, ride(2, 1, 20), ride(2, 2, 30)])
const backup = (last: string | undefined) => ({ at: noon(3, 1), ...(last !== undefined && { last }) })

test('what arrived after the last backup is unsaved, also when other entries were set aside since', () => {
  const last = log.at(-2)?.id
  expect(unsavedSince(log, backup(last))).toEqual(log.slice(-1))
  expect(unsavedSince(log.slice(3), backup(last))).toEqual(log.slice(-1))
  expect(unsavedSince(log, backup(log.at(-1)?.id))).toEqual([])
})

test('with no backup, or one of a log that was wiped since, all of it is', () => {
  expect(unsavedSince(log, undefined)).toEqual(log)
  expect(unsavedSince(log, backup(undefined))).toEqual(log)
  expect(unsavedSince(log.slice(-1), backup(log[0]?.id))).toEqual(log.slice(-1))
})
