import { readFileSync } from 'node:fs'
import { strToU8, zipSync, gzipSync } from 'fflate'
import { rideGears } from '../src/core/exposure/ride-gears.ts'
import { seededRandom, type Random } from '../src/core/stats/random.ts'
import { readRideFile } from '../src/formats/rides/read-ride-file.ts'
import { readCsvTrack } from '../src/formats/rides/csv-track.ts'
import { RideFileError } from '../src/formats/rides/ride-file-error.ts'
import type { RecordedRide } from '../src/formats/rides/recorded-ride.ts'
import { guessMapping, isWhole, ridesOfTable } from '../src/formats/rides/table-rides.ts'
import { listZip, unpackZip } from '../src/formats/rides/zip.ts'
import { RIDDEN } from './ridden.ts'

const NOW = Date.UTC(2026, 11, 1)
const others = (name: string): Uint8Array => new Uint8Array(readFileSync(`cases/rides/by-others/${name}`))
const quay = (): Uint8Array => new Uint8Array(readFileSync('cases/rides/quay-loop.gpx'))

/** Good files of every format, to be ruined. */
export const GOOD_FILES: Readonly<Record<string, () => Uint8Array>> = {
  'a.gpx': quay,
  'a.tcx': () => others('05c-one-spike.tcx'),
  'a.fit': () => others('04e-triathlon.fit'),
  'rides.csv': () => others('02c-minutes-seconds.csv'),
  'track.csv': () => others('03a-date-and-time-columns.csv'),
  'a.gpx.gz': () => gzipSync(quay()),
  'a.zip': () =>
    zipSync({ 'a.gpx': quay(), 'b.csv': others('07b-sep-line.csv'), 'a.fit': others('06b-chained.fit') }),
}

/** What stands in fields of files that went wrong. */
const ODD = [
  'NaN',
  '-1',
  '1e308',
  '',
  '65535',
  '0',
  'Infinity',
  '1e-320',
  '2099-01-01T00:00:00Z',
  '1.7e+19',
  'x',
  '-0',
  '9'.repeat(40),
  '\u0000',
  '<',
  '&',
  '"',
  ';',
  ',',
  '\n',
  '00:00',
  '99:99:99',
]

const one = <T>(random: Random, values: readonly T[]): T =>
  values[Math.floor(random.unit() * values.length)] as T

/** A file of text with an odd value where a figure stood, a piece gone, or a piece twice. */
export function ruinText(bytes: Uint8Array, random: Random): Uint8Array {
  let text = new TextDecoder('latin1').decode(bytes)
  for (let times = 1 + Math.floor(random.unit() * 4); times > 0; times--) {
    const at = Math.floor(random.unit() * text.length)
    const length = Math.floor(random.unit() ** 3 * 400)
    switch (Math.floor(random.unit() * 4)) {
      case 0: {
        const figure = /-?\d+(\.\d+)?/.exec(text.slice(at))
        if (figure)
          text =
            text.slice(0, at + figure.index) +
            one(random, ODD) +
            text.slice(at + figure.index + figure[0].length)
        break
      }
      case 1:
        text = text.slice(0, at) + text.slice(at + length)
        break
      case 2:
        text = text.slice(0, at + length) + text.slice(at)
        break
      default:
        text = text.slice(0, at) + one(random, ODD) + text.slice(at)
    }
  }
  return strToU8(text, true)
}

/** A file with some bytes changed, gone, or put in; or its end gone. */
export function ruinBytes(bytes: Uint8Array, random: Random): Uint8Array {
  const ruined = [...bytes]
  for (let times = 1 + Math.floor(random.unit() * 6); times > 0; times--) {
    const at = Math.floor(random.unit() * ruined.length)
    switch (Math.floor(random.unit() * 4)) {
      case 0:
        ruined.splice(at, Math.floor(random.unit() * 8))
        break
      case 1:
        ruined.splice(at, 0, ...random.bytes(4))
        break
      default:
        ruined[at] = Math.floor(random.unit() * 256)
    }
  }
  return Uint8Array.from(random.unit() < 0.15 ? ruined.slice(0, random.unit() * ruined.length) : ruined)
}

/** The check sum at the end of a FIT file (FIT protocol, table of sixteen), so that what is ruined inside is looked at. */
function withCheckSum(bytes: Uint8Array): Uint8Array {
  const TABLE = [
    0x0, 0xcc01, 0xd801, 0x1400, 0xf001, 0x3c00, 0x2800, 0xe401, 0xa001, 0x6c00, 0x7800, 0xb401, 0x5000,
    0x9c01, 0x8801, 0x4400,
  ]
  const sum = (from: number, to: number): number => {
    let crc = 0
    for (let i = from; i < to; i++)
      for (const nibble of [(bytes[i] ?? 0) & 15, ((bytes[i] ?? 0) >> 4) & 15])
        crc = ((crc >> 4) & 0xfff) ^ (TABLE[crc & 15] ?? 0) ^ (TABLE[nibble] ?? 0)
    return crc
  }
  const sealed = Uint8Array.from(bytes)
  const crc = sum(0, bytes.length - 2)
  sealed[bytes.length - 2] = crc & 255
  sealed[bytes.length - 1] = crc >> 8
  return sealed
}

