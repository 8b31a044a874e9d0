import { yupResolver } from '@hookform/resolvers/yup'
import { useEffect, useState } from 'react'
import { useForm, useWatch } from 'react-hook-form'
import { printScale } from '../../core/measure/strip-marks.ts'
import type { Instrument } from '../../core/measure/reading.ts'
import type { ToolState } from '../../core/log/garage.ts'
import type { BikeReport, ChainReport } from '../../core/strategy/facts/bike-report.ts'
import { mmToInches } from '../../core/units/convert.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { dayOf, faultOfDay, momentOf } from '../../words/day.ts'
import { Choice, TextField } from '../../ui/parts/fields.tsx'
import { Stepper } from '../../ui/parts/Stepper.tsx'
import { WorkSection } from '../../ui/parts/WorkSection.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { SHORT_INSTRUMENT } from '../../words/names.ts'
import { sayCount, sayFigure } from '../../words/numbers.ts'
import { Guide } from './Guide.tsx'
import { dropDraft, keepDraft, recallDraft } from './kept-draft.ts'
import { HOW } from './how-to-read.ts'
import { LiveCaliper } from './LiveCaliper.tsx'
import {
  INSTRUMENT_ORDER,
  nextPlace,
  readingsOf,
  SHOWN_FIELDS,
  takeSchema,
  usualPitches,
  type TakeDraft,
} from './take-form.ts'
import { TakeInputs, type TakeForm } from './TakeInputs.tsx'
import { useTypedLengths } from './use-typed-lengths.ts'
import { useOnce } from '../../ui/use-once.ts'
import { words } from '../../words/stations/gauge/take-reading.ts'

interface Props {
  readonly report: BikeReport
  readonly chain: ChainReport
  /** An instrument asked for from elsewhere on the station; each asking is a new object. */
  readonly wanted?: { readonly tool: string; readonly instrument: Instrument } | undefined
}

function useTakeForm({ report, chain }: Props, links: number): TakeForm {
  const { now, world, garage } = useOpenLog()
  const { part } = chain.part.entry
  const { tool, ...recalled } = recallDraft(world, part)
  const form = useForm<TakeDraft>({
    resolver: yupResolver(takeSchema),
    defaultValues: {
      instrument: 'rule',
      day: dayOf(now),
      pitches: 24,
      place: nextPlace(links, placesToday(chain, now)),
      run: 'tight',
      lowMark: report.limit.percent === 0.5 ? 0.5 : 0.75,
      highMark: report.limit.percent === 0.5 ? 0.75 : 1,
      ...recalled,
      // A tool may have been taken back since the draft was kept.
      ...(tool !== undefined && garage.tools.has(tool) && { tool }),
    },
  })
  useEffect(
    () =>
      form.subscribe({
        formState: { values: true },
        callback: ({ values }) => keepDraft(world, part, values),
      }),
    [form, world, part],
  )
  return form
}

function placesToday(chain: ChainReport, now: string): number[] {
  const today = chain.readings.filter(({ used, entry }) => used && dayOf(entry.at) === dayOf(now))
  return today.flatMap(({ entry }) => (entry.linksFromJoint === undefined ? [] : [entry.linksFromJoint]))
}

/** Picks an instrument, or one of the rider's own tools, for the form. */
function pickTool(form: TakeForm, choice: string, tools: ReadonlyMap<string, ToolState>): void {
  const own = tools.get(choice)?.entry
  const instrument = own?.instrument ?? (choice as Instrument)
  form.setValue('instrument', instrument)
  form.setValue('tool', own?.tool)
  form.setValue('pitches', usualPitches(instrument))
}

function ToolChoice({ form }: { readonly form: TakeForm }) {
  const { garage } = useOpenLog()
  const [instrument, tool] = useWatch({ control: form.control, name: ['instrument', 'tool'] })
  const own = [...garage.tools.values()].filter(({ entry }) => !entry.retired)
  return (
    <Choice
      legend={words.with}
      value={tool ?? instrument}
      onPick={(choice) => pickTool(form, choice, garage.tools)}
      options={[
        ...own.map(({ entry }) => ({ value: entry.tool, label: entry.name })),
        ...INSTRUMENT_ORDER.map((value) => ({ value: value, label: SHORT_INSTRUMENT[value] })),
      ]}
    />
  )
}

/** Two readings that agree to the last figure, with the same tool at the same place, may be one saved twice. */
function isRepeat(chain: ChainReport, draft: TakeDraft, reading: unknown): boolean {
  return chain.readings.some(
    ({ entry }) =>
      dayOf(entry.at) === draft.day &&
      entry.linksFromJoint === draft.place &&
      entry.tool === draft.tool &&
      JSON.stringify(entry.reading) === JSON.stringify(reading),
  )
}

