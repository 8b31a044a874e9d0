import { yupResolver } from '@hookform/resolvers/yup'
import { useForm, useWatch, type UseFormReturn } from 'react-hook-form'
import type { BikeReport, ChainReport } from '../../core/strategy/bike-report.ts'
import type { LimitResult } from '../../core/measure/reading.ts'
import { crankTurnsPerChain } from '../../core/gearing/ratio.ts'
import { useOpenLog } from '../../store/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { WorkSection } from '../../ui/parts/WorkSection.tsx'
import { dayOf, faultOfDay, momentOf } from '../../ui/parts/day.ts'
import { Choice, TextField } from '../../ui/parts/fields.tsx'
import { useUnits, type Units } from '../../ui/screen-state.ts'
import { SHORT_INSTRUMENT } from '../../ui/words/names.ts'
import { sayCount, sayFigure, sayLength, sayLimit } from '../../ui/words/numbers.ts'
import { lastLook } from './Evidence.tsx'
import { nextPlace, readingsOf, takeSchema, TOOLS, type TakeDraft } from './take-form.ts'

type Form = UseFormReturn<TakeDraft>

const SIDES: readonly { readonly value: LimitResult; readonly label: string }[] = [
  { value: 'clear', label: 'does not enter' },
  { value: 'starts', label: 'enters a little' },
  { value: 'drops', label: 'drops in' },
  { value: 'not-in', label: 'not in' },
]

function GaugeSides({ form }: { readonly form: Form }) {
  const [low, high, lowMark, highMark] = useWatch({
    control: form.control,
    name: ['low', 'high', 'lowMark', 'highMark'],
  })
  const { errors } = form.formState
  return (
    <div className="flex flex-col gap-4">
      <Choice
        legend="Marks on the gauge"
        value={`${lowMark} ${highMark}`}
        onPick={(value) => {
          const [a, b] = value.split(' ').map(Number)
          form.setValue('lowMark', a ?? 0.5)
          form.setValue('highMark', b ?? 0.75)
        }}
        options={['0.5 0.75', '0.5 1', '0.75 1'].map((value) => ({
          value,
          label: value
            .split(' ')
            .map((mark) => sayLimit(Number(mark)))
            .join(' and '),
        }))}
      />
      <Choice
        legend={`The ${sayLimit(lowMark)} side`}
        value={low}
        onPick={(value) => form.setValue('low', value)}
        options={SIDES}
        fault={errors.low?.message}
      />
      <Choice
        legend={`The ${sayLimit(highMark)} side`}
        value={high}
        onPick={(value) => form.setValue('high', value)}
        options={SIDES}
        fault={errors.high?.message}
      />
    </div>
  )
}

function Lengths({ form, units }: { readonly form: Form; readonly units: Units }) {
  const tool = useWatch({ control: form.control, name: 'tool' })
  const pitches = Number(useWatch({ control: form.control, name: 'pitches' }))
  const { errors } = form.formState
  const unit = units === 'metric' ? 'mm' : 'inches'
  const fresh = sayLength(12.7 * (Number.isFinite(pitches) ? pitches : 24), units)
  const field = (name: 'pitches' | 'length' | 'inside' | 'outside') => ({
    ...form.register(name),
    inputMode: 'decimal' as const,
    fault: errors[name]?.message,
  })
  return (
    <div className="grid grid-cols-3 gap-3 max-sm:grid-cols-2">
      <TextField label="Pitches" {...field('pitches')} />
      {tool === 'rule' ? (
        <TextField
          label={`Length, ${unit}`}
          hint={`new: ${fresh}`}
          className="col-span-2 max-sm:col-span-1"
          {...field('length')}
        />
      ) : (
        <>
          <TextField label={`Inside, ${unit}`} hint="rollers pushed apart" {...field('inside')} />
          <TextField label={`Outside, ${unit}`} hint="rollers pushed together" {...field('outside')} />
        </>
      )}
    </div>
  )
}

const HOW: Readonly<Record<TakeDraft['tool'], string>> = {
  rule: 'Lay the rule along the taut chain, its end on the edge of one pin, and read the same edge of the pin 24 pitches on: 12 inches on a new chain, 1/16 over is about 0.5 %.',
  'two-contact-limit':
    'Let the gauge fall in by its own weight. It spreads the rollers, so it also sees their play: it reads about 0.1 high.',
  'three-contact-limit':
    'Seat the hook first, then see whether the tip drops. It pushes both rollers the same way and sees pitch only.',
  'caliper-pair':
    'Over the same rollers: once with the jaws inside, pushing them apart, once outside, pushing them together.',
}

