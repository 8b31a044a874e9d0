import { ValidationError } from 'yup'
import type { Entry, EntryDraft, EntryKind } from '../core/log/entries.ts'
import { ENTRY_FORMAT } from '../core/log/entry.ts'
import { formatOf, upgradeEntry, type StoredFields } from '../core/log/upgrade.ts'
import { SCHEMAS } from './entries/index.ts'
import { words } from '../words/formats/entry-schema.ts'

/** An entry as it was checked: sound, of a kind or format that only a newer app knows, or with what is wrong with it. */
export type CheckedEntry =
  | { readonly outcome: 'sound'; readonly entry: Entry }
  | { readonly outcome: 'newer'; readonly what: string }
  | { readonly outcome: 'unsound'; readonly fault: string; readonly field?: string }

const shown = (value: unknown): string => JSON.stringify(value)?.slice(0, 60) ?? 'missing'

/** What is wrong, in words that name the field; Yup's own for a value of the wrong kind print the whole of it. */
const faultOf = ({ message, path, type }: ValidationError): string =>
  type === 'typeError' ? words.isOfTheWrong(path ?? 'it') : message

function checkKnown(value: StoredFields, kind: EntryKind): CheckedEntry {
  try {
    SCHEMAS[kind].validateSync(value, { strict: true })
    return { outcome: 'sound', entry: value as unknown as Entry }
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    return { outcome: 'unsound', fault: faultOf(error), ...(error.path && { field: error.path }) }
  }
}

/**
 * An entry from a file or an older database, brought to today's format and checked. The one schema for both ways: what
 * it refuses is never written, and what was written it never refuses.
 */
export function checkEntry(value: unknown): CheckedEntry {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return { outcome: 'unsound', fault: words.itIsNotAnEntry }
  const stored = value as StoredFields
  const format = formatOf(stored)
  if (Number.isNaN(format)) return { outcome: 'unsound', fault: words.itsFormatIs(shown(stored['format'])) }
  if (format > ENTRY_FORMAT) return { outcome: 'newer', what: words.anEntryOfFormat(format) }
  const { kind } = stored
  if (typeof kind !== 'string') return { outcome: 'unsound', fault: words.itsKindIs(shown(kind)) }
  if (!Object.hasOwn(SCHEMAS, kind)) return { outcome: 'newer', what: words.anEntryOfTheKind(shown(kind)) }
  return checkKnown(upgradeEntry(stored), kind as EntryKind)
}

const SAMPLE_ID = '00000000-0000-7000-8000-000000000000'

/**
 * What is wrong with what is about to be written, if anything: by the same schema that reads it back.
 * @returns the name of the field, as `km` or `reading`, and what is wrong
 */
export function faultOfDraft(
  draft: EntryDraft,
): { readonly field: string; readonly fault: string } | undefined {
  const checked = checkEntry({ ...draft, id: SAMPLE_ID, format: ENTRY_FORMAT })
  if (checked.outcome === 'sound') return undefined
  return checked.outcome === 'unsound'
    ? { field: checked.field ?? 'kind', fault: checked.fault }
    : { field: 'kind', fault: checked.what }
}
