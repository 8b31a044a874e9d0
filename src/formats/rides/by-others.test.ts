import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, test } from '@jest/globals'
import { strToU8, zipSync } from 'fflate'
import { rideGears } from '../../core/exposure/ride-gears.ts'
import { doubtfulDay } from './doubtful-day.ts'
import { readRideFile } from './read-ride-file.ts'
import type { RecordedRide } from './recorded-ride.ts'
import { readCsvTrack } from './csv-track.ts'
import { RideFileError } from './ride-file-error.ts'
import { isRide } from './sports.ts'
import { guessMapping, isWhole, ridesOfTable, type TableMapping } from './table-rides.ts'
import { listZip, unpackZip } from './zip.ts'

/** Ride files written by other encoders, or by hand, each with what it should give: see the README beside them. */
const FOLDER = 'cases/rides/by-others'
const NOW = Date.UTC(2026, 10, 26)
const BIKE = {
  motor: 'none' as const,
  massKg: 84,
  circumferenceMm: 2105,
  rings: [40],
  cogs: [11, 13, 15, 17, 19, 21, 24, 28],
}
const open = (name: string) => readRideFile(name, new Uint8Array(readFileSync(join(FOLDER, name))))

async function rides(name: string): Promise<readonly RecordedRide[]> {
  const held = await open(name)
  if (held.form === 'rides') return held.rides
  if (held.isTrack) return readCsvTrack(held.table, 'day-first')
  throw new Error(`${name} is a table of rides`)
}
async function only(name: string): Promise<RecordedRide> {
  const [ride, ...more] = await rides(name)
  if (!ride || more.length > 0) throw new Error(`${name} holds ${more.length + 1} rides`)
  return ride
}
async function table(name: string, more: Partial<TableMapping> = {}) {
  const held = await open(name)
  if (held.form !== 'table' || held.isTrack) throw new Error(`${name} is no table of rides`)
  const { mapping, doubtAt } = guessMapping(held.table)
  const whole = { ...mapping, ...more }
  return { mapping, doubtAt, read: isWhole(whole) ? ridesOfTable(held.table, whole, NOW) : undefined }
}
const kmOf = async (name: string): Promise<number[]> =>
  ((await table(name)).read?.rides ?? []).map(({ km }) => Math.round(1000 * km) / 1000)
async function fault(name: string): Promise<string> {
  try {
    await open(name)
  } catch (error) {
    if (error instanceof RideFileError) return error.message
    throw error
  }
  throw new Error(`${name} was read`)
}

const energy = async (name: string) => rideGears((await only(name)).samples, BIKE)

describe('energy and gears', () => {
  test.each([
    ['01a-cadence-every-3s.gpx', '01b-same-ride-every-1s.gpx'],
    ['01c-cadence-every-2s.gpx', '01b-same-ride-every-1s.gpx'],
    ['01e-power-every-10s.gpx', '01f-same-power-every-1s.gpx'],
  ])('of %s are those of %s', async (thin, whole) => {
    const [a, b] = [await energy(thin), await energy(whole)]
    expect(Math.abs((a.energyKjPerKm ?? NaN) / (b.energyKjPerKm ?? NaN) - 1)).toBeLessThan(0.05)
    expect(Object.keys(a.gears ?? {})).toEqual(Object.keys(b.gears ?? {}))
  })

  test('of records that a device split over two messages are put together', async () => {
    const ride = await only('01g-split-records.fit')
    expect(ride.points).toBe(300)
    const { energyKjPerKm, from } = rideGears(ride.samples, BIKE)
    expect(from).toBe('power')
    // 168.9 W in the mean over 7.08 m/s.
    expect(energyKjPerKm).toBeCloseTo(23.86, 1)
  })

  test('are unknown, not nothing, where cadence and power are all 0', async () => {
    expect(await energy('01d-zero-cad-and-power.gpx')).toEqual({})
  })
})