function usePlaces(chain: ChainReport, now: string): number[] {
  const look = lastLook(chain.readings)
  const today = look.filter((state) => dayOf(state.entry.at) === dayOf(now))
  return today.flatMap(({ entry }) => (entry.place === undefined ? [] : [entry.place]))
}

interface Props {
  readonly report: BikeReport
  readonly chain: ChainReport
}

/** Takes a reading: with what, how it came out, where on the chain, how tight. */
export function TakeReading({ report, chain }: Props) {
  const { record, now } = useOpenLog()
  const units = useUnits()
  const { spec, part } = chain.part.entry
  const links = spec.type === 'chain' ? spec.links : 114
  const places = usePlaces(chain, now)
  const form = useForm<TakeDraft>({
    resolver: yupResolver(takeSchema),
    defaultValues: {
      tool: 'rule',
      day: dayOf(now),
      pitches: 24,
      place: nextPlace(links, places),
      run: 'tight',
      lowMark: report.limit.percent === 0.5 ? 0.5 : 0.75,
      highMark: report.limit.percent === 0.5 ? 0.75 : 1,
    },
  })
  const [tool, run] = useWatch({ control: form.control, name: ['tool', 'run'] })
  const ring =
    Math.max(...report.sprockets.filter(({ role }) => role === 'ring').map(({ teeth }) => teeth), 0) || 40
  const { errors } = form.formState

  const save = async (draft: TakeDraft) => {
    const dayFault =
      faultOfDay(draft.day, now) ??
      (draft.day < dayOf(chain.fittedAt)
        ? `The chain was fitted on ${dayOf(chain.fittedAt)}: that day is before it.`
        : undefined)
    if (dayFault) return form.setError('day', { message: dayFault }, { shouldFocus: true })
    const result = readingsOf(draft, units, links)
    if (!result.ok) return form.setError(result.field, { message: result.fault }, { shouldFocus: true })
    const at = momentOf(draft.day, now)
    const place = draft.place === undefined ? {} : { place: draft.place }
    const saved = await record(
      result.readings.map((reading) => ({ kind: 'reading', at, chain: part, reading, ...place })),
      result.elongation === undefined
        ? `${sayCount(result.readings.length, 'side')} read.`
        : `Read: ${sayFigure(result.elongation)} %.`,
    )
    if (!saved) return
    const read = draft.place === undefined ? places : [...places, draft.place]
    for (const name of ['length', 'inside', 'outside', 'low', 'high'] as const) form.resetField(name)
    form.setValue('place', nextPlace(links, read))
  }

  return (
    <WorkSection id="take" title="Take a reading">
      <form
        onSubmit={(event) => void form.handleSubmit(save)(event)}
        noValidate
        className="mt-3 flex flex-col gap-4"
      >
        <Choice
          legend="With"
          value={tool}
          onPick={(value) => {
            form.setValue('tool', value)
            form.setValue('pitches', value === 'caliper-pair' ? 8 : 24)
          }}
          options={TOOLS.map((value) => ({ value, label: SHORT_INSTRUMENT[value] }))}
        />
        <p className="text-sm text-steel">{HOW[tool]}</p>
        {tool === 'rule' || tool === 'caliper-pair' ? (
          <Lengths form={form} units={units} />
        ) : (
          <GaugeSides form={form} />
        )}
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label="Links from the joining link"
            inputMode="numeric"
            hint={`once round is ${crankTurnsPerChain(links, ring).toFixed(1)} crank turns`}
            fault={errors.place?.message}
            {...form.register('place')}
          />
          <TextField
            label="Day"
            type="date"
            max={dayOf(now)}
            fault={errors.day?.message}
            {...form.register('day')}
          />
        </div>
        <Choice
          legend="The run you read"
          value={run}
          onPick={(value) => form.setValue('run', value)}
          options={[
            { value: 'tight', label: 'tight: big ring, big cog' },
            { value: 'slack', label: 'slack' },
          ]}
        />
        <p className="text-sm text-steel">
          Keep fingers and loose sleeves out of a turning cassette. Stay off the joining link.
        </p>
        <Button look="firm" type="submit" className="self-start">
          Save the reading
        </Button>
      </form>
    </WorkSection>
  )
}
