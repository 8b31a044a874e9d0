import { useState } from 'react'
import type { EventEntry } from '../../core/log/kinds/event.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { StepperField } from '../../ui/form/StepperField.tsx'
import { useCheckedForm } from '../../ui/form/use-checked-form.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { dayOf } from '../../words/day.ts'
import { SelectField, TextField } from '../../ui/parts/fields.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { CONDITION_NAMES } from '../../words/names.ts'
import { eventFields, eventSchema, plannedEvent } from './event-form.ts'
import { words } from '../../words/stations/decide/event-form.ts'
import { newId } from '../../session/new-id.ts'

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
  const [id] = useState(() => event?.event ?? newId())
  const { form, submit, saving } = useCheckedForm(
    eventSchema(dayOf(now), units),
    eventFields(event, usual, units, now),
    async (fields) => {
      const draft = {
        ...plannedEvent(fields, units),
        kind: 'event',
        at: event?.at ?? now,
        event: id,
        bike,
        ...(event && { supersedes: event.id }),
      } as const
      if (await record([draft], words.saved(fields.name))) onDone()
    },
  )
  const { errors } = form.formState
  return (
    <form noValidate className="flex flex-col gap-4" onSubmit={submit}>
      <TextField label={words.what} fault={errors.name?.message} {...form.register('name')} />
      <div className="grid grid-cols-2 gap-4 max-sm:grid-cols-1">
        <TextField label={words.begins} type="date" fault={errors.day?.message} {...form.register('day')} />
        <StepperField
          control={form.control}
          name="days"
          label={words.days}
          step={1}
          min={1}
          max={365}
          digits={0}
        />
        <TextField
          label={units === 'metric' ? words.distanceKm : words.distanceMiles}
          inputMode="decimal"
          fault={errors.distance?.message}
          {...form.register('distance')}
        />
        <SelectField label={words.conditions} options={CONDITION_NAMES} {...form.register('condition')} />
      </div>
      <Button look="firm" type="submit" disabled={saving} className="self-start">
        {words.saveEvent}
      </Button>
    </form>
  )
}
