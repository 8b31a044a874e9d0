import type { Entry } from '../src/core/log/entries.ts'
import { checkEntry } from '../src/formats/entry-schema.ts'
import { readBackup } from '../src/formats/read-backup.ts'
import { writeBackup } from '../src/formats/write-backup.ts'
import { ODD_VALUES } from './mutants.ts'
import { faultOfAnswers } from './whole-app.ts'

/** What came of trying one value in one field. */
export interface Edge {
  readonly kind: string
  readonly field: string
  readonly value: unknown
  readonly outcome: 'refused' | 'let in' | 'broke'
  readonly fault?: string
}

/** Numbers at and beyond the ends of what a field may hold. */
const ENDS = [0.1, 1, 19, 20, 39, 40, 60, 120, 121, 400, 401, 5000, 5001, 50_000, 1e6, 1e7]
const VALUES: readonly unknown[] = [...ODD_VALUES, ...ENDS]

function* fieldsOf(value: object, way: readonly string[] = []): Generator<readonly string[]> {
  for (const [key, held] of Object.entries(value)) {
    yield [...way, key]
    if (typeof held === 'object' && held !== null) yield* fieldsOf(held as object, [...way, key])
  }
}

function withValue(entry: Entry, way: readonly string[], value: unknown): unknown {
  const copy = JSON.parse(JSON.stringify(entry)) as Record<string, unknown>
  let at = copy
  for (const key of way.slice(0, -1)) at = at[key] as Record<string, unknown>
  at[way.at(-1) ?? ''] = value
  return copy
}

/**
 * Puts every odd value into every field of every entry of a log. What the schema lets in must come back from a backup
 * as it was, and everything must be worked out from the log with it.
 * @param every only each so many-th, for a quick look
 */
export function* edgesOf(log: readonly Entry[], now: string, every = 1): Generator<Edge> {
  let n = 0
  for (const entry of log)
    for (const way of fieldsOf(entry))
      for (const value of VALUES) {
        if (n++ % every !== 0) continue
        const told = { kind: entry.kind, field: way.join('.'), value }
        const checked = checkEntry(withValue(entry, way, value))
        if (checked.outcome !== 'sound') {
          yield { ...told, outcome: 'refused' }
          continue
        }
        const changed = log.map((one) => (one.id === entry.id ? checked.entry : one))
        const back = readBackup(writeBackup(changed, now))
        const fault =
          back.aside.length > 0
            ? `written, but not read: ${back.aside[0]?.said}`
            : faultOfAnswers(changed, now)
        yield {
          ...told,
          outcome: fault === undefined ? 'let in' : 'broke',
          ...(fault !== undefined && { fault }),
        }
      }
}
