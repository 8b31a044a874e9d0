import type { Entry } from './entries.ts'

/** A picture kept beside the log: an entry names it by its id. */
export interface KeptPicture {
  readonly id: string
  /** As JPEG. */
  readonly jpeg: Uint8Array<ArrayBuffer>
}

/** The pictures that some entries name. */
export const picturesNamed = (entries: readonly Entry[]): readonly string[] =>
  entries.flatMap((entry) =>
    (entry.kind === 'picture' || entry.kind === 'check') && entry.picture !== undefined
      ? [entry.picture]
      : [],
  )
