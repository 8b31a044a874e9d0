/** How numbers are written in a column: which mark is the decimal one; `each`: now one, now the other. */
export type DecimalMark = 'point' | 'comma' | 'each'

/** What the marks of a column can mean. */
export interface Decimals {
  readonly mark: DecimalMark
  /** The place in the column of a number that could be read in another way; absent: nothing could. */
  readonly doubtAt?: number
}

const bare = (cell: string): string => cell.replace(/[\s\u00a0\u202f'’]/g, '').replace(/[a-zA-Z/]+\.?$/, '')
const LONE_COMMA = /^-?\d+,\d+$/
const LONE_POINT = /^-?\d+\.\d+$/
/** One mark before three figures: a thousand, or thousandths. */
const THREE_PLACES = /^-?\d{1,3}[.,]\d{3}$/

/** The decimal mark of a column, from all its cells. */
export function decimalsOf(cells: readonly string[]): Decimals {
  const numbers = cells.map(bare)
  const isSure =
    (lone: RegExp, both: RegExp) =>
    (number: string): boolean =>
      both.test(number) || (lone.test(number) && !THREE_PLACES.test(number))
  const byComma = numbers.some(isSure(LONE_COMMA, /^-?\d{1,3}(\.\d{3})+,\d+$/))
  const byPoint = numbers.some(isSure(LONE_POINT, /^-?\d{1,3}(,\d{3})+\.\d+$/))
  // A thousand never begins with 0: such a number could be read in one way only, and is not the one to look at.
  const isOpen = (number: string): boolean => THREE_PLACES.test(number) && !/^-?0/.test(number)
  const doubtAt = numbers.some(isOpen)
    ? numbers.findIndex(isOpen)
    : numbers.findIndex((one) => THREE_PLACES.test(one))
  if (byComma && byPoint)
    return {
      mark: 'each',
      doubtAt: Math.max(
        0,
        numbers.findIndex((number) => LONE_POINT.test(number)),
      ),
    }
  if (byComma) return { mark: 'comma' }
  if (byPoint) return { mark: 'point' }
  if (doubtAt < 0) return { mark: 'point' }
  // A distance of a thousand kilometres is rarer than one told to the metre.
  return { mark: numbers[doubtAt]?.includes(',') ? 'comma' : 'point', doubtAt }
}

/** A number as a table writes it, its unit passed over; undefined where it is none. */
export function tableNumber(cell: string, mark: DecimalMark): number | undefined {
  const plain = bare(cell)
  const isComma = mark === 'comma' || (mark === 'each' && plain.lastIndexOf(',') > plain.lastIndexOf('.'))
  const written = isComma ? plain.replaceAll('.', '').replace(',', '.') : plain.replaceAll(',', '')
  const value = written === '' ? NaN : Number(written)
  return Number.isFinite(value) ? value : undefined
}

/** In which order a column writes day and month. */
export type DateOrder = 'iso' | 'day-first' | 'month-first'

const TIME = String.raw`(?:[T ,]+(?:at |um )?(\d{1,2}):(\d{2})(?::(\d{2})(?:[.,]\d+)?)?\s*([ap])?\.?m?\.?)?`
const DATE = new RegExp(String.raw`^\s*(\d{1,4})[./\- ](\d{1,2})[./\- ](\d{1,4})\.?${TIME}`, 'i')
const DAY_NAME = String.raw`^\s*(?:[a-zäöüéû]{2,10}\.?,?\s+)??`
const MONTH = String.raw`([a-zäéû]{3,10})\.?`
const DAY_THEN_MONTH = new RegExp(
  String.raw`${DAY_NAME}(\d{1,2})\.?(?:st|nd|rd|th)?[ \-/]+(?:de )?${MONTH}[ \-/,]+(?:de )?(\d{4})${TIME}`,
  'i',
)
const MONTH_THEN_DAY = new RegExp(
  String.raw`${DAY_NAME}${MONTH}[ \-/]+(\d{1,2})(?:st|nd|rd|th)?,?[ \-/]+(\d{4})${TIME}`,
  'i',
)

/** How the months begin in the languages whose exports are likely, January first. */
const MONTH_NAMES: readonly RegExp[] = [
  /^(jan|gen|ene|janv)/i,
  /^(feb|fév|fev)/i,
  /^(mar|mär|mrt|maa|maerz)/i,
  /^(apr|avr|abr)/i,
  /^(may|mai|mag|mei|mayo)/i,
  /^(jun|juin|giu)/i,
  /^(jul|juil|lug)/i,
  /^(aug|aoû|aou|ago)/i,
  /^(sep|set)/i,
  /^(oct|okt|ott)/i,
  /^(nov)/i,
  /^(dec|dez|déc|dic)/i,
]
const monthOf = (name: string): number => MONTH_NAMES.findIndex((begins) => begins.test(name)) + 1

/**
 * The order of day and month in a column, from all its cells.
 * @returns undefined where every cell could be read both ways: somebody has to say
 */
export function dateOrderOf(cells: readonly string[]): DateOrder | undefined {
  let [dayFirst, monthFirst, iso, isNamed] = [false, false, false, false]
  for (const cell of cells) {
    const found = DATE.exec(cell)
    if (!found) {
      isNamed ||= dayOf(cell, 'iso') !== undefined
      continue
    }
    if ((found[1] ?? '').length === 4) iso = true
    else if (Number(found[1]) > 12) dayFirst = true
    else if (Number(found[2]) > 12) monthFirst = true
    else if (/^\s*\d{1,2}\.\d/.test(cell)) dayFirst = true
  }
  if (iso) return 'iso'
  if (dayFirst !== monthFirst) return dayFirst ? 'day-first' : 'month-first'
  return isNamed && !dayFirst ? 'iso' : undefined
}

interface WrittenDay {
  readonly year: number
  readonly month: number
  readonly day: number
  /** h, min, s of the day, where they are written. */
  readonly clock?: readonly [number, number, number]
}

function clockOf(hours?: string, minutes?: string, seconds?: string, half?: string): WrittenDay['clock'] {
  if (hours === undefined) return undefined
  const turned = half ? (Number(hours) % 12) + (half.toLowerCase() === 'p' ? 12 : 0) : Number(hours)
  return [turned, Number(minutes ?? 0), Number(seconds ?? 0)]
}

function dayOf(text: string, order: DateOrder): WrittenDay | undefined {
  const found = DATE.exec(text)
  if (found) {
    const [, a, b, c, ...time] = found
    const [year, month, day] =
      order === 'iso' || (a ?? '').length === 4 ? [a, b, c] : order === 'day-first' ? [c, b, a] : [c, a, b]
    const fullYear = Number(year) < 100 ? 2000 + Number(year) : Number(year)
    const clock = clockOf(...time)
    return { year: fullYear, month: Number(month), day: Number(day), ...(clock && { clock }) }
  }
  const dayThenMonth = DAY_THEN_MONTH.exec(text)
  const named = dayThenMonth ?? MONTH_THEN_DAY.exec(text)
  if (!named) return undefined
  const [, a = '', b = '', year, ...time] = named
  const month = monthOf(dayThenMonth ? b : a)
  const clock = clockOf(...time)
  return month > 0
    ? { year: Number(year), month, day: Number(dayThenMonth ? a : b), ...(clock && { clock }) }
    : undefined
}

/** A moment as a table tells it. */
export interface TableMoment {
  readonly at: string
  /** Whether the time of day is given; else it stands at noon. */
  readonly hasTime: boolean
}

const CLOCK = /^\s*(\d{1,2}):(\d{2})(?::(\d{2})(?:[.,]\d+)?)?\s*([ap])?\.?m?\.?\s*$/i

/**
 * A moment as a table writes it; a time without a zone is the reader's own. Noon where only the day is given.
 * @param clockCell the time of day, where it stands in a column of its own
 * @returns undefined where it is no date
 */
export function tableMoment(cell: string, order: DateOrder, clockCell?: string): TableMoment | undefined {
  const text = cell.trim()
  if (/^\d{4}-\d{2}-\d{2}T.*(Z|[+-]\d{2}:?\d{2})$/.test(text) || /^\d{9,13}(\.\d+)?$/.test(text)) {
    const ms =
      /^\d/.test(text) && !text.includes('-')
        ? Number(text) * (text.length > 11 && !text.includes('.') ? 1 : 1000)
        : Date.parse(text)
    return Number.isFinite(ms) ? { at: new Date(ms).toISOString(), hasTime: true } : undefined
  }
  const told = dayOf(text, order)
  if (!told) return undefined
  const [, ...own] = CLOCK.exec(clockCell ?? '') ?? []
  const clock = clockOf(...own) ?? told.clock
  const [hours, minutes, seconds] = clock ?? [12, 0, 0]
  if (hours > 23 || minutes > 59 || seconds > 59) return undefined
  const time = new Date(told.year, told.month - 1, told.day, hours, minutes, seconds)
  // The thirty-first of a month of thirty days is a mistake, not the first of the next.
  return time.getMonth() === told.month - 1 && time.getDate() === told.day
    ? { at: time.toISOString(), hasTime: clock !== undefined }
    : undefined
}

/** What the figures of a column of durations are. */
export type DurationUnit = 'h:m' | 'm:s' | 'seconds' | 'minutes' | 'hours'

/** Seconds of a duration; "1:23:45" is the same in every unit. Undefined where it is none. */
export function tableDuration(cell: string, mark: DecimalMark, unit: DurationUnit): number | undefined {
  const parts = cell.trim().split(':')
  const figures = parts.map((part) => tableNumber(part, mark))
  if (figures.some((figure) => figure === undefined)) return undefined
  const [a = 0, b = 0, c = 0] = figures as number[]
  if (parts.length === 3) return a * 3600 + b * 60 + c
  if (parts.length === 2) return unit === 'm:s' ? a * 60 + b : a * 3600 + b * 60
  switch (unit) {
    case 'minutes':
    case 'm:s':
      return a * 60
    case 'hours':
    case 'h:m':
      return a * 3600
    case 'seconds':
      return a
  }
}
