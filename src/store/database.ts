import Dexie, { type EntityTable } from 'dexie'
import type { Entry } from '../core/log/entries.ts'

/** An entry and its place in the order of arrival on this device. */
export type StoredEntry = Entry & { seq: number }

/** A thing that this device keeps beside the log. */
export interface KeptThing {
  readonly key: string
  readonly value: unknown
}

/** An answer of the wear model, and the state of the log that it is of: kept so that it is there at once next time. */
export interface StoredForecast {
  readonly group: string
  /** Of the model. */
  readonly version: number
  readonly key: string
  readonly outlook: unknown
}

/** The one database of a world: the user's own, or the demo's. */
export type LogDatabase = Dexie & {
  readonly entries: EntityTable<StoredEntry, 'seq'>
  readonly kept: EntityTable<KeptThing, 'key'>
  readonly forecasts: EntityTable<StoredForecast, 'group'>
}

/** Which records are open: the user's own or the demo garage. They never mix. */
export type World = 'own' | 'demo'

const NAMES: Readonly<Record<World, string>> = { own: 'jolt-mile', demo: 'jolt-mile-demo' }

/**
 * Opens a world's database. Migrations are numbered, kept for good and never edited: a new shape is a new number.
 */
export function openDatabase(world: World): LogDatabase {
  const database = new Dexie(NAMES[world]) as LogDatabase
  database.version(1).stores({ entries: '++seq, &id' })
  database.version(2).stores({ kept: '&key' })
  database.version(3).stores({ forecasts: '&group' })
  return database
}
