import { differenceInCalendarDays } from 'date-fns'
import type { Entry } from '../core/log/entries.ts'
import type { IsoTime } from '../core/log/entry.ts'
import { sayCount } from './numbers.ts'

/** How long ago a backup was saved. */
function sayAgo(at: IsoTime, now: IsoTime): string {
  const days = differenceInCalendarDays(new Date(now), new Date(at))
  return days <= 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`
}

/** What would be lost with this browser: "31 entries since the last backup, 12 days ago." */
export function sayUnsaved(
  unsaved: readonly Entry[],
  last: { readonly at: IsoTime } | undefined,
  now: IsoTime,
): string {
  if (!last) return unsaved.length === 0 ? 'Nothing to save yet.' : 'No backup has been saved yet.'
  if (unsaved.length === 0) return `All of it is in the last backup, saved ${sayAgo(last.at, now)}.`
  return `${sayCount(unsaved.length, 'entry')} since the last backup, saved ${sayAgo(last.at, now)}.`
}