/** Ruined copies of a good file, the same for the same seed. */
export function* ruinedFiles(name: string, count: number, seed: number): Generator<Uint8Array> {
  const good = GOOD_FILES[name]?.() ?? new Uint8Array()
  const random = seededRandom(seed)
  const isText = /\.(gpx|tcx|csv)$/.test(name)
  for (let i = 0; i < count; i++) {
    if (isText && random.unit() < 0.85) yield ruinText(good, random)
    else if (name.endsWith('.fit') && random.unit() < 0.7) {
      const ruined = Uint8Array.from(good)
      for (let times = 1 + Math.floor(random.unit() * 8); times > 0; times--)
        ruined[14 + Math.floor(random.unit() * (good.length - 16))] = Math.floor(random.unit() * 256)
      yield withCheckSum(ruined)
    } else yield ruinBytes(good, random)
  }
}

/** No bike goes further in the time, km; two of the device's late steps more. */
const mostKm = ({ startedAt, endedAt }: RecordedRide): number =>
  (35 * (Date.parse(endedAt) - Date.parse(startedAt))) / 1e6 + 0.13

/** What is wrong with a ride as it was read: undefined where nothing is. */
function faultOfRide(ride: RecordedRide): string | undefined {
  const told = rideGears(ride.samples, { motor: 'none', massKg: 84, ...RIDDEN })
  const figures: Record<string, number | undefined> = {
    km: ride.km,
    deviceKm: ride.deviceKm,
    movingSeconds: ride.movingSeconds,
    points: ride.points,
    ...ride.leftOut,
    energyKjPerKm: told.energyKjPerKm,
  }
  for (const [name, value] of Object.entries(figures))
    if (value !== undefined && !(value >= 0 && Number.isFinite(value))) return `${name} is ${value}`
  if (told.energyKjPerKm === 0) return 'an energy of nothing'
  if (Math.max(ride.km, ride.deviceKm ?? 0) > mostKm(ride))
    return `${ride.km} km (${ride.deviceKm}) in the time`
  if (Number.isNaN(Date.parse(ride.startedAt))) return 'no start'
  return undefined
}

async function faultOfContents(name: string, bytes: Uint8Array): Promise<string | undefined> {
  const held = await readRideFile(name, bytes)
  if (held.form === 'rides') return held.rides.map(faultOfRide).find(Boolean)
  if (held.isTrack) return readCsvTrack(held.table, 'day-first').map(faultOfRide).find(Boolean)
  const mapping = {
    unit: 'km',
    dates: 'day-first',
    durations: 'h:m',
    ...guessMapping(held.table).mapping,
  } as const
  if (!isWhole(mapping)) return undefined
  const { rides } = ridesOfTable(held.table, mapping, NOW)
  const bad = rides.find(({ km, movingSeconds = 1 }) => !(km > 0 && km <= 2000 && movingSeconds > 0))
  return bad && `a row of ${bad.km} km and ${bad.movingSeconds} s`
}

/**
 * What is wrong with how a file is read: an error that is not the readers' own, a figure that cannot be, or a wait of
 * over two seconds. Undefined where nothing is: a refusal in plain words is nothing wrong.
 */
export async function faultOfFile(name: string, bytes: Uint8Array): Promise<string | undefined> {
  const began = performance.now()
  try {
    const found = name.endsWith('.zip') ? await faultOfArchive(bytes) : await faultOfContents(name, bytes)
    if (found !== undefined) return found
  } catch (error) {
    if (!(error instanceof RideFileError)) return String(error)
  }
  const ms = performance.now() - began
  return ms > 2000 ? `it took ${Math.round(ms)} ms` : undefined
}

async function faultOfArchive(bytes: Uint8Array): Promise<string | undefined> {
  const files = listZip(bytes).filter(({ fault }) => fault === undefined)
  const names = new Map(files.map(({ place, name }) => [place, name]))
  for (const { place, unpacked } of unpackZip(bytes, [...names.keys()])) {
    if (!('bytes' in unpacked)) continue
    try {
      const found = await faultOfContents(names.get(place) ?? '', unpacked.bytes)
      if (found !== undefined) return found
    } catch (error) {
      if (!(error instanceof RideFileError)) return String(error)
    }
  }
  return undefined
}
