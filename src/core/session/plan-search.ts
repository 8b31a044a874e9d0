import { byRule } from './in-turn.ts'
import { oneMachine } from './one-machine.ts'
import type { PlanModel } from './plan-model.ts'
import { earliest, emptyState, place, type PlanState } from './plan-state.ts'

/** Less than this is the same minute. */
const SAME_MIN = 1e-9
/** States kept for comparing, in all and for one set of steps: memory is bounded, and none is needed for the right answer. */
const MOST_KEPT = 300_000
const MOST_ALIKE = 24

/** The least minute by which all can be over, by what is placed. */
type Bound = (state: PlanState) => number

/** Bounds by hands and by every thing: each is one machine that cannot do two things at once. */
function boundOf(model: PlanModel): Bound {
  const { count, hands, wait, tail } = model
  const machine = oneMachine(count)
  const head = new Float64Array(count)
  /** How long a step keeps a thing that it takes, at least, and what comes after that. */
  const kept = Array.from({ length: count }, (_, i) =>
    (model.takes[i] ?? []).map((thing) => {
      const freeing = (model.followers[i] ?? []).find((next) => model.frees[next]?.includes(thing))
      if (freeing === undefined) return { thing, time: hands[i] as number, tail: tail[i] as number }
      const gap = model.after[freeing]?.includes(i) ? (wait[i] as number) : 0
      return {
        thing,
        time: (hands[i] as number) + gap + (hands[freeing] as number),
        tail: tail[freeing] as number,
      }
    }),
  )
  const users = Array.from({ length: model.things }, (_, thing) =>
    Array.from({ length: count }, (__, i) => i).filter(
      (i) => model.holds[i]?.includes(thing) || model.takes[i]?.includes(thing),
    ),
  )
  return (state) => {
    let open = 0
    for (let i = 0; i < count; i++) {
      if (state.isPlaced[i]) continue
      let at = Math.max(state.handsFree, model.ready[i] as number)
      for (const before of model.after[i] as readonly number[])
        at = Math.max(
          at,
          state.isPlaced[before]
            ? (state.over[before] as number)
            : (head[before] as number) + (hands[before] as number) + (wait[before] as number),
        )
      for (const before of model.afterHands[i] as readonly number[])
        at = Math.max(
          at,
          state.isPlaced[before]
            ? (state.handsOver[before] as number)
            : (head[before] as number) + (hands[before] as number),
        )
      for (const thing of model.holds[i] as readonly number[])
        if ((state.busyUntil[thing] as number) < Infinity) at = Math.max(at, state.busyUntil[thing] as number)
      head[i] = at
      machine.head[open] = at
      machine.time[open] = hands[i] as number
      machine.tail[open] = tail[i] as number
      open++
    }
    let least = Math.max(state.finish, machine.bound(open))
    for (const [thing, using] of users.entries()) {
      let n = 0
      for (const i of using) {
        if (state.isPlaced[i]) continue
        const taken = kept[i]?.find((one) => one.thing === thing)
        machine.head[n] = head[i] as number
        machine.time[n] = taken ? taken.time : (hands[i] as number) + (wait[i] as number)
        machine.tail[n] = taken ? taken.tail : Math.max(0, (tail[i] as number) - (wait[i] as number))
        n++
      }
      if (n > 1) least = Math.max(least, machine.bound(n))
    }
    return least
  }
}

/** So many steps are bits of one whole number; more are bits of two. */
const BITS = 52

/** A name for the set of steps that are placed. */
function placedName({ isPlaced }: PlanState): number | string {
  let [low, high] = [0, 0]
  for (let i = 0; i < isPlaced.length; i++)
    if (isPlaced[i]) {
      if (i < BITS) low += 2 ** i
      else high += 2 ** (i - BITS)
    }
  return isPlaced.length <= BITS ? low : `${high} ${low}`
}

/** A set of steps, and states that it was reached in. */
type Seen = Map<number | string, Float64Array[]>

/** Whether a state is no better than one that was reached with the same steps placed; it is kept where it is not. */
function dominance(model: PlanModel): (state: PlanState) => boolean {
  const seen: Seen = new Map()
  let kept = 0
  const { count, things } = model
  return (state) => {
    const key = placedName(state)
    // What matters of the past: when hands and things are free, and when that is over which others still wait for.
    const now = new Float64Array(2 + things + count)
    now[0] = state.handsFree
    now[1] = state.finish
    for (let t = 0; t < things; t++) now[2 + t] = Math.max(state.handsFree, state.busyUntil[t] as number)
    for (let i = 0; i < count; i++) {
      const isAwaited =
        state.isPlaced[i] && (model.followers[i] as readonly number[]).some((next) => !state.isPlaced[next])
      now[2 + things + i] = isAwaited ? Math.max(state.handsFree, state.over[i] as number) : 0
    }
    const alike = seen.get(key)
    if (alike) {
      for (const other of alike) {
        const hands = state.handsFree
        let isNoBetter = true
        for (let k = 0; k < now.length && isNoBetter; k++)
          isNoBetter =
            k === 1 || k === 0
              ? (other[k] as number) <= (now[k] as number)
              : Math.max(hands, other[k] as number) <= Math.max(hands, now[k] as number)
        if (isNoBetter) return true
      }
      if (alike.length < MOST_ALIKE && kept < MOST_KEPT) {
        alike.push(now)
        kept++
      }
      return false
    }
    if (kept < MOST_KEPT) {
      seen.set(key, [now])
      kept++
    }
    return false
  }
}

