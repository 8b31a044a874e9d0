import { useMemo } from 'react'
import { beginStep, finishHands, planRest, stepsLeft, type WashRun } from '../../../core/session/run.ts'

/** The rest is looked at again so often, ms: what waits comes nearer, and its order may change. */
const REPLAN_MS = 15_000

/** The steps that are left in their shortest order from what is going on, looked at again now and then. */
export function useRest(run: WashRun, nowMs: number) {
  const slotMs = Math.max(run.startedMs, Math.floor(nowMs / REPLAN_MS) * REPLAN_MS)
  return useMemo(() => {
    const plan = planRest(run, slotMs)
    const left = [...stepsLeft(run)].sort((a, b) => (plan.start[a.id] ?? 0) - (plan.start[b.id] ?? 0))
    return { plan, left, slotMs }
  }, [run, slotMs])
}

/** Hands are done with a step; what can come at once is begun with the same tap. */
export function doneAndOn(run: WashRun, id: string, nowMs: number): WashRun {
  const free = finishHands(run, id, nowMs)
  const rest = planRest(free, nowMs)
  const following = [...stepsLeft(free)].sort((a, b) => (rest.start[a.id] ?? 0) - (rest.start[b.id] ?? 0))[0]
  // Hot wax is not begun in passing: the pot is looked at first.
  const canFollow = following && following.kind !== 'dip' && (rest.start[following.id] ?? 0) <= 0.5
  return canFollow ? beginStep(free, following.id, nowMs) : free
}
