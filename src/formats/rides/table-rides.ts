import { milesToKm } from '../../core/units/convert.ts'
import { isRide } from './sports.ts'
import { guessColumns, type Column, type RideTable } from './ride-table.ts'
import {
  dateOrderOf,
  decimalsOf,
  tableDuration,
  tableMoment,
  tableNumber,
  type DateOrder,
  type DecimalMark,
  type DurationUnit,
} from './table-cells.ts'
import { words } from '../../words/formats/rides/table-rides.ts'

export type DistanceUnit = 'km' | 'miles' | 'metres'

/** How a table of rides is to be read. Kept, and used again for the next table with the same heads. */
export interface TableMapping {
  readonly date: number
  /** The column of the time of day, where it is apart. */
  readonly clock?: number
  readonly distance: number
  readonly duration?: number
  /** What its durations are; needed where there is such a column. */
  readonly durations?: DurationUnit
  readonly sport?: number
  readonly unit: DistanceUnit
  readonly decimals: DecimalMark
  readonly dates: DateOrder
}

export interface TableRide {
  readonly at: string
  /** Whether the time of day is given. */
  readonly hasTime: boolean
  readonly km: number
  readonly movingSeconds?: number
  /** What the table says it was, where that is no ride. */
  readonly otherSport?: string
  readonly line: number
  /** How many rows like it, cell for cell, stand above it. */
  readonly twin: number
}

export interface ReadTable {
  readonly rides: readonly TableRide[]
  /** Rows that could not be read, by the line they stand on, and why. */
  readonly faults: readonly { readonly line: number; readonly fault: string }[]
}

/** What recognises a table that was read before: its heads. */
export const tablePrint = (table: RideTable): string => table.heads.join('|').toLowerCase().slice(0, 500)

const column = ({ rows }: RideTable, at: number): string[] => rows.map((row) => row[at] ?? '')

/** The unit of a column of distances, by its head or its cells. */
export function unitOf(head: string, cells: readonly string[]): DistanceUnit | undefined {
  const told = `${head} ${cells[0] ?? ''}`
  if (/\bmi(les?)?\b/i.test(told)) return 'miles'
  if (/\bkm\b|kilomet/i.test(told)) return 'km'
  return /[([ ]m(et(er|re)s)?[)\] ]?$/i.test(head) ? 'metres' : undefined
}

const PLAUSIBLE_KMH = [4, 55] as const
const ENOUGH = 0.9
const isLikely = (kmh: number): boolean => kmh >= PLAUSIBLE_KMH[0] && kmh <= PLAUSIBLE_KMH[1]

/** The units of a column of durations in which nearly all rides would have been ridden at a speed that rides have. */
function likelyUnits(
  durations: readonly string[],
  distances: readonly string[],
  toKmOf: (cell: string) => number | undefined,
  mark: DecimalMark,
  units: readonly DurationUnit[],
): DurationUnit[] {
  return units.filter((unit) => {
    let [likely, all] = [0, 0]
    durations.forEach((cell, i) => {
      const seconds = tableDuration(cell, mark, unit)
      const km = toKmOf(distances[i] ?? '')
      if (seconds === undefined || km === undefined || seconds === 0 || km === 0) return
      all++
      if (isLikely(km / (seconds / 3600))) likely++
    })
    return all > 0 && likely >= ENOUGH * all
  })
}

/** What a column of durations can only be; undefined where it could be two things. */
function durationsOf(
  head: string,
  durations: readonly string[],
  likely: (units: readonly DurationUnit[]) => DurationUnit[],
): DurationUnit | undefined {
  const told = durations.filter((cell) => cell.trim() !== '')
  const twoParts = told.filter((cell) => cell.split(':').length === 2)
  if (twoParts.length > 0) {
    // Beside hours, minutes and seconds two parts are minutes and seconds.
    const isLong = twoParts.some((cell) => Number(cell.split(':')[0]) > 24)
    if (twoParts.length < told.length || isLong) return 'm:s'
    const found = likely(['h:m', 'm:s'])
    return found.length === 1 ? found[0] : undefined
  }
  if (told.every((cell) => cell.includes(':'))) return 'h:m'
  if (/\bmin/i.test(head)) return 'minutes'
  if (/[([ ]h(ours?|rs?)?[)\] ]?$|^hours/i.test(head)) return 'hours'
  if (/[([ ]s(ec(ond)?s?)?[)\] ]?$|^seconds/i.test(head)) return 'seconds'
  const found = likely(['seconds', 'minutes', 'hours'])
  return found.length === 1 ? found[0] : undefined
}

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

/** A column called "time" beside one of dates may be the time of day, or how long it took. */
function timeIsDuration(clocks: readonly string[], isLikelyDuration: boolean): boolean {
  const told = clocks.filter((cell) => cell.trim() !== '')
  return isLikelyDuration || told.some((cell) => Number(cell.split(':')[0]) > 23)
}

