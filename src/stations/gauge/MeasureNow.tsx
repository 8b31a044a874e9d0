import { yupResolver } from '@hookform/resolvers/yup'
import { useMemo, useState } from 'react'
import { useForm, useWatch } from 'react-hook-form'
import { useNavigate } from 'react-router'
import { USUAL_LINKS, type DrivetrainKind } from '../../core/gearing/drivetrains.ts'
import type { Instrument, Reading } from '../../core/measure/reading.ts'
import { verdictOf } from '../../core/strategy/verdict.ts'
import { onBike } from '../../core/wear/outlook.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { useAnswer } from '../../session/use-answer.ts'
import { Answer } from '../../ui/parts/Answer.tsx'
import { Button } from '../../ui/parts/Button.tsx'
import { dayOf } from '../../words/day.ts'
import { Choice } from '../../ui/parts/fields.tsx'
import { STATIONS } from '../../words/places.ts'
import { bikeChosen, useSend, useUnits } from '../../ui/screen-state.ts'
import { useOnce } from '../../ui/use-once.ts'
import { DRIVETRAIN_NAMES, SHORT_INSTRUMENT } from '../../words/names.ts'
import { sayCount } from '../../words/numbers.ts'
import { verdictGrounds, verdictSentence } from '../../words/verdict.tsx'
import { Evidence } from './Evidence.tsx'
import { HOW } from './how-to-read.ts'
import { NextWorth } from './NextWorth.tsx'
import { provisionalDrafts, provisionalReport } from './provisional.ts'
import {
  INSTRUMENT_ORDER,
  readingsOf,
  SHOWN_FIELDS,
  takeSchema,
  usualPitches,
  type TakeDraft,
} from './take-form.ts'
import { TakeInputs } from './TakeInputs.tsx'
import { words } from '../../words/stations/gauge/measure-now.ts'
import { newId } from '../../session/new-id.ts'

const DRIVETRAIN_CHOICES = (Object.keys(DRIVETRAIN_NAMES) as DrivetrainKind[]).map((value) => ({
  value,
  label: DRIVETRAIN_NAMES[value],
}))

interface Measured {
  readonly kind: DrivetrainKind
  readonly readings: readonly Reading[]
  readonly at: string
}

/** The verdict on a chain of no bike in the log, with what another reading would tell; kept with one tap, or left. */
function Verdict({
  measured,
  onLeave,
  onPick,
}: {
  readonly measured: Measured
  readonly onLeave: () => void
  /** Another reading is wanted, with this instrument. */
  readonly onPick: (instrument: Instrument) => void
}) {
  const { entries, garage, now, record } = useOpenLog()
  const units = useUnits()
  const send = useSend()
  const navigate = useNavigate()
  const [ids] = useState(() => ({ bike: newId(), chain: newId() }))
  const name = words.bike(garage.bikes.size + 1)
  const drafts = useMemo(
    () => provisionalDrafts(measured.kind, measured.readings, { ...ids, name }, measured.at),
    [measured, ids, name],
  )
  const made = useMemo(() => provisionalReport(entries, drafts, ids, now), [entries, drafts, ids, now])
  // Until it is kept nothing of it is: neither what was read nor what it says.
  const outlook = useAnswer('rider-outlook', made?.ask, undefined)
  const worth = useAnswer('next-look', made?.chain.nextLook, undefined)
  const answer = outlook.fresh ? onBike(outlook.answer?.chains[ids.chain]) : undefined
  const [keep, keeping] = useOnce(async () => {
    if (!(await record(drafts, words.isInTheLog(name, sayCount(measured.readings.length, 'reading'))))) return
    send(bikeChosen(ids.bike))
    void navigate(STATIONS.gauge.path)
  })
  if (!made) return null
  const { report, chain } = made
  const verdict = answer && verdictOf(report, answer)
  return (
    <>
      <Answer
        word={verdict?.word ?? 'unsure'}
        detail={outlook.fault === undefined ? verdictGrounds(report, chain, answer) : words.itCouldNotBe}
        action={
          <>
            <Button look="next" disabled={keeping} onClick={keep}>
              {words.keepItAs(name)}
            </Button>
            <Button look="link" onClick={onLeave}>
              {words.leaveIt}
            </Button>
          </>
        }
      >
        {answer ? verdictSentence(report, answer, verdict, units) : words.workingItOut}
      </Answer>
      <Evidence report={report} chain={chain} answer={answer} />
      {worth.answer && worth.fresh && (
        <NextWorth answer={worth.answer} onPick={({ instrument }) => onPick(instrument)} />
      )}
    </>
  )
}

