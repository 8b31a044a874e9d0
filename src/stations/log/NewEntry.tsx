import { useMemo, useState } from 'react'
import type { Entry } from '../../core/log/entries.ts'
import { useOpenLog } from '../../session/log-context.ts'
import type { KindWords } from '../../ui/entries/kind-words.ts'
import { writeFields, type WrittenFields } from '../../ui/entries/write-fields.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { dayOf, faultOfDay, momentOf } from '../../ui/parts/day.ts'
import { TextField } from '../../ui/parts/fields.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { useOnce } from '../../ui/use-once.ts'
import { EntryField } from './EntryField.tsx'

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
  const [day, setDay] = useState(dayOf(now))
  const [tried, setTried] = useState(false)
  const blank = useMemo(() => words.blank?.(about, now), [words, about, now])
  const [values, setValues] = useState<Readonly<Record<string, string>>>(() =>
    Object.fromEntries(
      words.fields.map((field) => [field.name, blank ? field.read(blank as Entry, { units }) : '']),
    ),
  )
  const dayFault = faultOfDay(day, now)
  const outcome: WrittenFields =
    dayFault !== undefined || !blank
      ? { fault: dayFault ?? '', field: 'day' }
      : writeFields(words, { ...blank, at: momentOf(day, now) }, values, { units })
  const faultOf = (name: string) =>
    tried && 'fault' in outcome && outcome.field === name ? outcome.fault : undefined
  const [save, saving] = useOnce(async () => {
    setTried(true)
    if ('draft' in outcome && (await record([outcome.draft], 'Saved.'))) onDone()
  })
  return (
    <form
      noValidate
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault()
        save()
      }}
    >
      {words.fields.map((field) => (
        <EntryField
          key={field.name}
          field={field}
          value={values[field.name] ?? ''}
          fault={faultOf(field.name)}
          onChange={(text) => setValues({ ...values, [field.name]: text })}
        />
      ))}
      <TextField
        label="Day"
        type="date"
        max={dayOf(now)}
        value={day}
        fault={faultOf('day')}
        onChange={(event) => setDay(event.target.value)}
      />
      <Button look="next" type="submit" disabled={saving} className="self-start">
        Save {words.name}
      </Button>
    </form>
  )
}