/** Which columns hold what, as far as heads and cells tell. */
function columnsOf(
  table: RideTable,
  unit: DistanceUnit | undefined,
  mark: DecimalMark,
): Partial<Record<Column, number>> {
  const guess = guessColumns(table.heads)
  const { clock, ...rest } = guess
  if (clock === undefined || guess.distance === undefined || guess.duration !== undefined) return guess
  if (/start|begin|uhr/i.test(table.heads[clock] ?? '')) return guess
  const cells = column(table, clock)
  const found = likelyUnits(
    cells,
    column(table, guess.distance),
    (cell) => {
      const value = tableNumber(cell, mark)
      return value === undefined ? undefined : toKm(value, unit ?? 'km')
    },
    mark,
    ['h:m', 'm:s'],
  )
  return timeIsDuration(cells, found.length > 0) ? { ...rest, duration: clock } : guess
}

/** A mapping as far as the table tells it, and the lines on which something could be read in another way. */
export interface GuessedMapping {
  readonly mapping: Partial<TableMapping>
  readonly doubtAt?: number
}

/**
 * A mapping as far as the table tells it; what it does not tell has to be said.
 * @param chosen which column holds what; by their heads and cells where it is not said
 */
export function guessMapping(table: RideTable, chosen?: Partial<Record<Column, number>>): GuessedMapping {
  const distanceAt = (chosen ?? guessColumns(table.heads)).distance
  const distances = distanceAt === undefined ? [] : column(table, distanceAt)
  const unit = distanceAt === undefined ? undefined : unitOf(table.heads[distanceAt] ?? '', distances)
  const { mark, doubtAt } = decimalsOf(distances)
  const { date, clock, distance, duration, sport } = chosen ?? columnsOf(table, unit, mark)
  const dates = date === undefined ? undefined : dateOrderOf(column(table, date))
  const kmOf = (cell: string): number | undefined => {
    const value = tableNumber(cell, mark)
    return value === undefined ? undefined : toKm(value, unit ?? 'km')
  }
  const cells = duration === undefined ? [] : column(table, duration)
  const durations =
    duration === undefined
      ? undefined
      : durationsOf(table.heads[duration] ?? '', cells, (units) =>
          likelyUnits(cells, distances, kmOf, mark, units),
        )
  return {
    mapping: {
      ...(date !== undefined && { date }),
      ...(clock !== undefined && { clock }),
      ...(distance !== undefined && { distance, decimals: mark }),
      ...(duration !== undefined && { duration }),
      ...(durations && { durations }),
      ...(sport !== undefined && { sport }),
      ...(unit && { unit }),
      ...(dates && { dates }),
    },
    ...(doubtAt !== undefined && { doubtAt }),
  }
}

/** Whether a mapping says all that is needed. */
export const isWhole = (mapping: Partial<TableMapping>): mapping is TableMapping =>
  mapping.date !== undefined &&
  mapping.distance !== undefined &&
  mapping.unit !== undefined &&
  mapping.decimals !== undefined &&
  mapping.dates !== undefined &&
  (mapping.duration === undefined || mapping.durations !== undefined)

const MOST_KM = 2000
const EARLIEST = '1990'
const DAY_MS = 86_400_000

/**
 * The rides of a table, and its rows that are none, each with its reason.
 * @param nowMs nothing was ridden after it
 */
export function ridesOfTable(table: RideTable, mapping: TableMapping, nowMs: number): ReadTable {
  const rides: TableRide[] = []
  const faults: { line: number; fault: string }[] = []
  const latest = new Date(nowMs + DAY_MS).toISOString()
  const twins = new Map<string, number>()
  table.rows.forEach((row, i) => {
    const line = table.lines[i] ?? i + 2
    const fault = (text: string): void => void faults.push({ line, fault: text })
    const cell = (at: number | undefined): string => (at === undefined ? '' : (row[at] ?? ''))
    const moment = tableMoment(cell(mapping.date), mapping.dates, cell(mapping.clock))
    const distance = tableNumber(cell(mapping.distance), mapping.decimals)
    if (!moment) return fault(words.isNoDate(cell(mapping.date)))
    if (moment.at < EARLIEST || moment.at > latest) return fault(words.noRideWasRidden(cell(mapping.date)))
    if (distance === undefined) return fault(words.isNoDistance(cell(mapping.distance)))
    const km = toKm(distance, mapping.unit)
    if (!(km > 0)) return fault(words.aRideIsLonger)
    if (km > MOST_KM) return fault(words.kmInOneRide(Math.round(km)))
    const seconds =
      mapping.duration === undefined
        ? undefined
        : tableDuration(cell(mapping.duration), mapping.decimals, mapping.durations ?? 'h:m')
    const sport = cell(mapping.sport)
    const whole = row.join('\u0000')
    const twin = twins.get(whole) ?? 0
    twins.set(whole, twin + 1)
    rides.push({
      ...moment,
      km,
      line,
      twin,
      ...(seconds !== undefined && seconds > 0 && { movingSeconds: seconds }),
      ...(!isRide(sport) && { otherSport: sport.trim() }),
    })
  })
  return { rides, faults }
}
