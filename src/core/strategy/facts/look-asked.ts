import type { Garage } from '../../log/garage.ts'
import { daysBetween } from '../../units/days.ts'
import type { BikeReport } from './bike-report.ts'

/** A ride is asked about for so long after it began, days. */
const ASKED_DAYS = 1.5

/**
 * Whether to ask how the chain was on the last ride: it is fresh in the ear, something is on the chain, and nothing was said or done
 * since.
 */
export function isLookAsked(garage: Garage, { chain, now }: BikeReport): boolean {
  const last = chain?.story.rides.at(-1)?.at
  if (!chain || last === undefined || daysBetween(last, now) > ASKED_DAYS) return false
  const { lube, part } = chain
  if (!lube || lube.lube === 'none') return false
  const id = part.entry.part
  const since = [garage.listed['lube-check'].get(id)?.at(-1)?.at, garage.washes.get(id)?.at(-1)?.at]
  return since.every((at) => at === undefined || at < last)
}