/** A place in the search: what was placed there, what stood before, and what is still to be tried. */
interface Level {
  readonly tries: readonly { readonly step: number; readonly at: number; readonly bound: number }[]
  next: number
  /** What to put back when the step that was placed from here is taken off again. */
  undo: (() => void) | undefined
}

/** A search for the shortest plan, walked in slices. */
export interface PlanSearch {
  /** Goes on for so many places. @returns whether it is over: the best plan is then the shortest there is */
  walk(places: number): boolean
  /** The best plan so far: when each step begins, and when all is over; none is found yet where only the bound stands. */
  readonly best: { readonly start: Float64Array; readonly finish: number; readonly isFound: boolean }
  /** No plan is shorter than this. */
  proven(): number
}

function undoOf(model: PlanModel, state: PlanState, step: number): () => void {
  const { handsFree, finish } = state
  const touched = [
    ...(model.holds[step] as readonly number[]),
    ...(model.takes[step] as readonly number[]),
    ...(model.frees[step] as readonly number[]),
  ].map((thing) => [thing, state.busyUntil[thing] as number] as const)
  return () => {
    state.isPlaced[step] = 0
    state.handsFree = handsFree
    state.finish = finish
    for (const [thing, until] of touched) state.busyUntil[thing] = until
    state.placed--
  }
}

/** The best of several rules of thumb: something to beat. */
function firstBest(model: PlanModel): PlanState {
  const { hands, wait, tail } = model
  const rules: readonly ((a: number, b: number) => boolean)[] = [
    (a, b) => (tail[a] as number) > (tail[b] as number),
    (a, b) => (wait[a] as number) > (wait[b] as number),
    (a, b) => (hands[a] as number) + (tail[a] as number) > (hands[b] as number) + (tail[b] as number),
    (a, b) => (hands[a] as number) < (hands[b] as number),
    () => false,
  ]
  return (
    rules
      .map((rule) => byRule(model, rule))
      .filter(({ placed }) => placed === model.count)
      .reduce<PlanState | undefined>(
        (best, one) => (!best || one.finish < best.finish ? one : best),
        undefined,
      ) ?? { ...emptyState(model), finish: Infinity }
  )
}

/**
 * Branch and bound over the orders in which the steps are begun (methods 7): among the shortest plans is one in which every step
 * begins as soon as it can after those begun before it. An order is given up where the bound by hands or by a thing says that it
 * cannot be shorter than the best, or where the same steps were placed before and left no less.
 * @param withinMin a plan that takes longer than this is not wanted, minutes
 */
export function planSearch(model: PlanModel, withinMin = Infinity): PlanSearch {
  const bound = boundOf(model)
  const isDominated = dominance(model)
  const state = emptyState(model)
  const found = firstBest(model)
  const isShort = found.finish <= withinMin + SAME_MIN
  const best = {
    start: Float64Array.from(found.start),
    // One that is just as long as wanted still counts as shorter.
    finish: isShort ? found.finish : withinMin + 2 * SAME_MIN,
    isFound: isShort && found.finish < Infinity,
  }
  const root = bound(state)
  const levels: Level[] = []

  const open = (): void => {
    const starts: { readonly step: number; readonly at: number }[] = []
    let soonest = Infinity
    for (let step = 0; step < model.count; step++) {
      if (state.isPlaced[step]) continue
      const at = earliest(model, state, step)
      if (at === Infinity) continue
      starts.push({ step, at })
      // A step that needs nothing but hands fits before all that begin after its end: no plan without it there is shorter.
      if (
        model.holds[step]?.length === 0 &&
        model.takes[step]?.length === 0 &&
        model.frees[step]?.length === 0
      )
        soonest = Math.min(soonest, at + (model.hands[step] as number))
    }
    const tries = starts
      .filter(({ at, step }) => at < soonest || (at === soonest && model.hands[step] === 0))
      .map(({ step, at }) => {
        const undo = undoOf(model, state, step)
        place(model, state, step, at)
        const least = bound(state)
        undo()
        return { step, at, bound: least }
      })
      .filter((one) => one.bound < best.finish - SAME_MIN)
      .sort(
        (a, b) =>
          a.bound - b.bound || a.at - b.at || (model.tail[b.step] as number) - (model.tail[a.step] as number),
      )
    levels.push({ tries, next: 0, undo: undefined })
  }
  if (root < best.finish - SAME_MIN) open()

  const walk = (places: number): boolean => {
    for (let left = places; left > 0; left--) {
      const level = levels.at(-1)
      if (!level) break
      level.undo?.()
      level.undo = undefined
      const next = level.tries[level.next++]
      if (!next || next.bound >= best.finish - SAME_MIN) {
        levels.pop()
        continue
      }
      level.undo = undoOf(model, state, next.step)
      place(model, state, next.step, next.at)
      if (state.placed === model.count) {
        if (state.finish < best.finish - SAME_MIN) {
          best.finish = state.finish
          best.isFound = true
          best.start.set(state.start)
        }
      } else if (!isDominated(state)) open()
    }
    return levels.length === 0
  }
  const proven = (): number =>
    levels.reduce((least, { tries, next }) => {
      const rest = tries.slice(next).reduce((low, one) => Math.min(low, one.bound), Infinity)
      return Math.min(least, rest)
    }, best.finish)
  return { walk, best, proven: () => Math.max(root, proven()) }
}
