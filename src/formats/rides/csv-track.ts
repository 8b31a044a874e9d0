import type { TrackPoint } from '../../core/exposure/track.ts'
import { recordedRide, type RecordedRide } from './recorded-ride.ts'
import { secondsOf } from './fields.ts'
import { decimalMarkOf, guessColumns, tableNumber, tableTime, type RideTable } from './ride-table.ts'

/** Whether a table holds points of one ride, not rides. */
export function isTrackTable(table: RideTable): boolean {
  const { lat, lon, when } = guessColumns(table.heads)
  return lat !== undefined && lon !== undefined && when !== undefined
}

/**
 * A ride out of a table of points: time, latitude and longitude, and what else stands beside them.
 * @throws RideFileError where it is no ride
 */
export function readCsvTrack(table: RideTable): RecordedRide {
  const columns = guessColumns(table.heads)
  const cell = (row: readonly string[], at: number | undefined): string =>
    at === undefined ? '' : (row[at] ?? '')
  const mark = decimalMarkOf(table.rows.slice(0, 200).map((row) => cell(row, columns.lat)))
  const figure = (row: readonly string[], at: number | undefined): number | undefined =>
    tableNumber(cell(row, at), mark)
  const amount = (row: readonly string[], at: number | undefined): number | undefined => {
    const value = figure(row, at)
    return value !== undefined && value >= 0 ? value : undefined
  }
  const timeOf = (text: string): number => {
    if (/^\d{9,10}(\.\d+)?$/.test(text)) return Number(text)
    if (/^\d{12,13}$/.test(text)) return Number(text) / 1000
    const iso = secondsOf(text)
    return Number.isNaN(iso) ? Date.parse(tableTime(text, 'day-first') ?? '') / 1000 : iso
  }
  const metres = /km/i.test(table.heads[columns.distance ?? -1] ?? '') ? 1000 : 1
  const points = table.rows.map((row): TrackPoint => {
    const distance = amount(row, columns.distance)
    const lat = figure(row, columns.lat) ?? NaN
    const lon = figure(row, columns.lon) ?? NaN
    const fixed = Math.abs(lat) <= 90 && Math.abs(lon) <= 180
    return {
      lat: fixed ? lat : NaN,
      lon: fixed ? lon : NaN,
      timeS: timeOf(cell(row, columns.when).trim()),
      distanceM: distance === undefined ? undefined : distance * metres,
      heightM: figure(row, columns.height),
      cadenceRpm: amount(row, columns.cadence),
      powerW: amount(row, columns.power),
    }
  })
  return recordedRide({ segments: [points] })
}
