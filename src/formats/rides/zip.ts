import { groupedNumber } from '../../words/grouped-number.ts'
import CRC32 from 'crc-32'
import { Gunzip, inflateSync } from 'fflate'
import { RideFileError } from './ride-file-error.ts'
import { listEntries, packedBytes, type ZipEntry } from './zip-list.ts'
import { words } from '../../words/formats/rides/zip.ts'

/** No ride is larger than this, bytes: a second a point for a month is less. */
export const MOST_BYTES = 100_000_000
/** Text of rides packs ten- to thirtyfold. What swells more than this is no ride. */
const MOST_SWELL = 200
const SMALL_BYTES = 1_000_000
const MOST_FILES = 20_000

export interface PackedFile {
  /** Its place in the archive's list: two files may bear one name. */
  readonly place: number
  /** The last part of its name, which is all that is used of it: nothing is ever written to a disk. */
  readonly name: string
  readonly fault?: string
}

/** The plain last part of a name in an archive, whatever path or trick stands before it. */
function plainName(path: string): string {
  const last = path.replaceAll('\\', '/').split('/').at(-1) ?? ''
  // Control and direction marks could make one name look like another.
  return last.replace(/[\p{Cc}\p{Cf}]/gu, '').slice(0, 120) || words.aFileWithoutAName
}

function sizeFault(packed: number, size: number): string | undefined {
  if (size > MOST_BYTES) return words.itWouldBeMb(Math.round(size / 1e6))
  if (size > SMALL_BYTES && size > packed * MOST_SWELL)
    return words.itWouldSwellFold(groupedNumber(Math.round(size / Math.max(1, packed))))
  return undefined
}

const LOCKED = words.itIsLockedWithAPassword

function faultOf(name: string, { isLocked, method, packedSize, size }: ZipEntry): string | undefined {
  if (isLocked) return LOCKED
  if (/\.(zip|7z|rar|tar|tgz)$/i.test(name)) return words.anArchiveWithinTheArchive
  if (method !== 0 && method !== 8) return words.itIsPackedInAWay
  return sizeFault(packedSize, size)
}

const lists = new WeakMap<Uint8Array, readonly ZipEntry[]>()
/** The list of an archive, read once: its files are unpacked in many goes. */
function listOf(bytes: Uint8Array): readonly ZipEntry[] {
  const known = lists.get(bytes) ?? listEntries(bytes)
  lists.set(bytes, known)
  return known
}

/**
 * What an archive holds, from its list alone: nothing is unpacked. Folders and the litter of file systems are passed
 * over.
 * @throws RideFileError where it is no archive, cut short, or wholly locked
 */
export function listZip(bytes: Uint8Array): readonly PackedFile[] {
  const entries = listOf(bytes)
  const files = entries.flatMap((entry, place): PackedFile[] => {
    const { path } = entry
    const name = plainName(path)
    if (path.endsWith('/') || name.startsWith('.') || path.startsWith('__MACOSX/')) return []
    const fault = faultOf(name, entry)
    return [{ place, name, ...(fault !== undefined && { fault }) }]
  })
  if (files.length > MOST_FILES) throw new RideFileError(words.theArchiveHoldsFiles(files.length))
  if (files.length === 0) throw new RideFileError(words.thereIsNothingInTheArchive)
  if (files.every(({ fault }) => fault === LOCKED)) throw new RideFileError(words.theArchiveIsLocked)
  return files
}

/** What became of a file of an archive. */
export type Unpacked = { readonly bytes: Uint8Array } | { readonly fault: string }

function unpacked(bytes: Uint8Array, entry: ZipEntry): Unpacked {
  const packed = packedBytes(bytes, entry)
  if (!packed) return { fault: words.itIsNotWhere }
  try {
    const held = entry.method === 0 ? packed : inflateSync(packed, { out: new Uint8Array(entry.size) })
    if (held.length === entry.size && CRC32.buf(held) >>> 0 === entry.crc) return { bytes: held }
  } catch {
    // It is said to be damaged, as one whose check sum does not fit.
  }
  return {
    fault: words.itIsDamagedWithin,
  }
}

/**
 * Unpacks some files of an archive, one after another. Never more than the size its list gives, which was checked.
 * @param places in the list
 */
export function* unpackZip(
  bytes: Uint8Array,
  places: readonly number[],
): Generator<{ readonly place: number; readonly unpacked: Unpacked }> {
  const entries = listOf(bytes)
  for (const place of places) {
    const entry = entries[place]
    yield {
      place,
      unpacked: entry ? unpacked(bytes, entry) : { fault: words.itIsNotInTheArchive },
    }
  }
}

/** Whether bytes begin like a file that was packed by itself. */
export const isGzip = (bytes: Uint8Array): boolean => bytes[0] === 0x1f && bytes[1] === 0x8b
const PIECE = 65_536
/** A head of ten bytes and a seal of eight. */
const LEAST_GZIP = 18

/**
 * Unpacks a file that was packed by itself (".gpx.gz"), of however many parts; one that is not packed, though it is named
 * so, comes back as it is.
 * @throws RideFileError where it is empty, damaged, or larger than any ride
 */
export function unpackGzip(bytes: Uint8Array): Uint8Array {
  if (bytes.length === 0) throw new RideFileError(words.theFileIsEmpty)
  if (!isGzip(bytes)) return bytes
  const pieces: Uint8Array[] = []
  let size = 0
  let isWhole = false
  // Of the part that is being unpacked; each has a check sum of its own, of which the last one is looked at.
  let crc = 0
  const stream = new Gunzip((piece, final) => {
    pieces.push(piece)
    size += piece.length
    crc = CRC32.buf(piece, crc)
    isWhole = final
    // Only now is it known how large it is: nothing is believed that the file says of itself.
    const fault = sizeFault(bytes.length, size)
    if (fault) throw new RideFileError(fault)
  })
  stream.onmember = () => {
    crc = 0
  }
  try {
    for (let from = 0; from < bytes.length; from += PIECE)
      stream.push(bytes.subarray(from, from + PIECE), from + PIECE >= bytes.length)
  } catch (error) {
    if (error instanceof RideFileError) throw error
    isWhole = false
  }
  const sealed = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  if (!isWhole || bytes.length < LEAST_GZIP || sealed.getUint32(bytes.length - 8, true) !== crc >>> 0)
    throw new RideFileError(words.thePackedFileIsCut)
  const whole = new Uint8Array(size)
  let at = 0
  for (const piece of pieces) {
    whole.set(piece, at)
    at += piece.length
  }
  return whole
}
