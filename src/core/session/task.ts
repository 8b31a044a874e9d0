/** One step of a session at the stand: hands first, then perhaps waiting that needs none (methods 7). */
export interface PlanTask {
  readonly id: string
  /** Minutes of hands, 0 or more. */
  readonly handsMin: number
  /** Minutes of soaking, melting or hanging after that, 0 or more. */
  readonly waitMin?: number
  /** Steps that are over, their waiting too, before this one begins. */
  readonly after?: readonly string[]
  /** Steps whose hands are done before this one begins; they may still be waiting. */
  readonly afterHands?: readonly string[]
  /** Things that it has to itself through hands and waiting: the pot, the bath. */
  readonly holds?: readonly string[]
  /** Things that it takes and leaves taken, until a step that frees them has had its hands on them: a chain in the pot. */
  readonly takes?: readonly string[]
  readonly frees?: readonly string[]
}

/** What has been begun already when the rest is planned. Minutes from now. */
export interface PlanStart {
  /** Hands are free from here on. */
  readonly handsFreeMin: number
  /** Steps behind or still waiting, by id: when they are over; those that are over have 0. */
  readonly overAtMin: Readonly<Record<string, number>>
  /** Things in use: until when; `Infinity` until a step frees them. */
  readonly busyUntilMin: Readonly<Record<string, number>>
}

/** Nothing has been begun. */
export const FROM_NOW: PlanStart = { handsFreeMin: 0, overAtMin: {}, busyUntilMin: {} }

/** The most steps that a plan may have. */
export const MOST_TASKS = 80

function checkMinutes({ id, handsMin, waitMin = 0 }: PlanTask): void {
  if (!(handsMin >= 0) || !(waitMin >= 0) || !Number.isFinite(handsMin + waitMin))
    throw new RangeError(`The step "${id}" cannot take that long: give minutes, 0 or more.`)
}

/** Throws where a step waits for itself, along however many others. */
function checkLoops(tasks: readonly PlanTask[], byId: ReadonlyMap<string, PlanTask>): void {
  const state = new Map<string, 'open' | 'clear'>()
  const walk = (task: PlanTask): void => {
    if (state.get(task.id) === 'clear') return
    if (state.get(task.id) === 'open')
      throw new RangeError(`The step "${task.id}" would have to be done before itself.`)
    state.set(task.id, 'open')
    for (const id of [...(task.after ?? []), ...(task.afterHands ?? [])]) {
      const before = byId.get(id)
      if (before) walk(before)
    }
    state.set(task.id, 'clear')
  }
  tasks.forEach(walk)
}

/** Throws where a thing is taken and nothing gives it back, so that others wait for it for ever. */
function checkThings(tasks: readonly PlanTask[]): void {
  for (const { id, takes = [] } of tasks)
    for (const thing of takes) {
      const isWanted = tasks.some(
        (other) => other.id !== id && [...(other.holds ?? []), ...(other.takes ?? [])].includes(thing),
      )
      if (isWanted && !tasks.some(({ frees = [] }) => frees.includes(thing)))
        throw new RangeError(`The step "${id}" takes the ${thing}, and no step gives it back.`)
    }
}

/**
 * Checks a plan's steps before they are put in order.
 * @throws RangeError in plain words that names the step: a time that cannot be, a step twice, one that is not there, a loop,
 * a thing that is never given back, too many steps
 */
export function checkTasks(tasks: readonly PlanTask[], start: PlanStart): void {
  if (tasks.length > MOST_TASKS)
    throw new RangeError(`${tasks.length} steps are too many for one session: ${MOST_TASKS} at most.`)
  const byId = new Map<string, PlanTask>()
  for (const task of tasks) {
    checkMinutes(task)
    if (byId.has(task.id)) throw new RangeError(`The step "${task.id}" is there twice.`)
    byId.set(task.id, task)
  }
  for (const { id, after = [], afterHands = [] } of tasks)
    for (const before of [...after, ...afterHands])
      if (!byId.has(before) && start.overAtMin[before] === undefined)
        throw new RangeError(`The step "${id}" comes after "${before}", which is not in the plan.`)
  checkLoops(tasks, byId)
  checkThings(tasks)
}
