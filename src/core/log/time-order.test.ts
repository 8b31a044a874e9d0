import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { commuter, ride, written } from '../../../test/log.ts'
import type { Entry } from './entries.ts'
import { inTimeOrder } from './time-order.ts'

test('stands as comparing the times as text would have it, ties by the order of writing, whatever order they come in', () => {
  const log = written([
    ...commuter,
    ...Array.from({ length: 20 }, (_, i) => ride(1 + (i % 3), 1 + (i % 4), 10 + i)),
  ])
  const asText = (a: Entry, b: Entry): number =>
    a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0
  fc.assert(
    fc.property(fc.shuffledSubarray([...log]), (some) => {
      expect(inTimeOrder(some)).toEqual([...some].sort(asText))
    }),
  )
})

test('leaves what it is given as it is', () => {
  const log = written([ride(3, 1, 10), ride(1, 1, 20)])
  const before = [...log]
  inTimeOrder(log)
  expect(log).toEqual(before)
})
