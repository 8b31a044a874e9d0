import { expect, test } from '@jest/globals'
import type { LubeFacts } from './lube.ts'
import { rotationOf, type HookChain, type RotationBy } from './rotation.ts'

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
const ahead = { aheadInKm: { p10: 40, p50: 66, p90: 130 } }
const dry: RotationBy = { isRainAhead: false, ahead, everyKm: undefined, turnKm: 120 }

test('the least worn of those that are ready is next, and the one that is on gives way when it is ahead', () => {
  const chains = [chain('A', 0.3, false, true), chain('B', 0.27), chain('C', 0.28), chain('D', 0.2, true)]
  const rotation = rotationOf(chains, dry)
  expect(rotation?.next).toEqual({ id: 'B', why: 'least-worn' })
  expect(rotation?.giveWay).toEqual({ inKm: 66, why: 'ahead', range: ahead.aheadInKm })
  // While that is being worked out only the wax is known: 280 km are left.
  expect(rotationOf(chains, { ...dry, ahead: undefined })?.giveWay).toEqual({ inKm: 280, why: 'lube' })
})

test('a turn of a fixed length ends when it is over, and no sooner for being ahead', () => {
  const chains = [chain('A', 0.4, false, true), chain('B', 0.27)]
  expect(rotationOf(chains, { ...dry, everyKm: 300 })?.giveWay).toEqual({ inKm: 180, why: 'turn' })
  expect(rotationOf(chains, { ...dry, everyKm: 100 })?.giveWay).toEqual({ inKm: 0, why: 'turn' })
  expect(rotationOf(chains, { ...dry, everyKm: 1000 })?.giveWay).toEqual({ inKm: 280, why: 'lube' })
})

test('used-up wax makes a chain give way too', () => {
  expect(rotationOf([chain('A', 0.2, true, true), chain('B', 0.27)], dry)?.giveWay).toEqual({
    inKm: 0,
    why: 'lube',
  })
})

test('before rain the most worn goes on, or stays on', () => {
  const wet = { ...dry, isRainAhead: true }
  expect(rotationOf([chain('A', 0.2, false, true), chain('B', 0.27), chain('C', 0.3)], wet)?.next).toEqual({
    id: 'C',
    why: 'rain',
  })
  const stays = rotationOf([chain('A', 0.4, false, true), chain('B', 0.27), chain('C', 0.3)], wet)
  expect([stays?.next, stays?.giveWay]).toEqual([undefined, undefined])
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
  expect(rotation).toMatchObject({ isNoneReady: true })
  expect(rotation?.next).toBeUndefined()
  expect(rotation?.giveWay).toBeUndefined()
  expect(rotationOf([chain('A', 0.3, false, true)], dry)).toBeUndefined()
})
