import { BOUNDS, isOneLine } from '../core/log/bounds.ts'
import type { LogDatabase } from './database.ts'

/** Reads a thing this device keeps beside the log; undefined where it keeps none. */
export async function readKept(database: LogDatabase, key: string): Promise<unknown> {
  return (await database.kept.get(key))?.value
}

/** Keeps a thing on this device beside the log: how a table is read, how far a service was read. No record of the work. */
export async function keep(database: LogDatabase, key: string, value: unknown): Promise<void> {
  await database.kept.put({ key, value })
}

/** Under which the name of whoever writes on this device is kept. */
export const WHO_KEY = 'who'

/** A name as it can stand on entries; undefined where nothing of it can. */
export function whoOf(name: unknown): string | undefined {
  if (typeof name !== 'string' || !isOneLine(name)) return undefined
  const plain = name.trim().slice(0, BOUNDS.whoLetters).trim()
  return plain === '' ? undefined : plain
}

/** The name of whoever writes on this device; undefined where none was given. Within a transaction on `kept`, or alone. */
export const readWho = async (database: LogDatabase): Promise<string | undefined> =>
  whoOf(await readKept(database, WHO_KEY))
