import type { StepKind } from './step-kinds.ts'
import type { WashStep } from './wash-steps.ts'
import { withoutSteps } from './fit-time.ts'
import { planSession, type SessionPlan } from './plan.ts'
import type { PlanStart, PlanTask } from './task.ts'

/** A step that was begun. Times are milliseconds of wall time: a clock that stands still while the page sleeps would lie. */
export interface BegunStep {
  readonly atMs: number
  /** When its hands were done; absent while they are at it. */
  readonly handsDoneMs?: number
  /** When its waiting is over; absent while hands are at it, and where nothing waits. */
  readonly overMs?: number
}

/** A wash that is going on. Plain data: it is kept, and read back after a reload. */
export interface WashRun {
  readonly startedMs: number
  readonly steps: readonly WashStep[]
  readonly begun: Readonly<Record<string, BegunStep>>
  readonly skipped: readonly string[]
  /** Put off: not before the hands of another step are done. */
  readonly later: Readonly<Record<string, string>>
}

const MINUTE_MS = 60_000
/** The rest is planned again at every tap: so many places are some 100 ms, and enough for all but the most tangled. */
const REPLAN_PLACES = 12_000

/** A wash begun now. */
export const startRun = (steps: readonly WashStep[], nowMs: number): WashRun => ({
  startedMs: nowMs,
  steps,
  begun: {},
  skipped: [],
  later: {},
})

/** Steps that are neither begun nor skipped. */
export const stepsLeft = ({ steps, begun, skipped }: WashRun): readonly WashStep[] =>
  steps.filter(({ id }) => begun[id] === undefined && !skipped.includes(id))

/** The step that hands are at, if any. */
export const inHand = ({ steps, begun }: WashRun): WashStep | undefined =>
  steps.find(({ id }) => begun[id] && begun[id].handsDoneMs === undefined)

/** Steps that wait by themselves, those that are over soonest first; some may be over, and their clock has rung. */
export function waiting({
  steps,
  begun,
}: WashRun): readonly { readonly step: WashStep; readonly overMs: number }[] {
  return steps
    .flatMap((step) => {
      const overMs = begun[step.id]?.overMs
      return overMs === undefined ? [] : [{ step, overMs }]
    })
    .sort((a, b) => a.overMs - b.overMs)
}

/** Whether all is done, the last waiting too. */
export const isRunOver = (run: WashRun, nowMs: number): boolean =>
  stepsLeft(run).length === 0 && !inHand(run) && waiting(run).every(({ overMs }) => overMs <= nowMs)

/** Hands begin a step; those of another are done with it. */
export function beginStep(run: WashRun, id: string, nowMs: number): WashRun {
  const before = inHand(run)
  const free = before ? finishHands(run, before.id, nowMs) : run
  return { ...free, begun: { ...free.begun, [id]: { atMs: nowMs } } }
}

/** Hands are done with a step; what waits begins to wait. */
export function finishHands(run: WashRun, id: string, nowMs: number): WashRun {
  const step = run.steps.find((one) => one.id === id)
  const begun = run.begun[id]
  if (!step || !begun || begun.handsDoneMs !== undefined) return run
  const { waitMin = 0 } = step
  return {
    ...run,
    begun: {
      ...run.begun,
      [id]: {
        ...begun,
        handsDoneMs: nowMs,
        ...(waitMin > 0 && { overMs: nowMs + waitMin * MINUTE_MS }),
      },
    },
  }
}

/** What waits, waits longer or less. @param minutes more; negative for less: never before now */
export function addMinutes(run: WashRun, id: string, minutes: number, nowMs: number): WashRun {
  const begun = run.begun[id]
  if (begun?.overMs === undefined) return run
  // A clock that has rung already goes on from now.
  const overMs = Math.max(nowMs, Math.max(nowMs, begun.overMs) + minutes * MINUTE_MS)
  return { ...run, begun: { ...run.begun, [id]: { ...begun, overMs } } }
}

/** What makes no sense without a step: nothing is lifted that was not dipped. */
const GO_WITH: Readonly<Partial<Record<StepKind, readonly StepKind[]>>> = {
  'onto-stand': ['off-stand'],
  dip: ['lift', 'free-links'],
  drops: ['wipe-off'],
  spray: ['wipe-off'],
  'wheel-off': ['cassette-off', 'soak-cassette', 'cassette-on', 'wheel-on'],
  'cassette-off': ['soak-cassette', 'cassette-on'],
}

/** A step and those that make no sense without it, of the same chain and bike. */
function together({ steps }: WashRun, id: string): readonly string[] {
  const step = steps.find((one) => one.id === id)
  const kinds = (step && GO_WITH[step.kind]) ?? []
  return [
    id,
    ...steps
      .filter(({ kind, chain, bike }) => kinds.includes(kind) && chain === step?.chain && bike === step?.bike)
      .map((one) => one.id),
  ]
}

/** A step is left out, and what makes no sense without it. */
export const skipStep = (run: WashRun, id: string): WashRun => ({
  ...run,
  skipped: [...new Set([...run.skipped, ...together(run, id)])].filter((one) => !run.begun[one]),
})