const FORM = 'measure-now'

/** Measures a chain at once, of a bike that is not in the log: the instrument, the number, the kind of drivetrain. */
export function MeasureNow() {
  const { now } = useOpenLog()
  const units = useUnits()
  const [kind, setKind] = useState<DrivetrainKind>()
  const [measured, setMeasured] = useState<Omit<Measured, 'kind'>>()
  const form = useForm<TakeDraft>({
    resolver: yupResolver(takeSchema),
    defaultValues: {
      instrument: 'rule',
      day: dayOf(now),
      pitches: 24,
      run: 'tight',
      lowMark: 0.5,
      highMark: 0.75,
    },
  })
  const instrument = useWatch({ control: form.control, name: 'instrument' })
  const [asked, setAsked] = useState(false)
  const pick = (next: Instrument): void => {
    form.setValue('instrument', next)
    form.setValue('pitches', usualPitches(next))
  }
  const another = (next: Instrument): void => {
    pick(next)
    const place = document.getElementById(FORM)
    place?.scrollIntoView({ block: 'start' })
    place?.focus({ preventScroll: true })
  }
  const show = form.handleSubmit((draft) => {
    // The number stays in the field until there is a drivetrain to judge it for.
    if (!kind) return undefined
    const result = readingsOf(draft, { units, links: USUAL_LINKS, printScale: 1 })
    if (!result.ok) return form.setError(result.field, { message: result.fault }, { shouldFocus: true })
    setMeasured((held) => ({
      readings: [...(held?.readings ?? []), ...result.readings],
      at: held?.at ?? new Date().toISOString(),
    }))
    for (const name of SHOWN_FIELDS) form.setValue(name, undefined)
    return form.clearErrors()
  })
  return (
    <div className="flex flex-col gap-8">
      {measured && kind ? (
        <Verdict measured={{ ...measured, kind }} onLeave={() => setMeasured(undefined)} onPick={another} />
      ) : (
        <Answer detail={words.noBikeNeededTheNumber}>{words.measureAChainNow}</Answer>
      )}
      <form
        noValidate
        id={FORM}
        tabIndex={-1}
        aria-label={words.measureAChain}
        className="flex max-w-[40rem] flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault()
          setAsked(true)
          void show(event)
        }}
      >
        <Choice
          legend={words.with}
          value={instrument}
          onPick={(next) => pick(next)}
          options={INSTRUMENT_ORDER.map((value) => ({ value, label: SHORT_INSTRUMENT[value] }))}
        />
        <p className="text-sm text-steel">{HOW[instrument]}</p>
        <TakeInputs form={form} units={units} />
        <Choice
          legend={words.drivetrainItsLimitDepends}
          value={kind}
          onPick={setKind}
          fault={asked && !kind ? words.pickTheKindOfDrivetrain : undefined}
          options={DRIVETRAIN_CHOICES}
        />
        <p className="text-sm text-steel">{words.measureOnATight}</p>
        <Button look={measured && kind ? 'plain' : 'next'} type="submit" className="self-start">
          {measured && kind ? words.addThisReading : words.showTheAnswer}
        </Button>
      </form>
    </div>
  )
}
