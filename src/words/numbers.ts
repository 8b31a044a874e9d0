import { differenceInCalendarDays, lightFormat } from 'date-fns'
import type { IsoTime } from '../core/log/entry.ts'
import { kmToMiles, mmToInches } from '../core/units/convert.ts'
import { groupedNumber, sayDecimal } from './grouped-number.ts'
import type { Units } from '../core/units/units.ts'
import { manner } from './manner.ts'
import { NOUNS, type Noun } from './nouns.ts'

/** A space that does not break a number from its unit. */
const NBSP = '\u00a0'

/** A distance with its unit, to the nearest whole unit, one decimal below ten. */
export function sayKm(km: number, units: Units): string {
  const value = units === 'metric' ? km : kmToMiles(km)
  const digits = value < 10 && Math.abs(value - Math.round(value)) > 0.05 ? 1 : 0
  return `${groupedNumber(value, digits)}${NBSP}${units === 'metric' ? 'km' : 'mi'}`
}

/** A distance that is only an estimate: two figures, so that it does not look surer than it is. */
export function sayAboutKm(km: number, units: Units): string {
  const value = units === 'metric' ? km : kmToMiles(km)
  const step = value < 20 ? 5 : 10 ** Math.max(0, Math.floor(Math.log10(Math.max(1, value))) - 1)
  return `${groupedNumber(Math.round(value / step) * step, 0)}${NBSP}${units === 'metric' ? 'km' : 'mi'}`
}

/** Elongation with its unit, two decimals. */
export const sayPercent = (percent: number): string => `${sayFigure(percent)}${NBSP}%`

/** Elongation without its unit, two decimals; never "-0.00". */
export const sayFigure = (percent: number): string =>
  sayDecimal(Math.abs(percent) < 0.005 ? 0 : percent, 2).replace('-', '\u2212')

/** A limit as it is marked on gauges: 0.5, 0.75, 1.0. */
export const sayLimit = (percent: number): string =>
  Number.isInteger(Number((percent * 10).toFixed(6))) ? sayDecimal(percent, 1) : sayDecimal(percent, 2)

/** A length with its unit, mm or inches. */
export const sayLength = (mm: number, units: Units): string =>
  units === 'metric'
    ? `${sayDecimal(mm, mm % 1 === 0 ? 0 : mm % 0.5 === 0 ? 1 : 2)}${NBSP}mm`
    : `${sayDecimal(mmToInches(mm), 3)}${NBSP}in`

const FRACTIONS: readonly (readonly [number, string])[] = [
  [1 / 10, '1 in 10'],
  [1 / 5, '1 in 5'],
  [1 / 4, '1 in 4'],
  [1 / 3, '1 in 3'],
  [1 / 2, '1 in 2'],
  [2 / 3, '2 in 3'],
  [3 / 4, '3 in 4'],
  [4 / 5, '4 in 5'],
  [9 / 10, '9 in 10'],
]

/**
 * A chance as people say it: "about 4 in 5", "1 in 60", "almost certainly".
 * @param p 0 to 1
 */
export function sayChance(p: number): string {
  if (p >= 0.985) return 'almost certain'
  if (p >= 0.945) return '19 in 20'
  if (p < 0.01) return 'less than 1 in 100'
  if (p < 0.085) return `1 in ${p < 0.05 ? Math.round(1 / p / 10) * 10 : Math.round(1 / p)}`
  const nearest = FRACTIONS.reduce((best, one) => (Math.abs(one[0] - p) < Math.abs(best[0] - p) ? one : best))
  return `about ${nearest[1]}`
}

/** How likely a reading was a slip: "almost certainly misread", "probably misread: about 9 in 10". */
export const saySlip = (p: number): string =>
  p >= 0.985 ? 'almost certainly misread' : `${p >= 0.5 ? 'probably' : 'perhaps'} misread: ${sayChance(p)}`

/** Names after one another: "rule", "rule and caliper", "rule, strip and caliper". */
export const sayList = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`

/** Keeps a figure and its per cent sign on one line. */
export const keepUnits = (text: string): string => text.replace(/(\d) %/g, `$1${NBSP}%`)

const dayWriter = (language: string) => {
  const of = (options: Intl.DateTimeFormatOptions) => new Intl.DateTimeFormat(language, options)
  return {
    short: of({ day: 'numeric', month: 'long' }),
    full: of({ day: 'numeric', month: 'long', year: 'numeric' }),
  }
}
/** The order of days and months goes by the manner; their names are those of the language that the app speaks. */
const WRITERS = { 'day-month': dayWriter('en-GB'), 'month-day': dayWriter('en-US') }

/** A day with its year: "12 December 2026", or as it is written here. */
export function sayFullDay(at: IsoTime): string {
  const { dates } = manner()
  return dates === 'year-first'
    ? lightFormat(new Date(at), 'yyyy-MM-dd')
    : WRITERS[dates].full.format(new Date(at))
}

/** A day: "12 December", with the year when it is not this one; always with it where the year comes first. */
export function sayDay(at: IsoTime, now: IsoTime): string {
  const { dates } = manner()
  return dates === 'year-first' || at.slice(0, 4) !== now.slice(0, 4)
    ? sayFullDay(at)
    : WRITERS[dates].short.format(new Date(at))
}

/** How long ago a day was: "today", "9 days ago". */
export function sayAgo(at: IsoTime, now: IsoTime): string {
  const days = differenceInCalendarDays(new Date(now), new Date(at))
  if (days <= 0) return 'today'
  if (days === 1) return 'yesterday'
  return days < 60 ? `${days} days ago` : `${Math.round(days / 30.4)} months ago`
}

/** A count and its noun, in the plural where it should be. */
export const sayCount = (count: number, noun: Noun): string =>
  `${groupedNumber(count, 0)} ${NOUNS[noun][count === 1 ? 'one' : 'other']}`
