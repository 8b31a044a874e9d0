import { logBetween } from './likelihood.ts'

/** Chain elongations with any bias a tool may have, %. */
const FROM = -0.6
const TO = 3
/** Steps in one spread of the noise: cubic interpolation is then right to about a millionth. */
const STEPS_PER_SD = 30
/** Gauges have few marks and few spreads; this many tables are kept. */
const MOST_TABLES = 100

/** Log-probability of a limit reading by its centre, at even steps. Plain data, so that a hot loop may read it. */
export interface BetweenTable {
  readonly low: number
  readonly high: number
  readonly sd: number
  readonly step: number
  readonly held: Float64Array
}

const tables = new Map<string, BetweenTable>()

function makeTable(low: number, high: number, sd: number): BetweenTable {
  const step = sd / STEPS_PER_SD
  const count = Math.ceil((TO - FROM) / step) + 4
  const held = Float64Array.from({ length: count }, (_, i) =>
    logBetween(low, high, FROM + (i - 1) * step, sd),
  )
  return { low, high, sd, step, held }
}

/** Off the table the function itself answers, its slope by a difference. */
function offTable({ low, high, sd, step }: BetweenTable, centre: number, slope: Float64Array): number {
  const exact = (at: number) => logBetween(low, high, at, sd)
  slope[0] = (exact(centre + step) - exact(centre - step)) / (2 * step)
  return exact(centre)
}

const unasked = new Float64Array(1)

/**
 * {@link logBetween} out of its table, as a function of the centre alone.
 * @param centre %
 * @param slope where given, its first place takes the slope there, per %
 */
export function logBetweenAt(table: BetweenTable, centre: number, slope: Float64Array = unasked): number {
  const { held, step } = table
  const place = (centre - FROM) / step
  const i = Math.floor(place)
  if (!(i >= 0 && i + 3 < held.length)) return offTable(table, centre, slope)
  // Lagrange's cubic through the four nearest places.
  const t = place - i
  const a = held[i] as number
  const b = held[i + 1] as number
  const c = held[i + 2] as number
  const d = held[i + 3] as number
  const c1 = c - b / 2 - a / 3 - d / 6
  const c2 = (a + c) / 2 - b
  const c3 = (d - a) / 6 + (b - c) / 2
  slope[0] = (c1 + t * (2 * c2 + 3 * c3 * t)) / step
  return b + t * (c1 + t * (c2 + t * c3))
}

/**
 * The table of {@link logBetween} for two marks and a spread: a model of a chain's wear asks for it a million times.
 * @param low lower mark, %; -Infinity for none
 * @param high upper mark, %; Infinity for none
 * @param sd spread of the noise, %, over 0
 */
export function betweenTable(low: number, high: number, sd: number): BetweenTable {
  const key = `${low} ${high} ${sd}`
  const held = tables.get(key)
  if (held) return held
  if (tables.size >= MOST_TABLES) tables.clear()
  const table = makeTable(low, high, sd)
  tables.set(key, table)
  return table
}
