import { useMemo } from 'react'
import type { Entry } from '../../core/log/entries.ts'
import { useOpenLog } from '../../session/log-context.ts'
import type { KindWords } from '../../words/entries/kind-words.ts'
import { writeFields, type WrittenFields } from '../../words/entries/write-fields.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { dayOf, faultOfDay, momentOf } from '../../words/day.ts'
import { TextField } from '../../ui/parts/fields.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { useCheckedForm } from '../../ui/form/use-checked-form.ts'
import { EntryFieldIn } from './EntryField.tsx'
import { fieldsResolver } from './fields-resolver.ts'
import { words as phrases } from '../../words/stations/log/new-entry.ts'

interface NewFields {
  readonly day: string
  readonly values: Readonly<Record<string, string>>
}

interface NewEntryProps {
  readonly words: KindWords<Entry>
  /** The bike or part it is about at first. */
  readonly about: string
  readonly onDone: () => void
}

/** An entry of a kind that a plain form can write: its fields and its day. */
export function NewEntry({ words, about, onDone }: NewEntryProps) {
  const { now, record } = useOpenLog()
  const units = useUnits()
  const blank = useMemo(() => words.blank?.(about, now), [words, about, now])
  const written = ({ day, values }: NewFields): WrittenFields => {
    const fault = faultOfDay(day, now)
    return fault !== undefined || !blank
      ? { fault: fault ?? '', field: 'day' }
      : writeFields(words, { ...blank, at: momentOf(day, now) }, values, { units })
  }
  const { form, submit, saving } = useCheckedForm<NewFields>(
    fieldsResolver(written, 'day'),
    {
      day: dayOf(now),
      values: Object.fromEntries(
        words.fields.map((field) => [field.name, blank ? field.read(blank as Entry, { units }) : '']),
      ),
    },
    async (fields) => {
      const outcome = written(fields)
      if ('draft' in outcome && (await record([outcome.draft], phrases.saved))) onDone()
    },
  )
  return (
    <form noValidate className="flex flex-col gap-4" onSubmit={submit}>
      {words.fields.map((field) => (
        <EntryFieldIn key={field.name} control={form.control} field={field} />
      ))}
      <TextField
        label={phrases.day}
        type="date"
        max={dayOf(now)}
        fault={form.formState.errors.day?.message}
        {...form.register('day')}
      />
      <Button look="next" type="submit" disabled={saving} className="self-start">
        {phrases.save(words.name)}
      </Button>
    </form>
  )
}
