import type { TrackPoint } from '../../core/exposure/track-point.ts'
import { amount, degrees, finite } from './fields.ts'
import type { HeldValue } from './held-bytes.ts'

/** A point that is being read. */
export type PointDraft = { -readonly [K in keyof TrackPoint]: TrackPoint[K] }

const isPoint = (parent: string): boolean => parent === 'trkpt' || parent === 'trackpoint'

/**
 * Puts what a tag held into the point it stands in. Names that GPX, TCX and their makers' extensions use, local and
 * in lower case; any other tag is passed over.
 * @param parent the tag that it stands in
 */
export function putField(point: PointDraft, tag: string, held: HeldValue, parent: string): void {
  switch (tag) {
    case 'time':
      // An extension may have a time of its own, which is not the point's.
      if (isPoint(parent)) point.timeS = held.seconds()
      break
    case 'latitudedegrees':
      point.lat = degrees(held.number(), 90)
      break
    case 'longitudedegrees':
      point.lon = degrees(held.number(), 180)
      break
    case 'ele':
    case 'altitudemeters':
      if (isPoint(parent)) point.heightM = finite(held.number())
      break
    case 'distance':
    case 'distancemeters':
      point.distanceM = amount(held.number())
      break
    case 'speed':
      point.speedMs = amount(held.number())
      break
    case 'cad':
    case 'cadence':
      point.cadenceRpm = amount(held.number())
      break
    case 'power':
    case 'watts':
    case 'powerinwatts':
      point.powerW = amount(held.number())
      break
  }
}
