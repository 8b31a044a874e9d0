import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import { checkEntry } from '../../formats/entry-schema.ts'
import { readBackup } from '../../formats/read-backup.ts'
import { ENTRY_FORMAT } from './entry.ts'
import type { EntryKind } from './entries.ts'
import { replay } from './replay.ts'
import { formatOf, upgradeEntry } from './upgrade.ts'

const kept = readFileSync('test/backups/format-1.json', 'utf8')

describe('the backup kept from the first format', () => {
  const { entries, aside, remark } = readBackup(kept)

  test('is read whole, with every kind that was', () => {
    expect(aside).toEqual([])
    expect(remark).toBeUndefined()
    expect(entries).toHaveLength(48)
    expect(new Set(entries.map(({ kind }) => kind)).size).toBe(17)
    expect(new Set(entries.map(({ format }) => format))).toEqual(new Set([ENTRY_FORMAT]))
  })

  test('says of the garage what it said then', () => {
    const garage = replay(entries)
    expect(garage.bikes.get('kite')?.entry).toMatchObject({
      storage: 'outdoors',
      usualCondition: 'dry-road',
      usualByQuarter: { 'dec-feb': 'winter-salt' },
    })
    expect(garage.parts.get('kite-chain')?.lentTo).toBe('the ferry crew')
    expect(garage.parts.get('link')?.entry.spec).toMatchObject({ closingsAllowed: 5, closedBefore: 2 })
    const rides = garage.bikes.get('heron')?.rides ?? []
    expect(rides.map(({ km, condition }) => [km, condition])).toEqual([
      [3, 'dry-road'],
      [42.5, 'wet-road'],
      [31, 'mud'],
      [12.25, 'dry-road'],
      [21, 'dry-road'],
      [8, 'dry-road'],
    ])
    expect(rides[1]).toMatchObject({
      recorded: ['cadence', 'power'],
      source: { file: 'quay “früh”.gpx', fingerprint: 'p-1' },
      otherSources: [{ file: 'quay.fit', fingerprint: 'p-2' }],
    })
    const odometer = garage.bikes.get('kite')?.odometer.map(({ km, restarted }) => [km, restarted])
    expect(odometer).toEqual([
      [4000, undefined],
      [4180.4, undefined],
      [0, true],
      [95, undefined],
    ])
    const readings = garage.readings.get('chain') ?? []
    expect(readings.map(({ used }) => used)).toEqual([false, true, true, true, true])
    expect(readings[0]?.entry).toMatchObject({ linksFromJoint: 20, tool: 'my-rule' })
  })
})

describe('upgrading', () => {
  test('an entry of today is left as it is, and one of a later format too', () => {
    const today = { kind: 'remove', lentTo: 'Bo', format: ENTRY_FORMAT }
    expect(upgradeEntry(today)).toBe(today)
    const later = { kind: 'remove', who: 'Bo', format: ENTRY_FORMAT + 1 }
    expect(upgradeEntry(later)).toBe(later)
  })

  test.each<readonly [object, object]>([
    [
      { kind: 'remove', who: 'Bo' },
      { kind: 'remove', lentTo: 'Bo' },
    ],
    [
      { kind: 'odometer', anew: true },
      { kind: 'odometer', restarted: true },
    ],
    [
      { kind: 'condition', from: 'told' },
      { kind: 'condition', from: 'rider' },
    ],
    [
      { kind: 'condition', from: 'weather' },
      { kind: 'condition', from: 'weather' },
    ],
    [
      { kind: 'reading-use', use: false },
      { kind: 'reading-use', counts: false },
    ],
    [
      { kind: 'tool', barMm: 199 },
      { kind: 'tool', checkBarMm: 199 },
    ],
    [
      { kind: 'part', spec: { type: 'cassette', loose: [11] } },
      { kind: 'part', spec: { type: 'cassette', soldSingly: [11] } },
    ],
    [
      { kind: 'part', spec: null },
      { kind: 'part', spec: null },
    ],
    [
      { kind: 'ride', also: 7 },
      { kind: 'ride', otherSources: 7 },
    ],
  ])('%j becomes %j', (before, after) => {
    expect(upgradeEntry(before as Record<string, unknown>)).toEqual({ ...after, format: 2 })
  })

  test.each([0, -1, 1.5, '2', null, NaN])('a format of %p is none', (format) => {
    expect(formatOf({ format })).toBeNaN()
    expect(checkEntry({ kind: 'withdraw', format }).outcome).toBe('unsound')
  })
})

test('a kind or a format that this app does not know is no fault of the entry', () => {
  expect(checkEntry({ kind: 'inspection' as EntryKind })).toMatchObject({ outcome: 'newer' })
  expect(checkEntry({ kind: 'ride', format: 99 })).toMatchObject({ outcome: 'newer' })
})
