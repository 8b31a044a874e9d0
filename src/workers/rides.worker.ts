import { expose } from 'comlink'
import { readGpx, ridePrint, RideFileError, type RecordedRide } from '../formats/gpx.ts'

/** A ride file as read, or in plain words why it could not be. */
export type RideFile =
  | { readonly file: string; readonly ok: true; readonly ride: RecordedRide; readonly print: string }
  | { readonly file: string; readonly ok: false; readonly fault: string }

async function readFile(file: File): Promise<RideFile> {
  try {
    if (!/\.gpx$/i.test(file.name))
      throw new RideFileError('Only GPX files can be read so far. Export the ride as GPX, or add it by hand.')
    const ride = readGpx(await file.text())
    return { file: file.name, ok: true, ride, print: ridePrint(ride) }
  } catch (error) {
    const fault =
      error instanceof RideFileError
        ? error.message
        : 'The file could not be opened. Choose it again, or another copy.'
    return { file: file.name, ok: false, fault }
  }
}

const rides = {
  /** Reads files one after another, telling how many are done after each. */
  read: async (files: readonly File[], onProgress: (done: number) => void): Promise<RideFile[]> => {
    const results: RideFile[] = []
    for (const file of files) {
      results.push(await readFile(file))
      onProgress(results.length)
    }
    return results
  },
}
export type RidesWorker = typeof rides
expose(rides)
