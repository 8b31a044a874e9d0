import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { gzipSync, strToU8, zipSync } from 'fflate'
import { FitBaseType, FitEncoder } from 'fit-file-parser'
import { readGpx as readGpxBytes } from './gpx.ts'
import { readRideFile } from './read-ride-file.ts'
import type { RecordedRide } from './recorded-ride.ts'
import { RideFileError } from './ride-file-error.ts'
import { readTable } from './ride-table.ts'
import { dateOrderOf, decimalsOf, tableDuration, tableMoment, tableNumber } from './table-cells.ts'
import { admitRides } from '../../core/exposure/admit-rides.ts'
import { doubtfulDay } from './doubtful-day.ts'
import { guessMapping, isWhole, ridesOfTable, type TableMapping } from './table-rides.ts'
import { readTcx as readTcxBytes } from './tcx.ts'
import { listZip, unpackZip } from './zip.ts'
import { readXml } from './xml-events.ts'
import type { OpenTag } from './xml-handler.ts'
import { numberIn, timeReader, type HeldValue } from './held-bytes.ts'

const only = ([ride, ...more]: readonly RecordedRide[]): RecordedRide => {
  if (!ride || more.length > 0) throw new Error('not one ride')
  return ride
}
const readGpx = (text: string) => only(readGpxBytes(strToU8(text)))
const readTcx = (text: string) => only(readTcxBytes(strToU8(text)))
const START = Date.UTC(2026, 2, 9, 7, 30)
/** Long after every ride here. */
const NOW = Date.UTC(2026, 11, 1)
const isoAt = (second: number): string => new Date(START + second * 1000).toISOString()

const tcx = (points: string, extra = ''): string =>
  `<?xml version="1.0" encoding="UTF-8"?><TrainingCenterDatabase><Activities><Activity Sport="Biking"><Lap StartTime="${isoAt(0)}">${extra}<Track>${points}</Track></Lap></Activity></Activities></TrainingCenterDatabase>`
const tcxPoint = (second: number, inside = ''): string =>
  `<Trackpoint><Time>${isoAt(second)}</Time><Position><LatitudeDegrees>${44 + second * 5e-5}</LatitudeDegrees><LongitudeDegrees>-29</LongitudeDegrees></Position><AltitudeMeters>3</AltitudeMeters><DistanceMeters>${second * 5.5}</DistanceMeters>${inside}</Trackpoint>`

async function fault(name: string, bytes: Uint8Array | string): Promise<string> {
  try {
    await readRideFile(name, typeof bytes === 'string' ? strToU8(bytes) : bytes)
  } catch (error) {
    if (error instanceof RideFileError) return error.message
    throw error
  }
  throw new Error('the file was read')
}

describe('a TCX file', () => {
  test('is known by its local names, with the device’s distance beside the track’s', () => {
    const points = Array.from({ length: 101 }, (_, i) =>
      tcxPoint(
        i,
        '<Cadence>80</Cadence><Extensions><ns3:TPX><ns3:Watts>150</ns3:Watts></ns3:TPX></Extensions>',
      ),
    ).join('')
    const ride = readTcx(tcx(points).replaceAll('<ns3:TPX>', '<ns3:TPX xmlns:ns3="made-up">'))
    expect(ride).toMatchObject({
      points: 101,
      hasCadence: true,
      hasPower: true,
      sport: 'biking',
      movingSeconds: 100,
    })
    expect(ride.deviceKm).toBeCloseTo(0.55, 9)
    expect(ride.km).toBeCloseTo(0.556, 3)
    expect(ride.samples[50]).toMatchObject({ cadenceRpm: 80, powerW: 150 })
    expect(ride.samples[50]?.speedMs).toBeCloseTo(5.5, 6)
  })

  test('without positions counts by the device’s own distance', () => {
    const ride = readTcx(
      tcx(
        Array.from(
          { length: 61 },
          (_, i) =>
            `<Trackpoint><Time>${isoAt(i)}</Time><DistanceMeters>${i * 8}</DistanceMeters></Trackpoint>`,
        ).join(''),
      ),
    )
    expect(ride.km).toBeCloseTo(0.48, 9)
    expect(ride.movingSeconds).toBe(60)
  })

  test('takes its laps’ distance where its points have none', () => {
    const bare = tcxPoint(0).replace(/<DistanceMeters>.*?<\/DistanceMeters>/, '')
    const ride = readTcx(tcx(bare + bare.replace(isoAt(0), isoAt(9)), '<DistanceMeters>120</DistanceMeters>'))
    expect(ride.deviceKm).toBeCloseTo(0.12, 9)
  })

  test.each([
    ['', /empty/],
    ['hello', /does not begin like one/],
    ['<gpx></gpx>', /built like one/],
    ['<TrainingCenterDatabase><Courses><Course/></Courses></TrainingCenterDatabase>', /planned course/],
    [tcx(''), /no points/],
    [tcx(tcxPoint(0)).slice(0, -80), /cut short/],
    [tcx(tcxPoint(0).replace('</Time>', '</Tome>')), /damaged on line 1/],
  ])('that is none says so: %.40p', async (text, said) => {
    expect(await fault('a.tcx', text)).toMatch(said)
  })
})