/** A step that was left out is back in the plan, and what goes with it. */
export function putBack(run: WashRun, id: string): WashRun {
  const back = together(run, id)
  return { ...run, skipped: run.skipped.filter((one) => !back.includes(one)) }
}

/** A step is put off until another has been done that could come now; unchanged where there is none. */
export function putOff(run: WashRun, id: string, nowMs: number): WashRun {
  const plan = planRest(run, nowMs)
  const next = stepsLeft(run)
    .filter((step) => step.id !== id && !dependsOn(run, step.id, id))
    .sort((a, b) => (plan.start[a.id] ?? 0) - (plan.start[b.id] ?? 0))[0]
  return next ? { ...run, later: { ...run.later, [id]: next.id } } : run
}

/** Whether a step comes after another, along however many. */
function dependsOn(run: Pick<WashRun, 'steps' | 'later'>, id: string, before: string): boolean {
  const { steps, later } = run
  const step = steps.find((one) => one.id === id)
  if (!step) return false
  const direct = [...(step.after ?? []), ...(step.afterHands ?? []), ...(later[id] ? [later[id]] : [])]
  return direct.some((one) => one === before || dependsOn(run, one, before))
}

/** What is left, and what is going on, as a question to the planner. Minutes from now. */
export function restOf(
  run: WashRun,
  nowMs: number,
): { readonly tasks: readonly PlanTask[]; readonly from: PlanStart } {
  const { steps, begun, skipped, later } = run
  const minutesTo = (ms: number): number => Math.max(0, (ms - nowMs) / MINUTE_MS)
  const overAtMin: Record<string, number> = {}
  const busyUntilMin: Record<string, number> = {}
  let handsFreeMin = 0
  const kept = withoutSteps(steps, new Set(skipped))
  for (const step of kept) {
    const state = begun[step.id]
    if (!state) continue
    const handsEnd = state.handsDoneMs === undefined ? minutesTo(state.atMs + step.handsMin * MINUTE_MS) : 0
    if (state.handsDoneMs === undefined) handsFreeMin = Math.max(handsFreeMin, handsEnd)
    const over =
      state.overMs === undefined
        ? handsEnd + (state.handsDoneMs === undefined ? (step.waitMin ?? 0) : 0)
        : minutesTo(state.overMs)
    overAtMin[step.id] = over
    for (const thing of step.holds ?? []) busyUntilMin[thing] = Math.max(busyUntilMin[thing] ?? 0, over)
  }
  for (const step of kept) {
    const state = begun[step.id]
    if (!state) continue
    for (const thing of step.takes ?? []) {
      const freeing = kept.find(
        (one) =>
          (one.frees ?? []).includes(thing) &&
          [...(one.after ?? []), ...(one.afterHands ?? [])].includes(step.id),
      )
      if (freeing && !begun[freeing.id]) busyUntilMin[thing] = Infinity
      else if (freeing && begun[freeing.id]?.handsDoneMs === undefined)
        busyUntilMin[thing] = Math.max(busyUntilMin[thing] ?? 0, handsFreeMin)
    }
  }
  const left = kept.filter(({ id }) => !begun[id])
  const isLeft = (id: string | undefined): id is string => left.some((one) => one.id === id)
  return {
    tasks: left.map((step) => ({
      ...step,
      afterHands: [
        // Of a step that hands have left, only its waiting may still count.
        ...(step.afterHands ?? []).filter(isLeft),
        ...(isLeft(later[step.id]) ? [later[step.id] as string] : []),
      ],
    })),
    from: { handsFreeMin, overAtMin, busyUntilMin },
  }
}

/** The shortest order of what is left, from what is going on: minutes from now. */
export const planRest = (run: WashRun, nowMs: number): SessionPlan =>
  planSession({ ...restOf(run, nowMs), mostPlaces: REPLAN_PLACES })

/**
 * Hands' minutes that each kind of step really took on one chain or bike, of those that were timed: what the rider's next plans go by.
 * @param isCounted of which steps; all where it is absent
 */
export function stepMinutes(
  { steps, begun }: WashRun,
  isCounted: (step: WashStep) => boolean = () => true,
): Readonly<Partial<Record<WashStep['kind'], number>>> {
  const sums = new Map<WashStep['kind'], { minutes: number; planned: number; count: number }>()
  for (const step of steps) {
    const { id, kind, handsMin, times } = step
    const state = begun[id]
    if (state?.handsDoneMs === undefined || !isCounted(step)) continue
    const sum = sums.get(kind) ?? { minutes: 0, planned: 0, count: 0 }
    sum.minutes += (state.handsDoneMs - state.atMs) / MINUTE_MS / times
    sum.planned += handsMin / times
    sum.count++
    sums.set(kind, sum)
  }
  return Object.fromEntries(
    [...sums]
      // A step ticked off at once, or forgotten for an hour, tells nothing of how long it takes.
      .filter(([, { minutes, planned }]) => minutes >= 0.2 * planned && minutes <= 6 * planned + 5)
      .map(([kind, { minutes, count }]) => [kind, Math.round((10 * minutes) / count) / 10]),
  )
}
