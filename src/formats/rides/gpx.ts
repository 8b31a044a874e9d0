import { degrees } from './fields.ts'
import { putField, type PointDraft } from './point-field.ts'
import { recordedRides, type RecordedRide } from './recorded-ride.ts'
import { RideFileError } from './ride-file-error.ts'
import { checkBeginning, readXml } from './xml-events.ts'
import type { XmlHandler } from './xml-handler.ts'
import { words } from '../../words/formats/rides/gpx.ts'

/** Tracks that follow one another and were of one sport. */
interface GpxLeg {
  readonly segments: PointDraft[][]
  sport: string | undefined
  name: string | undefined
}

interface GpxFile {
  readonly legs: GpxLeg[]
  isGpx: boolean
  hasRoute: boolean
  badPoints: number
  /** The line of the first of them. */
  badLine: number | undefined
}

const isPlaced = ({ lat, lon }: PointDraft): boolean => !Number.isNaN(lat) && !Number.isNaN(lon)

function gpxHandler(): XmlHandler & { readonly found: GpxFile } {
  const found: GpxFile = { legs: [], isGpx: false, hasRoute: false, badPoints: 0, badLine: undefined }
  let depth = 0
  let point: PointDraft | undefined
  let leg: GpxLeg | undefined
  let segment: PointDraft[] | undefined

  const open: XmlHandler['open'] = (tag, at) => {
    if (depth++ === 0) found.isGpx = tag === 'gpx'
    if (tag === 'trkpt') {
      if (!segment) throw new RideFileError(words.thePointOnLine(at.line()))
      point = { lat: degrees(at.number('lat'), 90), lon: degrees(at.number('lon'), 180), timeS: NaN }
      if (isPlaced(point)) return
      found.badPoints++
      found.badLine ??= at.line()
    } else if (tag === 'trk') leg = { segments: [], sport: undefined, name: undefined }
    else if (tag === 'trkseg') {
      segment = []
      leg?.segments.push(segment)
    } else if (tag === 'rtept') found.hasRoute = true
  }

  const close: XmlHandler['close'] = (tag, held, parent) => {
    depth--
    if (point) {
      if (tag !== 'trkpt') return putField(point, tag, held, parent)
      if (isPlaced(point)) segment?.push(point)
      point = undefined
      return
    }
    if (tag === 'trkseg') segment = undefined
    if (!leg) return
    if (parent === 'trk' && tag === 'name') leg.name ??= held.text()
    if (parent === 'trk' && tag === 'type') leg.sport ??= held.text().toLowerCase()
    if (tag !== 'trk') return
    const before = found.legs.at(-1)
    if (before?.sport === leg.sport && before) before.segments.push(...leg.segments)
    else found.legs.push(leg)
    leg = undefined
  }
  return { found, open, close }
}

/**
 * Reads the rides of a GPX 1.1 (or 1.0) file: distance and moving time by methods 12, and what its points carry. Tracks
 * of another sport are legs of their own. Tags are known by their local names; a point without a usable position is left out
 * and counted.
 * @throws RideFileError with a plain sentence where it holds no recorded ride
 */
export function readGpx(bytes: Uint8Array): RecordedRide[] {
  checkBeginning(bytes, 'GPX')
  const gpx = readXml(bytes, gpxHandler).found
  if (!gpx.isGpx) throw new RideFileError(words.thisIsNotAGpx)
  const legs = gpx.legs.filter(({ segments }) => segments.some((segment) => segment.length > 0))
  if (gpx.hasRoute && legs.length === 0) throw new RideFileError(words.thisIsAPlanned)
  const { badPoints, badLine } = gpx
  if (legs.length === 0 && badLine !== undefined) throw new RideFileError(words.noneOfItsPoints(badLine))
  if (legs.length === 0) return recordedRides({ segments: [] })
  return legs.flatMap((leg, i) => recordedRides({ ...leg, badPoints: i === 0 ? badPoints : 0 }))
}
