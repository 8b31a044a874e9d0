import { amount } from './fields.ts'
import { putField, type PointDraft } from './point-field.ts'
import { recordedRide, type RecordedRide } from './recorded-ride.ts'
import { RideFileError } from './ride-file-error.ts'
import { checkBeginning, readXml } from './xml-events.ts'
import type { XmlHandler } from './xml-handler.ts'

interface TcxFile {
  readonly segments: PointDraft[][]
  isTcx: boolean
  hasCourse: boolean
  sport: string | undefined
  lapsM: number
}

function tcxHandler(): XmlHandler & { readonly found: TcxFile } {
  const found: TcxFile = { segments: [], isTcx: false, hasCourse: false, sport: undefined, lapsM: 0 }
  let depth = 0
  let point: PointDraft | undefined

  const open: XmlHandler['open'] = (tag, at) => {
    if (depth++ === 0) found.isTcx = tag === 'trainingcenterdatabase'
    if (tag === 'trackpoint') point = { lat: NaN, lon: NaN, timeS: NaN }
    else if (tag === 'track') found.segments.push([])
    else if (tag === 'activity') found.sport ??= at.attribute('Sport')?.toLowerCase()
    else if (tag === 'course') found.hasCourse = true
  }

  const close: XmlHandler['close'] = (tag, held, parent) => {
    depth--
    if (!point) {
      if (tag === 'distancemeters' && parent === 'lap') found.lapsM += amount(held.number()) ?? 0
      return
    }
    if (tag === 'trackpoint') {
      found.segments.at(-1)?.push(point)
      point = undefined
    } else putField(point, tag, held)
  }
  return { found, open, close }
}

/**
 * Reads a TCX file as one ride. Tags are known by their local names, whatever namespace they stand in; a point
 * without a position (indoors) counts by the device's own distance.
 * @throws RideFileError with a plain sentence where it is no recorded ride
 */
export function readTcx(bytes: Uint8Array): RecordedRide {
  checkBeginning(bytes, 'TCX')
  const tcx = readXml(bytes, tcxHandler).found
  if (!tcx.isTcx)
    throw new RideFileError(
      'This is not a TCX file, though it is built like one. Choose the ride exported as TCX.',
    )
  if (tcx.hasCourse && tcx.sport === undefined)
    throw new RideFileError(
      'This is a planned course, not a recorded ride. Add the ride by hand if you rode it.',
    )
  return recordedRide({
    segments: tcx.segments,
    sport: tcx.sport,
    deviceKm: tcx.lapsM > 0 ? tcx.lapsM / 1000 : undefined,
  })
}
