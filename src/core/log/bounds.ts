import { entryIdTime } from './entry-id.ts'
import type { EntryId, IsoTime } from './entry.ts'

/** No record of a bicycle's chain is older, and none is planned further ahead. */
export const FIRST_YEAR = 1990
export const LAST_YEAR = 2100

/** How many letters a name and a note may have, whatever they are of, in UTF-16 units. */
export const BOUNDS = { nameLetters: 80, noteLetters: 400, whoLetters: 40 } as const

/**
 * Whether a text is a time as entries hold it: `2026-03-09T07:30:00.000Z`, a day that exists, from 1990 to 2100.
 * Times are compared as text, so there is one way only to write each.
 */
export function isIsoTime(text: string): text is IsoTime {
  if (!/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/.test(text)) return false
  const year = Number(text.slice(0, 4))
  if (year < FIRST_YEAR || year > LAST_YEAR) return false
  const ms = Date.parse(text)
  return Number.isFinite(ms) && new Date(ms).toISOString() === text
}

/** Whether a text is a day as a date field holds it, that exists, from 1990 to 2100: `2026-03-09`. */
export const isIsoDay = (text: string): boolean => isIsoTime(`${text}T12:00:00.000Z`)

/** Whether a text is an entry's id: a version 7 UUID in small letters. Ids are compared as text. */
export const isEntryId = (text: string): text is EntryId =>
  /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/.test(text)

/**
 * Whether a text can name a bike, a part, a tool or an event: letters, digits, and `. _ : -` within. Such ids are used
 * as keys and in calendar files, so none may be a name that every object has, or hold a space or a line end.
 */
export const isThingId = (text: string): boolean =>
  /^[A-Za-z0-9][A-Za-z0-9._:-]{0,63}$/.test(text) && !(text in {})

/** Whether a text is free of the control characters that nobody types: line ends and tabs are allowed. */
export const isPlainText = (text: string): boolean =>
  // eslint-disable-next-line no-control-regex
  !/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f\u2028\u2029]/.test(text)

/** Whether a text stands on one line: a name that breaks off would begin a line of its own in a calendar file. */
export const isOneLine = (text: string): boolean => isPlainText(text) && !/[\r\n]/.test(text)

/** A device's clock may run ahead of another's by this much, ms, before what it wrote is given another stamp: a day. */
export const MOST_DRIFT_MS = 86_400_000

/** Whether an id says that it was written later than tomorrow, seen from a moment (ms since 1970). */
export const isStampedAhead = (id: EntryId, nowMs: number): boolean => entryIdTime(id) > nowMs + MOST_DRIFT_MS
