import { useState } from 'react'
import {
  Controller,
  useWatch,
  type FieldErrors,
  type UseFormRegister,
  type UseFormReturn,
} from 'react-hook-form'
import { CogsField } from './CogsField.tsx'
import type { BikeEntry } from '../../core/log/kinds/bike.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { dayOf, faultOfDay } from '../../words/day.ts'
import { Choice, SelectField, TextField } from '../../ui/parts/fields.tsx'
import { bikeChosen, useSend } from '../../ui/screen-state.ts'
import { QUARTERS } from '../../core/exposure/conditions.ts'
import {
  CONDITION_NAMES,
  DRIVETRAIN_NAMES,
  MOTOR_NAMES,
  QUARTER_NAMES,
  SHIFTING_NAMES,
  STORAGE_NAMES,
  MATERIAL_NAMES,
} from '../../words/names.ts'
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
} from './bike-form.ts'
import { useCheckedForm } from '../../ui/form/use-checked-form.ts'
import type { DrivetrainKind } from '../../core/gearing/drivetrains.ts'
import { words } from '../../words/stations/shelf/bike-form.ts'

const PASTS = { new: words.fittedNew, unknown: words.ofUnknownPast }

interface FactFieldsProps {
  readonly register: UseFormRegister<BikeFacts>
  readonly errors: FieldErrors<BikeFacts>
}

function FactFields({ register, errors }: FactFieldsProps) {
  return (
    <>
      <TextField label={words.name} fault={errors.name?.message} {...register('name')} />
      <TextField
        label={words.whatItIs}
        placeholder={words.steelCommuter1X}
        fault={errors.note?.message}
        {...register('note')}
      />
      <SelectField label={words.shifting} options={SHIFTING_NAMES} {...register('shifting')} />
      <SelectField label={words.motor} options={MOTOR_NAMES} {...register('motor')} />
      <SelectField label={words.usualConditions} options={CONDITION_NAMES} {...register('usual')} />
      <SelectField label={words.kept} options={STORAGE_NAMES} {...register('kept')} />
      <TextField
        label={words.owner}
        hint={words.emptyYours}
        fault={errors.owner?.message}
        {...register('owner')}
      />
      <TextField
        label={words.rackOrPlace}
        hint={words.whereItStandsInTheWorkshop}
        fault={errors.rack?.message}
        {...register('rack')}
      />
    </>
  )
}

interface Props {
  readonly onDone: () => void
}

const GEARS = (Object.keys(DRIVETRAIN_NAMES) as DrivetrainKind[]).map((value) => ({
  value,
  label: DRIVETRAIN_NAMES[value],
}))

/** What else is known of a new bike: told now or later, each with what it is for. */
function MoreOfBike({ form }: { readonly form: UseFormReturn<BikeDraft> }) {
  const { errors } = form.formState
  const cogsCounted = useWatch({ control: form.control, name: 'cogsCounted' })
  return (
    <details className="text-[0.95rem]" open={errors.cogs || errors.rings || errors.links ? true : undefined}>
      <summary className="w-fit cursor-pointer underline underline-offset-4">{words.moreNowOrLater}</summary>
      <div className="mt-3 grid grid-cols-2 gap-4 text-base max-sm:grid-cols-1">
        <TextField
          label={words.whatItIs}
          placeholder={words.steelCommuter1X}
          fault={errors.note?.message}
          {...form.register('note')}
        />
        <SelectField
          label={words.kept}
          hint={words.howLongItsLube}
          options={STORAGE_NAMES}
          {...form.register('kept')}
        />
        <TextField
          label={words.owner}
          hint={words.emptyYours}
          fault={errors.owner?.message}
          {...form.register('owner')}
        />
        <TextField
          label={words.rackOrPlace}
          hint={words.whereItStandsInTheWorkshop}
          fault={errors.rack?.message}
          {...form.register('rack')}
        />
        <TextField
          label={words.teethOnTheRings}
          placeholder={words.n40Or3652}
          hint={words.toWatchEachRing}
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
        <SelectField
          label={words.cogsOf}
          hint={words.softOnesWearOut}
          options={MATERIAL_NAMES}
          {...form.register('material')}
        />
        <TextField
          label={words.linksInTheChain}
          hint={words.toSayWhereOnTheChain}
          inputMode="numeric"
          fault={errors.links?.message}
          {...form.register('links')}
        />
      </div>
    </details>
  )
}

