import { useCallback, useState } from 'react'
import { Link } from 'react-router'
import {
  addMinutes,
  inHand,
  isRunOver,
  putBack,
  skipStep,
  waiting,
  type WashRun,
} from '../../../core/session/run.ts'
import type { WashStep } from '../../../core/session/wash-steps.ts'
import { useAllReports, useOpenLog } from '../../../session/log-context.ts'
import { timeOfDay } from '../../../words/day.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { CautionNote } from '../../../ui/parts/Empty.tsx'
import { DummyAxleDrawing } from '../../../ui/drawings/DummyAxleDrawing.tsx'
import { checksFor } from '../../../words/places.ts'
import { useBenchMode } from '../../../ui/use-bench-mode.ts'
import { sayHow, STEP_WORDS } from '../../../words/step-words.ts'
import { LUBE_NAMES } from '../../../words/names.ts'
import type { KeptRun } from './kept-run.ts'
import { chainOnBike } from '../chain-on-bike.ts'
import { Clocks } from './Clocks.tsx'
import { NextSteps, SkippedSteps } from './NextSteps.tsx'
import { StepActions } from './StepActions.tsx'
import { useRest } from './use-rest.ts'
import { LinkWalk } from './LinkWalk.tsx'
import { sayBikes, sayStep } from './say-step.ts'
import { useNotices, useNowMs } from './use-clocks.ts'
import { WashEnd } from './WashEnd.tsx'
import { words as phrases } from '../../../words/stations/wash/run/run-screen.ts'
import { sayDecimal } from '../../../words/grouped-number.ts'

const MINUTE_MS = 60_000

interface Props {
  readonly kept: KeptRun
  /** The wash goes on like this; undefined: it is over, or given up. */
  readonly onChange: (kept: KeptRun | undefined) => void
}

/** A wash as it goes on: one step at a time, the next in sight, clocks for what waits; the rest planned again at every tap. */
export function RunScreen({ kept, onChange }: Props) {
  const { garage } = useOpenLog()
  const reports = useAllReports()
  const nowMs = useNowMs()
  const { run, washes } = kept
  const [isEnding, setEnding] = useState(false)
  const { canAsk, ask } = useNotices()
  useBenchMode()
  const { plan, left, slotMs } = useRest(run, nowMs)
  const change = useCallback((next: WashRun) => onChange({ ...kept, run: next }), [kept, onChange])
  const nameOf = useCallback((step: WashStep): string => sayStep(garage, washes, step), [garage, washes])
  const hand = inHand(run)
  const [next] = left
  if (isEnding || (!hand && left.length === 0 && isRunOver(run, nowMs)))
    return (
      <WashEnd
        kept={kept}
        nowMs={nowMs}
        {...(isEnding && { onBack: () => setEnding(false) })}
        onOver={() => onChange(undefined)}
      />
    )

  const nextAtMs = next ? slotMs + (plan.start[next.id] ?? 0) * MINUTE_MS : nowMs
  const isNextNow = nextAtMs <= nowMs + 30_000
  const lastWaitMs = waiting(run).reduce((latest, { overMs }) => Math.max(latest, overMs), 0)
  const doneMs = Math.max(nowMs, lastWaitMs, slotMs + plan.minutes * MINUTE_MS)
  const shown = hand ?? (isNextNow ? next : undefined)
  const words = shown && STEP_WORDS[shown.kind]
  const wash = washes.find(({ bike }) => bike === shown?.bike) ?? washes[0]
  const report = reports.find(({ bike }) => bike.entry.bike === wash?.bike)
  const amounts = report && wash && chainOnBike(garage, report, wash.job.fits).amounts
  return (
    <section aria-labelledby="answer" className="flex flex-col gap-6">
      <div>
        <p className="text-steel">
          {phrases.doneAtAboutOfSteps(
            sayBikes(garage, washes),
            timeOfDay(doneMs),
            left.length + (hand ? 1 : 0),
            run.steps.length - run.skipped.length,
          )}
        </p>
        <h1 id="answer" className="mt-1 text-[2.4rem] leading-tight font-medium max-sm:text-[1.8rem]">
          {shown
            ? nameOf(shown)
            : next
              ? phrases.handsFreeUntil(timeOfDay(nextAtMs))
              : phrases.handsFreeTheLast}
        </h1>
        {words && (
          <p className="mt-2 max-w-[46rem] text-[1.2rem]">
            {sayHow(shown)}
            {shown.kind === 'drops' &&
              wash &&
              amounts &&
              phrases.dropsAboutMlOnce(
                LUBE_NAMES[wash.job.lube],
                amounts.drops,
                Math.round(amounts.ml),
                sayDecimal(amounts.crankTurns, 1),
              )}
          </p>
        )}
        {!shown && next && (
          <p className="mt-2 text-[1.2rem]">
            {phrases.then(nameOf(next))}{' '}
            <Link
              to={checksFor(Math.max(1, Math.floor((nextAtMs - nowMs) / MINUTE_MS)))}
              className="underline underline-offset-4"
            >
              {phrases.checkSomethingMeanwhile}
            </Link>
          </p>
        )}
      </div>
      {shown?.kind === 'dummy-axle' && <DummyAxleDrawing />}
      {words?.care && <CautionNote>{words.care}</CautionNote>}
      {shown?.kind === 'inspect' && hand && report && wash && (
        <LinkWalk key={shown.id} report={report} job={wash.job} kept={kept} onChange={onChange} />
      )}
      <StepActions
        key={next?.id}
        run={run}
        next={next}
        isNextNow={isNextNow}
        nowMs={nowMs}
        onChange={change}
      />
      <Clocks
        run={run}
        nowMs={nowMs}
        nameOf={nameOf}
        onMore={(id, minutes) => change(addMinutes(run, id, minutes, Date.now()))}
      />
      <NextSteps
        steps={left.filter((step) => step !== shown)}
        nameOf={nameOf}
        timeOf={(step) => timeOfDay(slotMs + (plan.start[step.id] ?? 0) * MINUTE_MS)}
        onSkip={(step) => change(skipStep(run, step.id))}
      />
      <SkippedSteps
        steps={run.steps.filter(({ id }) => run.skipped.includes(id))}
        nameOf={nameOf}
        onBack={({ id }) => change(putBack(run, id))}
      />
      <div className="flex flex-wrap gap-x-8">
        {canAsk && (
          <Button look="link" className="min-h-12" onClick={ask}>
            {phrases.tellMeByANotice}
          </Button>
        )}
        <Button look="link" className="min-h-12" onClick={() => setEnding(true)}>
          {phrases.endTheWashHere}
        </Button>
      </div>
    </section>
  )
}
