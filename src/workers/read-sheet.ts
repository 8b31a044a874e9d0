import { RideFileError } from '../formats/rides/ride-file-error.ts'
import { pool } from './ask.ts'

/** A spreadsheet file being read. */
export interface SheetReading {
  /** Its first sheet as a table with tabs; undefined where it was stopped. Fails with a RideFileError, or a WorkerError where the worker is not there. */
  readonly result: Promise<string | undefined>
  readonly cancel: () => void
}

/**
 * Reads a spreadsheet file away from the page, which stays free whatever is in it.
 * @param onProgress told the share that is done, 0 to 1
 */
export function readSheetFile(file: Blob, onProgress: (share: number) => void): SheetReading {
  const asked = pool.ask('sheet-file', file, {
    isWaitedFor: true,
    onStep: ({ done, of }) => onProgress(of === 0 ? 0 : done / of),
  })
  const result = asked.done.then((read) => {
    if (!read) return undefined
    if ('fault' in read) throw new RideFileError(read.fault)
    return read.text
  })
  return { result, cancel: asked.stop }
}
