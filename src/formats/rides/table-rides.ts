import { milesToKm } from '../../core/units/convert.ts'
import {
  dateOrderOf,
  decimalMarkOf,
  guessColumns,
  tableDuration,
  tableNumber,
  tableTime,
  type Column,
  type DateOrder,
  type DecimalMark,
  type RideTable,
} from './ride-table.ts'

export type DistanceUnit = 'km' | 'miles' | 'metres'

/** How a table of rides is to be read. Kept, and used again for the next table with the same heads. */
export interface TableMapping {
  readonly when: number
  readonly distance: number
  readonly duration?: number
  readonly unit: DistanceUnit
  readonly decimals: DecimalMark
  readonly dates: DateOrder
}

export interface TableRide {
  readonly at: string
  readonly km: number
  readonly movingSeconds?: number
}

export interface ReadTable {
  readonly rides: readonly TableRide[]
  /** Rows that could not be read, by the line they stand on under the heads, and why. */
  readonly faults: readonly { readonly line: number; readonly fault: string }[]
}

/** What recognises a table that was read before: its heads. */
export const tablePrint = (table: RideTable): string => table.heads.join('|').toLowerCase().slice(0, 500)

const column = ({ rows }: RideTable, at: number): string[] => rows.map((row) => row[at] ?? '')

function unitOf(head: string, cells: readonly string[]): DistanceUnit | undefined {
  const told = `${head} ${cells[0] ?? ''}`
  if (/\bmi(les?)?\b/i.test(told)) return 'miles'
  if (/\bkm\b|kilomet/i.test(told)) return 'km'
  return /[([ ]m(et(er|re)s)?[)\] ]?$/i.test(head) ? 'metres' : undefined
}

/**
 * A mapping as far as the table tells it; what it does not tell has to be said.
 * @param columns which column holds what; by their heads where nobody has said it
 */
export function guessMapping(
  table: RideTable,
  columns: Partial<Record<Column, number>> = guessColumns(table.heads),
): Partial<TableMapping> {
  const { when, distance, duration } = columns
  const distances = distance === undefined ? [] : column(table, distance)
  const unit = distance === undefined ? undefined : unitOf(table.heads[distance] ?? '', distances)
  const dates = when === undefined ? undefined : dateOrderOf(column(table, when))
  return {
    ...(when !== undefined && { when }),
    ...(distance !== undefined && { distance, decimals: decimalMarkOf(distances) }),
    ...(duration !== undefined && { duration }),
    ...(unit && { unit }),
    ...(dates && { dates }),
  }
}

/** Whether a mapping says all that is needed. */
export const isWhole = (mapping: Partial<TableMapping>): mapping is TableMapping =>
  mapping.when !== undefined &&
  mapping.distance !== undefined &&
  mapping.unit !== undefined &&
  mapping.decimals !== undefined &&
  mapping.dates !== undefined

const toKm = (value: number, unit: DistanceUnit): number => {
  switch (unit) {
    case 'km':
      return value
    case 'miles':
      return milesToKm(value)
    case 'metres':
      return value / 1000
  }
}

const MOST_KM = 2000

/** The rides of a table, and its rows that are none, each with its reason. */
export function ridesOfTable(table: RideTable, mapping: TableMapping): ReadTable {
  const rides: TableRide[] = []
  const faults: { line: number; fault: string }[] = []
  table.rows.forEach((row, i) => {
    const fault = (text: string): void => void faults.push({ line: i + 2, fault: text })
    const when = row[mapping.when] ?? ''
    const written = row[mapping.distance] ?? ''
    const at = tableTime(when, mapping.dates)
    const distance = tableNumber(written, mapping.decimals)
    if (at === undefined) return fault(`“${when}” is no date.`)
    if (distance === undefined) return fault(`“${written}” is no distance.`)
    const km = toKm(distance, mapping.unit)
    if (!(km > 0)) return fault('A ride is longer than nothing.')
    if (km > MOST_KM) return fault(`${Math.round(km)} km in one ride: is the unit right?`)
    const seconds =
      mapping.duration === undefined
        ? undefined
        : tableDuration(row[mapping.duration] ?? '', mapping.decimals)
    rides.push({ at, km, ...(seconds !== undefined && seconds > 0 && { movingSeconds: seconds }) })
  })
  return { rides, faults }
}
