import { format } from 'date-fns'
import type { IsoTime } from '../../core/log/entries.ts'

/** A moment as the local day that a date field holds. */
export const dayOf = (at: IsoTime): string => format(new Date(at), 'yyyy-MM-dd')

/**
 * The moment a date field means: now for today, so that what is written last comes last; noon for another day.
 */
export const momentOf = (day: string, now: IsoTime): IsoTime =>
  day === dayOf(now) ? new Date().toISOString() : new Date(`${day}T12:00:00`).toISOString()

/** What is wrong with a day, if anything: there is no log of the future. */
export function faultOfDay(day: string, now: IsoTime): string | undefined {
  if (!Number.isFinite(Date.parse(day))) return 'Give a day.'
  return day > dayOf(now) ? 'That day is still to come.' : undefined
}
