import { describe, expect, test } from '@jest/globals'
import { commuter, noon, ride, written } from '../../../test/log.ts'
import type { BikeEntry } from '../../core/log/kinds/bike.ts'
import type { ReadRide, RideFile } from '../../workers/read-rides.ts'
import { liveRides, offeredRows, remarkList, sortBatch, withSaid } from './batch.ts'
import { draftsSaid, questionsOf } from './questions.ts'

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
    placed: 1,
    leftOut: { stray: 0, bad: 0, twice: 0, wild: 0 },
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
      told: { energyKjPerKm: 2400, from: 'power' },
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
      expect(sorted.known[0]?.fault).toMatch(/^The same ride as bars\.fit, which has/)
      expect(sorted.fresh[0]).toMatchObject({ km: 12.2, trackKm: 12, elapsedSeconds: 2400 })
    }
  })

  test('that has the day and distance of a ride by hand is asked about; the same, it takes its place and keeps what was said', () => {
    const sorted = sort(
      file('third.gpx', 'D', { km: 5.1, startedAt: noon(1, 3), endedAt: noon(1, 3).replace('12:', '13:') }),
    )
    expect(sorted.fresh).toEqual([])
    const [question] = questionsOf(sorted.open)
    expect(question).toMatchObject({ kind: 'same-day', choices: ['one', 'take'], usual: 'one' })
    const [open] = sorted.open
    if (!open) throw new Error('nothing open')
    expect(draftsSaid(open, 'one')[0]).toMatchObject({ supersedes: log[1]?.id, condition: 'mud', km: 5.1 })
    expect(draftsSaid(open, 'take')[0]).not.toHaveProperty('supersedes')
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

  test('rows of a table are known again; two of a day are two rides, and two alike are asked about', () => {
    const row = { at: noon(2, 2), hasTime: false, km: 8, line: 2, twin: 0 }
    const rows = offeredRows(
      'heron',
      [row, { ...row, line: 3, km: 30, movingSeconds: 5100 }, { ...row, line: 4, twin: 1 }],
      'rides.csv',
    )
    const once = sortBatch('heron', [], rows, log)
    expect(once.fresh.map(({ km }) => km)).toEqual([8, 30])
    const [question] = questionsOf(once.open)
    expect(question).toMatchObject({ kind: 'twin', usual: 'take' })
    const both = [...once.fresh, ...once.open.flatMap((open) => draftsSaid(open, 'take'))]
    const held = [...log, ...liveRides(written(both))]
    const again = sortBatch('heron', [], rows, held)
    expect([again.fresh, again.open, again.known.length]).toEqual([[], [], 3])
  })

  test('of other sports, or of days that cannot be, is asked about, all of a kind in one go', () => {
    const runs = Array.from({ length: 9 }, (_, i) => file(`run-${i}.gpx`, `R${i}`, { sport: 'running' }))
    const sorted = sort(
      ...runs,
      { ...file('old.gpx', 'O'), doubt: { why: 'lost-count', likely: noon(3, 9) } } as RideFile,
      { ...file('far.gpx', 'F'), doubt: { why: 'future' } } as RideFile,
      file('ride.gpx', 'S', { sport: 'e_biking' }),
    )
    expect(sorted.fresh.map(({ source }) => source?.file)).toEqual(['ride.gpx'])
    const questions = questionsOf(sorted.open)
    expect(questions.map(({ kind, open, choices, usual }) => [kind, open.length, choices, usual])).toEqual([
      ['sport', 9, ['leave', 'take'], 'leave'],
      ['day', 1, ['leave', 'likely-day', 'take'], 'leave'],
      ['day', 1, ['leave'], 'leave'],
    ])
    const [run] = sorted.open
    const old = sorted.open[9]
    if (!run || !old) throw new Error('nothing open')
    expect(draftsSaid(run, 'leave')).toEqual([])
    expect(draftsSaid(run, 'take')[0]?.receipt).toMatchObject({ sport: 'running' })
    expect(draftsSaid(old, 'likely-day')[0]).toMatchObject({
      at: noon(3, 9),
      receipt: { writtenAt: noon(3, 1) },
    })
  })

  test('whose first import told no energy is mended by the next one of the same file', () => {
    const [old] = liveRides(
      written([
        ...commuter,
        ride(3, 1, 12, { source: { file: 'a.gpx', fingerprint: 'A' }, energyKjPerKm: 0, condition: 'mud' }),
      ]),
    )
    if (!old) throw new Error('no ride')
    const told = { energyKjPerKm: 22, from: 'power' as const }
    const sorted = sortBatch('heron', [file('a.gpx', 'A', { told })], [], [old])
    expect(sorted.fresh[0]).toMatchObject({ supersedes: old.id, energyKjPerKm: 22, condition: 'mud' })
    const mended = liveRides(written(sorted.fresh))
    expect(sortBatch('heron', [file('a.gpx', 'A', { told })], [], mended).known).toHaveLength(1)
  })

  test('what did not go in can be saved, and is no formula', () => {
    expect(remarkList([{ file: '=1+1.gpx', fault: 'It said "no".' }])).toBe(
      'file,why\r\n\'=1+1.gpx,"It said ""no""."\r\n',
    )
  })
})