describe('a FIT file', () => {
  const field = (number: number, size: number, baseType: FitBaseType, value: number) => ({
    number,
    size,
    baseType,
    value,
  })
  const semicircles = (degrees: number): number => Math.round((degrees * 2 ** 31) / 180)
  const encoded = (): Uint8Array => {
    const encoder = new FitEncoder()
    encoder.writeMessage(0, [field(0, 1, FitBaseType.Enum, 4)])
    for (let second = 0; second <= 120; second++)
      encoder.writeMessage(20, [
        field(253, 4, FitBaseType.Uint32, FitEncoder.toFitTimestamp(new Date(START + second * 1000))),
        field(0, 4, FitBaseType.Sint32, semicircles(44 + second * 5e-5)),
        field(1, 4, FitBaseType.Sint32, semicircles(-29)),
        field(5, 4, FitBaseType.Uint32, Math.round(second * 5.5 * 100)),
        field(4, 1, FitBaseType.Uint8, 80),
        field(7, 2, FitBaseType.Uint16, 160),
      ])
    return encoder.close()
  }

  test('is read with distance, cadence and power', async () => {
    const held = await readRideFile('a.fit', encoded())
    if (held.form !== 'rides') throw new Error('no ride')
    const ride = only(held.rides)
    expect(ride).toMatchObject({ points: 121, hasCadence: true, hasPower: true, movingSeconds: 120 })
    expect(ride.startedAt).toBe(isoAt(0))
    expect(ride.deviceKm).toBeCloseTo(0.66, 6)
    expect(ride.km).toBeCloseTo(0.667, 3)
  })

  test('cut short, damaged or of another kind says so', async () => {
    const bytes = encoded()
    expect(await fault('a.fit', bytes.slice(0, 400))).toMatch(/cut short or damaged/)
    expect(
      await fault(
        'a.fit',
        bytes.map((byte, i) => (i === 300 ? byte ^ 255 : byte)),
      ),
    ).toMatch(/check sum/)
    expect(await fault('a.fit', 'a letter to the workshop')).toMatch(/not a FIT file/)
    expect(await fault('a.fit', new Uint8Array())).toMatch(/empty/)
  })
})

