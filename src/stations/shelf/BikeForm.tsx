import { yupResolver } from '@hookform/resolvers/yup'
import { useState } from 'react'
import { Controller, useForm, useWatch, type FieldErrors, type UseFormRegister } from 'react-hook-form'
import { CogsField } from './CogsField.tsx'
import type { BikeEntry } from '../../core/log/kinds/bike.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { dayOf, faultOfDay } from '../../ui/parts/day.ts'
import { SelectField, TextField } from '../../ui/parts/fields.tsx'
import { bikeChosen, useSend } from '../../ui/screen-state.ts'
import { QUARTERS } from '../../core/exposure/conditions.ts'
import {
  CONDITION_NAMES,
  MOTOR_NAMES,
  QUARTER_NAMES,
  SHIFTING_NAMES,
  STORAGE_NAMES,
} from '../../ui/words/names.ts'
import {
  bikeEntries,
  bikeIds,
  bikeSchema,
  AS_MOSTLY,
  changedBike,
  seasonFields,
  seasonsSchema,
  type BikeDraft,
  type BikeFacts,
  type BikeSeasons,
} from './bike-form.ts'
import { useOnce } from '../../ui/use-once.ts'

const MATERIALS = { steel: 'steel', aluminium: 'aluminium', titanium: 'titanium' }
const PASTS = { new: 'fitted new', unknown: 'of unknown past' }

interface FactFieldsProps {
  readonly register: UseFormRegister<BikeFacts>
  readonly errors: FieldErrors<BikeFacts>
}

function FactFields({ register, errors }: FactFieldsProps) {
  return (
    <>
      <TextField label="Name" fault={errors.name?.message} {...register('name')} />
      <TextField
        label="What it is"
        placeholder="steel commuter, 1 x 11"
        fault={errors.note?.message}
        {...register('note')}
      />
      <SelectField label="Shifting" options={SHIFTING_NAMES} {...register('shifting')} />
      <SelectField label="Motor" options={MOTOR_NAMES} {...register('motor')} />
      <SelectField label="Usual conditions" options={CONDITION_NAMES} {...register('usual')} />
      <SelectField label="Kept" options={STORAGE_NAMES} {...register('kept')} />
    </>
  )
}

interface Props {
  readonly onDone: () => void
}

/** A new bike with what is on it. */
export function NewBikeForm({ onDone }: Props) {
  const { record, now } = useOpenLog()
  const send = useSend()
  const form = useForm<BikeDraft>({
    resolver: yupResolver(bikeSchema),
    defaultValues: {
      name: '',
      note: '',
      shifting: 'cable',
      motor: 'none',
      usual: 'dry-road',
      kept: 'indoors',
      rings: '',
      cogs: '',
      cogsCounted: false,
      material: 'steel',
      links: 114,
      past: 'new',
      since: dayOf(now),
    },
  })
  const { errors } = form.formState
  const cogsCounted = useWatch({ control: form.control, name: 'cogsCounted' })
  const [ids] = useState(bikeIds)
  const save = async (draft: BikeDraft) => {
    const fault = faultOfDay(draft.since, now)
    if (fault) return form.setError('since', { message: fault })
    const { bike, entries } = bikeEntries(draft, ids)
    if (!(await record(entries, `${draft.name} is in the log.`))) return
    send(bikeChosen(bike))
    onDone()
  }
  const [submit, saving] = useOnce(form.handleSubmit(save))
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        submit(event)
      }}
      noValidate
      className="flex flex-col gap-4"
    >
      <div className="grid grid-cols-2 gap-4 max-sm:grid-cols-1">
        <FactFields register={form.register} errors={errors} />
        <TextField
          label="Teeth on the rings"
          placeholder="40, or 36 52"
          inputMode="numeric"
          fault={errors.rings?.message}
          {...form.register('rings')}
        />
        <Controller
          control={form.control}
          name="cogs"
          render={({ field, fieldState }) => (
            <CogsField
              value={field.value}
              fault={fieldState.error?.message}
              onChange={(text) => {
                field.onChange(text)
                if (fieldState.error) void form.trigger('cogs')
              }}
              isCounted={cogsCounted}
              onCounted={(counted) => {
                form.setValue('cogsCounted', counted)
                void form.trigger('cogs')
              }}
            />
          )}
        />
        <SelectField label="Cogs of" options={MATERIALS} {...form.register('material')} />
        <TextField
          label="Links in the chain"
          inputMode="numeric"
          fault={errors.links?.message}
          {...form.register('links')}
        />
        <SelectField label="The chain on it" options={PASTS} {...form.register('past')} />
        <TextField
          label="On it since"
          type="date"
          max={dayOf(now)}
          hint="Rides from that day on are counted on it."
          fault={errors.since?.message}
          {...form.register('since')}
        />
      </div>
      <Button look="firm" type="submit" disabled={saving} className="self-start">
        Add the bike
      </Button>
    </form>
  )
}

/** A bike's description, to be put right. */
export function EditBikeForm({ entry, onDone }: Props & { readonly entry: BikeEntry }) {
  const { record } = useOpenLog()
  const { name, note, shifting, motor, usualCondition: usual, storage: kept } = entry
  const form = useForm<BikeSeasons>({
    resolver: yupResolver(seasonsSchema),
    defaultValues: { name, note, shifting, motor, usual, kept, ...seasonFields(entry) },
  })
  const save = async (changed: BikeSeasons) => {
    if (await record([changedBike(entry, changed)], `${changed.name} saved.`)) onDone()
  }
  const [submit, saving] = useOnce(form.handleSubmit(save))
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        submit(event)
      }}
      noValidate
      className="flex flex-col gap-4"
    >
      <div className="grid grid-cols-2 gap-4 max-sm:grid-cols-1">
        <FactFields register={form.register} errors={form.formState.errors} />
        {QUARTERS.map((quarter) => (
          <SelectField
            key={quarter}
            label={`In ${QUARTER_NAMES[quarter]}`}
            options={{ [AS_MOSTLY]: 'as mostly', ...CONDITION_NAMES }}
            {...form.register(quarter)}
          />
        ))}
      </div>
      <Button look="firm" type="submit" disabled={saving} className="self-start">
        Save
      </Button>
    </form>
  )
}
