import { lightFormat } from 'date-fns'
import { isIsoDay } from '../core/log/bounds.ts'
import type { IsoTime } from '../core/log/entry.ts'

/** A moment as the local day that a date field holds. */
export const dayOf = (at: IsoTime): string => lightFormat(new Date(at), 'yyyy-MM-dd')

/** The local time of day at some ms: "16:54". */
export const timeOfDay = (ms: number): string => lightFormat(new Date(ms), 'HH:mm')

/**
 * The moment a date field means: now for today, so that what is written last comes last; noon for another day. While
 * the field holds no day, as it does in the middle of typing, it is now; {@link faultOfDay} says what is wrong.
 */
export const momentOf = (day: string, now: IsoTime): IsoTime =>
  day === dayOf(now) || !isIsoDay(day) ? new Date().toISOString() : new Date(`${day}T12:00:00`).toISOString()

/** What is wrong with a day, if anything: there is no log of the future. */
export function faultOfDay(day: string, now: IsoTime): string | undefined {
  if (!isIsoDay(day)) return 'Give a day, with a year of four figures.'
  return day > dayOf(now) ? 'That day is still to come.' : undefined
}
