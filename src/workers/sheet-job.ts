import type { JobStep } from '../core/job.ts'
import { sheetFileSteps } from '../formats/notes/sheet-file.ts'
import { RideFileError } from '../formats/rides/ride-file-error.ts'

/** A sheet as a table with tabs, or why there is none. */
export type SheetRead = { readonly text: string } | { readonly fault: string }

/** Reads the first sheet of a spreadsheet file. @yields how far it has come */
export async function* sheetJobSteps(file: Blob): AsyncGenerator<JobStep, SheetRead, undefined> {
  try {
    return { text: yield* sheetFileSteps(file) }
  } catch (error) {
    if (error instanceof RideFileError) return { fault: error.message }
    throw error
  }
}
