import { RideFileError } from './ride-file-error.ts'
import { words } from '../../words/formats/rides/zip-list.ts'

/** A file of an archive, as the archive's list has it. */
export interface ZipEntry {
  readonly path: string
  readonly isLocked: boolean
  readonly method: number
  readonly crc: number
  readonly packedSize: number
  readonly size: number
  /** Where its own head begins. */
  readonly from: number
}

const END = 0x06054b50
const ENTRY = 0x02014b50
const LOCAL = 0x04034b50
const END_BYTES = 22
const ENTRY_BYTES = 46
const LOCAL_BYTES = 30
const MOST_COMMENT = 65_535
const LOCKED = 1
const IS_UTF8 = 1 << 11

const damaged = (): RideFileError => new RideFileError(words.theArchiveIsCut)

/** Where the list of files begins: the end of the archive says it. */
function startOfList(view: DataView): number {
  const lowest = Math.max(0, view.byteLength - END_BYTES - MOST_COMMENT)
  for (let i = view.byteLength - END_BYTES; i >= lowest; i--)
    if (view.getUint32(i, true) === END) return view.getUint32(i + 16, true)
  throw damaged()
}

/**
 * The files that a ZIP archive lists, by APPNOTE 4.3.12, without unpacking any. The list is followed from its beginning for as
 * long as it goes on: the count at the end of the archive is not asked, so a damaged one costs nothing.
 * @throws RideFileError where it is no archive, or cut short
 */
export function listEntries(bytes: Uint8Array): ZipEntry[] {
  if (bytes.length < END_BYTES) throw damaged()
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const entries: ZipEntry[] = []
  let at = startOfList(view)
  while (at + ENTRY_BYTES <= view.byteLength && view.getUint32(at, true) === ENTRY) {
    const flags = view.getUint16(at + 8, true)
    const nameFrom = at + ENTRY_BYTES
    const nameLength = view.getUint16(at + 28, true)
    const next = nameFrom + nameLength + view.getUint16(at + 30, true) + view.getUint16(at + 32, true)
    const encoding = (flags & IS_UTF8) > 0 ? 'utf-8' : 'windows-1252'
    entries.push({
      path: new TextDecoder(encoding).decode(bytes.subarray(nameFrom, nameFrom + nameLength)),
      isLocked: (flags & LOCKED) > 0,
      method: view.getUint16(at + 10, true),
      crc: view.getUint32(at + 16, true),
      packedSize: view.getUint32(at + 20, true),
      size: view.getUint32(at + 24, true),
      from: view.getUint32(at + 42, true),
    })
    at = next
  }
  if (entries.length === 0 && view.getUint32(0, true) === LOCAL) throw damaged()
  return entries
}

/** The packed bytes of a file; undefined where they are not where the list says. */
export function packedBytes(bytes: Uint8Array, { from, packedSize }: ZipEntry): Uint8Array | undefined {
  if (from + LOCAL_BYTES > bytes.length) return undefined
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  if (view.getUint32(from, true) !== LOCAL) return undefined
  const start = from + LOCAL_BYTES + view.getUint16(from + 26, true) + view.getUint16(from + 28, true)
  return start + packedSize <= bytes.length ? bytes.subarray(start, start + packedSize) : undefined
}
