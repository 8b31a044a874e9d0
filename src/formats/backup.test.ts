import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { demoWorld } from '../../demo/world.ts'
import { commuter, noon, ride, ruleReading, written } from '../../test/log.ts'
import { mutantBackups } from '../../test/mutants.ts'
import { samples as entries } from '../../test/samples.ts'
import type { AsideEntry } from '../core/log/aside.ts'
import type { EntryDraft } from '../core/log/entries.ts'
import { replay } from '../core/log/replay.ts'
import { checkEntry, faultOfDraft } from './entry-schema.ts'
import { BackupFileError } from './backup-contents.ts'
import { readBackup } from './read-backup.ts'
import { differenceOf } from './verify-backup.ts'
import { writeBackup } from './write-backup.ts'

const text = writeBackup(entries, noon(2, 1))
const aside: readonly AsideEntry[] = [
  { text: '{"kind":"inspection"}', why: 'newer', said: 'an entry of the kind "inspection"' },
  { text: '"half a li"', why: 'damaged', said: 'its line in the file cannot be read' },
]

const faultOfBackup = (broken: string): string => {
  try {
    readBackup(broken)
  } catch (error) {
    if (error instanceof BackupFileError) return error.message
    throw error
  }
  return 'the backup was read'
}

describe('a backup', () => {
  test('read back is the log that was written', () => {
    expect(readBackup(text)).toEqual({ entries, aside: [], pictures: [], world: 'own' })
  })

  test('is open JSON with a name, a version and an entry a line', () => {
    expect(JSON.parse(text)).toMatchObject({
      format: 'jolt-mile-log',
      version: 4,
      world: 'own',
      count: entries.length,
      aside: [],
    })
    expect(text.split('\n').filter((line) => line.includes('"kind"'))).toHaveLength(entries.length)
  })

  test('of an empty log is read too', () => {
    expect(readBackup(writeBackup([], noon(1, 1)))).toEqual({
      entries: [],
      aside: [],
      pictures: [],
      world: 'own',
    })
  })

  test('of the whole demo world comes back whole', () => {
    const world = demoWorld('2026-11-23')
    const back = readBackup(writeBackup(world, noon(1, 1)))
    expect(differenceOf(back, world, [])).toBeUndefined()
    expect(back.entries).toEqual(world)
  })

  test('carries what is kept aside along, again and again', () => {
    const once = readBackup(writeBackup(entries, noon(2, 1), aside))
    expect(once).toEqual({ entries, aside, pictures: [], world: 'own' })
    expect(readBackup(writeBackup(once.entries, noon(2, 2), once.aside))).toEqual(once)
  })

  test('cut short anywhere gives what is whole in it, and says so', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: text.length - 3 }), (length) => {
        const cut = text.slice(0, length)
        const whole = cut.split('\n').filter((line) => line.endsWith('},') || line.endsWith('}')).length
        if (whole === 0) return expect(faultOfBackup(cut)).toMatch(/cut short|not a Jolt Mile backup/)
        const back = readBackup(cut)
        expect(back.entries).toEqual(entries.slice(0, back.entries.length))
        expect(back.entries.length).toBeGreaterThanOrEqual(whole - 1)
        return expect(back.remark).toMatch(/cut short or damaged: \d+ of its 53 entries could be read/)
      }),
    )
  })

  test('with one entry that cannot be gives the others, and keeps that one aside with the reason', () => {
    const ruined = text.replace('"km":20', '"km":-20')
    const back = readBackup(ruined)
    expect(back.entries).toHaveLength(entries.length - 1)
    expect(back.aside).toMatchObject([{ why: 'unsound', said: expect.stringMatching(/^km must/) }])
    expect(back.aside[0]?.text).toContain('"km":-20')
  })

  test('of a newer app gives what this one knows, and keeps the rest', () => {
    const newer = writeBackup(entries, noon(2, 1), aside.slice(0, 1)).replace('"version":4', '"version":5')
    const back = readBackup(newer)
    expect(back.entries).toEqual(entries)
    expect(back.aside).toMatchObject([{ why: 'newer' }])
    expect(back.remark).toMatch(/newer version/)
  })

  test('that does not hold everything is told from one that does', () => {
    const [first, ...rest] = entries
    if (!first) throw new Error('an entry is needed')
    expect(differenceOf({ entries, aside: [], pictures: [], world: 'own' }, entries, [])).toBeUndefined()
    expect(differenceOf({ entries: rest, aside: [], pictures: [], world: 'own' }, entries, [])).toMatch(
      /1 of 53 entries/,
    )
    expect(
      differenceOf(
        { entries: [{ ...first, at: noon(9, 9) }, ...rest], aside: [], pictures: [], world: 'own' },
        entries,
        [],
      ),
    ).toMatch(/1 of 53/)
    expect(differenceOf({ entries, aside: [], pictures: [], world: 'own' }, entries, aside)).toMatch(
      /2 of the 2 entries kept aside/,
    )
  })

  test.each([
    ['', /empty/],
    ['hello', /not a Jolt Mile backup/],
    ['null', /not a Jolt Mile backup/],
    ['[]', /not a Jolt Mile backup/],
    ['{"format":"other","version":1,"entries":[]}', /not a Jolt Mile backup/],
    ['{"format":"jolt-mile-log","version":1}', /no list/],
    ['{"format":"jolt-mile-log","version":9}', /newer version/],
    [`${'['.repeat(100_000)}`, /not a Jolt Mile backup/],
  ])('%.50p is refused in plain words', (broken, said) => {
    expect(faultOfBackup(broken)).toMatch(said)
  })

  test('of some hundred mutants loses no sound entry, raises nothing of its own, and gives a log that replays', () => {
    for (const { mutant, untouched } of mutantBackups(entries, 400, 7)) {
      const back = readBackup(mutant)
      const ids = new Set(back.entries.map(({ id }) => id))
      for (const id of untouched) expect(ids).toContain(id)
      expect(() => replay(back.entries)).not.toThrow()
    }
  })
})

