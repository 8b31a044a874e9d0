import type { TrackPoint } from '../../core/exposure/track-point.ts'
import { recordedRides, type RecordedRide, type Recording } from './recorded-ride.ts'
import { RideFileError } from './ride-file-error.ts'
import { words } from '../../words/formats/rides/fit.ts'

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

/** A leg of a FIT file: what was done from when to when. */
interface FitSession {
  readonly sport?: unknown
  readonly start_time?: unknown
  readonly timestamp?: unknown
  readonly total_elapsed_time?: unknown
  readonly total_distance?: unknown
}

interface FitFile {
  readonly records?: readonly FitRecord[]
  readonly sessions?: readonly FitSession[]
  readonly file_ids?: readonly { readonly type?: unknown }[]
}

const figure = (value: unknown): number | undefined =>
  typeof value === 'number' && Number.isFinite(value) ? value : undefined
const amount = (value: unknown): number | undefined => {
  const held = figure(value)
  return held !== undefined && held >= 0 ? held : undefined
}
const secondsOf = (value: unknown): number =>
  value instanceof Date || typeof value === 'string' || typeof value === 'number'
    ? new Date(value).getTime() / 1000
    : NaN

function pointOf(record: FitRecord): TrackPoint {
  const lat = figure(record.position_lat) ?? NaN
  const lon = figure(record.position_long) ?? NaN
  const fixed = Math.abs(lat) <= 90 && Math.abs(lon) <= 180
  return {
    lat: fixed ? lat : NaN,
    lon: fixed ? lon : NaN,
    timeS: secondsOf(record.timestamp),
    distanceM: amount(record.distance),
    heightM: figure(record.enhanced_altitude) ?? figure(record.altitude),
    speedMs: amount(record.enhanced_speed) ?? amount(record.speed),
    cadenceRpm: amount(record.cadence),
    powerW: amount(record.power),
  }
}

const kmOf = (session: FitSession | undefined): number | undefined => {
  const metres = amount(session?.total_distance)
  return metres === undefined ? undefined : metres / 1000
}
const sportOf = (session: FitSession | undefined): string | undefined => {
  const sport = session?.sport
  return typeof sport === 'string' || typeof sport === 'number' ? String(sport) : undefined
}

/** The legs of a file: each session with the points of its time; one where there is at most one session. */
function legsOf(points: readonly TrackPoint[], sessions: readonly FitSession[]): Recording[] {
  const [only] = sessions
  if (sessions.length < 2) return [{ segments: [points], sport: sportOf(only), deviceKm: kmOf(only) }]
  return sessions.map((session): Recording => {
    const from = secondsOf(session.start_time)
    const lasted = amount(session.total_elapsed_time)
    const to = lasted === undefined ? secondsOf(session.timestamp) : from + lasted
    const segment = points.filter(({ timeS }) => timeS >= from && timeS <= to)
    return { segments: [segment], sport: sportOf(session), deviceKm: kmOf(session) }
  })
}

/** Files written one behind the other into one, as the format allows, each with its own header and check sum. */
function chained(bytes: Uint8Array): Uint8Array[] {
  const files: Uint8Array[] = []
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  for (let from = 0; from + 12 <= bytes.length;) {
    const begins = String.fromCharCode(...bytes.subarray(from + 8, from + 12)) === '.FIT'
    const size = (bytes[from] ?? 0) + view.getUint32(from + 4, true) + 2
    // What stands behind the last file and is none belongs to it: the parser says what is wrong with it.
    if (!begins || from + size > bytes.length) {
      const last = files.pop()
      return [...files, bytes.subarray(last ? from - last.length : from)]
    }
    files.push(bytes.subarray(from, from + size))
    from += size
  }
  return files
}

async function parse(bytes: Uint8Array): Promise<FitFile> {
  const { default: FitParser } = await import('fit-file-parser')
  const parser = new FitParser({ force: false, mode: 'list', speedUnit: 'm/s', lengthUnit: 'm' })
  const copy = new ArrayBuffer(bytes.length)
  new Uint8Array(copy).set(bytes)
  try {
    return await parser.parseAsync(copy)
  } catch (error) {
    if (/developer data/i.test(String(error))) throw new RideFileError(words.anAppOnTheDevice)
    throw new RideFileError(words.theFileIsCut)
  }
}

/**
 * Reads the rides of a FIT file: every session of every file chained in it. The parser is loaded when the first such file
 * comes.
 * @throws RideFileError with a plain sentence where it holds no recorded ride
 */
export async function readFit(bytes: Uint8Array): Promise<RecordedRide[]> {
  if (bytes.length === 0) throw new RideFileError(words.theFileIsEmpty)
  if (String.fromCharCode(...bytes.slice(8, 12)) !== '.FIT') throw new RideFileError(words.thisIsNotAFit)
  const rides: RecordedRide[] = []
  let hasCourse = false
  for (const part of chained(bytes)) {
    const { records = [], sessions = [], file_ids: ids = [] } = await parse(part)
    if (ids.some(({ type }) => type === 'course' || type === 'workout' || type === 'schedules')) {
      hasCourse = true
      continue
    }
    const legs = legsOf(records.map(pointOf), sessions)
    const held = legs.filter(({ segments }) => segments.some((segment) => segment.length > 0))
    for (const leg of held) rides.push(...recordedRides(leg))
  }
  if (rides.length > 0) return rides
  if (hasCourse) throw new RideFileError(words.thisIsAPlanned)
  return recordedRides({ segments: [] })
}
