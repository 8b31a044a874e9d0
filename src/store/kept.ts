import type { LogDatabase } from './database.ts'

/** Reads a thing this device keeps beside the log; undefined where it keeps none. */
export async function readKept(database: LogDatabase, key: string): Promise<unknown> {
  return (await database.kept.get(key))?.value
}

/** Keeps a thing on this device beside the log: how a table is read, how far a service was read. No record of the work. */
export async function keep(database: LogDatabase, key: string, value: unknown): Promise<void> {
  await database.kept.put({ key, value })
}
