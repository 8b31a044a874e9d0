import type { PlanStart, PlanTask } from './task.ts'

/** A plan's steps by number, in an order in which none stands before one that it waits for. */
export interface PlanModel {
  readonly count: number
  readonly ids: readonly string[]
  readonly hands: Float64Array
  readonly wait: Float64Array
  /** Steps that each waits for: until they are over, and until their hands are done. */
  readonly after: readonly (readonly number[])[]
  readonly afterHands: readonly (readonly number[])[]
  /** Steps that wait for each, in either way. */
  readonly followers: readonly (readonly number[])[]
  /** Things by number. */
  readonly holds: readonly (readonly number[])[]
  readonly takes: readonly (readonly number[])[]
  readonly frees: readonly (readonly number[])[]
  readonly things: number
  /** Minutes that must pass from the end of each step's hands to the end of all: its own waiting, or those that follow. */
  readonly tail: Float64Array
  /** When each may begin by what was begun before the plan. */
  readonly ready: Float64Array
  readonly busyUntil: Float64Array
  readonly handsFree: number
}

/** The steps so that each stands behind those that it waits for; otherwise as given. */
function inOrder(tasks: readonly PlanTask[]): PlanTask[] {
  const left = [...tasks]
  const ordered: PlanTask[] = []
  const isLeft = (id: string): boolean => left.some((one) => one.id === id)
  while (left.length > 0) {
    const next = left.findIndex(
      ({ after = [], afterHands = [] }) => !after.some(isLeft) && !afterHands.some(isLeft),
    )
    ordered.push(...left.splice(Math.max(0, next), 1))
  }
  return ordered
}

/** Lays a checked plan out as numbers. */
export function planModel(tasks: readonly PlanTask[], start: PlanStart): PlanModel {
  const ordered = inOrder(tasks)
  const numberOf = new Map(ordered.map(({ id }, i) => [id, i]))
  const names = [
    ...new Set(ordered.flatMap(({ holds = [], takes = [], frees = [] }) => [...holds, ...takes, ...frees])),
  ]
  const count = ordered.length
  const inPlan = (ids: readonly string[] = []): number[] => ids.flatMap((id) => numberOf.get(id) ?? [])
  const thingsOf = (list: readonly string[] = []): number[] => list.map((name) => names.indexOf(name))
  const after = ordered.map((task) => inPlan(task.after))
  const afterHands = ordered.map((task) => inPlan(task.afterHands))
  const followers = ordered.map((_, i) =>
    ordered.flatMap((__, j) => (after[j]?.includes(i) || afterHands[j]?.includes(i) ? [j] : [])),
  )
  const hands = Float64Array.from(ordered, ({ handsMin }) => handsMin)
  const wait = Float64Array.from(ordered, ({ waitMin = 0 }) => waitMin)
  const tail = new Float64Array(count)
  for (let i = count - 1; i >= 0; i--) {
    const own = wait[i] as number
    tail[i] = own
    for (const next of followers[i] ?? []) {
      const gap = after[next]?.includes(i) ? own : 0
      tail[i] = Math.max(tail[i] as number, gap + (hands[next] as number) + (tail[next] as number))
    }
  }
  return {
    count,
    ids: ordered.map(({ id }) => id),
    hands,
    wait,
    after,
    afterHands,
    followers,
    holds: ordered.map(({ holds }) => thingsOf(holds)),
    takes: ordered.map(({ takes }) => thingsOf(takes)),
    frees: ordered.map(({ frees }) => thingsOf(frees)),
    things: names.length,
    tail,
    ready: Float64Array.from(ordered, ({ after: others = [] }) =>
      others.reduce((latest, id) => Math.max(latest, start.overAtMin[id] ?? 0), 0),
    ),
    busyUntil: Float64Array.from(names, (name) => start.busyUntilMin[name] ?? 0),
    handsFree: start.handsFreeMin,
  }
}
