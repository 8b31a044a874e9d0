import { describe, expect, test } from '@jest/globals'
import { commuter, noon, ride, written } from '../../../test/log.ts'
import type { BikeEntry } from '../../core/log/entries.ts'
import type { ReadRide, RideFile } from '../../workers/read-rides.ts'
import { draftOfRow, liveRides, remarkList, sortBatch, withSaid } from './batch.ts'

const file = (name: string, print: string, more: Partial<ReadRide> = {}): RideFile => ({
  file: name,
  form: 'ride',
  print,
  ride: {
    km: 12,
    movingSeconds: 2400,
    points: 2400,
    dropped: 0,
    startedAt: noon(3, 1),
    endedAt: noon(3, 1).replace('12:00', '12:40'),
    hasCadence: false,
    hasPower: false,
    ...more,
  },
})
const log = liveRides(
  written([
    ...commuter,
    ride(1, 2, 12, { source: { file: 'first.gpx', fingerprint: 'A' }, elapsedSeconds: 2400, trackKm: 12 }),
    ride(1, 3, 5, { condition: 'mud' }),
  ]),
)
const sort = (...files: RideFile[]) => sortBatch('heron', files, [], log)

describe('a batch of ride files', () => {
  test('is sorted into new, known and broken; the good ones go in', () => {
    const broken: RideFile = { file: 'bad.gpx', form: 'fault', fault: 'The file is cut short.' }
    const sorted = sort(file('again.gpx', 'A'), broken, file('new.gpx', 'B'))
    expect(sorted.fresh.map((one) => one.source?.file)).toEqual(['new.gpx'])
    expect(sorted.known).toEqual([{ file: 'again.gpx', fault: 'The same ride as first.gpx.' }])
    expect(sorted.broken).toEqual([{ file: 'bad.gpx', fault: 'The file is cut short.' }])
  })

  test('leaves out a ride that the log could not read back, with the reason, and takes the rest', () => {
    const stray = file('stray.gpx', 'S', { endedAt: '2038-01-19T03:14:07.000Z' })
    const milliseconds = file('watch.gpx', 'M', {
      startedAt: noon(3, 5),
      endedAt: noon(3, 5),
      movingSeconds: 3_600_000,
    })
    const strong = file('meter.gpx', 'P', {
      startedAt: noon(3, 7),
      endedAt: noon(3, 7).replace('12:00', '12:40'),
      told: { energyKj: 65_535 * 2.4 },
    })
    const sorted = sort(
      stray,
      milliseconds,
      strong,
      file('new.gpx', 'B', { startedAt: noon(3, 9), endedAt: noon(3, 9) }),
    )
    expect(sorted.fresh.map((one) => one.source?.file)).toEqual(['new.gpx'])
    expect(sorted.broken.map(({ file: name, fault }) => [name, fault.split(':')[0]?.split('.')[0]])).toEqual([
      ['stray.gpx', 'From start to end it takes more than 60 days'],
      ['watch.gpx', 'It was in motion for more than 15 days'],
      ['meter.gpx', 'Its power cannot be'],
    ])
  })

  test('holding the same ride twice takes it once, and the richer recording of it', () => {
    const plain = file('watch.gpx', 'B')
    const rich = file('bars.fit', 'C', { hasPower: true, hasCadence: true, deviceKm: 12.2 })
    for (const sorted of [sort(plain, rich), sort(rich, plain)]) {
      expect(sorted.fresh.map((one) => one.source?.file)).toEqual(['bars.fit'])
      expect(sorted.known[0]?.fault).toMatch(/^The same ride as bars\.fit, which tells/)
      expect(sorted.fresh[0]).toMatchObject({ km: 12.2, trackKm: 12, elapsedSeconds: 2400 })
    }
  })

  test('that tells more than a ride by hand takes its place and keeps what was said of it', () => {
    const sorted = sort(
      file('third.gpx', 'D', { km: 5.1, startedAt: noon(1, 3), endedAt: noon(1, 3).replace('12:', '13:') }),
    )
    expect(sorted.richer[0]?.fault).toBe(
      'It tells more than the ride by hand of 2026-01-03 and takes its place.',
    )
    expect(sorted.fresh[0]).toMatchObject({ supersedes: log[1]?.id, condition: 'mud', km: 5.1 })
  })

  test('says nothing of the condition until it is said', () => {
    const bike: BikeEntry = {
      ...(written(commuter)[0] as BikeEntry),
      usualByQuarter: { 'mar-may': 'wet-road' },
    }
    const { fresh } = sort(file('new.gpx', 'B'))
    expect(withSaid(fresh, 'later', bike)[0]).not.toHaveProperty('condition')
    expect(withSaid(fresh, 'usual', bike)[0]?.condition).toBe('wet-road')
    expect(withSaid(fresh, 'mud', bike)[0]?.condition).toBe('mud')
  })

  test('a row of a table is known again', () => {
    const row = draftOfRow('heron', { at: noon(2, 2), km: 9 }, 'rides.csv')
    const once = sortBatch('heron', [], [row], log)
    const held = [...log, ...liveRides(written(once.fresh))]
    expect(sortBatch('heron', [], [row], held).known).toHaveLength(1)
  })

  test('what did not go in can be saved, and is no formula', () => {
    expect(remarkList([{ file: '=1+1.gpx', fault: 'It said "no".' }])).toBe(
      'file,why\r\n"\'=1+1.gpx","It said ""no""."\r\n',
    )
  })
})
