import { expect, test } from '@jest/globals'
import type { LubeFacts } from './lube.ts'
import { rotationOf, type HookChain } from './rotation.ts'

const lube = (due: boolean, leftKm: number): LubeFacts => ({
  lube: 'immersion-wax',
  since: '2026-01-01T12:00:00.000Z',
  clock: { used: due ? 1 : 0.3, due, reason: 'distance' },
  leftKm,
})
const chain = (id: string, percent: number | undefined, isDue = false, isOn = false): HookChain => ({
  id,
  links: 114,
  isOn,
  lube: 'immersion-wax',
  km: 1000,
  percent,
  facts: lube(isDue, isDue ? 0 : 280),
})
const dry = false

test('the least worn of those that are ready is next, and the one that is on gives way when it is ahead', () => {
  const rotation = rotationOf(
    [chain('A', 0.3, false, true), chain('B', 0.27), chain('C', 0.28), chain('D', 0.2, true)],
    dry,
  )
  expect(rotation?.next).toEqual({ id: 'B', why: 'least-worn' })
  // 0.05 % ahead of B is 0.02 % from now; 0.3 % in 1000 km until now: 66.7 km, before the wax is used up.
  expect(rotation?.swapInKm).toBeCloseTo(200 / 3, 6)
  expect(rotationOf([chain('A', 0.4, false, true), chain('B', 0.27)], dry)?.swapInKm).toBe(0)
})

test('used-up wax makes a chain give way too', () => {
  expect(rotationOf([chain('A', 0.2, true, true), chain('B', 0.27)], dry)?.swapInKm).toBe(0)
})

test('before rain the most worn goes on, or stays on', () => {
  const wet = true
  expect(rotationOf([chain('A', 0.2, false, true), chain('B', 0.27), chain('C', 0.3)], wet)?.next).toEqual({
    id: 'C',
    why: 'rain',
  })
  expect(
    rotationOf([chain('A', 0.4, false, true), chain('B', 0.27), chain('C', 0.3)], wet)?.next,
  ).toBeUndefined()
})

test('a set that drifts apart is told', () => {
  expect(rotationOf([chain('A', 0.4, false, true), chain('B', 0.27)], dry)).toMatchObject({ isApart: true })
  expect(rotationOf([chain('A', 0.3, false, true), chain('B', 0.27)], dry)).toMatchObject({ isApart: false })
  expect(rotationOf([chain('A', undefined, false, true), chain('B', 0.27)], dry)).toMatchObject({
    apartPercent: undefined,
    isApart: false,
  })
})

test('with none ready there is none to put on, and one chain is no set', () => {
  const rotation = rotationOf([chain('A', 0.3, false, true), chain('B', 0.2, true)], dry)
  expect(rotation?.next).toBeUndefined()
  expect(rotation?.swapInKm).toBeUndefined()
  expect(rotationOf([chain('A', 0.3, false, true)], dry)).toBeUndefined()
})
