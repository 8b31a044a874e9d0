import type { IsoTime } from '../../core/log/entry.ts'

const DAY_MS = 86_400_000
/** A satellite receiver counts weeks up to this and begins again. */
const WEEKS = 1024
/** A receiver that lost count shows a day this much too early, ms. */
const LOST_MS = WEEKS * 7 * DAY_MS
/** Recordings of rides are no older. */
const EARLIEST = Date.UTC(1990, 0, 1)
/** If the count was lost, the ride was ridden at most so long ago: old devices lose it for good in one year or another. */
const LATELY_MS = 4 * 365 * DAY_MS

/** Why the day of a recording cannot be believed, and which day it may have been. */
export interface DoubtfulDay {
  readonly why: 'future' | 'lost-count' | 'clock-not-set'
  readonly likely?: IsoTime
}

/**
 * Whether the day that a device wrote can be.
 * @param nowMs the time now
 * @returns undefined for a day that can
 */
export function doubtfulDay(at: IsoTime, nowMs: number): DoubtfulDay | undefined {
  const ms = Date.parse(at)
  if (ms > nowMs + DAY_MS) return { why: 'future' }
  const counted = ms + LOST_MS
  const isLate = counted <= nowMs + DAY_MS && counted > nowMs - LATELY_MS
  if (isLate) return { why: 'lost-count', likely: new Date(counted).toISOString() }
  return ms < EARLIEST ? { why: 'clock-not-set' } : undefined
}
