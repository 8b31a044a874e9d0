import type { RideSetup } from '../core/exposure/ride-gears.ts'
import type { JobStep } from '../core/job.ts'
import { pool } from './ask.ts'
import type { Asked } from './pool.ts'
import type { RideFile } from './ride-file.ts'

export type { ReadRide, RideFile } from './ride-file.ts'

export type Progress = JobStep

export interface Reading {
  readonly result: Promise<readonly RideFile[] | 'cancelled'>
  /** Stops at once; nothing read so far is kept. */
  readonly cancel: () => void
}

/** Files that are read in one go, at most. */
const PART = 25
/** Progress is reported at most this often, ms: a thousand files are not a thousand drawings. */
const TELL_MS = 80

const isArchive = (file: File): boolean => /\.zip$/i.test(file.name)

/** Tells of progress, but not more often than anyone can see. */
function teller(tell: (progress: Progress) => void): (progress: Progress) => void {
  let last = 0
  return (progress) => {
    const now = performance.now()
    if (now - last < TELL_MS && progress.done < progress.of) return
    last = now
    tell(progress)
  }
}

interface Placed {
  readonly file: File
  readonly place: number
}

/**
 * The files that are no archives in neighbouring handfuls, small enough that every worker gets several. Their sizes
 * are not asked for here: for each the browser would hold up the page to look at the disk.
 */
function inParts(files: readonly File[], workers: number): Placed[][] {
  const most = Math.max(1, Math.min(PART, Math.ceil(files.length / (4 * workers))))
  const parts: Placed[][] = []
  let afterArchive = true
  files.forEach((file, place) => {
    const archive = isArchive(file)
    if (!archive) {
      const part = parts.at(-1)
      // What stands after an archive comes after it in the list of what was found, too.
      if (part && part.length < most && !afterArchive) part.push({ file, place })
      else parts.push([{ file, place }])
    }
    afterArchive = archive
  })
  return parts
}

/** One piece of the work, the place of its results among those of the others, and how many files it is of. */
interface Piece {
  readonly place: number
  readonly files: number
  readonly ask: (onStep: (step: JobStep) => void) => Asked<RideFile[]>
}

/** What is in an archive, in as many pieces as there are workers: each of them opens it once. */
async function piecesOf(
  archive: File,
  place: number,
  setup: RideSetup,
  watch: <A>(asked: Asked<A>) => Promise<A>,
): Promise<{ readonly pieces: Piece[] } | { readonly fault: string }> {
  const listed = await watch(pool.ask('ride-archive', { archive }, { isWaitedFor: true }))
  if ('fault' in listed) return listed
  const each = Math.max(PART, Math.ceil(listed.files.length / pool.size))
  const pieces: Piece[] = []
  for (let from = 0; from < listed.files.length; from += each) {
    const files = listed.files.slice(from, from + each)
    pieces.push({
      place,
      files: files.length,
      ask: (onStep) => pool.ask('packed-rides', { archive, files, setup }, { isWaitedFor: true, onStep }),
    })
  }
  return { pieces }
}

/** Reading was stopped before it was over. */
class CancelledError extends Error {
  override readonly name = 'CancelledError'
}

/**
 * Reads ride files away from the page, which stays free and can cancel at once. Archives are listed first and their files
 * shared out too. Results come in the order of the files.
 * @param setup the bike they are for: its gears are told as the rides are read
 */
export function readRides(
  files: readonly File[],
  setup: RideSetup,
  onProgress: (progress: Progress) => void,
): Reading {
  const running = new Set<Asked<unknown>>()
  let isCancelled = false
  const stopAll = (): void => running.forEach(({ stop }) => stop())
  const watch = async <A>(asked: Asked<A>): Promise<A> => {
    running.add(asked)
    if (isCancelled) asked.stop()
    const answer = await asked.done
    running.delete(asked)
    if (answer === undefined) throw new CancelledError()
    return answer
  }
  const work = async (): Promise<readonly RideFile[]> => {
    const tell = teller(onProgress)
    let [done, of] = [0, files.length]
    const pieces: Piece[] = []
    const found = new Map<number, RideFile[]>()
    const keep = (place: number, results: readonly RideFile[]): void => {
      found.set(place, [...(found.get(place) ?? []), ...results])
    }
    for (const [place, file] of files.entries()) {
      if (!isArchive(file)) continue
      const listed = await piecesOf(file, place, setup, watch)
      if ('fault' in listed) {
        keep(place, [{ file: file.name, form: 'fault', fault: listed.fault }])
        done++
        continue
      }
      of += listed.pieces.reduce((sum, piece) => sum + piece.files, 0) - 1
      pieces.push(...listed.pieces)
    }
    for (const part of inParts(files, pool.size))
      pieces.push({
        place: part[0]?.place ?? 0,
        files: part.length,
        ask: (onStep) =>
          pool.ask(
            'ride-files',
            { files: part.map(({ file }) => file), setup },
            { isWaitedFor: true, onStep },
          ),
      })
    const doneOf = pieces.map(() => 0)
    const tellPiece = (i: number, here: number): void => {
      doneOf[i] = here
      tell({ done: done + doneOf.reduce((sum, one) => sum + one, 0), of })
    }
    const results = await Promise.all(
      pieces.map(async ({ ask, files: count }, i) => {
        const read = await watch(ask((step) => tellPiece(i, step.done)))
        // One file may hold several rides.
        tellPiece(i, count)
        return read
      }),
    )
    results.forEach((read, i) => keep(pieces[i]?.place ?? 0, read))
    return files.flatMap((_, place) => found.get(place) ?? [])
  }
  const result = work().catch((error: unknown): 'cancelled' => {
    // What one piece met with ends the others too.
    stopAll()
    if (error instanceof CancelledError) return 'cancelled'
    throw error
  })
  const cancel = (): void => {
    isCancelled = true
    stopAll()
  }
  return { result, cancel }
}
