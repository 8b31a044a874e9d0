const MS_PER_DAY = 86_400_000

/** Days from one ISO time to another; negative when `to` is earlier. Fractions of a day count. */
export function daysBetween(from: string, to: string): number {
  return (Date.parse(to) - Date.parse(from)) / MS_PER_DAY
}

/** The ISO time `days` after `at` (before, when negative). UTC, so no summer-time hour is gained or lost. */
export function addDays(at: string, days: number): string {
  return new Date(Date.parse(at) + days * MS_PER_DAY).toISOString()
}

/**
 * Whether a moment is still to come: more than a day ahead. The screens' clock lags by some minutes behind what was just written, and
 * another device's clock may run ahead a little.
 */
export const isStillToCome = (at: string, now: string): boolean => at > addDays(now, 1)
