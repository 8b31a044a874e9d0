import { amount } from './fields.ts'
import { putField, type PointDraft } from './point-field.ts'
import { recordedRides, type RecordedRide } from './recorded-ride.ts'
import { RideFileError } from './ride-file-error.ts'
import { checkBeginning, readXml } from './xml-events.ts'
import type { XmlHandler } from './xml-handler.ts'
import { words } from '../../words/formats/rides/tcx.ts'

interface TcxActivity {
  readonly segments: PointDraft[][]
  readonly sport: string | undefined
  lapsM: number
}

interface TcxFile {
  readonly activities: TcxActivity[]
  isTcx: boolean
  hasCourse: boolean
}

function tcxHandler(): XmlHandler & { readonly found: TcxFile } {
  const found: TcxFile = { activities: [], isTcx: false, hasCourse: false }
  let depth = 0
  let point: PointDraft | undefined
  let activity: TcxActivity | undefined

  const open: XmlHandler['open'] = (tag, at) => {
    if (depth++ === 0) found.isTcx = tag === 'trainingcenterdatabase'
    if (tag === 'trackpoint') point = { lat: NaN, lon: NaN, timeS: NaN }
    else if (tag === 'track') activity?.segments.push([])
    else if (tag === 'activity') {
      activity = { segments: [], sport: at.attribute('Sport')?.toLowerCase(), lapsM: 0 }
      found.activities.push(activity)
    } else if (tag === 'course') found.hasCourse = true
  }

  const close: XmlHandler['close'] = (tag, held, parent) => {
    depth--
    if (point) {
      if (tag !== 'trackpoint') return putField(point, tag, held, parent)
      activity?.segments.at(-1)?.push(point)
      point = undefined
      return
    }
    if (tag === 'activity') activity = undefined
    if (tag === 'distancemeters' && parent === 'lap' && activity) activity.lapsM += amount(held.number()) ?? 0
  }
  return { found, open, close }
}

/**
 * Reads the rides of a TCX file, one for each activity. Tags are known by their local names, whatever namespace they
 * stand in; a point without a position (indoors) counts by the device's own distance.
 * @throws RideFileError with a plain sentence where it holds no recorded ride
 */
export function readTcx(bytes: Uint8Array): RecordedRide[] {
  checkBeginning(bytes, 'TCX')
  const tcx = readXml(bytes, tcxHandler).found
  if (!tcx.isTcx) throw new RideFileError(words.thisIsNotATcx)
  if (tcx.hasCourse && tcx.activities.length === 0) throw new RideFileError(words.thisIsAPlanned)
  const held = tcx.activities.filter(({ segments }) => segments.some((segment) => segment.length > 0))
  if (held.length === 0) return recordedRides({ segments: [] })
  return held.flatMap(({ segments, sport, lapsM }) =>
    recordedRides({ segments, sport, deviceKm: lapsM > 0 ? lapsM / 1000 : undefined }),
  )
}
