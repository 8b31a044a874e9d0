import { liveQuery, type Observable } from 'dexie'
import { useObservable } from 'dexie-react-hooks'
import type { Entry } from '../core/log/entries.ts'
import type { LogDatabase } from './database.ts'
import { entriesSince } from './write.ts'

/**
 * The log as a live query that reads only what has arrived since it last looked: entries are never changed, so
 * what was read once stays true. A log that has become shorter was wiped, and is read again from the start.
 */
export function watchLog(database: LogDatabase): Observable<readonly Entry[]> {
  let held: readonly Entry[] = []
  let seq = 0
  return liveQuery(async () => {
    const fresh = await entriesSince(database, seq)
    if (fresh.total !== held.length + fresh.entries.length) {
      const whole = await entriesSince(database, 0)
      held = whole.entries
      seq = whole.seq
    } else if (fresh.entries.length > 0) {
      held = [...held, ...fresh.entries]
      seq = fresh.seq
    }
    return held
  })
}

/** Every entry of the log, kept up to date; undefined until it has been read. */
export function useLog(database: LogDatabase): readonly Entry[] | undefined {
  return useObservable(() => watchLog(database), [database])
}
