import type { TrackPoint } from '../../core/exposure/track-point.ts'
import { summariseTrack } from '../../core/exposure/track.ts'
import { recordedRides, type RecordedRide } from './recorded-ride.ts'
import { guessColumns, type Column, type RideTable } from './ride-table.ts'
import { dateOrderOf, decimalsOf, tableMoment, tableNumber, type DateOrder } from './table-cells.ts'
import { unitOf } from './table-rides.ts'

const cellOf = (row: readonly string[], at: number | undefined): string =>
  at === undefined ? '' : (row[at] ?? '').trim()

/** Points of one ride follow one another within this, s. */
const STEP_S = 900
const LOOKED_AT = 200

/**
 * Whether a table holds points of a ride, not rides: it has places, and its moments follow closely. A table of rides may
 * well say where each began.
 */
export function isTrackTable(table: RideTable): boolean {
  const { lat, lon, date, clock } = guessColumns(table.heads)
  if (lat === undefined || lon === undefined || date === undefined) return false
  const rows = table.rows.slice(0, LOOKED_AT)
  const order = dateOrderOf(rows.map((row) => cellOf(row, date))) ?? 'day-first'
  let [near, told] = [0, 0]
  let before = NaN
  for (const row of rows) {
    const ms = Date.parse(tableMoment(cellOf(row, date), order, cellOf(row, clock))?.at ?? '')
    if (Number.isNaN(ms)) continue
    if (!Number.isNaN(before)) {
      told++
      if (Math.abs(ms - before) <= STEP_S * 1000) near++
    }
    before = ms
  }
  return told === 0
    ? table.rows.length > 0 && guessColumns(table.heads).distance === undefined
    : near > told / 2
}

/** The order of day and month in a table of points; undefined where somebody has to say. */
export function trackDates(table: RideTable): DateOrder | undefined {
  const { date } = guessColumns(table.heads)
  const cells = table.rows.map((row) => cellOf(row, date))
  const isPlain = cells.every((cell) => cell === '' || /^\d{9,13}(\.\d+)?$|^\d{4}-/.test(cell))
  return isPlain ? 'iso' : dateOrderOf(cells)
}

const METRES = { metres: 1, km: 1000, miles: 1609.344 } as const

/** The unit of the distances of a table of points: as its head says, else the one in which they fit the track. */
function metresPerUnit(
  head: string,
  points: readonly TrackPoint[],
  distances: readonly (number | undefined)[],
): number {
  const told = unitOf(head, [])
  if (told) return METRES[told]
  const known = distances.filter((one) => one !== undefined)
  const gone = (known.at(-1) ?? 0) - (known[0] ?? 0)
  const trackM = 1000 * (summariseTrack([points])?.km ?? 0)
  if (!(gone > 0) || !(trackM > 0)) return 1
  const off = (metres: number): number => Math.abs(Math.log((gone * metres) / trackM))
  return Object.values(METRES).reduce((best, metres) => (off(metres) < off(best) ? metres : best))
}

/**
 * Rides out of a table of points: time, latitude and longitude, and what else stands beside them.
 * @param dates the order of day and month
 * @throws RideFileError where it holds no ride
 */
export function readCsvTrack(table: RideTable, dates: DateOrder): RecordedRide[] {
  const columns = guessColumns(table.heads)
  const { mark } = decimalsOf(table.rows.slice(0, LOOKED_AT).map((row) => cellOf(row, columns.lat)))
  const figure = (row: readonly string[], of: Column): number | undefined =>
    columns[of] === undefined ? undefined : tableNumber(cellOf(row, columns[of]), mark)
  const amount = (row: readonly string[], of: Column): number | undefined => {
    const value = figure(row, of)
    return value !== undefined && value >= 0 ? value : undefined
  }
  const distances = table.rows.map((row) => amount(row, 'distance'))
  let badPoints = 0
  const points = table.rows.flatMap((row): TrackPoint[] => {
    const lat = figure(row, 'lat') ?? NaN
    const lon = figure(row, 'lon') ?? NaN
    const at = tableMoment(cellOf(row, columns.date), dates, cellOf(row, columns.clock))?.at
    const fixed = Math.abs(lat) <= 90 && Math.abs(lon) <= 180
    if (!fixed && cellOf(row, columns.lat) !== '') badPoints++
    return [
      {
        lat: fixed ? lat : NaN,
        lon: fixed ? lon : NaN,
        timeS: at === undefined ? NaN : Date.parse(at) / 1000,
        heightM: figure(row, 'height'),
        cadenceRpm: amount(row, 'cadence'),
        powerW: amount(row, 'power'),
      },
    ]
  })
  const metres = metresPerUnit(table.heads[columns.distance ?? -1] ?? '', points, distances)
  const withDistance = points.map((point, i): TrackPoint => {
    const distance = distances[i]
    return distance === undefined ? point : { ...point, distanceM: distance * metres }
  })
  return recordedRides({ segments: [withDistance], badPoints })
}
