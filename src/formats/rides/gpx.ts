import { degrees } from './fields.ts'
import { putField, type PointDraft } from './point-field.ts'
import { recordedRide, type RecordedRide } from './recorded-ride.ts'
import { RideFileError } from './ride-file-error.ts'
import { checkBeginning, readXml } from './xml-events.ts'
import type { XmlHandler } from './xml-handler.ts'

interface GpxFile {
  readonly segments: PointDraft[][]
  name: string | undefined
  isGpx: boolean
  hasRoute: boolean
}

function gpxHandler(): XmlHandler & { readonly found: GpxFile } {
  const found: GpxFile = { segments: [], name: undefined, isGpx: false, hasRoute: false }
  let depth = 0
  let point: PointDraft | undefined

  const open: XmlHandler['open'] = (tag, at) => {
    if (depth++ === 0) found.isGpx = tag === 'gpx'
    if (tag === 'trkpt') {
      const lat = degrees(at.number('lat'), 90)
      const lon = degrees(at.number('lon'), 180)
      if (Number.isNaN(lat) || Number.isNaN(lon))
        throw new RideFileError(
          `The point on line ${at.line()} has no usable latitude and longitude. Export the ride again from where it came.`,
        )
      point = { lat, lon, timeS: NaN }
    } else if (tag === 'trkseg') found.segments.push([])
    else if (tag === 'rtept') found.hasRoute = true
  }

  const close: XmlHandler['close'] = (tag, held, parent) => {
    depth--
    if (!point) {
      if (tag === 'name' && parent === 'trk') found.name ??= held.text()
      return
    }
    if (tag === 'trkpt') {
      found.segments.at(-1)?.push(point)
      point = undefined
    } else putField(point, tag, held)
  }
  return { found, open, close }
}

/**
 * Reads a GPX 1.1 (or 1.0) file as one ride: distance and moving time by methods 12, and what its points carry.
 * Tags are known by their local names.
 * @throws RideFileError with a plain sentence where it is no recorded ride
 */
export function readGpx(bytes: Uint8Array): RecordedRide {
  checkBeginning(bytes, 'GPX')
  const gpx = readXml(bytes, gpxHandler).found
  if (!gpx.isGpx)
    throw new RideFileError(
      'This is not a GPX file, though it is built like one. Choose the ride exported as GPX.',
    )
  if (gpx.hasRoute && gpx.segments.every((segment) => segment.length === 0))
    throw new RideFileError(
      'This is a planned route, not a recorded ride. Add the ride by hand if you rode it.',
    )
  return recordedRide({ segments: gpx.segments, name: gpx.name })
}