describe('a GPX file, again', () => {
  const gpx = (points: string): string => `<gpx version="1.1"><trk><trkseg>${points}</trkseg></trk></gpx>`
  const at = (lat: number, second: number, inside = ''): string =>
    `<trkpt lat="${lat}" lon="10"><time>${isoAt(second)}</time>${inside}</trkpt>`

  test('whose first fix was on another continent is taken up from where the ride is', () => {
    const ride = Array.from({ length: 60 }, (_, i) => at(44 + i * 5e-5, 10 + i)).join('')
    const whole = readGpx(gpx(ride))
    const wild = readGpx(gpx(at(-33, 0) + ride))
    expect(wild.km).toBeCloseTo(whole.km, 6)
    expect(wild.dropped).toBe(1)
  })

  test('with two points in two continents is no distance', () => {
    expect(readGpx(gpx(at(44, 0) + at(-33, 5))).km).toBe(0)
  })

  test('with a clock that was not set, or lost count of the weeks, has a doubtful day', () => {
    const now = Date.UTC(2026, 2, 20)
    expect(doubtfulDay('1970-01-01T07:30:00.000Z', now)).toEqual({ why: 'clock-not-set' })
    expect(doubtfulDay('2099-03-09T07:30:00.000Z', now)).toEqual({ why: 'future' })
    // 1024 weeks before 9 March 2026, by the calendar.
    expect(doubtfulDay('2006-07-24T07:30:00.000Z', now)).toEqual({
      why: 'lost-count',
      likely: '2026-03-09T07:30:00.000Z',
    })
    expect(doubtfulDay('2009-07-24T07:30:00.000Z', now)).toBeUndefined()
    expect(doubtfulDay('2026-03-20T20:00:00.000Z', now)).toBeUndefined()
  })

  test('leaves out a cadence or power below nothing', () => {
    const ride = readGpx(gpx(at(44, 0, '<cad>-5</cad><power>-9</power>') + at(44.001, 30)))
    expect([ride.hasCadence, ride.hasPower]).toEqual([false, false])
  })

  test('is read the same the quick way and by the full parser', () => {
    const text = readFileSync('cases/rides/quay-loop.gpx', 'utf8')
    // A comment sends it to the full parser.
    expect(readGpx(text.replace('<trk>', '<!-- a remark --><trk>'))).toEqual(readGpx(text))
  })

  test('of any shape gives the same events either way', () => {
    const name = fc.constantFrom('a', 'b:c', 'Trk', 'x-1')
    const { tree } = fc.letrec<{ tree: string; leaf: string }>((tie) => ({
      leaf: fc
        .tuple(name, fc.stringMatching(/^[a-z0-9 .]{0,9}$/))
        .map(([n, text]) => `<${n} k="${text}">${text}</${n}>`),
      tree: fc.oneof(
        { depthSize: 'small' },
        tie('leaf'),
        fc
          .tuple(name, fc.array(tie('tree'), { maxLength: 3 }))
          .map(([n, inside]) => `<${n} >${inside.join('\n')}<e/></${n}>`),
      ),
    }))
    const heard = (text: string): string[] =>
      readXml(strToU8(text), () => {
        const events: string[] = []
        return {
          events,
          open: (tag: string, at: OpenTag) => void events.push(`+${tag} ${at.attribute('k') ?? ''}`),
          close: (tag: string, held: HeldValue, parent: string) =>
            void events.push(`-${tag} ${held.text()} ${held.number()} in ${parent}`),
        }
      }).events
    fc.assert(
      fc.property(tree, (text) => {
        const xml = `<root xmlns:b="b">${text}</root>`
        expect(heard(xml)).toEqual(heard(xml.replace('<root', '<!-- x --><root')))
      }),
    )
  })

  test('times are read as the clock reads them', () => {
    const read = timeReader()
    const secondsOf = (text: string): number => {
      const bytes = strToU8(`  ${text}  `)
      return read(bytes, 2, bytes.length - 2)
    }
    fc.assert(
      fc.property(
        fc.date({ min: new Date('1990-01-01'), max: new Date('2090-01-01'), noInvalidDate: true }),
        (date) => {
          const iso = date.toISOString()
          expect(secondsOf(iso)).toBeCloseTo(Date.parse(iso) / 1000, 6)
          expect(secondsOf(iso.replace(/\.\d+Z/, 'Z'))).toBe(Math.floor(Date.parse(iso) / 1000))
          expect(secondsOf(iso.replace('Z', '+02:00'))).toBe(Date.parse(iso.replace('Z', '+02:00')) / 1000)
        },
      ),
    )
    for (const none of [
      'yesterday',
      '',
      '2026-03-09T1x:00:00Z',
      '2026-03-09T25:00:00Z',
      '2026-03-39T05:00:00Z',
    ])
      expect(secondsOf(none)).toBeNaN()
  })

  test('figures are read as the language reads them, to the last bit', () => {
    const read = (text: string): number => numberIn(strToU8(`>${text}<`), 1, text.length + 1)
    fc.assert(
      fc.property(fc.double({ noNaN: true, noDefaultInfinity: true }), (value) => {
        expect(read(String(value))).toBe(value === 0 ? Number(String(value)) : value)
      }),
    )
    fc.assert(
      fc.property(
        fc.integer({ min: -180e7, max: 180e7 }),
        fc.integer({ min: 0, max: 9 }),
        (figures, places) => {
          const text = (figures / 10 ** places).toFixed(places)
          expect(read(text)).toBe(Number(text))
        },
      ),
    )
    for (const none of ['', '-', '.', 'far', '1.2.3', '--1']) expect(read(none)).toBeNaN()
  })
})