describe('tables', () => {
  test('with two rides on a day hold two rides', async () => {
    expect(await kmOf('02a-two-rides-a-day-with-durations.csv')).toEqual([8, 30])
    expect(await kmOf('02b-there-and-back-without-durations.csv')).toEqual([8, 8])
  })

  test('tell minutes and seconds from hours', async () => {
    const seconds = async (name: string) => (await table(name)).read?.rides.map((ride) => ride.movingSeconds)
    expect(await seconds('02c-minutes-seconds.csv')).toEqual([2710, 3900])
    expect(await seconds('07f-minutes-column.csv')).toEqual([2400])
  })

  test('of points are rides, with Date and Time columns, days first, or distances in miles', async () => {
    for (const name of [
      '03a-date-and-time-columns.csv',
      '03b-dotted-day-first.csv',
      '03d-distance-in-miles.csv',
    ]) {
      const ride = await only(name)
      expect([name, ride.points, ride.km.toFixed(3)]).toEqual([name, 60, '0.354'])
      expect(new Date(ride.startedAt).getMonth()).toBe(2)
    }
    expect((await only('03d-distance-in-miles.csv')).deviceKm).toBeCloseTo(0.354, 2)
    // 09/03 could be either: somebody is asked.
    expect(await open('03c-slashed-day-first.csv')).toMatchObject({ form: 'table', isTrack: true })
    expect((await only('03c-slashed-day-first.csv')).km).toBeCloseTo(0.354, 3)
  })

  test('of rides may say where each began', async () => {
    const held = await kmOf('03e-table-of-rides-with-place.csv')
    expect(held.reduce((a, b) => a + b, 0)).toBe(32.5)
  })

  test('with month names, separator lines, titles and speeds are understood', async () => {
    expect(await kmOf('07a-month-names.csv')).toEqual([12.5, 8])
    expect(await kmOf('07b-sep-line.csv')).toEqual([12.5])
    expect(await kmOf('07c-title-line.csv')).toEqual([12.5])
    expect(await kmOf('07g-kmh-first.csv')).toEqual([12.3])
  })

  test('with years that cannot be name the row and take none of it', async () => {
    const { read } = await table('07h-far-dates.csv')
    expect(read?.rides).toEqual([])
    expect(read?.faults.map(({ line }) => line)).toEqual([2, 3])
  })

  test('whose decimals could be read in two ways show the row where it matters', async () => {
    const three = await table('07d-three-decimals.csv')
    expect(three).toMatchObject({ mapping: { decimals: 'comma' }, doubtAt: 1 })
    expect(three.read?.rides.map(({ km }) => km)).toEqual([0.85, 1.25])
    const mixed = await table('07e-mixed-decimals.csv')
    expect(mixed).toMatchObject({ mapping: { decimals: 'each' }, doubtAt: 1 })
    expect(mixed.read?.rides.map(({ km }) => km)).toEqual([12.5, 8.25, 9.75])
  })
})

describe('other sports', () => {
  const legs = async (name: string) =>
    (await rides(name)).map(({ sport, startedAt }) => [isRide(sport), sport, startedAt.slice(14, 19)])

  test('are told by every format', async () => {
    expect(await legs('04a-type-running.gpx')).toEqual([[false, 'running', '30:00']])
    expect(await legs('04f-motorcycling.fit')).toEqual([[false, 'motorcycling', '30:00']])
    expect(await legs('04g-driving.fit')).toEqual([[false, 'driving', '30:00']])
    expect(await legs('04h-inline-skating.fit')).toEqual([[false, 'inline_skating', '30:00']])
  })

  test('leave the ride legs of a file with several, each and only those', async () => {
    expect(await legs('04b-bike-then-run.tcx')).toEqual([
      [true, 'biking', '30:00'],
      [false, 'running', '30:30'],
    ])
    expect(await legs('04c-run-then-bike.tcx')).toEqual([
      [false, 'running', '30:00'],
      [true, 'biking', '30:30'],
    ])
    expect(await legs('04d-bike-then-run.fit')).toEqual([
      [true, 'cycling', '30:00'],
      [false, 'running', '32:30'],
    ])
    expect(await legs('04e-triathlon.fit')).toEqual([
      [false, 'swimming', '30:00'],
      [true, 'cycling', '31:40'],
      [false, 'running', '33:20'],
    ])
  })

  test('by name: what is cycling, what is not, and what nobody said', () => {
    for (const sport of [
      'Biking',
      'cycling',
      'e_biking',
      'Ride',
      'VirtualRide',
      'Gravel Ride',
      'mountain biking',
      '',
      'generic',
      undefined,
      '1',
    ])
      expect([sport, isRide(sport)]).toEqual([sport, true])
    for (const sport of [
      'running',
      'Motorcycling',
      'driving',
      'horseback_riding',
      'Other',
      'walking',
      'my morning thing',
    ])
      expect([sport, isRide(sport)]).toEqual([sport, false])
  })
})

describe('distances and days', () => {
  test.each([
    '05a-device-distance-all-zero.tcx',
    '05b-one-zero.tcx',
    '05c-one-spike.tcx',
    '05e-step-distances.gpx',
  ])('%s: a device’s distance that cannot be is set aside', async (name) => {
    const ride = await only(name)
    expect(ride.deviceKm).toBeUndefined()
    expect(ride.deviceFault).toBeDefined()
    expect(ride.km).toBeCloseTo(0.354, 3)
  })

  test('that no number holds are left out', async () => {
    expect(await only('05d-distance-1e305.tcx')).toMatchObject({ deviceFault: 'impossible' })
    const huge = await only('08h-huge-csv-distance.csv')
    expect(huge.deviceFault).toBe('impossible')
    expect(huge.km).toBeCloseTo(0.167, 3)
  })

  test('an extension’s time is not the point’s', async () => {
    expect((await only('05f-extension-time.gpx')).startedAt).toBe('2026-03-09T07:30:00.000Z')
  })

  test('a course is no ride; both rides of a chained file are read', async () => {
    expect(await fault('06a-course.fit')).toMatch(/planned course/)
    expect((await rides('06b-chained.fit')).map(({ startedAt }) => startedAt.slice(11, 19))).toEqual([
      '07:30:00',
      '07:32:30',
    ])
  })

  test('tracks days apart are rides under their own days', async () => {
    const days = (await rides('08c-two-days.gpx')).map(({ startedAt }) => startedAt.slice(0, 10))
    expect(new Set(days).size).toBe(2)
    expect((await only('08d-ride-between.gpx')).startedAt.slice(0, 10)).toBe('2026-03-12')
  })

  test('years that cannot be are asked about', async () => {
    const doubt = async (name: string) => doubtfulDay((await only(name)).startedAt, NOW)
    expect(await doubt('08f-year-2099.gpx')).toEqual({ why: 'future' })
    expect(await doubt('08j-week-rollover.gpx')).toMatchObject({
      why: 'lost-count',
      likely: '2026-03-09T07:30:00.000Z',
    })
  })
})

