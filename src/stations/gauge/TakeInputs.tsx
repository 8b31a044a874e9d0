import { useWatch, type UseFormReturn } from 'react-hook-form'
import { STRIP_MARKS } from '../../core/measure/strip-marks.ts'
import type { LiftReading, LimitResult, PlayReading } from '../../core/measure/reading.ts'
import { inchesToMm, mmToInches } from '../../core/units/convert.ts'
import { PITCH_MM } from '../../core/units/pitch.ts'
import { InstrumentPicture } from '../../ui/drawings/InstrumentPicture.tsx'
import { Choice } from '../../ui/parts/fields.tsx'
import { Stepper } from '../../ui/parts/Stepper.tsx'
import type { Units } from '../../core/units/units.ts'
import { LIFT_NAMES, PLAY_NAMES } from '../../words/names.ts'
import { sayFigure, sayLimit } from '../../words/numbers.ts'
import type { TakeDraft } from './take-form.ts'
import { words } from '../../words/stations/gauge/take-inputs.ts'
import { sayDecimal } from '../../words/grouped-number.ts'

export type TakeForm = UseFormReturn<TakeDraft>

interface InputProps {
  readonly form: TakeForm
  readonly units: Units
}

const optionsOf = <T extends string>(names: Readonly<Record<T, string>>) =>
  (Object.entries(names) as [T, string][]).map(([value, label]) => ({ value, label }))

const SIDES: readonly { readonly value: LimitResult; readonly label: string }[] = [
  { value: 'clear', label: words.doesNotEnter },
  { value: 'starts', label: words.entersALittle },
  { value: 'drops', label: words.dropsIn },
  { value: 'not-in', label: words.notIn },
]

const MARKS = ['0.5 0.75', '0.5 1', '0.75 1'] as const

function Sides({ form }: InputProps) {
  const [low, high, lowMark, highMark, instrument] = useWatch({
    control: form.control,
    name: ['low', 'high', 'lowMark', 'highMark', 'instrument'],
  })
  const { errors } = form.formState
  return (
    <>
      <InstrumentPicture instrument={instrument} result={high === 'drops' ? 'drops' : (low ?? 'clear')} />
      <Choice
        legend={words.marksOnTheGauge}
        value={`${lowMark} ${highMark}`}
        onPick={(value) => {
          const [a, b] = value.split(' ').map(Number)
          form.setValue('lowMark', a ?? 0.5)
          form.setValue('highMark', b ?? 0.75)
        }}
        options={MARKS.map((value) => ({
          value,
          label: value
            .split(' ')
            .map((mark) => sayLimit(Number(mark)))
            .join(' and '),
        }))}
      />
      <Choice
        legend={words.theSide(sayLimit(lowMark))}
        value={low}
        onPick={(value) => form.setValue('low', value)}
        options={SIDES}
        fault={errors.low?.message}
      />
      <Choice
        legend={words.theSide(sayLimit(highMark))}
        value={high}
        onPick={(value) => form.setValue('high', value)}
        options={SIDES}
        fault={errors.high?.message}
      />
    </>
  )
}

/** The far end of the rule or strip, magnified: tap or drag to where the edge of the pin lies. */
function OffsetTap({ form, units, step }: InputProps & { readonly step: number }) {
  const [length, pitches] = useWatch({ control: form.control, name: ['length', 'pitches'] })
  const fresh = Number(pitches) * PITCH_MM
  const mm = units === 'metric' ? Number(length) : inchesToMm(Number(length))
  const offset = Number.isFinite(mm) && length ? mm - fresh : 0
  const most = Math.round(fresh * 0.013)
  const set = (value: number) => {
    const exact = fresh + value
    form.setValue(
      'length',
      Number((units === 'metric' ? exact : mmToInches(exact)).toFixed(units === 'metric' ? 2 : 4)),
    )
  }
  return (
    <label className="block text-sm">
      <span className="font-medium">{words.orTapWhereTheEdge}</span>
      <input
        type="range"
        min={-1}
        max={most}
        step={step}
        value={offset}
        onChange={(event) => set(Number(event.target.value))}
        className="mt-2 h-11 w-full accent-petrol bench:h-16"
        aria-valuetext={words.mmOver(sayDecimal(offset, 1), sayFigure((100 * offset) / fresh))}
      />
      <span className="relative block h-5 font-mono text-xs text-steel">
        {STRIP_MARKS.map((percent) => (
          <span
            key={percent}
            className="absolute -translate-x-1/2"
            style={{ left: `${(100 * ((percent / 100) * fresh + 1)) / (most + 1)}%` }}
          >
            {sayFigure(percent)}
          </span>
        ))}
      </span>
    </label>
  )
}

