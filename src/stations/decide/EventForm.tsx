import { useState } from 'react'
import { v4 } from 'uuid'
import type { EventEntry } from '../../core/log/kinds/event.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { SelectField, TextField } from '../../ui/parts/fields.tsx'
import { Stepper } from '../../ui/parts/Stepper.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { CONDITION_NAMES } from '../../ui/words/names.ts'
import { eventFields, readEvent, type EventFields } from './event-form.ts'
import { useOnce } from '../../ui/use-once.ts'

interface Props {
  readonly report: BikeReport
  /** Absent: something new. */
  readonly event?: EventEntry
  readonly onDone: () => void
}

/** Something planned with the bike: when, how far, in what. */
export function EventForm({ report, event, onDone }: Props) {
  const { record, now } = useOpenLog()
  const units = useUnits()
  const { bike, usualCondition: usual } = report.bike.entry
  const [fields, setFields] = useState(() => eventFields(event, usual, units, now))
  const [asked, setAsked] = useState(false)
  const read = readEvent(fields, units, now)
  const faultOf = (field: keyof EventFields) => (asked && 'faults' in read ? read.faults[field] : undefined)
  const set = (change: Partial<EventFields>) => setFields({ ...fields, ...change })
  const [id] = useState(() => event?.event ?? v4())
  const [save, saving] = useOnce(async () => {
    setAsked(true)
    if ('faults' in read) return
    const draft = {
      ...read.event,
      kind: 'event',
      at: event?.at ?? now,
      event: id,
      bike,
      ...(event && { supersedes: event.id }),
    } as const
    if (await record([draft], `${read.event.name} saved.`)) onDone()
  })
  return (
    <form
      noValidate
      className="flex flex-col gap-4"
      onSubmit={(submit) => {
        submit.preventDefault()
        save()
      }}
    >
      <TextField
        label="What"
        value={fields.name}
        fault={faultOf('name')}
        onChange={(change) => set({ name: change.target.value })}
      />
      <div className="grid grid-cols-2 gap-4 max-sm:grid-cols-1">
        <TextField
          label="Begins"
          type="date"
          value={fields.day}
          fault={faultOf('day')}
          onChange={(change) => set({ day: change.target.value })}
        />
        <Stepper
          label="Days"
          value={fields.days}
          step={1}
          min={1}
          max={365}
          digits={0}
          fault={faultOf('days')}
          onStep={(days) => set({ days })}
        />
        <TextField
          label={units === 'metric' ? 'Distance, km' : 'Distance, miles'}
          inputMode="decimal"
          value={fields.distance}
          fault={faultOf('distance')}
          onChange={(change) => set({ distance: change.target.value })}
        />
        <SelectField
          label="Conditions"
          options={CONDITION_NAMES}
          value={fields.condition}
          onPick={(condition) => set({ condition })}
        />
      </div>
      <Button look="firm" type="submit" disabled={saving} className="self-start">
        Save event
      </Button>
    </form>
  )
}
