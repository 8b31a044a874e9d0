import { useMemo } from 'react'
import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form'
import type { Entry } from '../../core/log/entries.ts'
import { useOpenLog } from '../../session/log-context.ts'
import type { Field } from '../../words/entries/kind-words.ts'
import { SelectField, TextField } from '../../ui/parts/fields.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { namePart } from '../../words/part-name.ts'
import { words } from '../../words/stations/log/entry-field.ts'

function useOptions() {
  const { garage } = useOpenLog()
  return useMemo(() => {
    const named = (parts: readonly { entry: { part: string; name: string } }[]) =>
      Object.fromEntries(parts.map(({ entry }) => [entry.part, namePart(garage, entry.part)]))
    const parts = [...garage.parts.values()]
    return {
      bikes: Object.fromEntries([...garage.bikes.values()].map(({ entry }) => [entry.bike, entry.name])),
      parts: named(parts),
      chains: named(parts.filter(({ entry }) => entry.spec.type === 'chain')),
    }
  }, [garage])
}

interface FieldProps {
  readonly field: Field<Entry>
  readonly value: string
  readonly fault: string | undefined
  readonly onChange: (value: string) => void
}

interface FieldInProps<T extends FieldValues> {
  readonly control: Control<T>
  readonly field: Field<Entry>
}

/** One field of an entry in its form. */
export function EntryFieldIn<T extends FieldValues & { readonly values: Readonly<Record<string, string>> }>({
  control,
  field,
}: FieldInProps<T>) {
  return (
    <Controller
      control={control}
      name={words.values(field.name) as FieldPath<T>}
      render={({ field: held, fieldState }) => (
        <EntryField
          field={field}
          value={held.value ?? ''}
          fault={fieldState.error?.message}
          onChange={held.onChange}
        />
      )}
    />
  )
}

/** One field of an entry, by what it holds. */
function EntryField({ field, value, fault, onChange }: FieldProps) {
  const units = useUnits()
  const { bikes, parts, chains } = useOptions()
  const { input } = field
  const label = field.label(units)
  switch (input.type) {
    case 'text':
    case 'number':
      return (
        <TextField
          label={label}
          value={value}
          fault={fault}
          {...(input.type === 'number' && { inputMode: 'decimal' as const })}
          onChange={(event) => onChange(event.target.value)}
        />
      )
    case 'choice':
    case 'bike':
    case 'part':
    case 'chain':
    case 'thing': {
      const options =
        input.type === 'choice'
          ? input.options
          : { bike: bikes, part: parts, chain: chains, thing: { ...bikes, ...parts } }[input.type]
      return <SelectField label={label} options={options} value={value} onPick={onChange} fault={fault} />
    }
  }
}
