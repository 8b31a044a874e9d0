import { useState } from 'react'
import { object } from 'yup'
import { LIMIT_RESULTS, type LimitResult, type Reading } from '../../core/measure/reading.ts'
import {
  caliperShown,
  lengthShown,
  limitShown,
  shownAs,
  SPAN,
  type GaugeSetup,
  type PutOn,
} from '../../core/school/gauge-lesson.ts'
import { InstrumentPicture } from '../../ui/drawings/InstrumentPicture.tsx'
import { neededNumber } from '../../ui/form/fields.ts'
import { useCheckedForm } from '../../ui/form/use-checked-form.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Choice, TextField } from '../../ui/parts/fields.tsx'
import { Dial, ScaleWindow } from './Windows.tsx'
import { words } from '../../words/stations/school/read-it.ts'
import { sayDecimal } from '../../words/grouped-number.ts'

interface Props {
  readonly setup: GaugeSetup
  readonly put: PutOn
  readonly onBeside: (mm: number) => void
  readonly onRead: (reading: Reading) => void
}

/** A figure read off a scale, typed and saved. */
function Figure({
  label,
  unit,
  least,
  most,
  onFigure,
}: {
  readonly label: string
  readonly unit: string
  readonly least: number
  readonly most: number
  readonly onFigure: (value: number) => void
}) {
  const { form, submit } = useCheckedForm(
    object({ figure: neededNumber({ unit, ask: words.whatDoYouRead, least, most }) }),
    { figure: '' },
    ({ figure }) => onFigure(figure),
  )
  return (
    <form noValidate className="flex flex-wrap items-end gap-3" onSubmit={submit}>
      <TextField
        label={label}
        inputMode="decimal"
        className="w-44"
        fault={form.formState.errors.figure?.message}
        {...form.register('figure')}
      />
      <Button look="next" type="submit">
        {words.thatIsMyReading}
      </Button>
    </form>
  )
}

function ReadLength({ setup, put, onBeside, onRead }: Props) {
  const { instrument } = setup
  const pitches = SPAN[instrument]
  const isStrip = instrument === 'strip'
  const nominal = pitches * 12.7
  return (
    <>
      <div className="grid max-w-[48rem] grid-cols-2 gap-6 max-sm:grid-cols-1">
        <div>
          <ScaleWindow title={words.itsZeroBesideTheFirst} atMm={put.besideMm} everyMm={isStrip ? 1 : 0.5} />
          <label className="mt-2 grid gap-1 text-sm font-medium">
            {words.slideItUntilIts}
            <input
              type="range"
              min={-1.5}
              max={1.5}
              step={0.05}
              value={put.besideMm}
              onChange={({ target }) => onBeside(Number(target.value))}
              aria-valuetext={
                put.besideMm === 0
                  ? words.atTheEdge
                  : put.besideMm < 0
                    ? words.toTheRightOfTheEdge
                    : words.toTheLeftOfTheEdge
              }
              className="h-10 w-full accent-petrol"
            />
          </label>
        </div>
        <ScaleWindow
          title={words.theSameEdgeOfThePin(pitches, isStrip ? words.withTheVernier : '')}
          atMm={lengthShown(setup, put)}
          everyMm={isStrip ? 1 : 0.5}
          hasVernier={isStrip}
        />
      </div>
      <Figure
        label={words.lengthYouReadMm}
        unit={words.mm}
        least={nominal - 8}
        most={nominal + 12}
        onFigure={(lengthMm) => onRead({ instrument: isStrip ? 'strip' : 'rule', pitches, lengthMm })}
      />
    </>
  )
}

function ReadCaliper({ setup, put, onRead }: Props) {
  const { insideMm, outsideMm } = caliperShown(setup, put)
  const middle = SPAN[setup.instrument] * 12.7
  const [inside, setInside] = useState(middle - 14)
  const [outside, setOutside] = useState(middle + 16)
  // The jaws stop at the rollers.
  const [shownIn, shownOut] = [Math.min(inside, insideMm), Math.max(outside, outsideMm)]
  const jaw = (label: string, value: number, set: (mm: number) => void, shown: number, hint: string) => (
    <label className="grid gap-1 text-sm font-medium">
      {label}
      <input
        type="range"
        min={middle - 16}
        max={middle + 18}
        step={0.1}
        value={value}
        onChange={({ target }) => set(Number(target.value))}
        aria-valuetext={`${sayDecimal(shown, 2)} mm`}
        className="h-10 w-full accent-petrol"
      />
      <span className="font-mono text-xl">{words.mm2(sayDecimal(shown, 2))}</span>
      <span className="font-normal text-steel">{hint}</span>
    </label>
  )
  return (
    <>
      <div className="grid max-w-[48rem] grid-cols-2 gap-6 max-sm:grid-cols-1">
        {jaw(words.insideTheRollers, inside, setInside, shownIn, words.openTheJawsUntil)}
        {jaw(words.outsideTheRollers, outside, setOutside, shownOut, words.closeTheJawsUntil)}
      </div>
      <Button
        look="next"
        className="self-start"
        onClick={() =>
          onRead({
            instrument: 'caliper-pair',
            pitches: SPAN[setup.instrument],
            insideMm: Math.round(100 * shownIn) / 100,
            outsideMm: Math.round(100 * shownOut) / 100,
          })
        }
      >
        {words.thatIsMyReading}
      </Button>
    </>
  )
}

const DID: Readonly<Record<Exclude<LimitResult, 'not-in'>, string>> = {
  clear: words.itStaysOut,
  starts: words.itGoesInALittle,
  drops: words.itGoesAllTheWay,
}

function ReadLimit({ setup, put, onRead }: Props) {
  const [said, setSaid] = useState<Exclude<LimitResult, 'not-in'>>()
  const { instrument } = setup
  if (instrument !== 'two-contact-limit' && instrument !== 'three-contact-limit') return null
  return (
    <>
      <InstrumentPicture instrument={instrument} result={limitShown(setup, put)} />
      <Choice
        legend={words.whatDoesItDo}
        value={said}
        onPick={setSaid}
        options={LIMIT_RESULTS.flatMap((value) => (value === 'not-in' ? [] : [{ value, label: DID[value] }]))}
      />
      <Button
        look="next"
        className="self-start"
        disabled={said === undefined}
        onClick={() => said && onRead({ instrument, limit: setup.side, result: said })}
      >
        {words.thatIsMyReading}
      </Button>
    </>
  )
}

/** Reading the instrument as it lies: by its scale, its jaws, its hand or its tip. */
export function ReadIt(props: Props) {
  const { setup, put, onRead } = props
  switch (setup.instrument) {
    case 'rule':
    case 'strip':
      return <ReadLength {...props} />
    case 'caliper-pair':
      return <ReadCaliper {...props} />
    case 'two-contact-limit':
    case 'three-contact-limit':
      return <ReadLimit {...props} />
    case 'two-contact-scale':
    case 'three-contact-scale': {
      const { instrument } = setup
      return (
        <>
          <Dial percent={shownAs(setup, put)} />
          <Figure
            label={words.youRead}
            unit="%"
            least={-0.2}
            most={2}
            onFigure={(percent) => onRead({ instrument, percent })}
          />
        </>
      )
    }
  }
}