function Lengths({ form, units }: InputProps) {
  const [instrument, pitches, length, inside, outside] = useWatch({
    control: form.control,
    name: ['instrument', 'pitches', 'length', 'inside', 'outside'],
  })
  const { errors } = form.formState
  const unit = units === 'metric' ? words.mm : words.inches
  const scale = units === 'metric' ? 1 : 1 / 25.4
  const fresh = (Number.isFinite(Number(pitches)) ? Number(pitches) : 24) * PITCH_MM * scale
  const fine = instrument === 'rule' ? 0.5 : instrument === 'strip' ? 0.1 : 0.01
  const digits = units === 'metric' ? 2 : 4
  const lengthStepper = (
    name: 'length' | 'inside' | 'outside',
    label: string,
    value: unknown,
    from: number,
    hint: string,
  ) => (
    <Stepper
      label={`${label}, ${unit}`}
      hint={hint}
      fault={errors[name]?.message}
      value={value === undefined ? NaN : Number(value)}
      step={fine * scale}
      min={Number(from.toFixed(digits))}
      max={2000 * scale}
      digits={digits}
      onStep={(next) => form.setValue(name, Number.isFinite(next) ? next : (undefined as unknown as number))}
    />
  )
  return (
    <>
      <InstrumentPicture instrument={instrument} />
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1 bench:grid-cols-1">
        <Stepper
          label={words.pitches}
          hint={words.whenNew(sayDecimal(fresh, units === 'metric' ? 1 : 3), unit)}
          fault={errors.pitches?.message}
          value={Number(pitches)}
          step={1}
          min={1}
          max={200}
          digits={0}
          onStep={(next) => form.setValue('pitches', next)}
        />
        {instrument === 'caliper-pair' ? (
          <>
            <span className="max-sm:hidden bench:hidden" />
            {lengthStepper('inside', words.inside, inside, fresh - 8 * scale, words.rollersPushedApart)}
            {lengthStepper('outside', words.outside, outside, fresh + 7 * scale, words.rollersPushedTogether)}
          </>
        ) : (
          lengthStepper('length', words.length, length, fresh, words.pinEdgeToTheSame)
        )}
      </div>
      {instrument !== 'caliper-pair' && <OffsetTap form={form} units={units} step={fine} />}
    </>
  )
}

function Scale({ form }: InputProps) {
  const [instrument, percent] = useWatch({ control: form.control, name: ['instrument', 'percent'] })
  const value = percent === undefined ? NaN : Number(percent)
  return (
    <>
      <InstrumentPicture instrument={instrument} percent={Number.isFinite(value) ? value : 0} />
      <Stepper
        label={words.onTheScale}
        fault={form.formState.errors.percent?.message}
        value={value}
        step={0.05}
        min={0}
        max={2}
        digits={2}
        onStep={(next) => form.setValue('percent', next)}
      />
      <label className="block text-sm">
        <span className="font-medium">{words.orDragThePointer}</span>
        <input
          type="range"
          min={0}
          max={1.2}
          step={0.025}
          value={Number.isFinite(value) ? value : 0}
          onChange={(event) => form.setValue('percent', Number(event.target.value))}
          className="mt-2 h-11 w-full accent-petrol bench:h-16"
          aria-valuetext={Number.isFinite(value) ? `${sayFigure(value)} %` : words.notReadYet}
        />
      </label>
    </>
  )
}

function Hint({ form }: InputProps) {
  const [instrument, lift, play] = useWatch({ control: form.control, name: ['instrument', 'lift', 'play'] })
  const { errors } = form.formState
  return (
    <>
      <InstrumentPicture instrument={instrument} />
      {instrument === 'ring-lift' ? (
        <Choice<LiftReading['result']>
          legend={words.pulledForwardAtTheFront}
          value={lift}
          onPick={(value) => form.setValue('lift', value)}
          options={optionsOf(LIFT_NAMES)}
          fault={errors.lift?.message}
        />
      ) : (
        <Choice<PlayReading['result']>
          legend={words.heldFlatByOne}
          value={play}
          onPick={(value) => form.setValue('play', value)}
          options={optionsOf(PLAY_NAMES)}
          fault={errors.play?.message}
        />
      )}
    </>
  )
}

/** The input that fits the instrument in hand. */
export function TakeInputs(props: InputProps) {
  const instrument = useWatch({ control: props.form.control, name: 'instrument' })
  switch (instrument) {
    case 'rule':
    case 'strip':
    case 'caliper-pair':
      return <Lengths {...props} />
    case 'two-contact-limit':
    case 'three-contact-limit':
      return <Sides {...props} />
    case 'two-contact-scale':
    case 'three-contact-scale':
      return <Scale {...props} />
    case 'ring-lift':
    case 'side-play':
      return <Hint {...props} />
  }
}
