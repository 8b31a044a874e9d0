import { ASIDE_REASONS, type AsideEntry, type AsideReason } from '../core/log/aside.ts'
import type { Entry } from '../core/log/entries.ts'
import { worldOf } from '../core/log/world.ts'
import { BackupFileError, type BackupContents } from './backup-contents.ts'
import { deepText, isTooDeep } from './deep-text.ts'
import { checkEntry } from './entry-schema.ts'
import { readPictureText } from './picture-text.ts'
import { BACKUP_FORMAT, BACKUP_VERSION } from './write-backup.ts'
import { words } from '../words/formats/read-backup.ts'

interface Parts {
  readonly entries: readonly unknown[]
  readonly aside: readonly unknown[]
  readonly pictures: readonly unknown[]
  /** Lines that cannot be read at all. */
  readonly damaged: readonly string[]
  /** What the file says of itself. */
  readonly world: unknown
  readonly remark?: string
}

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** A JSON value, or undefined where the text is none. */
function tryParse(text: string): { readonly value: unknown } | undefined {
  try {
    return { value: JSON.parse(text) as unknown }
  } catch {
    return undefined
  }
}

const NO_BACKUP = words.thisIsNotAJolt

/** What is left of a file that was cut short or damaged on the way: an entry stands on a line of its own. */
function salvaged(text: string): Parts {
  const [head = '', ...lines] = text.split(/\r?\n/)
  if (!/^\s*\{\s*"format"\s*:\s*"jolt-mile-log"/.test(head)) throw new BackupFileError(NO_BACKUP)
  const entries: unknown[] = []
  const aside: unknown[] = []
  const pictures: unknown[] = []
  const damaged: string[] = []
  let section = entries
  for (const line of lines) {
    const bare = line.trim().replace(/,$/, '')
    if (/^\],?\s*"aside"/.test(bare)) section = aside
    else if (/^\],?\s*"pictures"/.test(bare)) section = pictures
    else if (bare !== '' && !/^[\]}\s]+$/.test(bare)) {
      const parsed = tryParse(bare)
      if (parsed) section.push(parsed.value)
      else damaged.push(bare)
    }
  }
  if (entries.length === 0 && aside.length === 0) throw new BackupFileError(words.theFileIsCut)
  const count = Number(/"count"\s*:\s*(\d+)/.exec(head)?.[1] ?? NaN)
  return {
    entries,
    aside,
    pictures,
    damaged,
    world: /"world"\s*:\s*"(\w+)"/.exec(head)?.[1],
    remark: words.theFileIsCutShort(entries.length, Number.isFinite(count) ? `${count} ` : ''),
  }
}

function partsOf(text: string): Parts {
  const trimmed = text.trim()
  if (trimmed === '') throw new BackupFileError(words.theFileIsEmpty)
  const parsed = tryParse(trimmed)
  if (!parsed) return salvaged(trimmed)
  if (!isObject(parsed.value) || parsed.value['format'] !== BACKUP_FORMAT)
    throw new BackupFileError(NO_BACKUP)
  const { version, count, entries, aside, pictures, world } = parsed.value
  if (!Array.isArray(entries))
    throw new BackupFileError(
      Number(version) > BACKUP_VERSION ? words.aNewerVersionOfJolt : words.theBackupHoldsNo,
    )
  const remark =
    Number(version) > BACKUP_VERSION
      ? words.aNewerVersionOfJoltMile
      : count !== entries.length
        ? words.theFileSaysThatItHolds(
            typeof count === 'number' ? count : words.anUnknownNumberOf,
            entries.length,
          )
        : undefined
  return {
    entries: entries as readonly unknown[],
    aside: Array.isArray(aside) ? (aside as readonly unknown[]) : [],
    pictures: Array.isArray(pictures) ? (pictures as readonly unknown[]) : [],
    damaged: [],
    world,
    ...(remark !== undefined && { remark }),
  }
}

const isReason = (value: unknown): value is AsideReason => ASIDE_REASONS.includes(value as AsideReason)

/** Entries are looked at in handfuls: so many between two words of progress. */
const HANDFUL = 500

/**
 * Reads a backup a piece at a time: what is sound comes in, what is not is named and kept aside, and nothing is lost.
 * @returns by steps, each telling how many of the entries were looked at
 * @throws BackupFileError where the file is no backup, or nothing whole is left in it
 */
export function* backupSteps(
  text: string,
): Generator<{ readonly done: number; readonly of: number }, BackupContents> {
  const parts = partsOf(text)
  const entries: Entry[] = []
  const aside = new Map<string, AsideEntry>()
  const keep = (value: unknown, why: AsideReason, said: string): void => {
    const held = JSON.stringify(value) ?? 'null'
    aside.set(held, { text: held, why, said })
  }
  /** As a text, like a line that cannot be read: what is made of its pieces would call itself too often. */
  const keepDeep = (value: unknown): void => keep(deepText(value), 'damaged', words.itIsDeeper)
  const take = (value: unknown): void => {
    if (isTooDeep(value)) return keepDeep(value)
    const checked = checkEntry(value)
    if (checked.outcome === 'sound') entries.push(checked.entry)
    else if (checked.outcome === 'newer') keep(value, 'newer', checked.what)
    else keep(value, 'unsound', checked.fault)
  }
  const of = parts.entries.length + parts.aside.length
  for (const [i, value] of parts.entries.entries()) {
    if (i % HANDFUL === 0) yield { done: i, of }
    take(value)
  }
  for (const held of parts.aside) {
    if (isTooDeep(held)) keepDeep(isObject(held) ? held['value'] : held)
    else if (!isObject(held)) keep(held, 'unsound', words.itIsNotAnEntry)
    else if (held['why'] === 'newer' || held['why'] === 'unsound') take(held['value'])
    else
      keep(
        held['value'],
        isReason(held['why']) ? held['why'] : 'damaged',
        typeof held['said'] === 'string' ? held['said'].slice(0, 400) : '',
      )
  }
  for (const line of parts.damaged) keep(line, 'damaged', words.itsLineInTheFile)
  const pictures = parts.pictures.map((one) => (isTooDeep(one) ? undefined : readPictureText(one)))
  for (const [i, picture] of pictures.entries())
    if (!picture && isTooDeep(parts.pictures[i])) keepDeep(parts.pictures[i])
    else if (!picture) keep(parts.pictures[i], 'damaged', words.itIsNoPicture)
  return {
    entries,
    pictures: pictures.flatMap((picture) => picture ?? []),
    aside: [...aside.values()],
    world: parts.world === 'own' || parts.world === 'demo' ? parts.world : worldOf(entries),
    ...(parts.remark !== undefined && { remark: parts.remark }),
  }
}

/**
 * Reads a backup in one go.
 * @throws BackupFileError as {@link backupSteps}
 */
export function readBackup(text: string): BackupContents {
  const steps = backupSteps(text)
  for (let step = steps.next(); ; step = steps.next()) if (step.done) return step.value
}
