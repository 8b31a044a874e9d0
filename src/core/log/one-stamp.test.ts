import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { commuter, noon, ride, written } from '../../../test/log.ts'
import { isEntryId, isIsoDay, isIsoTime, isStampedAhead, isThingId } from './bounds.ts'
import { ENTRY_FORMAT } from './entry.ts'
import type { Entry } from './entries.ts'
import { makeEntryId } from './entry-id.ts'
import { mergeLogs } from './merge.ts'
import { followStamps, withOneStamp } from './one-stamp.ts'
import { replay } from './replay.ts'
import { liveEntries } from './supersede.ts'

const NOW = Date.UTC(2026, 6, 1)
const id = (ms: number, fill = 0): string => makeEntryId(ms, 0, new Uint8Array(16).fill(fill))
const log = written(commuter)
const [far = '', near = '', later = ''] = [id(Date.UTC(2031, 0, 1)), id(NOW, 1), id(NOW + 5, 2)]
const rideOf = (more: Partial<Entry>): Entry => ({ ...written([ride(3, 1, 40)])[0], ...more }) as Entry

describe('entries stamped by a clock that ran ahead', () => {
  test('are told from those within a day of it', () => {
    expect(isStampedAhead(far, NOW)).toBe(true)
    expect(isStampedAhead(id(NOW + 80_000_000), NOW)).toBe(false)
    expect(isStampedAhead('ffffffff-ffff-7fff-bfff-ffffffffffff', NOW)).toBe(true)
  })

  test('are known again when the same file is merged twice', () => {
    const theirs = [rideOf({ id: far })]
    const first = mergeLogs(log, theirs, NOW)
    expect(first.ahead).toEqual(new Set([far]))
    const ours = [...log, rideOf({ id: near, firstId: far })]
    expect(mergeLogs(ours, theirs, NOW)).toMatchObject({ added: [], known: 1 })
  })

  test('stand once, though two devices gave them two ids, and what was said of either is said of it', () => {
    const [here, there] = [rideOf({ id: near, firstId: far }), rideOf({ id: later, firstId: far })]
    const one = withOneStamp([...log, there, here])
    expect(one.filter(({ kind }) => kind === 'ride').map((entry) => entry.id)).toEqual([near])
    for (const target of [far, near, later]) {
      const undone: Entry = {
        kind: 'withdraw',
        format: ENTRY_FORMAT,
        id: id(NOW + 50, 3),
        at: noon(7, 1),
        targets: [target],
      }
      expect(
        liveEntries(withOneStamp([...log, here, there, undone])).some(({ kind }) => kind === 'ride'),
      ).toBe(false)
    }
    const said: Entry = {
      kind: 'condition',
      format: ENTRY_FORMAT,
      id: id(NOW + 60, 4),
      at: noon(7, 1),
      targets: [far],
      condition: 'mud',
      from: 'rider',
    }
    const rides = replay(withOneStamp([...log, here, there, said])).bikes.get('heron')?.rides
    expect(rides?.map(({ condition }) => condition)).toEqual(['mud'])
  })

  test('a log without any is the very same list', () => {
    expect(withOneStamp(log)).toBe(log)
  })
})

test('merging says what was undone here and that the other log still counts', () => {
  const [kept, gone] = [rideOf({ id: near }), rideOf({ id: later })]
  const undone: Entry = {
    kind: 'withdraw',
    format: ENTRY_FORMAT,
    id: id(NOW + 50, 3),
    at: noon(7, 1),
    targets: [later],
  }
  const ours = [...log, kept, gone, undone]
  expect(mergeLogs(ours, [kept, gone], NOW)).toMatchObject({ added: [], undoneHere: [later] })
  expect(mergeLogs(ours, ours, NOW).undoneHere).toEqual([])
})

describe('bounds', () => {
  test.each([
    ['2026-03-09T07:30:00.000Z', true],
    ['2026-03-09T07:30:00Z', false],
    ['2026-02-30T07:30:00.000Z', false],
    ['2028-02-29T00:00:00.000Z', true],
    ['0026-03-09T07:30:00.000Z', false],
    ['9999-12-31T12:00:00.000Z', false],
    ['+012026-03-09T07:30:00.000Z', false],
    ['Jan 1 2030', false],
    ['2026-03-09T07:30:00.000+01:00', false],
  ])('%s is a time of the log: %p', (text, isTime) => {
    expect(isIsoTime(text)).toBe(isTime)
  })

  test.each([
    ['2026-03-09', true],
    ['12026-03-09', false],
    ['2026-3-9', false],
    ['2026-02-31', false],
    ['', false],
  ])('%s is a day: %p', (text, isDay) => {
    expect(isIsoDay(text)).toBe(isDay)
  })

  test.each([
    ['zzzz', false],
    [near, true],
    [near.toUpperCase(), near === near.toUpperCase()],
    ['01a2165f-9e8f-4000-8000-00416b986435', false],
  ])('%s is an entry’s id: %p', (text, isId) => {
    expect(isEntryId(text)).toBe(isId)
  })

  test.each([
    ['heron-chain-1', true],
    ['__proto__', false],
    ['constructor', false],
    ['tour\r\nATTENDEE:x', false],
    ['a b', false],
    ['', false],
    ['x'.repeat(65), false],
  ])('%j names a thing: %p', (text, isId) => {
    expect(isThingId(text)).toBe(isId)
  })
})

test('followed, a growing log is what it is when looked at whole, whatever was stamped again and when', () => {
  fc.assert(
    fc.property(fc.array(fc.boolean(), { minLength: 1, maxLength: 12 }), (stamped) => {
      const follow = followStamps()
      const log = written(stamped.map((_, i) => ride(1, 2 + i, 10)))
      let grown: Entry[] = []
      log.forEach((entry, i) => {
        grown = [...grown, stamped[i] ? { ...entry, firstId: log[i ? i - 1 : 0]?.id ?? '' } : entry]
        expect(follow(grown)).toEqual(withOneStamp(grown))
      })
      // A log begun anew.
      expect(follow(log)).toEqual(log)
      expect(follow(log.slice(1))).toEqual(log.slice(1))
    }),
  )
})
