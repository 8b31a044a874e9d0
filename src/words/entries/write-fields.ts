import type { Entry, EntryDraft } from '../../core/log/entries.ts'
import type { Draft, FieldContext, KindWords } from './kind-words.ts'

/** An entry ready to be written, or what is wrong with it and in which field. */
export type WrittenFields =
  { readonly draft: EntryDraft } | { readonly fault: string; readonly field: string }

/**
 * Writes what stands in a form's fields into an entry, field by field.
 * @param values texts by the names of the fields
 * @param before what the fields held at first: a field that was not touched keeps the entry's own figure, which may be
 * more exact than the field shows. Absent for a new entry, whose fields are all written
 */
export function writeFields(
  words: KindWords<Entry>,
  entry: Draft<Entry>,
  values: Readonly<Record<string, string>>,
  context: FieldContext,
  before?: Readonly<Record<string, string>>,
): WrittenFields {
  let draft = entry
  for (const { name, always, write } of words.fields) {
    const text = values[name] ?? ''
    if (before && !always && text === before[name]) continue
    const written = write(draft, text, context)
    if ('fault' in written) return { fault: written.fault, field: name }
    ;({ draft } = written)
  }
  return { draft: draft as EntryDraft }
}