describe('points', () => {
  test('one bad one is left out and counted, not the whole file', async () => {
    const ride = await only('08a-one-NaN-point.gpx')
    expect([ride.points, ride.leftOut.bad]).toEqual([59, 1])
    expect(ride.km).toBeCloseTo(0.354, 3)
  })

  test('recorded twice count once', async () => {
    const ride = await only('08g-points-twice.gpx')
    expect([ride.points, ride.leftOut.twice]).toEqual([30, 30])
    expect(ride.km).toBeCloseTo(0.174, 3)
  })

  test('with powers that no rider has lose those, and it is said', async () => {
    const ride = await only('08i-power-65535.gpx')
    expect(ride.leftOut.wild).toBeGreaterThan(0)
    expect(rideGears(ride.samples, BIKE)).toEqual({})
  })

  test('at second 75 have no time for either reader', async () => {
    const [quick, full] = [await only('08k-second-75.gpx'), await only('08l-second-75-with-comment.gpx')]
    expect(quick).toEqual(full)
    expect(quick.leftOut.bad).toBe(1)
  })

  test('that go back in time are no negative count', async () => {
    const { leftOut, km, movingSeconds } = await only('08m-negative-strays.gpx')
    expect(
      Math.min(leftOut.stray, leftOut.bad, leftOut.twice, leftOut.wild, km, movingSeconds),
    ).toBeGreaterThanOrEqual(0)
  })

  test('that cannot be placed are named by line and cause', async () => {
    expect(await fault('08b-no-trkseg.gpx')).toMatch(/point on line 2 is in no track segment/)
    expect(await fault('08e-ampersand.gpx')).toMatch(/On line 1 there is an “&” by itself/)
    expect(await fault('09g-dev-field-of-unknown-type.fit')).toMatch(/developer field.*GPX or TCX/)
  })
})

describe('archives', () => {
  const bytesOf = (name: string) => new Uint8Array(readFileSync(join(FOLDER, name)))
  const unpacked = (name: string) => {
    const bytes = bytesOf(name)
    const files = listZip(bytes)
    return [
      ...unpackZip(
        bytes,
        files.map(({ place }) => place),
      ),
    ].map((one) => one.unpacked)
  }

  test('not packed though named so, cut, empty, and of two parts', async () => {
    expect((await only('09a-plain-named-gz.gpx.gz')).points).toBe(60)
    expect(await fault('09b-cut.gpx.gz')).toMatch(/cut short or damaged/)
    expect(await fault('09c-empty.gpx.gz')).toMatch(/empty/)
    expect((await only('09d-two-members.gpx.gz')).points).toBe(60)
  })

  test('with a password say so', () => {
    expect(() => listZip(bytesOf('09e-password.zip'))).toThrow(/locked with a password/)
    // Stored as it is, and locked: bit 0 of the flags, in the file's own head and in the list.
    const stored = zipSync({ 'a.gpx': strToU8('<gpx/>') }, { level: 0 })
    const view = new DataView(stored.buffer)
    for (const at of [6, view.getUint32(stored.length - 6, true) + 8])
      view.setUint16(at, view.getUint16(at, true) | 1, true)
    expect(() => listZip(stored)).toThrow(/locked with a password/)
  })

  test('whose check sum does not fit say so; two files of one name are both read', () => {
    expect(unpacked('09h-crc-wrong.zip')).toMatchObject([
      { fault: expect.stringMatching(/check sum/) as unknown },
    ])
    const both = unpacked('09i-duplicate-names.zip')
    expect(both).toHaveLength(3)
    expect(both.every((one) => 'bytes' in one)).toBe(true)
  })

  test('with a damaged count are listed for as long as the list goes on', () => {
    expect(unpacked('09l-count-damaged.zip')).toHaveLength(2)
  })
})

test('every file of the folder was looked at here', () => {
  const source = readFileSync('src/formats/rides/by-others.test.ts', 'utf8')
  const names = readdirSync(FOLDER).filter((name) => name !== 'README.md')
  expect(names.filter((name) => !source.includes(name))).toEqual([])
})
