import type { PlanModel } from './plan-model.ts'
import { earliest, emptyState, place, type PlanState } from './plan-state.ts'

/**
 * Plans by a rule of thumb: of the steps that may begin, the one that may begin first; where several may, the one that the rule
 * puts first.
 * @param isBefore whether the first of two steps goes before the second
 * @returns the whole plan; where a thing is never given back, less than all is placed
 */
export function byRule(model: PlanModel, isBefore: (a: number, b: number) => boolean): PlanState {
  const state = emptyState(model)
  for (;;) {
    let next = -1
    let at = Infinity
    for (let i = 0; i < model.count; i++) {
      if (state.isPlaced[i]) continue
      const start = earliest(model, state, i)
      if (start < at || (start === at && start < Infinity && isBefore(i, next))) [next, at] = [i, start]
    }
    if (next < 0) return state
    place(model, state, next, at)
  }
}

/** One step after another as they stand, each waited out before the next begins: a list read from the top. */
export function oneAfterAnother(model: PlanModel): PlanState {
  const state = emptyState(model)
  for (let left = model.count; left > 0; left--) {
    const next = state.isPlaced.findIndex((is, i) => !is && earliest(model, state, i) < Infinity)
    if (next < 0) return state
    place(model, state, next, Math.max(earliest(model, state, next), state.finish))
  }
  return state
}
