import { gunzipSync, unzipSync } from 'fflate'
import { RideFileError } from './ride-file-error.ts'

/** No ride is larger than this, bytes: a second a point for a month is less. */
export const MOST_BYTES = 100_000_000
/** Text of rides packs ten- to thirtyfold. What swells more than this is no ride. */
const MOST_SWELL = 200
const SMALL_BYTES = 1_000_000
const MOST_FILES = 20_000

export interface PackedFile {
  /** As the archive names it. */
  readonly path: string
  /** Its last part, which is all that is used of it: nothing is ever written to a disk. */
  readonly name: string
  readonly fault?: string
}

/** The plain last part of a name in an archive, whatever path or trick stands before it. */
function plainName(path: string): string {
  const last = path.replaceAll('\\', '/').split('/').at(-1) ?? ''
  // Control and direction marks could make one name look like another.
  return last.replace(/[\p{Cc}\p{Cf}]/gu, '').slice(0, 120) || 'a file without a name'
}

function faultOf(name: string, packed: number, size: number): string | undefined {
  if (/\.(zip|7z|rar|tar|tgz)$/i.test(name))
    return 'An archive within the archive. Unpack it first and drop it by itself.'
  if (size > MOST_BYTES)
    return `It would be ${Math.round(size / 1e6)} MB: larger than any ride. Export it again.`
  if (size > SMALL_BYTES && size > packed * MOST_SWELL)
    return `It would swell ${Math.round(size / Math.max(1, packed)).toLocaleString('en')}-fold when unpacked: that is no ride, and it was left packed.`
  return undefined
}

/**
 * What an archive holds, from its list alone: nothing is unpacked. Folders and the litter of file systems are passed
 * over.
 * @throws RideFileError where it is no archive, or cut short
 */
export function listZip(bytes: Uint8Array): readonly PackedFile[] {
  const files: PackedFile[] = []
  try {
    unzipSync(bytes, {
      filter: ({ name: path, size, originalSize }) => {
        const name = plainName(path)
        if (path.endsWith('/') || name.startsWith('.') || path.startsWith('__MACOSX/')) return false
        const fault = faultOf(name, size, originalSize)
        files.push({ path, name, ...(fault !== undefined && { fault }) })
        return false
      },
    })
  } catch {
    throw new RideFileError('The archive is cut short or damaged. Copy or download it again.')
  }
  if (files.length > MOST_FILES)
    throw new RideFileError(
      `The archive holds ${files.length} files: more than any rider’s. Drop them in parts.`,
    )
  if (files.length === 0) throw new RideFileError('There is nothing in the archive.')
  return files
}

/**
 * Unpacks some files of an archive, one after another. Never more than the size its list gives, which was checked.
 * @throws RideFileError where a file in it is damaged
 */
export function* unpackZip(
  bytes: Uint8Array,
  paths: readonly string[],
): Generator<{ readonly path: string; readonly bytes: Uint8Array | undefined }> {
  for (const path of paths) {
    let held: Uint8Array | undefined
    try {
      held = unzipSync(bytes, { filter: (file) => file.name === path })[path]
    } catch {
      held = undefined
    }
    yield { path, bytes: held }
  }
}

/**
 * Unpacks a file that was packed by itself (".gpx.gz").
 * @throws RideFileError where it is damaged, or larger than any ride
 */
export function unpackGzip(bytes: Uint8Array): Uint8Array {
  // The last four bytes tell the size: looked at before anything is unpacked.
  const size = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength).getUint32(
    Math.max(0, bytes.length - 4),
    true,
  )
  const fault = faultOf('', bytes.length, size)
  if (fault) throw new RideFileError(fault)
  try {
    return gunzipSync(bytes, { out: new Uint8Array(size) })
  } catch {
    throw new RideFileError('The packed file is cut short or damaged. Copy or download it again.')
  }
}
