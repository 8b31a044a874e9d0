import { useMemo, useState } from 'react'
import type { Lube } from '../../../core/lube/lubes.ts'
import { suggestWays, type WayJudged } from '../../../core/lube/suggest.ts'
import type { WashWay } from '../../../core/lube/wash-ways.ts'
import { isWax, misfits, WAYS, type Misfit } from '../../../core/lube/ways.ts'
import type { PartId } from '../../../core/log/entry.ts'
import type { TimedPlan } from '../../../core/session/fit-time.ts'
import { oneAfterAnother } from '../../../core/session/in-turn.ts'
import { planModel } from '../../../core/session/plan-model.ts'
import { FROM_NOW } from '../../../core/session/task.ts'
import { washSteps, type WashJob, type WashStep } from '../../../core/session/wash-steps.ts'
import type { WashableChain, WashFacts } from '../../../core/strategy/facts/wash-facts.ts'
import { useAnswer } from '../../../session/use-answer.ts'

/** What was chosen at the stand; what is not chosen is suggested. */
export interface WashChoice {
  readonly way?: WashWay
  readonly lube?: Exclude<Lube, 'none'>
  readonly minutes?: number
  readonly chains?: readonly PartId[]
  readonly fits?: PartId
}

/** A wash as it is planned now. */
export interface WashPlan {
  readonly job: WashJob
  /** Those that are done, in no order. */
  readonly steps: readonly WashStep[]
  readonly timed: TimedPlan
  /** Those that are left out for want of time. */
  readonly leftOutSteps: readonly WashStep[]
  /** How long the same would take read from a list. */
  readonly listMin: number
  readonly handsMin: number
}

/** Spares that are washed with the chain on the bike unless somebody says otherwise: those whose wax is used up. */
const isDueToo = ({ lube, facts, isOn }: WashableChain): boolean =>
  !isOn && (isWax(lube) || lube === 'none') && (facts?.clock.due ?? false)

/** Everything about a wash that is being planned: what is suggested, what was chosen, and the plan itself. */
export function useWashPlan(facts: WashFacts) {
  const [choice, setChoice] = useState<WashChoice>({})
  const { wants, chains: kept, bike, ownMin } = facts
  const ways = useMemo<readonly WayJudged[]>(
    () => suggestWays({ ...wants, minutes: choice.minutes }),
    [wants, choice.minutes],
  )
  const best = ways[0]
  const way = choice.way ?? best?.way ?? 'wipe'
  const judged = ways.find((one) => one.way === way)
  const { lubes } = WAYS[way]
  const lube = lubes.find((one) => one === choice.lube) ?? judged?.lube ?? lubes[0] ?? 'wet-lube'
  const isPot = way === 're-wax' || way === 'strip-wax'
  const on = kept.find(({ isOn }) => isOn)
  const picked = useMemo(
    () =>
      isPot
        ? kept.filter((one) => (choice.chains ? choice.chains.includes(one.id) : one.isOn || isDueToo(one)))
        : kept.filter(({ isOn }) => isOn),
    [kept, isPot, choice.chains],
  )
  const fits = (
    picked.find(({ id }) => id === choice.fits) ??
    picked.find(({ id }) => id === on?.id) ??
    picked[0]
  )?.id
  const job = useMemo<WashJob | undefined>(
    () =>
      fits === undefined
        ? undefined
        : {
            way,
            lube,
            bike,
            chains: picked.map(({ id, isOn }) => ({ id, isOn })),
            fits,
            kit: wants.kit,
            ownMin,
          },
    [way, lube, bike, picked, fits, wants.kit, ownMin],
  )
  const all = useMemo(() => (job ? washSteps(job) : []), [job])
  const question = useMemo(
    () => job && { tasks: all, ...(choice.minutes !== undefined && { minutes: choice.minutes }) },
    [job, all, choice.minutes],
  )
  const answered = useAnswer('wash-plan', question, undefined)
  const timed = answered.fresh ? answered.answer : undefined
  const plan = useMemo((): WashPlan | undefined => {
    if (!job || !timed) return undefined
    const steps = all.filter(({ id }) => timed.plan.start[id] !== undefined)
    return {
      job,
      steps,
      timed,
      leftOutSteps: all.filter(({ id }) => timed.leftOut.includes(id)),
      listMin: oneAfterAnother(planModel(all, FROM_NOW)).finish,
      handsMin: steps.reduce((sum, { handsMin }) => sum + handsMin, 0),
    }
  }, [job, all, timed])
  const mixes: readonly Misfit[] = misfits(way, lube, wants)
  return {
    choice,
    setChoice,
    ways,
    best,
    way,
    lube,
    judged,
    mixes,
    isPot,
    picked,
    fits,
    plan,
    fault: answered.fault,
  }
}
