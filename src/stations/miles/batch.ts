import type { Entry } from '../../core/log/entries.ts'
import { liveEntries } from '../../core/log/supersede.ts'
import type { RideFile } from '../../workers/read-rides.ts'

type ReadFile = Extract<RideFile, { ok: true }>

export interface SortedBatch {
  readonly fresh: readonly ReadFile[]
  readonly known: readonly { readonly file: string; readonly fault: string }[]
  readonly broken: readonly { readonly file: string; readonly fault: string }[]
}

/** What recognises the rides that are in the log, and the files they came from. A ride taken out may come again. */
export function knownPrints(entries: readonly Entry[]): ReadonlyMap<string, string> {
  return new Map(
    liveEntries(entries).flatMap((entry) =>
      entry.kind === 'ride' && entry.source ? [[entry.source.print, entry.source.file] as const] : [],
    ),
  )
}

/** Sorts files that were read into new rides, rides already held (in the log or earlier in the batch) and broken ones. */
export function sortBatch(files: readonly RideFile[], known: ReadonlyMap<string, string>): SortedBatch {
  const seen = new Map(known)
  const fresh: ReadFile[] = []
  const again: { file: string; fault: string }[] = []
  const broken: { file: string; fault: string }[] = []
  for (const file of files) {
    if (!file.ok) broken.push({ file: file.file, fault: file.fault })
    else {
      const before = seen.get(file.print)
      if (before === undefined) {
        seen.set(file.print, file.file)
        fresh.push(file)
      } else again.push({ file: file.file, fault: `The same ride as ${before}.` })
    }
  }
  return { fresh, known: again, broken }
}
