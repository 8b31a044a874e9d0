import { SaxesParser } from 'saxes'
import { RideFileError } from '../rides/ride-file-error.ts'
import { listEntries, type ZipEntry } from '../rides/zip-list.ts'
import { unpackZip } from '../rides/zip.ts'
import { local } from './sheet-span.ts'
import { words } from '../../words/formats/notes/sheet-file.ts'

/** What is read of a spreadsheet file has this many bytes at most, unpacked: a table of notes has a hundredth of it. */
export const MOST_UNPACKED_BYTES = 100e6

const BOOK = 'xl/workbook.xml'
const RELATIONS = 'xl/_rels/workbook.xml.rels'
/** Read beside the sheet itself, where they are there. */
const BESIDE = ['[Content_Types].xml', '_rels/.rels', 'xl/styles.xml', 'xl/sharedStrings.xml'] as const

/** The pieces of a spreadsheet file that its first sheet needs, unpacked, by their paths. */
export interface SheetParts {
  readonly files: Readonly<Record<string, Uint8Array>>
  /** Which of them is the sheet. */
  readonly sheet: string
}

const text = (bytes: Uint8Array | undefined): string => new TextDecoder().decode(bytes)

/** Calls back with the attributes of every tag of this name, by their names without prefixes. */
function eachTag(xml: string, wanted: string, tell: (of: Readonly<Record<string, string>>) => void): void {
  const parser = new SaxesParser()
  parser.on('error', () => {
    throw new RideFileError(words.theSpreadsheetCannotBe)
  })
  parser.on('opentag', ({ name, attributes }) => {
    if (local(name) === wanted)
      tell(Object.fromEntries(Object.entries(attributes).map(([key, value]) => [local(key), String(value)])))
  })
  parser.write(xml).close()
}

/** The path of the first sheet, by the workbook and its relations (ECMA-376, part 1, 18.2.20 and 12.3.24). */
function firstSheet(book: string, relations: string): string {
  const ids: string[] = []
  eachTag(book, 'sheet', ({ id }) => void (id !== undefined && ids.push(id)))
  const targets = new Map<string, string>()
  eachTag(
    relations,
    'Relationship',
    ({ Id, Target }) => void (Id !== undefined && Target !== undefined && targets.set(Id, Target)),
  )
  const target = targets.get(ids[0] ?? '')
  if (target === undefined) throw new RideFileError(words.theSpreadsheetCannotBe)
  return target.startsWith('/') ? target.slice(1) : `xl/${target}`
}

/** Unpacks what is named, as far as it is there; its size was believed only after it was looked at. */
function unpackedOf(
  bytes: Uint8Array,
  list: readonly ZipEntry[],
  names: readonly string[],
): Record<string, Uint8Array> {
  const places = names.map((name) => list.findIndex(({ path }) => path === name)).filter((at) => at >= 0)
  const entries = places.flatMap((at) => list[at] ?? [])
  if (entries.some(({ isLocked }) => isLocked)) throw new RideFileError(words.itIsLocked)
  const size = entries.reduce((sum, entry) => sum + entry.size, 0)
  if (size > MOST_UNPACKED_BYTES)
    throw new RideFileError(words.itWouldBeMb(Math.round(size / 1e6), MOST_UNPACKED_BYTES / 1e6))
  const files: Record<string, Uint8Array> = {}
  for (const { place, unpacked } of unpackZip(bytes, places)) {
    if ('fault' in unpacked) throw new RideFileError(words.theSpreadsheetIsDamaged)
    if (/<!(?:DOCTYPE|ENTITY)/i.test(text(unpacked.bytes)))
      throw new RideFileError(words.itDefinesWordsOfItsOwn)
    files[list[place]?.path ?? ''] = unpacked.bytes
  }
  return files
}

/** The list of an archive; a plain word where it is none. */
function listOf(bytes: Uint8Array): readonly ZipEntry[] {
  try {
    return listEntries(bytes)
  } catch {
    throw new RideFileError(words.theSpreadsheetCannotBe)
  }
}

/**
 * Unpacks of a spreadsheet file (Office Open XML) what its first sheet needs, and no more: pictures, other sheets and
 * archives within it are left as they are.
 * @throws RideFileError where it is no spreadsheet, locked, damaged, too large unpacked, or defines entities
 */
export function sheetParts(bytes: Uint8Array): SheetParts {
  const list = listOf(bytes)
  if (!list.some(({ path }) => path === BOOK))
    throw new RideFileError(
      list.some(({ path }) => /\.(xlsx|csv|zip)$/i.test(path))
        ? words.itIsAnArchive
        : words.theSpreadsheetCannotBe,
    )
  const heads = unpackedOf(bytes, list, [BOOK, RELATIONS])
  const sheet = firstSheet(text(heads[BOOK]), text(heads[RELATIONS]))
  const rest = unpackedOf(bytes, list, [...BESIDE, sheet])
  if (!rest[sheet]) throw new RideFileError(words.theSpreadsheetIsDamaged)
  return { files: { ...heads, ...rest }, sheet }
}
