import type { FieldErrors, Resolver } from 'react-hook-form'
import type { WrittenFields } from '../../words/entries/write-fields.ts'

interface EntryFields {
  readonly values: Readonly<Record<string, string>>
}

/**
 * Checks the form of an entry by writing it: each kind knows what it takes, and which field is at fault.
 * @param written the entry that the form makes, or what is wrong with it
 * @param own the form's field beside those of the kind, as the day
 */
export function fieldsResolver<T extends EntryFields>(
  written: (fields: T) => WrittenFields,
  own: string,
): Resolver<T> {
  return (fields) => {
    const outcome = written(fields)
    if ('draft' in outcome) return { values: fields, errors: {} }
    const error = { type: 'fault', message: outcome.fault }
    const errors = outcome.field === own ? { [own]: error } : { values: { [outcome.field]: error } }
    return { values: {}, errors: errors as FieldErrors<T> }
  }
}
