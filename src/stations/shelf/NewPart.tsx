import { useMemo, useState } from 'react'
import { Controller, useWatch, type UseFormReturn } from 'react-hook-form'
import type { EntryDraft } from '../../core/log/entries.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { checksBeforeFitting } from '../../core/strategy/fitting-checks.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { dayOf, momentOf } from '../../words/day.ts'
import { Choice, SelectField, TextField } from '../../ui/parts/fields.tsx'
import { useTeeth } from '../../session/teeth-store.ts'
import { useForecast } from '../../session/use-forecasts.ts'
import { CogsField } from './CogsField.tsx'
import { Checks } from './Checks.tsx'
import {
  PART_TYPES,
  partDraft,
  PartFault,
  partFormSchema,
  type PartDraft,
  type PartForm,
} from './part-form.ts'
import { useCheckedForm } from '../../ui/form/use-checked-form.ts'
import { MATERIAL_NAMES } from '../../words/names.ts'
import { words } from '../../words/stations/shelf/new-part.ts'
import { newId } from '../../session/new-id.ts'

const SURFACES = { plain: words.plainSteel, plated: words.plated, 'hard-coated': words.hardCoated }
const JOINS = { 'joining-link': words.aJoiningLink, pin: words.aPin }
const DIRECTIONS = { no: words.eitherWayRound, yes: words.oneWayRoundOnly }

type Form = UseFormReturn<PartForm>

/** The teeth of a cassette, or of a single cog. */
function PartCogs({ form }: { readonly form: Form }) {
  const isCounted = useWatch({ control: form.control, name: 'cogsCounted' })
  return (
    <Controller
      control={form.control}
      name="teeth"
      render={({ field, fieldState }) => (
        <CogsField
          value={field.value}
          fault={fieldState.error?.message}
          onChange={(text) => {
            field.onChange(text)
            form.clearErrors('teeth')
          }}
          isCounted={isCounted}
          onCounted={(counted) => {
            form.setValue('cogsCounted', counted)
            form.clearErrors('teeth')
          }}
        />
      )}
    />
  )
}

/** What is asked, by the type of part. */
function PartFields({ form }: { readonly form: Form }) {
  const type = useWatch({ control: form.control, name: 'type' })
  const { errors } = form.formState
  const text = (
    name: 'links' | 'speeds' | 'limit' | 'closedBefore' | 'loose' | 'teeth',
    label: string,
    hint?: string,
  ) => (
    <TextField
      key={name}
      label={label}
      inputMode="numeric"
      {...(hint !== undefined && { hint })}
      fault={errors[name]?.message}
      {...form.register(name)}
    />
  )
  const material = <SelectField label={words.of} options={MATERIAL_NAMES} {...form.register('material')} />
  switch (type) {
    case 'chain':
      return (
        <>
          {text('links', words.links)}
          {text('speeds', words.speeds)}
          <SelectField label={words.surface} options={SURFACES} {...form.register('surface')} />
          <SelectField label={words.itRuns} options={DIRECTIONS} {...form.register('directional')} />
          <SelectField label={words.itsEndsJoinBy} options={JOINS} {...form.register('join')} />
        </>
      )
    case 'joining-link':
      return (
        <>
          {text('speeds', words.speeds)}
          {text('limit', words.closingsItsMakerAllows, words.itsPacketSays1)}
          {text('closedBefore', words.closingsSoFar)}
        </>
      )
    case 'cassette':
      return (
        <>
          <PartCogs form={form} />
          {material}
          {text('loose', words.ofTheseSoldSingly, words.onlyWhereTheMaker)}
        </>
      )
    case 'ring':
      return (
        <>
          {text('teeth', words.teeth)}
          {material}
        </>
      )
    case 'guide':
    case 'tension':
      return text('teeth', words.teeth)
  }
}

/** The part as far as it is filled in, for what to know before it goes on; nothing while it is not a part yet. */
function partSoFar(values: unknown, id: string, at: string): PartDraft | undefined {
  try {
    return partDraft(values, id, at)
  } catch (error) {
    if (error instanceof PartFault) return undefined
    throw error
  }
}

/** A part for the shelf or for the bike: what it is, and what to know before it goes on. */
export function NewPart({ report, onDone }: { readonly report: BikeReport; readonly onDone: () => void }) {
  const { record, garage, now } = useOpenLog()
  const { answer } = useForecast(report.chain?.part.entry.part)
  const { outlook: teeth } = useTeeth(report.bike.entry.bike)
  const { entry } = report.bike
  const [id] = useState(newId)
  const { form, submit, saving } = useCheckedForm(
    partFormSchema(now),
    {
      type: 'cassette',
      name: '',
      teeth: '',
      cogsCounted: false,
      loose: '',
      speeds: entry.speeds,
      links: 114,
      limit: 1,
      closedBefore: 0,
      surface: 'plain',
      directional: 'no',
      join: 'joining-link',
      material: 'steel',
      used: 'new',
      usedKm: '',
      where: 'shelf',
      day: dayOf(now),
    },
    async ({ where, day, ...fields }) => {
      const draft = partDraft(fields, id, momentOf(day, now))
      const drafts: EntryDraft[] = [
        draft,
        ...(where === 'bike' ? [{ kind: 'fit' as const, at: draft.at, part: id, bike: entry.bike }] : []),
      ]
      const said = words.is(draft.name, where === 'bike' ? words.on(entry.name) : words.onTheShelf)
      if (await record(drafts, said)) onDone()
    },
  )
  const values = useWatch({ control: form.control })
  const { where, used } = values
  const { errors } = form.formState
  const checks = useMemo(() => {
    const draft = where === 'bike' ? partSoFar(values, id, now) : undefined
    return draft ? checksBeforeFitting(garage, { report, answer, teeth }, draft.spec) : []
  }, [where, values, id, now, garage, report, answer, teeth])
  return (
    <form onSubmit={submit} noValidate className="flex flex-col gap-4">
      <div className="grid grid-cols-2 gap-4 max-sm:grid-cols-1">
        <SelectField label={words.itIsA} options={PART_TYPES} {...form.register('type')} />
        <TextField
          label={words.name}
          placeholder={words.asOnThePacket}
          fault={errors.name?.message}
          {...form.register('name')}
        />
        <PartFields form={form} />
        <SelectField
          label={words.newOrUsed}
          options={{ new: words.new, used: words.usedOfUnknownPast }}
          {...form.register('used')}
        />
        {used === 'used' && (
          <TextField
            label={words.distanceBeforeKm}
            hint={words.ifItIsKnown}
            inputMode="decimal"
            fault={errors.usedKm?.message}
            {...form.register('usedKm')}
          />
        )}
      </div>
      <Choice
        legend={words.whereTo}
        value={where}
        onPick={(next) => form.setValue('where', next)}
        options={[
          { value: 'shelf', label: words.onTheShelf },
          { value: 'bike', label: words.on(entry.name) },
        ]}
      />
      <TextField
        label={words.day}
        type="date"
        max={dayOf(now)}
        fault={errors.day?.message}
        {...form.register('day')}
      />
      <Checks checks={checks} />
      <Button look="firm" type="submit" className="self-start" disabled={saving}>
        {words.logThePart}
      </Button>
    </form>
  )
}
