import { useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import type { BikeId } from '../../../core/log/entry.ts'
import type { TimedPlan } from '../../../core/session/fit-time.ts'
import { oneAfterAnother } from '../../../core/session/in-turn.ts'
import { planModel } from '../../../core/session/plan-model.ts'
import { sessionSteps, type BikeWash } from '../../../core/session/session-steps.ts'
import { FROM_NOW } from '../../../core/session/task.ts'
import type { WashStep } from '../../../core/session/wash-steps.ts'
import type { BikeReport } from '../../../core/strategy/facts/bike-report.ts'
import { washFacts, type WashFacts } from '../../../core/strategy/facts/wash-facts.ts'
import { chosenWash, type ChosenWash, type WashChoice } from '../../../core/strategy/wash-choice.ts'
import { useAllReports, useOpenLog } from '../../../session/log-context.ts'
import { useAnswer } from '../../../session/use-answer.ts'

/** A wash as it is planned now. */
export interface WashPlan {
  /** Of one bike, or of several together. */
  readonly washes: readonly BikeWash[]
  /** Those that are done, in no order. */
  readonly steps: readonly WashStep[]
  readonly timed: TimedPlan
  /** Those that are left out for want of time. */
  readonly leftOutSteps: readonly WashStep[]
  /** How long the same would take read from a list. */
  readonly listMin: number
  readonly handsMin: number
}

/** One bike of a session, and its part in it. */
export interface PlannedBike extends ChosenWash {
  readonly report: BikeReport
  readonly facts: WashFacts
  readonly choice: WashChoice
}

type Choices = Readonly<Record<BikeId, WashChoice>>

/** Everything about a wash that is being planned: which bikes, what is suggested, what was chosen, and the plan itself. */
export function useWashPlan(report: BikeReport, facts: WashFacts) {
  const { garage } = useOpenLog()
  const reports = useAllReports()
  const here = report.bike.entry.bike
  const [search] = useSearchParams()
  // Bikes that were chosen on Today to be washed together.
  const [choices, setChoices] = useState<Choices>(() =>
    Object.fromEntries(
      (search.get('with') ?? '').split(',').flatMap((bike) => (bike === '' ? [] : [[bike, {}]])),
    ),
  )
  const [minutes, setMinutes] = useState<number>()
  const bikes = useMemo<readonly PlannedBike[]>(() => {
    const along = reports.filter(({ bike }) => bike.entry.bike !== here && choices[bike.entry.bike])
    return [report, ...along].map((one) => {
      const choice = choices[one.bike.entry.bike] ?? {}
      const own = one === report ? facts : washFacts(garage, one)
      return { report: one, facts: own, choice, ...chosenWash(own, choice, minutes) }
    })
  }, [report, facts, reports, garage, here, choices, minutes])
  const washes = useMemo(
    () => bikes.flatMap(({ report: { bike }, job }) => (job ? [{ bike: bike.entry.bike, job }] : [])),
    [bikes],
  )
  const all = useMemo(() => (washes.length > 0 ? sessionSteps(washes) : []), [washes])
  const question = useMemo(
    () => (all.length > 0 ? { tasks: all, ...(minutes !== undefined && { minutes }) } : undefined),
    [all, minutes],
  )
  const answered = useAnswer('wash-plan', question, undefined)
  const timed = answered.fresh ? answered.answer : undefined
  const plan = useMemo((): WashPlan | undefined => {
    if (!timed) return undefined
    const steps = all.filter(({ id }) => timed.plan.start[id] !== undefined)
    return {
      washes,
      steps,
      timed,
      leftOutSteps: all.filter(({ id }) => timed.leftOut.includes(id)),
      listMin: oneAfterAnother(planModel(all, FROM_NOW)).finish,
      handsMin: steps.reduce((sum, { handsMin }) => sum + handsMin, 0),
    }
  }, [washes, all, timed])
  return {
    /** The bike in hand first. */
    bikes,
    /** Those that could be washed with it. */
    others: reports.filter(
      ({ bike, chain }) => chain && bike.entry.bike !== here && !choices[bike.entry.bike],
    ),
    choose: (bike: BikeId, choice: WashChoice | undefined) => {
      const { [bike]: _, ...rest } = choices
      setChoices(choice ? { ...rest, [bike]: choice } : rest)
    },
    minutes,
    setMinutes,
    plan,
    fault: answered.fault,
    progress: answered.progress,
  }
}
