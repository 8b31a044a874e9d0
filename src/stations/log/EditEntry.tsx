import { useDeferredValue, useId, useMemo, useState } from 'react'
import type { Entry } from '../../core/log/entries.ts'
import { replay } from '../../core/log/replay.ts'
import { linesOf } from '../../core/log/supersede.ts'
import { effectsOf } from '../../core/strategy/effects.ts'
import { useOpenLog } from '../../store/log-context.ts'
import { useNotice } from '../../ui/parts/notices.tsx'
import { Button } from '../../ui/parts/Button.tsx'
import { SelectField, TextField } from '../../ui/parts/fields.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { CONDITION_NAMES, LUBE_NAMES, WASH_NAMES } from '../../ui/words/names.ts'
import { sayEffect } from '../../ui/words/effects.ts'
import { correctionOf, fieldsOf, fieldTime, type Fields } from './correction.ts'

const WORDS = { fresh: 'fresh', good: 'good', watch: 'watch', swap: 'swap', spent: 'spent' }
const WHERE = { shelf: 'hung up', retired: 'retired', lent: 'lent' }
/** Sorts after every id there is: a correction not yet written. */
const NOT_YET = 'ffffffff-ffff-7fff-bfff-ffffffffffff'
const SHOWN = 6

function useOptions() {
  const { garage } = useOpenLog()
  return useMemo(() => {
    const named = (parts: readonly { entry: { part: string; name: string } }[]) =>
      Object.fromEntries(parts.map(({ entry }) => [entry.part, entry.name]))
    const parts = [...garage.parts.values()]
    return {
      bikes: Object.fromEntries([...garage.bikes.values()].map(({ entry }) => [entry.bike, entry.name])),
      parts: named(parts),
      chains: named(parts.filter(({ entry }) => entry.spec.type === 'chain')),
    }
  }, [garage])
}

interface FieldProps {
  readonly name: string
  readonly value: string
  readonly fault: string | undefined
  readonly onChange: (value: string) => void
}

/** One field of a correction, by what it holds. */
function CorrectionField({ name, value, fault, onChange }: FieldProps) {
  const units = useUnits()
  const { bikes, parts, chains } = useOptions()
  const select = (label: string, options: Readonly<Record<string, string>>) => (
    <SelectField label={label} options={options} value={value} onPick={onChange} fault={fault} />
  )
  const text = (label: string, decimal = false) => (
    <TextField
      label={label}
      value={value}
      fault={fault}
      {...(decimal && { inputMode: 'decimal' as const })}
      onChange={(event) => onChange(event.target.value)}
    />
  )
  switch (name) {
    case 'bike':
      return select('Bike', bikes)
    case 'part':
      return select('Part', parts)
    case 'chain':
      return select('Chain', chains)
    case 'condition':
      return select('Ridden in', { unsaid: 'nobody said', ...CONDITION_NAMES })
    case 'word':
      return select('It looks', WORDS)
    case 'method':
      return select('Cleaned', WASH_NAMES)
    case 'lube':
      return select('Then put on', { '': 'left as it was', ...LUBE_NAMES })
    case 'to':
      return select('It was', WHERE)
    case 'who':
      return text('Lent to')
    case 'distance':
      return text(units === 'metric' ? 'Distance, km' : 'Distance, miles', true)
    case 'place':
      return text('Links from the joining link', true)
    case 'name':
      return text('Name')
    case 'note':
      return text('Note')
    default:
      return null
  }
}

/** An entry, to be put right by one that takes its place; what changes downstream is shown before. */
export function EditEntry({ entry, onDone }: { readonly entry: Entry; readonly onDone: () => void }) {
  const { entries, garage, now, record, withdraw } = useOpenLog()
  const units = useUnits()
  const tell = useNotice()
  const downstream = useId()
  const counted = useMemo(
    () =>
      entry.kind === 'ride'
        ? garage.bikes.get(entry.bike)?.rides.find((ride) => ride.id === entry.id)
        : undefined,
    [entry, garage],
  )
  const initial = useMemo(() => fieldsOf(entry, counted, units), [entry, counted, units])
  const [fields, setFields] = useState<Fields>(initial)
  const corrected = correctionOf(entry, counted, fields, units, now)
  const changed = JSON.stringify(fields) !== JSON.stringify(initial)
  const draft = 'draft' in corrected && changed ? corrected.draft : undefined
  const settled = useDeferredValue(draft)
  const effects = useMemo(
    () => settled && effectsOf(garage, replay([...entries, { ...settled, id: NOT_YET }])),
    [settled, garage, entries],
  )
  const fault = (field: string) =>
    'fault' in corrected && corrected.field === field ? corrected.fault : undefined
  const save = async () => {
    if (draft && (await record([draft], 'Put right.'))) onDone()
  }
  const takeOut = async () => {
    const [taken] = (await withdraw(linesOf(entries, [entry.id]))) ?? []
    if (!taken) return
    tell('Taken out.', { label: 'Put back', run: () => void withdraw([taken.id]) })
    onDone()
  }
  return (
    <div className="flex flex-col gap-4">
      <TextField
        label="When"
        type="datetime-local"
        max={fieldTime(now)}
        value={fields.when}
        fault={fault('when')}
        onChange={(event) => setFields({ ...fields, when: event.target.value })}
      />
      {Object.entries(fields.values).map(([name, value]) =>
        name === 'who' && fields.values['to'] !== 'lent' ? null : (
          <CorrectionField
            key={name}
            name={name}
            value={value}
            fault={fault(name)}
            onChange={(next) => setFields({ ...fields, values: { ...fields.values, [name]: next } })}
          />
        ),
      )}
      <section aria-labelledby={downstream} aria-live="polite" className="border-y border-hairline py-3">
        <h3 id={downstream} className="text-sm font-semibold">
          What this changes
        </h3>
        {!changed ? (
          <p className="text-sm text-steel">Nothing is changed yet.</p>
        ) : !draft ? (
          <p className="text-sm text-steel">To be told once the figures stand.</p>
        ) : draft !== settled || !effects ? (
          <p className="text-sm text-steel">Working it out…</p>
        ) : effects.length === 0 ? (
          <p className="text-sm text-steel">No distance moves, and nothing else downstream changes.</p>
        ) : (
          <ul className="mt-1 list-disc pl-5 text-[0.95rem]">
            {effects.slice(0, SHOWN).map((effect, i) => (
              <li key={i}>{sayEffect(effect, garage, units)}</li>
            ))}
            {effects.length > SHOWN && <li>And {effects.length - SHOWN} things more.</li>}
          </ul>
        )}
      </section>
      <div className="flex flex-wrap gap-3">
        <Button look="firm" disabled={!draft} onClick={() => void save()}>
          Put it right
        </Button>
        <Button look="harm" onClick={() => void takeOut()}>
          Take it out
        </Button>
      </div>
    </div>
  )
}