describe('a table of rides', () => {
  const mapped = (text: string, more: Partial<TableMapping> = {}) => {
    const table = readTable(text)
    const mapping = { ...guessMapping(table).mapping, ...more }
    if (!isWhole(mapping)) throw new Error(`not whole: ${JSON.stringify(mapping)}`)
    return ridesOfTable(table, mapping, NOW)
  }

  test('with commas and points is read', () => {
    const { rides } = mapped(
      'Date,Distance (km),Moving time\n2026-03-09T07:30:00Z,12.5,0:41:10\n2026-03-11,8,1800',
    )
    expect(rides[0]).toMatchObject({
      at: '2026-03-09T07:30:00.000Z',
      hasTime: true,
      km: 12.5,
      movingSeconds: 2470,
    })
    expect(rides[1]).toMatchObject({ km: 8, hasTime: false, movingSeconds: 1800 })
  })

  test('with semicolons, decimal commas, days first and another encoding is read', async () => {
    const text = 'Datum;Strecke (km);Länge\n13.3.2026;1.012,5;a\n9.3.2026;8,25;b'
    const bytes = Uint8Array.from(text, (letter) => letter.charCodeAt(0))
    const held = await readRideFile('rides.csv', bytes)
    if (held.form !== 'table') throw new Error('no table')
    expect(held.table.heads[2]).toBe('Länge')
    const { rides } = mapped(text)
    expect(rides.map(({ km }) => km)).toEqual([1012.5, 8.25])
    expect(new Date(rides[1]?.at ?? '').getMonth()).toBe(2)
  })

  test('in UTF-16 from a spreadsheet is read', async () => {
    const text = '\ufeffdate\tkm\n2026-03-09\t12\n'
    const bytes = new Uint8Array(
      [...text].flatMap((letter) => [letter.charCodeAt(0) & 255, letter.charCodeAt(0) >> 8]),
    )
    const held = await readRideFile('rides.csv', bytes)
    expect(held).toMatchObject({
      form: 'table',
      table: { heads: ['date', 'km'], rows: [['2026-03-09', '12']] },
    })
  })

  test('in miles or metres comes out in km', () => {
    expect(mapped('day,miles\n2026-03-09,10').rides[0]?.km).toBeCloseTo(16.09344, 6)
    expect(mapped('day,Distance [m]\n2026-03-09,12500').rides[0]?.km).toBe(12.5)
  })

  test('whose days and months cannot be told apart waits to be told', () => {
    const table = readTable('date,distance\n03/04/2026,12\n05/06/2026,9')
    const guess = guessMapping(table).mapping
    expect([guess.dates, guess.unit]).toEqual([undefined, undefined])
    expect(isWhole(guess)).toBe(false)
    const { rides } = ridesOfTable(table, { ...guess, unit: 'km', dates: 'month-first' } as TableMapping, NOW)
    expect(new Date(rides[0]?.at ?? '').getMonth()).toBe(2)
  })

  test('names its bad rows by line, and the good ones go in', () => {
    const { rides, faults } = mapped(
      'date,km\n2026-03-09,12\nsoon,9\n2026-02-31,4\n2026-03-10,far\n2026-03-11,-2\n2026-03-12,9000',
    )
    expect(rides).toHaveLength(1)
    expect(faults.map(({ line }) => line)).toEqual([3, 4, 5, 6, 7])
    expect(faults.at(-1)?.fault).toMatch(/9000 km in one ride: is the unit right/)
  })

  test('of points is a recorded ride', async () => {
    const rows = Array.from(
      { length: 40 },
      (_, i) => `${isoAt(i)},${44 + i * 5e-5},-29,${70 + (i % 3)}`,
    ).join('\n')
    const held = await readRideFile('track.csv', strToU8(`time,lat,lon,cadence\n${rows}`))
    if (held.form !== 'rides') throw new Error('no ride')
    const ride = only(held.rides)
    expect(ride).toMatchObject({ points: 40, hasCadence: true, hasPower: false })
    expect(ride.km).toBeCloseTo(0.2168, 3)
  })

  test.each([
    ['', /empty/],
    ['just words', /No columns/],
    ['date,km', /nothing under/],
  ])('that is none says so: %p', async (text, said) => {
    expect(await fault('a.csv', text)).toMatch(said)
  })

  test('marks and orders are told from whole columns', () => {
    expect(decimalsOf(['1,250', '2,500'])).toEqual({ mark: 'comma', doubtAt: 0 })
    expect(decimalsOf(['1.250', '2'])).toEqual({ mark: 'point', doubtAt: 0 })
    expect(decimalsOf(['1,25', '2,500'])).toEqual({ mark: 'comma' })
    expect(decimalsOf(['1.012,5', '8'])).toEqual({ mark: 'comma' })
    expect(decimalsOf(['12,5', '8.25'])).toEqual({ mark: 'each', doubtAt: 1 })
    expect(['12,5', '8.25', '1.012,5'].map((cell) => tableNumber(cell, 'each'))).toEqual([12.5, 8.25, 1012.5])
    expect(tableNumber('1 234,5 km', 'comma')).toBe(1234.5)
    expect(tableNumber('far', 'point')).toBeUndefined()
    expect(dateOrderOf(['3/4/26', '3/14/26'])).toBe('month-first')
    const evening = new Date(2026, 2, 14, 18, 5).toISOString()
    expect(tableMoment('14.03.26 18:05', 'day-first')).toEqual({ at: evening, hasTime: true })
    expect(tableMoment('3/14/2026, 6:05 pm', 'month-first')?.at).toBe(evening)
    expect(tableMoment('14.03.2026', 'day-first', '18:05')?.at).toBe(evening)
    expect(tableMoment('14.03.2026', 'day-first')).toMatchObject({ hasTime: false })
    for (const written of [
      'Mar 14, 2026, 6:05:00 PM',
      'Sat, 14 March 2026 18:05',
      '14-Mar-2026 18:05',
      '14. März 2026 18:05',
      '14 de marzo de 2026 18:05',
      '14 mars 2026 18:05',
    ])
      expect([written, tableMoment(written, 'iso')?.at]).toEqual([written, evening])
    expect(tableMoment('Smarch 14, 2026', 'iso')).toBeUndefined()
    expect(tableMoment('14.03.2026 25:05', 'day-first')).toBeUndefined()
    expect(tableMoment('1773513900', 'iso')?.at).toBe('2026-03-14T18:45:00.000Z')
    expect(tableDuration('1:02:03', 'point', 'h:m')).toBe(3723)
    expect(tableDuration('45:10', 'point', 'm:s')).toBe(2710)
    expect(tableDuration('45,5', 'comma', 'minutes')).toBe(2730)
    expect(tableDuration('a:b', 'point', 'h:m')).toBeUndefined()
  })

  test('whose durations could be two things says by their speeds which, or waits to be told', () => {
    const durations = (text: string) => guessMapping(readTable(text)).mapping.durations
    expect(durations('date,km,duration\n2026-03-01,20,1:05\n2026-03-02,10,0:31')).toBe('h:m')
    expect(durations('date,km,duration\n2026-03-01,10,23:10\n2026-03-02,5,14:31')).toBe('m:s')
    expect(durations('date,km,duration\n2026-03-01,20,55')).toBe('minutes')
    expect(durations('date,km,duration\n2026-03-01,20,3300')).toBe('seconds')
    // An hour and a half, or a minute and a half? Neither is a speed of rides of a kilometre and of sixty.
    expect(durations('date,km,duration\n2026-03-01,1,1:30\n2026-03-02,60,1:30')).toBeUndefined()
  })

  test('with rides of a column called time knows the time of day from how long it took', () => {
    const columns = (text: string) => guessMapping(readTable(text)).mapping
    expect(columns('date,time,km\n2026-03-01,07:30,20\n2026-03-02,17:45,21')).toMatchObject({ clock: 1 })
    expect(columns('date,km,time\n2026-03-01,20,0:55:00\n2026-03-02,21,0:58:10')).toMatchObject({
      duration: 2,
    })
  })

  test('leaves out what was no cycling, and asks', () => {
    const { rides } = mapped('date,type,km\n2026-03-09,Ride,12\n2026-03-10,Run,9\n2026-03-11,,8')
    expect(rides.map(({ otherSport }) => otherSport)).toEqual([undefined, 'Run', undefined])
  })

  test('of thirty thousand rows of one moment is read and sorted in linear time', () => {
    const rows = (n: number) => `date,km\n${'2026-03-09,8\n'.repeat(n)}`
    const { rides } = mapped(rows(28_800))
    expect(rides.at(-1)?.twin).toBe(28_799)
    // Compared each with each it would be four hundred million looks: the test would not come to its end.
    const admitted = admitRides(
      [],
      rides.map((ride, i) => ({
        kind: 'ride' as const,
        bike: 'heron',
        at: ride.at,
        km: ride.km,
        receipt: { distance: 'table' as const },
        source: { file: 'a.csv', fingerprint: String(i) },
      })),
    )
    expect(admitted.every(({ outcome }) => outcome === 'new')).toBe(true)
  })
})

