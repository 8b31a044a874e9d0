import type { EntityTable, Transaction } from 'dexie'
import { newId } from './new-id.ts'
import { withPatience } from './with-patience.ts'

const KEY = 'generation'

/** A database with the table of things kept beside the log. */
interface WithKept {
  readonly kept: EntityTable<{ readonly key: string; readonly value: unknown }, 'key'>
}

/**
 * What tells this log from one that the browser started over after deleting it. Entries are only ever added, but for the
 * few changes that are counted here; whoever holds the log in memory then reads it again from the start.
 */
export interface Generation {
  readonly id: string
  readonly changes: number
}

/** Marks a database that has just been made. */
export const beginGeneration = (transaction: Transaction): Promise<unknown> =>
  transaction.table('kept').put({ key: KEY, value: { id: newId(), changes: 0 } satisfies Generation })

/** The mark of the database; undefined where it holds none. Within a transaction, or alone. */
export async function readGeneration(database: WithKept): Promise<Generation | undefined> {
  return (await database.kept.get(KEY))?.value as Generation | undefined
}

/** Says that entries were taken away or rewritten. Within a transaction on `kept`. */
export async function countChange(database: WithKept, held: Generation | undefined): Promise<void> {
  const value: Generation = { id: held?.id ?? newId(), changes: (held?.changes ?? 0) + 1 }
  await database.kept.put({ key: KEY, value })
}

/**
 * The mark of the database of a name, as somebody sees it who opens it now: undefined where there is none. A browser
 * that clears its data may leave an open connection working on what is gone; only a new one sees that.
 * @throws DOMException where it cannot be opened
 */
function generationAnew(name: string): Promise<Generation | undefined> {
  return new Promise((resolve, reject) => {
    const opening = indexedDB.open(name)
    let isThere = true
    opening.onupgradeneeded = () => {
      // Nothing of that name: nothing is begun here either.
      isThere = false
      opening.transaction?.abort()
    }
    opening.onerror = () => (isThere ? reject(opening.error ?? new Error('not opened')) : resolve(undefined))
    opening.onsuccess = () => {
      const held = opening.result
      const end = (mark: unknown): void => {
        held.close()
        resolve((mark as { value?: Generation } | undefined)?.value)
      }
      if (!held.objectStoreNames.contains('kept')) return end(undefined)
      const asked = held.transaction('kept').objectStore('kept').get(KEY)
      asked.onsuccess = () => end(asked.result)
      asked.onerror = () => end(undefined)
    }
  })
}

/**
 * Whether whoever opens the database of a name now finds another one than that of a mark, or none. One that gives no answer in time is taken
 * to be there: the write itself then says what is wrong.
 */
export async function isGone(name: string, mark: Generation | undefined): Promise<boolean> {
  if (!mark) return false
  const anew = generationAnew(name).then((seen) => ({ isOther: seen?.id !== mark.id }))
  return (await withPatience(anew).catch(() => undefined))?.isOther === true
}
