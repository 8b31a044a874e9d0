import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { commuter, noon, ride, ruleReading, written } from '../../test/log.ts'
import { demoWorld } from '../../demo/world.ts'
import { checkEntry } from './entry-schema.ts'
import { readGpx as readGpxBytes } from './rides/gpx.ts'
import { ridePrint } from './rides/recorded-ride.ts'
import { RideFileError } from './rides/ride-file-error.ts'
import { BackupFileError, readBackup } from './read-backup.ts'
import { writeBackup } from './write-backup.ts'

const readGpx = (text: string) => readGpxBytes(new TextEncoder().encode(text))
const gpx = (points: string, extra = ''): string =>
  `<?xml version="1.0"?>\n<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1">${extra}<trk><name>Quay &amp; back</name><trkseg>${points}</trkseg></trk></gpx>`
const point = (lat: number, second: number, inside = ''): string =>
  `<trkpt lat="${lat}" lon="10"><ele>3</ele><time>2026-03-09T07:30:${String(second).padStart(2, '0')}Z</time>${inside}</trkpt>`

const faultOf = (text: string): string => {
  try {
    readGpx(text)
  } catch (error) {
    if (error instanceof RideFileError) return error.message
    throw error
  }
  throw new Error('the file was read')
}

describe('a GPX file', () => {
  test('is a ride with distance, times, name and what its points carry', () => {
    const ride = readGpx(readFileSync('cases/rides/quay-loop.gpx', 'utf8'))
    // The reference case's figures, worked out by another program.
    expect(ride.km).toBeCloseTo(1.5777529493423583, 6)
    expect(ride.movingSeconds).toBe(239)
    expect(ride).toMatchObject({ name: 'Quay loop', points: 240, hasCadence: true, hasPower: false })
    expect(ride.startedAt).toBe('2025-03-09T07:30:00.000Z')
  })

  test('keeps entities in its name and knows tags by their local names', () => {
    const ride = readGpx(
      gpx(
        point(
          50,
          0,
          '<extensions><x:TrackPointExtension xmlns:x="urn:x"><x:cad>80</x:cad><x:PowerInWatts>200</x:PowerInWatts></x:TrackPointExtension></extensions>',
        ) + point(50.0001, 2),
      ),
    )
    expect(ride).toMatchObject({ name: 'Quay & back', hasCadence: true, hasPower: true })
  })

  test('keeps a device’s own distance beside the track’s', () => {
    const ride = readGpx(
      gpx(point(50, 0, '<distance>100</distance>') + point(50.0001, 2, '<distance>112</distance>')),
    )
    expect(ride.deviceKm).toBeCloseTo(0.012, 9)
    expect(ride.km).toBeCloseTo(0.01112, 4)
  })

  test('is recognised by its times and points, whatever it is called', () => {
    const text = gpx(point(50, 0) + point(50.0001, 2))
    expect(ridePrint(readGpx(text))).toBe(ridePrint(readGpx(text.replace('Quay', 'Other'))))
    expect(ridePrint(readGpx(text))).not.toBe(ridePrint(readGpx(gpx(point(50, 0) + point(50.0001, 3)))))
  })

  test.each([
    ['', /empty/],
    ['not xml at all', /not a GPX file/],
    ['<?xml version="1.0"?><kml></kml>', /not a GPX file/],
    [gpx(''), /no points/],
    ['<gpx version="1.1"><rte><rtept lat="1" lon="2"/></rte></gpx>', /planned route/],
    [gpx('<trkpt lat="50" lon="10"/><trkpt lat="50.1" lon="10"/>'), /no times/],
    [gpx('<trkpt lat="950" lon="10"><time>2026-03-09T07:30:00Z</time></trkpt>'), /line 2 .*latitude/],
    [gpx(point(50, 0)).replace('</trkseg>', '</trkpt>'), /damaged on line 2/],
  ])('that cannot be read says what is wrong: %.40p', (text, said) => {
    expect(faultOf(text)).toMatch(said)
  })

  test('cut short anywhere is said to be, and never half read', () => {
    const whole = gpx(Array.from({ length: 5 }, (_, i) => point(50 + i / 10_000, i)).join('\n'))
    fc.assert(
      fc.property(fc.integer({ min: 130, max: whole.length - 7 }), (length) => {
        expect(faultOf(whole.slice(0, length))).toMatch(/cut short|damaged/)
      }),
    )
  })
})