describe('an archive', () => {
  const ride = strToU8('<gpx><trk><trkseg/></trk></gpx>')

  test('is listed without unpacking; litter is passed over, tricks are named by their last part', () => {
    const files = listZip(
      zipSync({
        'rides/monday.gpx': ride,
        '../../etc/passwd.gpx': ride,
        'C:\\rides\\tuesday.gpx': ride,
        '__MACOSX/rides/._monday.gpx': ride,
        'inner.zip': zipSync({ 'a.gpx': ride }),
        'evil\u202exgp.exe': ride,
      }),
    )
    expect(files.map(({ name }) => name)).toEqual([
      'monday.gpx',
      'passwd.gpx',
      'tuesday.gpx',
      'inner.zip',
      'evilxgp.exe',
    ])
    expect(files[3]?.fault).toMatch(/archive within the archive/)
  })

  test('that would swell a thousandfold stays packed', () => {
    const [bomb] = listZip(zipSync({ 'bomb.gpx': new Uint8Array(20_000_000) }))
    expect(bomb?.fault).toMatch(/swell 1.024-fold/)
  })

  test('that lies about its sizes gives no more than it said', () => {
    const bytes = zipSync({ 'a.gpx': new Uint8Array(50_000) })
    const view = new DataView(bytes.buffer)
    // The sizes in the local header and in the list, both set to ten bytes.
    const list = view.getUint32(bytes.length - 6, true)
    view.setUint32(22, 10, true)
    view.setUint32(list + 24, 10, true)
    const [file] = [...unpackZip(bytes, [0])]
    expect(file?.unpacked).toMatchObject({ fault: expect.stringMatching(/check sum/) as unknown })
  })

  test('damaged or empty says so', () => {
    expect(() => listZip(strToU8('no archive'))).toThrow(/cut short or damaged/)
    expect(() => listZip(zipSync({ 'a.gpx': ride }).slice(0, 40))).toThrow(/cut short or damaged/)
    expect(() => listZip(zipSync({}))).toThrow(/nothing in the archive/)
  })

  test('a ride packed by itself is read, and a swollen one is not', async () => {
    const text = readFileSync('cases/rides/quay-loop.gpx')
    const held = await readRideFile('quay.gpx.gz', gzipSync(text))
    expect(held.form === 'rides' && only(held.rides).points).toBe(240)
    expect(await fault('bomb.gpx.gz', gzipSync(new Uint8Array(50_000_000)))).toMatch(/swell/)
    expect(await fault('cut.gpx.gz', gzipSync(text).slice(0, 900))).toMatch(/cut short or damaged/)
    const misnamed = await readRideFile('quay.gpx', gzipSync(text))
    expect(misnamed.form === 'rides' && only(misnamed.rides).points).toBe(240)
    const wrong = gzipSync(text)
    wrong[wrong.length - 8] = (wrong[wrong.length - 8] ?? 0) ^ 1
    expect(await fault('wrong.gpx.gz', wrong)).toMatch(/cut short or damaged/)
    // Two parts behind one another are one file, as the format has it.
    const half = text.length >> 1
    const parts = [gzipSync(text.subarray(0, half)), gzipSync(text.subarray(half))]
    const joined = Uint8Array.from(parts.flatMap((part) => [...part]))
    const again = await readRideFile('parts.gpx.gz', joined)
    expect(again.form === 'rides' && only(again.rides).points).toBe(240)
  })

  test('larger than any ride is not opened', async () => {
    const huge = { length: 300_000_000 } as Uint8Array
    expect(await fault('huge.gpx', huge)).toMatch(/300 MB: larger than any ride/)
    expect(await fault('letter.docx', ride)).toMatch(/GPX, TCX, FIT and CSV/)
  })
})
