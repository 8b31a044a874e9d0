import { isIsoTime } from '../../core/log/bounds.ts'
import type { Entry, EntryDraft } from '../../core/log/entries.ts'
import { wordsOf } from '../../words/entries/index.ts'
import type { FieldContext } from '../../words/entries/kind-words.ts'
import { writeFields, type WrittenFields } from '../../words/entries/write-fields.ts'
import { words } from '../../words/stations/log/correction.ts'

/** The fields of a correction, as they stand in the form. */
export interface Fields {
  /** As a date-and-time field holds it, in the reader's own time. */
  readonly when: string
  readonly values: Readonly<Record<string, string>>
}

/** A date and time as the field holds it. */
export function fieldTime(at: string): string {
  const date = new Date(at)
  const two = (value: number) => String(value).padStart(2, '0')
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}T${two(date.getHours())}:${two(date.getMinutes())}`
}

/** What can be corrected in an entry, filled in. */
export function fieldsOf(entry: Entry, context: FieldContext): Fields {
  const values = wordsOf(entry).fields.map((field) => [field.name, field.read(entry, context)] as const)
  return { when: fieldTime(entry.at), values: Object.fromEntries(values) }
}

/** The entry written again as the form has it, or what is wrong and where. What was not touched stays as exact as it is. */
export function correctionOf(
  entry: Entry,
  fields: Fields,
  context: FieldContext,
  now: string,
): WrittenFields {
  const { id, action: _action, format: _format, ...rest } = entry
  const ms = new Date(fields.when).getTime()
  if (!Number.isFinite(ms) || !isIsoTime(new Date(ms).toISOString()))
    return { fault: words.giveTheDayAndTheTime, field: 'when' }
  if (ms > Date.parse(now) + 60_000) return { fault: words.thatIsInTheFuture, field: 'when' }
  // A field shows minutes; a time that was not touched keeps its seconds.
  const at = fields.when === fieldTime(entry.at) ? entry.at : new Date(ms).toISOString()
  const draft = { ...rest, at, supersedes: id }
  return writeFields(wordsOf(entry), draft, fields.values, context, fieldsOf(entry, context).values)
}

const JOB_SECONDS = 60
const isOfJob = ({ kind }: Entry): boolean =>
  kind === 'fit' || kind === 'remove' || kind === 'part' || kind === 'wash' || kind === 'reading'

/**
 * What was written in the same job as a fitting or taking off, as a swap writes it: the chain off, the link, the first
 * look. Whoever mends the day of one nearly always means them all.
 */
export function sameJob(entry: Entry, live: readonly Entry[]): readonly Entry[] {
  if (entry.kind !== 'fit' && entry.kind !== 'remove') return []
  const at = Date.parse(entry.at)
  return live.filter(
    (other) =>
      other.id !== entry.id &&
      isOfJob(other) &&
      (entry.action !== undefined ? other.action === entry.action : other.action === undefined) &&
      Math.abs(Date.parse(other.at) - at) <= (entry.action !== undefined ? 1000 * JOB_SECONDS : 0),
  )
}

/** Entries written again, so many ms later. */
export const movedBy = (entries: readonly Entry[], ms: number): EntryDraft[] =>
  entries.map(({ id, action: _action, ...rest }) => {
    const at = new Date(Date.parse(rest.at) + ms).toISOString()
    return { ...rest, at, supersedes: id }
  })
