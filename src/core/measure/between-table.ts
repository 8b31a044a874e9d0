import { logBetween } from './likelihood.ts'

/** Chain elongations with any bias a tool may have, %. */
const FROM = -0.6
const TO = 3
/** Steps in one spread of the noise: cubic interpolation is then right to about a millionth. */
const STEPS_PER_SD = 30
/** Gauges have few marks and few spreads; this many tables are kept. */
const MOST_TABLES = 100

const tables = new Map<string, (centre: number) => number>()

function makeTable(low: number, high: number, sd: number): (centre: number) => number {
  const step = sd / STEPS_PER_SD
  const count = Math.ceil((TO - FROM) / step) + 4
  const held = Float64Array.from({ length: count }, (_, i) =>
    logBetween(low, high, FROM + (i - 1) * step, sd),
  )
  return (centre) => {
    const place = (centre - FROM) / step
    const i = Math.floor(place)
    if (!(i >= 0 && i + 3 < count)) return logBetween(low, high, centre, sd)
    // Lagrange's cubic through the four nearest places.
    const t = place - i
    const [u, v, w] = [t + 1, t - 1, t - 2]
    return (
      (-t * v * w * (held[i] ?? 0)) / 6 +
      (u * v * w * (held[i + 1] ?? 0)) / 2 -
      (u * t * w * (held[i + 2] ?? 0)) / 2 +
      (u * t * v * (held[i + 3] ?? 0)) / 6
    )
  }
}

/**
 * {@link logBetween} as a function of its centre alone, out of a table: a grid over a chain's wear asks for it a
 * million times. Off the table the function itself answers.
 * @param low lower mark, %; -Infinity for none
 * @param high upper mark, %; Infinity for none
 * @param sd spread of the noise, %, over 0
 */
export function betweenTable(low: number, high: number, sd: number): (centre: number) => number {
  const key = `${low} ${high} ${sd}`
  const held = tables.get(key)
  if (held) return held
  if (tables.size >= MOST_TABLES) tables.clear()
  const table = makeTable(low, high, sd)
  tables.set(key, table)
  return table
}