function useSave(form: TakeForm, { chain }: Props, links: number, places: readonly number[]) {
  const { record, now, garage, world } = useOpenLog()
  const units = useUnits()
  const [asked, setAsked] = useState('')
  const { part } = chain.part.entry
  const refuse = (field: keyof TakeDraft, message: string) =>
    form.setError(field, { message }, { shouldFocus: true })
  return async (draft: TakeDraft) => {
    // The first time it was fitted: a chain in rotation has been on the bike before.
    const first = dayOf(chain.part.fittings[0]?.from ?? chain.fittedAt)
    const dayFault =
      faultOfDay(draft.day, now) ?? (draft.day < first ? words.theChainWasFitted(first) : undefined)
    if (dayFault) return refuse('day', dayFault)
    const barMm = draft.tool === undefined ? undefined : garage.tools.get(draft.tool)?.entry.checkBarMm
    const result = readingsOf(draft, { units, links, printScale: (barMm && printScale(barMm)) || 1 })
    if (!result.ok) return refuse(result.field, result.fault)
    const said = JSON.stringify(result.readings)
    if (asked !== said && result.readings.some((reading) => isRepeat(chain, draft, reading))) {
      setAsked(said)
      return refuse('place', words.thisVeryReadingIsInThe)
    }
    const at = momentOf(draft.day, now)
    const saved = await record(
      result.readings.map((reading) => ({
        kind: 'reading',
        at,
        chain: part,
        reading,
        ...(draft.place !== undefined && { linksFromJoint: draft.place }),
        ...(draft.tool !== undefined && { tool: draft.tool }),
      })),
      result.elongation === undefined
        ? words.noted(sayCount(result.readings.length, 'answer'))
        : words.read(sayFigure(result.elongation)),
    )
    if (!saved) return undefined
    setAsked('')
    for (const name of SHOWN_FIELDS) form.setValue(name, undefined)
    form.clearErrors()
    form.setValue('place', nextPlace(links, draft.place === undefined ? places : [...places, draft.place]))
    return dropDraft(world, part)
  }
}

/** Takes a reading: with what, how it came out, where on the chain, how tight. */
export function TakeReading(props: Props) {
  const { report, chain, wanted } = props
  const { now, garage } = useOpenLog()
  const units = useUnits()
  const { spec } = chain.part.entry
  const links = spec.type === 'chain' ? spec.links : 114
  const places = placesToday(chain, now)
  const form = useTakeForm(props, links)
  const [submit, saving] = useOnce(form.handleSubmit(useSave(form, props, links, places)))
  const [instrument, run, place] = useWatch({ control: form.control, name: ['instrument', 'run', 'place'] })
  const { errors } = form.formState
  useEffect(() => {
    if (wanted) pickTool(form, wanted.tool, garage.tools)
    // Only a new asking picks: a later change of the tools must not take the instrument out of the hand.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [wanted, form])

  /** A length that came from a caliper by itself: the inside first, then the outside. */
  const takeLength = (mm: number) => {
    if (form.getValues('instrument') !== 'caliper-pair') pickTool(form, 'caliper-pair', garage.tools)
    const value = units === 'metric' ? mm : Number(mmToInches(mm).toFixed(4))
    const next = form.getValues('inside') === undefined ? 'inside' : 'outside'
    form.setValue(next, value, { shouldDirty: true })
  }
  useTypedLengths((typed) => takeLength(units === 'metric' ? typed : typed * 25.4))

  return (
    <WorkSection id="take" title={words.takeAReading}>
      <Guide report={report} links={links} read={[...new Set(places)]} place={place} />
      <form
        onSubmit={(event) => {
          event.preventDefault()
          submit(event)
        }}
        noValidate
        className="flex flex-col gap-4"
      >
        <ToolChoice form={form} />
        <p className="text-sm text-steel">{HOW[instrument]}</p>
        <TakeInputs form={form} units={units} />
        <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1 bench:grid-cols-1">
          <Stepper
            label={words.linksFromTheJoining}
            fault={errors.place?.message}
            value={place === undefined ? NaN : Number(place)}
            step={1}
            min={1}
            max={links}
            digits={0}
            onStep={(next) => form.setValue('place', Number.isFinite(next) ? next : undefined)}
          />
          <TextField
            label={words.day}
            type="date"
            max={dayOf(now)}
            fault={errors.day?.message}
            {...form.register('day')}
          />
        </div>
        <Choice
          legend={words.theRunYouRead}
          value={run}
          onPick={(value) => form.setValue('run', value)}
          options={[
            { value: 'tight', label: words.tightBigRingBig },
            { value: 'slack', label: words.slack },
          ]}
        />
        <p className="text-sm text-steel">{words.keepFingersAndLoose}</p>
        <Button look="firm" type="submit" disabled={saving} className="self-start">
          {words.saveTheReading}
        </Button>
      </form>
      <LiveCaliper onLength={takeLength} />
    </WorkSection>
  )
}
