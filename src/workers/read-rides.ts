import type { Remote } from 'comlink'
import type { RideSetup } from '../core/exposure/ride-gears.ts'
import type { PackedFile } from '../formats/rides/zip.ts'
import type { RideFile } from './ride-file.ts'
import type { RidesWorker } from './rides.worker.ts'
import { startWorker } from './start-worker.ts'

export type { ReadRide, RideFile } from './ride-file.ts'

export interface Progress {
  readonly done: number
  readonly of: number
}

export interface Reading {
  readonly result: Promise<readonly RideFile[] | 'cancelled'>
  /** Stops at once; nothing read so far is kept. */
  readonly cancel: () => void
}

const MOST_WORKERS = 4
/** Files that are read in one go, at most. */
const PART = 25
/** Progress is told at most this often, ms: a thousand files are not a thousand drawings. */
const TELL_MS = 80

/** A piece of work for one of the workers. */
type Task = (worker: Remote<RidesWorker>) => Promise<readonly RideFile[]>

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

/**
 * Reads ride files in a pool of workers, so that the screen stays free and a cancel takes hold at once. Archives are
 * listed first and their files shared out too. Results come in the order of the files.
 * @param setup the bike they are for: its gears are told as the rides are read
 */
export function readRides(
  files: readonly File[],
  setup: RideSetup,
  onProgress: (progress: Progress) => void,
): Reading {
  const count = Math.max(1, Math.min(MOST_WORKERS, navigator.hardwareConcurrency, files.length))
  const workers = Array.from({ length: files.some(isArchive) ? Math.max(2, count) : count }, () =>
    startWorker<RidesWorker>(
      () => new Worker(new URL('./rides.worker.ts', import.meta.url), { type: 'module' }),
    ),
  )
  const stop = (): void => workers.forEach((worker) => worker.stop())
  let cancel = (): void => undefined
  const work = async (): Promise<readonly RideFile[]> => {
    const pool = workers.map(({ remote }) => remote)
    const tell = teller(onProgress)
    let done = 0
    let of = files.length
    const tasks: { readonly place: number; readonly files: number; readonly run: Task }[] = []
    const found = new Map<number, RideFile[]>()
    const keep = (place: number, results: readonly RideFile[]): void => {
      found.set(place, [...(found.get(place) ?? []), ...results])
    }
    const [lister] = pool
    for (const [place, file] of files.entries()) {
      if (!isArchive(file) || !lister) continue
      const listed = await lister.list(file)
      if ('fault' in listed) {
        keep(place, [{ file: file.name, form: 'fault', fault: listed.fault }])
        done++
        continue
      }
      of += listed.files.length - 1
      for (let from = 0; from < listed.files.length; from += PART) {
        const part: readonly PackedFile[] = listed.files.slice(from, from + PART)
        tasks.push({ place, files: part.length, run: (worker) => worker.packed(file, part, setup) })
      }
    }
    for (const part of inParts(files, pool.length))
      tasks.push({
        place: part[0]?.place ?? 0,
        files: part.length,
        run: (worker) =>
          worker.some(
            part.map(({ file }) => file),
            setup,
          ),
      })
    let next = 0
    await Promise.all(
      pool.map(async (worker) => {
        for (let task = tasks[next++]; task; task = tasks[next++]) {
          const results = await task.run(worker)
          keep(task.place, results)
          // One file may hold several rides.
          done += task.files
          tell({ done, of })
        }
      }),
    )
    return files.flatMap((_, place) => found.get(place) ?? [])
  }
  const result = new Promise<readonly RideFile[] | 'cancelled'>((resolve, reject) => {
    cancel = () => {
      stop()
      resolve('cancelled')
    }
    Promise.race([work(), ...workers.map(({ failed }) => failed)])
      .then(resolve, reject)
      .finally(stop)
  })
  return { result, cancel: () => cancel() }
}
