import type { PlanModel } from './plan-model.ts'

/** Steps put in order so far, and what that leaves: every step begins as soon as it can, in the order in which they are begun. */
export interface PlanState {
  /** When each step begins, once it is placed. */
  readonly start: Float64Array
  readonly isPlaced: Uint8Array
  /** When its hands are done, and when it is over. */
  readonly handsOver: Float64Array
  readonly over: Float64Array
  readonly busyUntil: Float64Array
  handsFree: number
  /** When all that is placed is over. */
  finish: number
  placed: number
}

/** Nothing placed yet. */
export function emptyState(model: PlanModel): PlanState {
  return {
    start: new Float64Array(model.count),
    isPlaced: new Uint8Array(model.count),
    handsOver: new Float64Array(model.count),
    over: new Float64Array(model.count),
    busyUntil: Float64Array.from(model.busyUntil),
    handsFree: model.handsFree,
    finish: 0,
    placed: 0,
  }
}

/** The earliest minute at which a step may begin now; `Infinity` while it waits for a step that is not placed. */
export function earliest(model: PlanModel, state: PlanState, i: number): number {
  let at = Math.max(state.handsFree, model.ready[i] as number)
  for (const before of model.after[i] as readonly number[]) {
    if (!state.isPlaced[before]) return Infinity
    at = Math.max(at, state.over[before] as number)
  }
  for (const before of model.afterHands[i] as readonly number[]) {
    if (!state.isPlaced[before]) return Infinity
    at = Math.max(at, state.handsOver[before] as number)
  }
  for (const thing of model.holds[i] as readonly number[]) at = Math.max(at, state.busyUntil[thing] as number)
  for (const thing of model.takes[i] as readonly number[]) at = Math.max(at, state.busyUntil[thing] as number)
  return at
}

/** Places a step at a minute that `earliest` gave. */
export function place(model: PlanModel, state: PlanState, i: number, at: number): void {
  const handsOver = at + (model.hands[i] as number)
  const over = handsOver + (model.wait[i] as number)
  state.isPlaced[i] = 1
  state.start[i] = at
  state.handsOver[i] = handsOver
  state.over[i] = over
  for (const thing of model.holds[i] as readonly number[]) state.busyUntil[thing] = over
  for (const thing of model.takes[i] as readonly number[]) state.busyUntil[thing] = Infinity
  for (const thing of model.frees[i] as readonly number[]) state.busyUntil[thing] = handsOver
  state.handsFree = handsOver
  state.finish = Math.max(state.finish, over)
  state.placed++
}
