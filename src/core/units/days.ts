const MS_PER_DAY = 86_400_000

/** Days from one ISO time to another; negative when `to` is earlier. Fractions of a day count. */
export function daysBetween(from: string, to: string): number {
  return (Date.parse(to) - Date.parse(from)) / MS_PER_DAY
}

/** The ISO time `days` after `at` (before, when negative). UTC, so no summer-time hour is gained or lost. */
export function addDays(at: string, days: number): string {
  return new Date(Date.parse(at) + days * MS_PER_DAY).toISOString()
}
