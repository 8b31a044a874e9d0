import { SaxesParser } from 'saxes'
import { summariseTrack, type TrackPoint, type TrackSummary } from '../core/exposure/track.ts'

/** A recorded ride as its file tells it. */
export interface RecordedRide extends TrackSummary {
  readonly name?: string
  readonly hasCadence: boolean
  readonly hasPower: boolean
}

/** A file that cannot be read as a ride: what is wrong, where, and how to mend it, in one sentence. */
export class RideFileError extends Error {
  override readonly name = 'RideFileError'
}

interface Draft {
  lat: number
  lon: number
  timeS: number
  distanceM?: number
}

interface Collected {
  readonly segments: TrackPoint[][]
  name?: string
  hasCadence: boolean
  hasPower: boolean
  isGpx: boolean
  hasRoute: boolean
}

/** A name without its prefix: devices put cadence and power under prefixes of their own. */
const localName = (name: string): string => name.slice(name.indexOf(':') + 1).toLowerCase()

const CADENCE = new Set(['cad', 'cadence'])
const POWER = new Set(['power', 'watts', 'powerinwatts'])

function startPoint(attributes: Readonly<Record<string, string>>, where: string): Draft {
  const lat = Number(attributes['lat'] ?? NaN)
  const lon = Number(attributes['lon'] ?? NaN)
  if (!(Math.abs(lat) <= 90) || !(Math.abs(lon) <= 180))
    throw new RideFileError(
      `The point ${where} has no usable latitude and longitude. Export the ride again from where it came.`,
    )
  return { lat, lon, timeS: NaN }
}

function takeText(
  collected: Collected,
  tag: string,
  text: string,
  point: Draft | undefined,
  parent: string,
): void {
  if (!point) {
    if (tag === 'name' && parent === 'trk' && collected.name === undefined && text !== '')
      collected.name = text
    return
  }
  if (tag === 'time') point.timeS = Date.parse(text) / 1000
  else if (tag === 'distance') {
    const metres = Number(text)
    if (text !== '' && Number.isFinite(metres)) point.distanceM = metres
  } else if (CADENCE.has(tag)) collected.hasCadence = true
  else if (POWER.has(tag)) collected.hasPower = true
}

function parse(text: string): Collected {
  const collected: Collected = {
    segments: [],
    hasCadence: false,
    hasPower: false,
    isGpx: false,
    hasRoute: false,
  }
  const parser = new SaxesParser()
  const open: string[] = []
  let point: Draft | undefined
  let held = ''
  parser.on('error', (error) => {
    throw error
  })
  parser.on('opentag', ({ name, attributes }) => {
    const tag = localName(name)
    if (open.length === 0) collected.isGpx = tag === 'gpx'
    open.push(tag)
    held = ''
    if (tag === 'trkseg') collected.segments.push([])
    else if (tag === 'rtept') collected.hasRoute = true
    else if (tag === 'trkpt') point = startPoint(attributes, `on line ${parser.line}`)
  })
  parser.on('text', (piece) => {
    held += piece
  })
  parser.on('cdata', (piece) => {
    held += piece
  })
  parser.on('closetag', ({ name }) => {
    const tag = localName(name)
    open.pop()
    if (tag === 'trkpt' && point) {
      collected.segments.at(-1)?.push(point)
      point = undefined
    } else takeText(collected, tag, held.trim(), point, open.at(-1) ?? '')
    held = ''
  })
  try {
    parser.write(text).close()
  } catch (error) {
    if (error instanceof RideFileError) throw error
    throw new RideFileError(faultOf(text, parser.line, open))
  }
  return collected
}

function faultOf(text: string, line: number, open: readonly string[]): string {
  const trimmed = text.trimEnd()
  if (open.length > 0 && !trimmed.endsWith('</gpx>'))
    return `The file is cut short: it ends on line ${trimmed.split('\n').length} in the middle of a ${open.at(-1) ?? 'tag'}. Copy or export it again.`
  return `The file is damaged on line ${line}: its tags do not fit together there. Export it again.`
}

/**
 * Reads a GPX 1.1 (or 1.0) file as one ride: distance and moving time by methods 12, and whether its points carry
 * cadence or power. Tags are known by their local names.
 * @throws RideFileError with a plain sentence where it is no recorded ride
 */
export function readGpx(text: string): RecordedRide {
  if (text.trim() === '') throw new RideFileError('The file is empty. Export the ride again.')
  if (!text.trimStart().startsWith('<'))
    throw new RideFileError(
      'This is not a GPX file: it does not begin like one. Choose the ride exported as GPX.',
    )
  const collected = parse(text)
  if (!collected.isGpx)
    throw new RideFileError(
      'This is not a GPX file, though it is built like one. Choose the ride exported as GPX.',
    )
  const points = collected.segments.reduce((sum, segment) => sum + segment.length, 0)
  if (points === 0)
    throw new RideFileError(
      collected.hasRoute
        ? 'This is a planned route, not a recorded ride. Add the ride by hand if you rode it.'
        : 'There are no points in the file. Export the ride again, or add it by hand.',
    )
  const summary = summariseTrack(collected.segments)
  if (!summary)
    throw new RideFileError(
      'Its points have no times, so it cannot be told when it was ridden. Add the ride by hand.',
    )
  return {
    ...summary,
    hasCadence: collected.hasCadence,
    hasPower: collected.hasPower,
    ...(collected.name !== undefined && { name: collected.name }),
  }
}

/**
 * What recognises the same recording when it is offered again, whatever its file is called.
 */
export const ridePrint = (ride: TrackSummary): string => `${ride.startedAt} ${ride.endedAt} ${ride.points}`
