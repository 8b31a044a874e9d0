import type { RideSetup } from '../core/exposure/ride-gears.ts'
import type { JobStep } from '../core/job.ts'
import { readRideFile } from '../formats/rides/read-ride-file.ts'
import { RideFileError } from '../formats/rides/ride-file-error.ts'
import { listZip, MOST_BYTES, unpackZip, type PackedFile } from '../formats/rides/zip.ts'
import { readRide } from './read-ride.ts'
import type { RideFile } from './ride-file.ts'
import { words } from '../words/workers/ride-jobs.ts'

const faultOf = (error: unknown): string =>
  error instanceof RideFileError
    ? error.message
    : /dynamically imported module/.test(String(error))
      ? words.thePartOfTheApp
      : words.theFileCouldNot

async function read(file: string, bytes: () => Promise<Uint8Array>, setup: RideSetup): Promise<RideFile[]> {
  try {
    const held = await readRideFile(file, await bytes())
    if (held.form === 'table') return [{ file, ...held }]
    return held.rides.map((ride) => readRide(file, ride, setup))
  } catch (error) {
    return [{ file, form: 'fault', fault: faultOf(error) }]
  }
}

async function archiveBytes(file: File): Promise<Uint8Array> {
  if (file.size > 10 * MOST_BYTES) throw new RideFileError(words.theArchiveIsOver)
  return new Uint8Array(await file.arrayBuffer())
}

const tooLarge = (file: File): RideFileError =>
  new RideFileError(words.itHasMbLarger(Math.round(file.size / 1e6)))

/** So many bytes are opened as one, at most, but for a file that is larger by itself. */
const TOGETHER_BYTES = 8_000_000

/** Files in the same order, in groups that are not too large to open as one. */
function inGroups(files: readonly File[]): File[][] {
  const groups: File[][] = []
  let bytes = Infinity
  for (const file of files) {
    if (bytes + file.size > TOGETHER_BYTES) {
      groups.push([])
      bytes = 0
    }
    groups.at(-1)?.push(file)
    bytes += file.size
  }
  return groups
}

/**
 * The bytes of some files, opened as one: a browser takes as long to open a small file as to read a megabyte. Where
 * one of them cannot be read (it was moved meanwhile) each is opened by itself, so that only that one is missed.
 */
async function bytesTogether(files: readonly File[]): Promise<readonly (() => Promise<Uint8Array>)[]> {
  try {
    const bytes = new Uint8Array(await new Blob([...files]).arrayBuffer())
    let from = 0
    return files.map(({ size }) => {
      const own = bytes.subarray(from, from + size)
      from += size
      return () => Promise.resolve(own)
    })
  } catch {
    return files.map((file) => async () => new Uint8Array(await file.arrayBuffer()))
  }
}

export interface RideFilesQuestion {
  readonly files: readonly File[]
  /** The bike they are for: its gears are told as the rides are read. */
  readonly setup: RideSetup
}
export interface ArchiveQuestion {
  readonly archive: File
}
export interface PackedQuestion extends ArchiveQuestion {
  /** What to read of it. */
  readonly files: readonly PackedFile[]
  readonly setup: RideSetup
}

type RideSteps = AsyncGenerator<JobStep, RideFile[], undefined>

/** Reads some files. One too large for any ride is not even opened. @yields after each file */
export async function* rideFileSteps({ files, setup }: RideFilesQuestion): RideSteps {
  const results: RideFile[] = []
  let done = 0
  for (const group of inGroups(files)) {
    const openable = group.filter(({ size }) => size <= MOST_BYTES)
    const opened = await bytesTogether(openable)
    for (const file of group) {
      const bytes = opened[openable.indexOf(file)] ?? (() => Promise.reject(tooLarge(file)))
      results.push(...(await read(file.name, bytes, setup)))
      yield { done: ++done, of: files.length }
    }
  }
  return results
}

/** What an archive holds, or why it cannot be opened. */
export async function* archiveSteps({
  archive,
}: ArchiveQuestion): AsyncGenerator<
  JobStep,
  { readonly files: readonly PackedFile[] } | { readonly fault: string },
  undefined
> {
  yield { done: 0, of: 1 }
  try {
    return { files: listZip(await archiveBytes(archive)) }
  } catch (error) {
    return { fault: faultOf(error) }
  }
}

/** Reads some files of an archive. @yields after each of them */
export async function* packedRideSteps({ archive, files, setup }: PackedQuestion): RideSteps {
  const sound = files.filter(({ fault }) => fault === undefined)
  const results: RideFile[] = files.flatMap(({ name, fault }) =>
    fault === undefined ? [] : [{ file: name, form: 'fault' as const, fault }],
  )
  const names = new Map(sound.map(({ place, name }) => [place, name]))
  let done = results.length
  for (const { place, unpacked } of unpackZip(await archiveBytes(archive), [...names.keys()])) {
    const bytes = () =>
      'bytes' in unpacked
        ? Promise.resolve(unpacked.bytes)
        : Promise.reject(new RideFileError(unpacked.fault))
    results.push(...(await read(names.get(place) ?? '', bytes, setup)))
    yield { done: ++done, of: files.length }
  }
  return results
}
