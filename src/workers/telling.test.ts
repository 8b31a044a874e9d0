import { afterEach, beforeEach, expect, jest, test } from '@jest/globals'
import { telling } from './telling.ts'

beforeEach(() => {
  jest.useFakeTimers()
})
afterEach(() => {
  jest.useRealTimers()
})

/** Somebody who counts how often they are told. */
function counted(leastMs: number | (() => number)) {
  const { subscribe, tell, tellWaiting } = telling(leastMs)
  let times = 0
  const leave = subscribe(() => times++)
  return { tell, tellWaiting, leave, times: () => times }
}

test('the first change is told at once, a hundred right after it once, a moment later', () => {
  const { tell, times } = counted(200)
  tell()
  expect(times()).toBe(1)
  for (let i = 0; i < 100; i++) tell()
  expect(times()).toBe(1)
  jest.advanceTimersByTime(199)
  expect(times()).toBe(1)
  jest.advanceTimersByTime(1)
  expect(times()).toBe(2)
  jest.advanceTimersByTime(10_000)
  expect(times()).toBe(2)
})

test('what still waits is told at once where that is asked for, and not a second time', () => {
  const { tell, tellWaiting, times } = counted(200)
  tell()
  tell()
  tellWaiting()
  expect(times()).toBe(2)
  jest.advanceTimersByTime(1000)
  expect(times()).toBe(2)
  // Nothing waits: nothing is told.
  tellWaiting()
  expect(times()).toBe(2)
})

test('how long it takes between two is asked each time', () => {
  let leastMs = 1000
  const { tell, times } = counted(() => leastMs)
  tell()
  tell()
  jest.advanceTimersByTime(999)
  expect(times()).toBe(1)
  jest.advanceTimersByTime(1)
  expect(times()).toBe(2)
  leastMs = 50
  tell()
  jest.advanceTimersByTime(50)
  expect(times()).toBe(3)
})

test('whoever has left is told nothing', () => {
  const { tell, leave, times } = counted(0)
  leave()
  tell()
  expect(times()).toBe(0)
})