describe('a backup', () => {
  const entries = written([
    ...commuter,
    ride(1, 2, 20, { source: { file: 'a.gpx', fingerprint: 'p' }, trackKm: 19.9, movingSeconds: 3600 }),
    ruleReading(1, 3, 305),
    { kind: 'look', at: noon(1, 4), part: 'cassette', cog: 13, word: 'good' },
    { kind: 'wash', at: noon(1, 4), chain: 'chain', method: 'wipe', lube: 'wet-lube' },
    { kind: 'limit', at: noon(1, 4), bike: 'heron', school: 'early' },
    { kind: 'remove', at: noon(1, 5), part: 'ring', to: 'shelf' },
  ])
  const text = writeBackup(entries, noon(2, 1))
  const faultOfBackup = (broken: string): string => {
    try {
      readBackup(broken)
    } catch (error) {
      if (error instanceof BackupFileError) return error.message
      throw error
    }
    throw new Error('the backup was read')
  }

  test('read back is the log that was written', () => {
    expect(readBackup(text)).toEqual(entries)
  })

  test('is open JSON with a name, a version and an entry a line', () => {
    expect(JSON.parse(text)).toMatchObject({ format: 'jolt-mile-log', version: 1, count: entries.length })
    expect(text.trim().split('\n')).toHaveLength(entries.length + 2)
  })

  test('of an empty log is read too', () => {
    expect(readBackup(writeBackup([], noon(1, 1)))).toEqual([])
  })

  test('of the whole demo world passes its own door', () => {
    const world = demoWorld('2026-11-23')
    expect(readBackup(writeBackup(world, noon(1, 1)))).toEqual(world)
  })

  test('cut short anywhere is refused', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: text.length - 3 }), (length) => {
        expect(faultOfBackup(text.slice(0, length))).toMatch(/cut short|not a Jolt Mile backup|holds no list/)
      }),
    )
  })

  test.each([
    ['', /empty/],
    ['hello', /not a Jolt Mile backup/],
    ['null', /not a Jolt Mile backup/],
    ['{"format":"other","version":1,"entries":[]}', /not a Jolt Mile backup/],
    ['{"format":"jolt-mile-log","version":2,"entries":[]}', /version 2; this app reads version 1/],
    ['{"format":"jolt-mile-log","version":1}', /no list/],
    ['{"format":"jolt-mile-log","version":1,"count":3,"entries":[]}', /says it holds 3/],
    ['{"format":"jolt-mile-log","version":1,"count":1,"entries":[{"kind":"party"}]}', /Entry 1 of 1 .*party/],
  ])('%.50p is refused in plain words', (broken, said) => {
    expect(faultOfBackup(broken)).toMatch(said)
  })
})

describe('an entry at the door', () => {
  const [bike] = written(commuter)
  const [aRide] = written([ride(1, 2, 20)])
  const [reading] = written([ruleReading(1, 3, 305)])

  test.each([
    [{ ...aRide, km: -1 }, /km/],
    [{ ...aRide, km: '20' }, /km/],
    [{ ...aRide, at: 'yesterday' }, /at is not a date/],
    [{ ...aRide, condition: 'lava' }, /condition/],
    [{ ...aRide, extra: 1 }, /extra/],
    [{ ...bike, name: '' }, /name/],
    [{ ...reading, reading: { instrument: 'rule', pitches: 0, lengthMm: 3 } }, /reading cannot be/],
    [{ ...reading, reading: { instrument: 'spoon' } }, /reading cannot be/],
    [{ id: 'x', at: noon(1, 1), kind: 'part', part: 'p', name: 'n', spec: { type: 'wing' } }, /spec/],
    [
      {
        id: 'x',
        at: noon(1, 1),
        kind: 'part',
        part: 'p',
        name: 'n',
        spec: { type: 'ring', teeth: 2, material: 'steel' },
      },
      /teeth/,
    ],
    [{ id: 'x', at: noon(1, 1), kind: 'withdraw', targets: [] }, /targets/],
    [{ id: 'x', at: noon(1, 1), kind: 'plan', bike: 'heron', weeklyKm: -5 }, /weeklyKm/],
    [
      {
        id: 'x',
        at: noon(1, 1),
        kind: 'event',
        event: 'tour',
        bike: 'heron',
        name: 'Tour',
        starts: 'soon',
        days: 9,
        km: 900,
        condition: 'mud',
      },
      /starts is not a date/,
    ],
    [null, /kind is missing/],
    [{ kind: 'constructor' }, /kind/],
  ])('%.60p is turned away', (value, said) => {
    const result = checkEntry(value)
    expect('fault' in result ? result.fault : 'let in').toMatch(said)
  })
})
