import type { EntityTable, Transaction } from 'dexie'
import { newId } from './new-id.ts'

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
