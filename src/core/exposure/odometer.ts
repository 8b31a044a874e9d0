import { ENTRY_FORMAT } from '../log/entry.ts'
import type { OdometerEntry } from '../log/kinds/odometer.ts'
import type { RideEntry } from '../log/kinds/ride.ts'
import { daysBetween } from '../units/days.ts'
import { ridesDuring, totalKm } from './distance.ts'

/** What two successive readings of a bike's computer say of the time between them. */
export interface OdometerSpan {
  readonly from: OdometerEntry
  readonly to: OdometerEntry
  /** Difference of the readings, km. */
  readonly km: number
  /** Of it, what rides account for, km. */
  readonly riddenKm: number
}

const MOST_PIECES = 60
/** Less than this is the difference between two ways of measuring, not a ride left out: 1 % of the distance. */
const TOLERANCE = 0.01

/**
 * The spans between successive readings of one bike's computer, in order of time. A count that started over starts no
 * difference; a reading below the one before it, without that being said, gives none.
 * @param rides of that bike, in order of time
 */
export function odometerSpans(
  rides: readonly RideEntry[],
  readings: readonly OdometerEntry[],
): readonly OdometerSpan[] {
  return readings.slice(1).flatMap((to, i) => {
    const from = readings[i]
    if (!from || to.restarted === true || to.km < from.km) return []
    return [{ from, to, km: to.km - from.km, riddenKm: totalKm(ridesDuring(rides, from.at, to.at)) }]
  })
}

/** Distance of a span that no ride accounts for, km; 0 where rides account for all but a hundredth. */
export const unaccountedKm = ({ km, riddenKm }: OdometerSpan): number =>
  km - riddenKm > TOLERANCE * km ? km - riddenKm : 0

/**
 * Rides with what the bike's computer counted beside them: distance that no ride accounts for is laid evenly over
 * the days between the two readings, so that each part gets what fell while it was on (methods 3: odometer
 * corrections are entries too).
 * @param rides of one bike, in order of time
 * @returns in order of time
 */
export function withSpreadRides(
  rides: readonly RideEntry[],
  readings: readonly OdometerEntry[],
): readonly RideEntry[] {
  const spans = odometerSpans(rides, readings).filter((span) => unaccountedKm(span) > 0)
  if (spans.length === 0) return rides
  const pieces = spans.flatMap((span) => {
    const { from, to } = span
    const count = Math.min(MOST_PIECES, Math.max(1, Math.round(daysBetween(from.at, to.at))))
    const start = Date.parse(from.at)
    const step = (Date.parse(to.at) - start) / count
    return Array.from({ length: count }, (_, i): RideEntry & { spread: true } => ({
      kind: 'ride',
      format: ENTRY_FORMAT,
      id: `${to.id}:${i}`,
      at: new Date(start + step * (i + 0.5)).toISOString(),
      bike: to.bike,
      km: unaccountedKm(span) / count,
      spread: true,
    }))
  })
  return [...rides, ...pieces].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0))
}
