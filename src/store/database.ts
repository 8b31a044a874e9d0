import Dexie, { type EntityTable, type Transaction } from 'dexie'
import type { AsideEntry } from '../core/log/aside.ts'
import type { World } from '../core/log/world.ts'
import type { KeptPicture } from '../core/log/kept-picture.ts'
import { entryChecks, type EntryChecks } from '../formats/entry-checks.ts'
import { beginGeneration } from './generation.ts'
import type { Pack } from './pack.ts'
import type { StoredEntry } from './stored-entry.ts'

/** A thing that this device keeps beside the log. */
export interface KeptThing {
  readonly key: string
  readonly value: unknown
}

/** An answer that took its time, kept so that it is there at once next time. */
export interface StoredAnswer {
  /** Job, version and question. */
  readonly key: string
  readonly job: string
  /** Of the job: answers of another one are worked out again. */
  readonly version: number
  /** What it is about, the same whatever the log says of it. */
  readonly about: string
  readonly bytes: number
  /** When it was kept, ms since 1970. */
  readonly at: number
  readonly answer: unknown
}

/** The one database of a world: the user's own, or the demo's. */
export type LogDatabase = Dexie & {
  readonly entries: EntityTable<StoredEntry, 'seq'>
  readonly kept: EntityTable<KeptThing, 'key'>
  readonly answers: EntityTable<StoredAnswer, 'key'>
  readonly aside: EntityTable<AsideEntry, 'text'>
  readonly pictures: EntityTable<KeptPicture, 'id'>
  readonly packs: EntityTable<Pack, 'from'>
}

const NAMES: Readonly<Record<World, string>> = { own: 'jolt-mile', demo: 'jolt-mile-demo' }

/** The schema of entries, there before an older database is opened: an upgrade cannot wait for a file. */
let checks: EntryChecks | undefined

/** Brings entries to today's format. One that cannot be counted is kept beside the log, and nothing stops. */
async function upgradeEntries(transaction: Transaction): Promise<void> {
  if (!checks) throw new Error('The schema of entries is not there: nothing is upgraded.')
  const { checkEntry } = checks
  const aside: AsideEntry[] = []
  await transaction
    .table<Record<string, unknown>>('entries')
    .toCollection()
    .modify((row: Record<string, unknown>, ref: { value?: unknown }) => {
      const { seq, ...stored } = row
      const checked = checkEntry(stored)
      if (checked.outcome === 'sound') ref.value = { ...checked.entry, seq }
      else {
        const [why, said] =
          checked.outcome === 'newer'
            ? (['newer', checked.what] as const)
            : (['unsound', checked.fault] as const)
        aside.push({ text: JSON.stringify(stored), why, said })
        delete ref.value
      }
    })
  await transaction.table('aside').bulkPut(aside)
  await beginGeneration(transaction)
}

/** A world's database, not opened yet. */
export const openDatabase = (world: World): LogDatabase => logDatabase(NAMES[world])

/**
 * A database of a log under a name, not opened yet. Migrations are numbered, kept for good and never edited: a new shape
 * is a new number, and whenever the format of entries grows a new number upgrades those stored.
 */
export function logDatabase(name: string): LogDatabase {
  // Every write is on the disk before it is called written: a record is worth the few milliseconds.
  const database = new Dexie(name, { chromeTransactionDurability: 'strict' }) as LogDatabase
  database.version(1).stores({ entries: '++seq, &id' })
  database.version(2).stores({ kept: '&key' })
  database.version(3).stores({ forecasts: '&group' })
  database.version(4).stores({ aside: '&text' }).upgrade(upgradeEntries)
  database.version(5).stores({ forecasts: null, answers: '&key, [job+version+about+at], [at+bytes]' })
  database.version(6).stores({ pictures: '&id' })
  database.version(7).stores({ packs: '&from' })
  database.on('populate', (transaction) => void beginGeneration(transaction))
  return database
}

/** The newest shape of the database that this build knows. */
const SHAPE = 7
/** Dexie counts in tenths, so that there is room between two shapes. */
const shapeOf = (database: LogDatabase): number => database.backendDB().version / 10

/** Why the log cannot be opened. */
export type OpenFault = 'missing' | 'denied' | 'hanging' | 'newer' | 'full' | 'broken'

/** A log that cannot be opened, and why. */
export class LogOpenError extends Error {
  override readonly name = 'LogOpenError'
  constructor(
    readonly fault: OpenFault,
    cause?: unknown,
  ) {
    super(`The log cannot be opened: ${fault}.`, { cause })
  }
}

/** Names of the errors that an error and what it came from bear. */
function namesOf(error: unknown): readonly string[] {
  const names: string[] = []
  for (let one = error; one instanceof Error && names.length < 5;) {
    names.push(one.name)
    one = (one as { inner?: unknown }).inner ?? one.cause
  }
  return names
}

/** Whether a write failed because there is no room for it. */
export const isFull = (error: unknown): boolean => namesOf(error).includes('QuotaExceededError')

function openFaultOf(error: unknown): OpenFault {
  const names = namesOf(error)
  if (names.includes('MissingAPIError') || names.includes('MissingAPI')) return 'missing'
  if (names.includes('VersionError')) return 'newer'
  if (names.includes('QuotaExceededError')) return 'full'
  if (
    names.some(
      (name) => name === 'SecurityError' || name === 'InvalidStateError' || name === 'NotAllowedError',
    )
  )
    return 'denied'
  return 'broken'
}

/** The first shape whose entries are of today's format. */
const CHECKED_SHAPE = 4

/** The shape a database has now; 0 where the browser does not say, none where there is no database. */
async function shapeNow(name: string): Promise<number | undefined> {
  try {
    const held = (await indexedDB.databases()).find((one) => one.name === name)
    return held && (held.version ?? 0) / 10
  } catch {
    return 0
  }
}

/** Fetches what an upgrade takes, unless the database is known to need none. */
async function prepareUpgrade({ name }: LogDatabase): Promise<void> {
  const shape = await shapeNow(name)
  if (shape === undefined || shape >= CHECKED_SHAPE) return
  // Where it does not come and an upgrade needs it, the upgrade fails and leaves everything as it is.
  checks = await entryChecks().catch(() => undefined)
}

/** The browser answers well within this, ms, where it answers at all. */
const PATIENCE_MS = 12_000

/**
 * Opens the database, or says why it cannot be.
 * @throws LogOpenError
 */
export async function openPatiently(database: LogDatabase, patienceMs = PATIENCE_MS): Promise<void> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<never>((_resolve, reject) => {
    timer = setTimeout(() => reject(new LogOpenError('hanging')), patienceMs)
  })
  try {
    await Promise.race([prepareUpgrade(database).then(() => database.open()), late])
  } catch (error) {
    throw error instanceof LogOpenError ? error : new LogOpenError(openFaultOf(error), error)
  } finally {
    clearTimeout(timer)
  }
  if (shapeOf(database) > SHAPE) {
    database.close({ disableAutoOpen: true })
    throw new LogOpenError('newer')
  }
}
