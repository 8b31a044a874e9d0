import type { TrackPoint } from '../../core/exposure/track.ts'
import { recordedRide, type RecordedRide } from './recorded-ride.ts'
import { RideFileError } from './ride-file-error.ts'

/** A record of a FIT file, as far as it is used here. */
interface FitRecord {
  readonly timestamp?: Date | string | number
  readonly position_lat?: number
  readonly position_long?: number
  readonly altitude?: number
  readonly enhanced_altitude?: number
  readonly speed?: number
  readonly enhanced_speed?: number
  readonly distance?: number
  readonly cadence?: number
  readonly power?: number
}

const figure = (value: unknown): number | undefined =>
  typeof value === 'number' && Number.isFinite(value) ? value : undefined
const amount = (value: unknown): number | undefined => {
  const held = figure(value)
  return held !== undefined && held >= 0 ? held : undefined
}

function pointOf(record: FitRecord): TrackPoint {
  const lat = figure(record.position_lat) ?? NaN
  const lon = figure(record.position_long) ?? NaN
  const fixed = Math.abs(lat) <= 90 && Math.abs(lon) <= 180
  return {
    lat: fixed ? lat : NaN,
    lon: fixed ? lon : NaN,
    timeS: record.timestamp === undefined ? NaN : new Date(record.timestamp).getTime() / 1000,
    distanceM: amount(record.distance),
    heightM: figure(record.enhanced_altitude) ?? figure(record.altitude),
    speedMs: amount(record.enhanced_speed) ?? amount(record.speed),
    cadenceRpm: amount(record.cadence),
    powerW: amount(record.power),
  }
}

/**
 * Reads a FIT file as one ride. The parser is loaded when the first such file comes.
 * @throws RideFileError with a plain sentence where it is no recorded ride
 */
export async function readFit(bytes: Uint8Array): Promise<RecordedRide> {
  if (bytes.length === 0) throw new RideFileError('The file is empty. Copy it from the device again.')
  if (String.fromCharCode(...bytes.slice(8, 12)) !== '.FIT')
    throw new RideFileError(
      'This is not a FIT file: it does not begin like one. Choose the device’s own file.',
    )
  const { default: FitParser } = await import('fit-file-parser')
  const parser = new FitParser({ force: false, mode: 'list', speedUnit: 'm/s', lengthUnit: 'm' })
  const copy = new ArrayBuffer(bytes.length)
  new Uint8Array(copy).set(bytes)
  let parsed: { records?: unknown; sessions?: unknown }
  try {
    parsed = await parser.parseAsync(copy)
  } catch {
    throw new RideFileError(
      'The file is cut short or damaged: its check sum does not fit. Copy it from the device again.',
    )
  }
  const records = (parsed.records ?? []) as readonly FitRecord[]
  const [session] = (parsed.sessions ?? []) as readonly { sport?: unknown; total_distance?: unknown }[]
  const totalM = amount(session?.total_distance)
  return recordedRide({
    segments: [records.map(pointOf)],
    sport: typeof session?.sport === 'string' ? session.sport : undefined,
    deviceKm: totalM === undefined ? undefined : totalM / 1000,
  })
}
