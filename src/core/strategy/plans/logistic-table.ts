import { SPREAD } from '../../teeth/skip.ts'

/** So far from the threshold the risk is nothing, or certain, in spreads. */
const REACH = 9
const PER_SPREAD = 128
const TABLE = Float64Array.from(
  { length: 2 * REACH * PER_SPREAD + 1 },
  (_, i) => 1 / (1 + Math.exp(REACH - i / PER_SPREAD)),
)
const SCALE = PER_SPREAD / SPREAD
const MIDDLE = REACH * PER_SPREAD

/** So far below the threshold, %, the table has no risk at all. */
export const NO_RISK = -REACH * SPREAD

/**
 * The skip risk of methods 5 from a table, right to 0.002: a plan's lives ask for it a hundred million times.
 * @param over how far the teeth are over the threshold, %
 */
export function logisticAt(over: number): number {
  const place = over * SCALE + MIDDLE
  if (place <= 0) return 0
  return TABLE[place >= 2 * MIDDLE ? 2 * MIDDLE : place | 0] as number
}