describe('an entry at the door', () => {
  const [bike] = written(commuter)
  const [aRide] = written([ride(1, 2, 20)])
  const [reading] = written([ruleReading(1, 3, 305)])
  const [part] = written(commuter.slice(1))
  const [tour] = written([
    {
      kind: 'event',
      at: noon(1, 1),
      event: 'tour',
      bike: 'heron',
      name: 'Tour',
      starts: noon(6, 1),
      days: 9,
      km: 900,
      condition: 'mud',
    },
  ])

  test.each([
    [{ ...aRide, km: -1 }, /km/],
    [{ ...aRide, km: '20' }, /km/],
    [{ ...aRide, km: 10_000_000 }, /km must be less/],
    [{ ...aRide, at: 'yesterday' }, /at is not a date/],
    [{ ...aRide, at: '0026-01-02T12:00:00.000Z' }, /at is not a date/],
    [{ ...aRide, condition: 'lava' }, /condition/],
    [{ ...aRide, energyKjPerKm: 65_535 }, /energyKjPerKm/],
    [{ ...aRide, gears: { '0x0': 3 } }, /gears cannot be/],
    [{ ...aRide, gears: { '40x15': -3 } }, /gears cannot be/],
    [{ ...aRide, extra: 1 }, /extra/],
    [{ ...aRide, id: 'zzzz' }, /id is not an id/],
    [{ ...aRide, bike: '__proto__' }, /bike is not an id/],
    [{ ...bike, name: '' }, /name/],
    [{ ...bike, name: 'He\u0000ron' }, /cannot be shown/],
    [{ ...reading, reading: { instrument: 'rule', pitches: 0, lengthMm: 3 } }, /reading cannot be/],
    [{ ...reading, reading: { instrument: 'rule', pitches: 24, lengthMm: 400 } }, /reading cannot be/],
    [{ ...reading, reading: { instrument: 'spoon' } }, /reading cannot be/],
    [{ ...reading, reading: { instrument: '__proto__' } }, /reading cannot be/],
    [{ ...part, spec: { type: 'wing' } }, /spec is not a part/],
    [{ ...part, spec: { type: '__proto__' } }, /spec is not a part/],
    [{ ...part, spec: { type: 'ring', teeth: 2, material: 'steel' } }, /teeth/],
    [{ ...tour, starts: '9999-12-31T12:00:00.000Z' }, /starts is not a date/],
    [{ ...tour, starts: 'Jan 1 2030' }, /starts is not a date/],
    [{ ...tour, event: 'tour\r\nATTENDEE:mailto:x' }, /event is not an id/],
    [{ ...aRide, kind: 'withdraw', targets: [] }, /./],
    [null, /not an entry/],
    [{ kind: 7 }, /kind is 7/],
  ])('%.60p is turned away', (value, said) => {
    const result = checkEntry(value)
    expect(result.outcome === 'unsound' ? result.fault : result.outcome).toMatch(said)
  })

  test('what is turned away on the way back is turned away on the way in, by the field', () => {
    const odometer: EntryDraft = { kind: 'odometer', at: noon(1, 2), bike: 'heron', km: 12_345_678_901 }
    expect(faultOfDraft(odometer)).toMatchObject({ field: 'km' })
    const lent: EntryDraft = {
      kind: 'remove',
      at: noon(1, 2),
      part: 'chain',
      to: 'lent',
      lentTo: 'x'.repeat(81),
    }
    expect(faultOfDraft(lent)).toMatchObject({ field: 'lentTo' })
    expect(faultOfDraft(ride(1, 2, 20, { elapsedSeconds: 4e8 }))).toMatchObject({ field: 'elapsedSeconds' })
    expect(faultOfDraft(ride(1, 2, 20))).toBeUndefined()
  })
})

describe('kept pictures', () => {
  const picture = { id: 'front-ring', jpeg: Uint8Array.of(0xff, 0xd8, 0xff, 0xe0, 0, 1, 2, 250) }

  test('come back from a backup byte for byte, from one that was cut short too', () => {
    const text = writeBackup(entries, '2026-03-09T07:30:00.000Z', [], [picture])
    expect(readBackup(text).pictures).toEqual([picture])
    expect(readBackup(text.slice(0, -3)).pictures).toEqual([picture])
    expect(differenceOf(readBackup(text), entries, [], [picture])).toBeUndefined()
    const less = { ...readBackup(text), pictures: [] }
    expect(differenceOf(less, entries, [], [picture])).toBe('1 of 1 pictures do not come back as they were')
  })

  test('that are none are kept aside, and the rest comes in', () => {
    const text = writeBackup(entries, '2026-03-09T07:30:00.000Z', [], [picture]).replace(
      /"jpeg":"/,
      '"jpeg":"AAAA',
    )
    const { pictures, aside, entries: back } = readBackup(text)
    expect(pictures).toEqual([])
    expect(aside).toMatchObject([{ why: 'damaged', said: 'it is no picture that can be read' }])
    expect(back).toHaveLength(entries.length)
  })
})
