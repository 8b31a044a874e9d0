import { isTrackTable, readCsvTrack, trackDates } from './csv-track.ts'
import { decodeText } from './decode-text.ts'
import { readFit } from './fit.ts'
import { readGpx } from './gpx.ts'
import type { RecordedRide } from './recorded-ride.ts'
import { RideFileError } from './ride-file-error.ts'
import { readTable, type RideTable } from './ride-table.ts'
import { readTcx } from './tcx.ts'
import { isGzip, MOST_BYTES, unpackGzip } from './zip.ts'
import { words } from '../../words/formats/rides/read-ride-file.ts'

/**
 * What a file held: recorded rides, legs of other sports among them; or a table whose columns are not known yet, of
 * rides or of points.
 */
export type RideContents =
  | { readonly form: 'rides'; readonly rides: readonly RecordedRide[] }
  | { readonly form: 'table'; readonly table: RideTable; readonly isTrack: boolean }

/** UTF-16 rewritten as UTF-8; anything else as it is. */
const asUtf8 = (bytes: Uint8Array): Uint8Array =>
  (bytes[0] ?? 0) >= 0xfe ? new TextEncoder().encode(decodeText(bytes)) : bytes

/**
 * Reads a file of rides by its kind: GPX, TCX, FIT, CSV, or one of them packed by itself.
 * @throws RideFileError in plain words where it cannot be read
 */
export async function readRideFile(name: string, bytes: Uint8Array): Promise<RideContents> {
  if (bytes.length > MOST_BYTES) throw new RideFileError(words.itHasMbLarger(Math.round(bytes.length / 1e6)))
  const packed = /\.gz$/i.test(name)
  // Whatever it is called: what begins like a packed file is one.
  const plain = packed || isGzip(bytes) ? unpackGzip(bytes) : bytes
  const kind = /\.([a-z]+)$/i.exec(packed ? name.slice(0, -3) : name)?.[1]?.toLowerCase()
  switch (kind) {
    case 'gpx':
      return { form: 'rides', rides: readGpx(asUtf8(plain)) }
    case 'tcx':
      return { form: 'rides', rides: readTcx(asUtf8(plain)) }
    case 'fit':
      return { form: 'rides', rides: await readFit(plain) }
    case 'csv': {
      const table = readTable(decodeText(plain))
      if (!isTrackTable(table)) return { form: 'table', table, isTrack: false }
      const dates = trackDates(table)
      return dates
        ? { form: 'rides', rides: readCsvTrack(table, dates) }
        : { form: 'table', table, isTrack: true }
    }
    default:
      throw new RideFileError(words.gpxTcxFitAndCsv)
  }
}
