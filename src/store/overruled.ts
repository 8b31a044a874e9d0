import { useLiveQuery } from 'dexie-react-hooks'
import type { EntryId } from '../core/log/entry.ts'
import type { Overruled } from '../core/log/overruled.ts'
import type { LogDatabase } from './database.ts'
import { keep, readKept } from './kept.ts'

const KEY = 'overruled'
/** So many are kept, of the newest: whoever never looks is not drowned in them. */
const MOST = 2000

const NONE: readonly Overruled[] = []

const isOverruled = (value: unknown): value is Overruled =>
  typeof value === 'object' && value !== null && typeof (value as { id?: unknown }).id === 'string'

async function readOverruled(database: LogDatabase): Promise<readonly Overruled[]> {
  const held = await readKept(database, KEY)
  return Array.isArray(held) ? held.filter(isOverruled) : NONE
}

/** Keeps what a merge overruled until somebody has seen it. Within a transaction on `kept`. */
export async function keepOverruled(database: LogDatabase, more: readonly Overruled[]): Promise<void> {
  if (more.length === 0) return
  const fresh = new Set(more.map(({ id }) => id))
  const before = (await readOverruled(database)).filter(({ id }) => !fresh.has(id))
  await keep(database, KEY, [...before, ...more].slice(-MOST))
}

/** What was overruled and nobody has seen yet, kept up to date. */
export const useOverruled = (database: LogDatabase): readonly Overruled[] =>
  useLiveQuery(() => readOverruled(database), [database], NONE)

/** Forgets what was overruled: somebody has seen it. */
export async function forgetOverruled(database: LogDatabase, ids: readonly EntryId[]): Promise<void> {
  const seen = new Set(ids)
  await database.transaction('rw', database.kept, async () => {
    const left = (await readOverruled(database)).filter(({ id }) => !seen.has(id))
    await keep(database, KEY, left)
  })
}
