import type { Units } from '../core/units/units.ts'

/** How numbers are written: what parts groups of three digits, and what stands before the decimals. */
export const NUMBER_STYLES = {
  'space-point': { group: '\u00a0', mark: '.' },
  'space-comma': { group: '\u00a0', mark: ',' },
  'comma-point': { group: ',', mark: '.' },
  'point-comma': { group: '.', mark: ',' },
} as const
export type NumberStyle = keyof typeof NUMBER_STYLES

/** How days are written: "12 December 2026", "December 12, 2026", "2026-12-12". */
export const DATE_STYLES = ['day-month', 'month-day', 'year-first'] as const
export type DateStyle = (typeof DATE_STYLES)[number]

/** How numbers and days are written. */
export interface Manner {
  readonly numbers: NumberStyle
  readonly dates: DateStyle
  /** The language whose rules money is written by; undefined for the browser's. */
  readonly language?: string
}

const NEUTRAL: Manner = { numbers: 'space-point', dates: 'day-month' }
let current = NEUTRAL

/** How numbers and days are written now. */
export const manner = (): Manner => current

/** Has numbers and days written otherwise from here on. What is on the screen must be drawn again. */
export function writeBy(next: Manner): void {
  current = next
}

/** A number style or a date style, or as the browser's language has it. */
export type NumberChoice = NumberStyle | 'browser'
export type DateChoice = DateStyle | 'browser'

function numbersOf(language: string): NumberStyle {
  const mark = new Intl.NumberFormat(language)
    .formatToParts(1.5)
    .find(({ type }) => type === 'decimal')?.value
  // Groups are parted by spaces in any language: "1,234" and "1.234" are read as one and a bit by half of the world.
  return mark === ',' ? 'space-comma' : 'space-point'
}

function datesOf(language: string): DateStyle {
  const order = new Intl.DateTimeFormat(language, { day: 'numeric', month: 'long', year: 'numeric' })
    .formatToParts(Date.UTC(2026, 11, 12))
    .map(({ type }) => type)
  const [day, month, year] = [order.indexOf('day'), order.indexOf('month'), order.indexOf('year')]
  return year < day && year < month ? 'year-first' : month < day ? 'month-day' : 'day-month'
}

function ownManner(language: string): Manner {
  try {
    return { numbers: numbersOf(language), dates: datesOf(language), language }
  } catch {
    return NEUTRAL
  }
}

/**
 * How numbers and days are written where a language is spoken as in its tag, but for what was chosen.
 * @param language such as "de-AT"; a tag that makes no sense counts as neutral
 */
export function mannerOf(language: string, numbers: NumberChoice, dates: DateChoice): Manner {
  const own = ownManner(language)
  return {
    ...own,
    ...(numbers !== 'browser' && { numbers }),
    ...(dates !== 'browser' && { dates }),
  }
}

/** Countries whose roads and rulers are in miles and inches. */
const IMPERIAL = ['US', 'LR', 'MM']

/** The units that are usual where a language is spoken as in its tag. */
export function unitsOf(language: string): Units {
  try {
    const { region } = new Intl.Locale(language).maximize()
    return region !== undefined && IMPERIAL.includes(region) ? 'imperial' : 'metric'
  } catch {
    return 'metric'
  }
}