/** A new bike: what the next answer takes, and what may follow. */
export function NewBikeForm({ onDone }: Props) {
  const { record, now } = useOpenLog()
  const send = useSend()
  const [ids] = useState(bikeIds)
  const { form, submit, saving } = useCheckedForm(
    bikeSchema,
    {
      name: '',
      note: '',
      owner: '',
      rack: '',
      usual: 'dry-road',
      kept: 'indoors',
      rings: '',
      cogs: '',
      cogsCounted: false,
      material: 'steel',
      links: '',
      past: 'new',
      since: dayOf(now),
    },
    async (draft, { setError }) => {
      const fault = faultOfDay(draft.since, now)
      if (fault) return setError('since', { message: fault })
      const { bike, entries } = bikeEntries(draft, ids)
      if (!(await record(entries, words.isInTheLog(draft.name)))) return undefined
      send(bikeChosen(bike))
      return onDone()
    },
  )
  const { errors } = form.formState
  return (
    <form onSubmit={submit} noValidate className="flex flex-col gap-4">
      <TextField
        label={words.name}
        hint={words.whatYouCallIt}
        fault={errors.name?.message}
        {...form.register('name')}
      />
      <Controller
        control={form.control}
        name="gears"
        render={({ field, fieldState }) => (
          <Choice
            legend={words.drivetrainTheChainsLimit}
            value={field.value}
            onPick={field.onChange}
            fault={fieldState.error?.message}
            options={GEARS}
          />
        )}
      />
      <div className="grid grid-cols-2 gap-4 max-sm:grid-cols-1">
        <SelectField
          label={words.theChainOnIt}
          hint={words.aNewOneIsRidden}
          options={PASTS}
          {...form.register('past')}
        />
        <TextField
          label={words.onItSince}
          type="date"
          max={dayOf(now)}
          hint={words.ridesFromThatDay}
          fault={errors.since?.message}
          {...form.register('since')}
        />
        <SelectField
          label={words.usualConditions}
          hint={words.forRidesThatAre}
          options={CONDITION_NAMES}
          {...form.register('usual')}
        />
      </div>
      <MoreOfBike form={form} />
      <Button look="firm" type="submit" disabled={saving} className="self-start">
        {words.addTheBike}
      </Button>
    </form>
  )
}

/** A bike's description, to be corrected. */
export function EditBikeForm({ entry, onDone }: Props & { readonly entry: BikeEntry }) {
  const { record } = useOpenLog()
  const { name, note, shifting, motor, usualCondition: usual, storage: kept, owner = '', rack = '' } = entry
  const { form, submit, saving } = useCheckedForm(
    seasonsSchema,
    { name, note, shifting, motor, usual, kept, owner, rack, ...seasonFields(entry) },
    async (changed) => {
      if (await record([changedBike(entry, changed)], words.saved(changed.name))) onDone()
    },
  )
  return (
    <form onSubmit={submit} noValidate className="flex flex-col gap-4">
      <div className="grid grid-cols-2 gap-4 max-sm:grid-cols-1">
        <FactFields register={form.register} errors={form.formState.errors} />
        {QUARTERS.map((quarter) => (
          <SelectField
            key={quarter}
            label={`In ${QUARTER_NAMES[quarter]}`}
            options={{ [AS_MOSTLY]: words.asMostly, ...CONDITION_NAMES }}
            {...form.register(quarter)}
          />
        ))}
      </div>
      <Button look="firm" type="submit" disabled={saving} className="self-start">
        {words.save}
      </Button>
    </form>
  )
}
