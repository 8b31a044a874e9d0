import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { planModel } from './plan-model.ts'
import { byRule, oneAfterAnother } from './in-turn.ts'
import { planSession } from './plan.ts'
import { FROM_NOW, type PlanTask } from './task.ts'

const task = (id: string, handsMin: number, waitMin = 0, more: Partial<PlanTask> = {}): PlanTask => ({
  id,
  handsMin,
  waitMin,
  ...more,
})

/** Whether a plan can be done: one pair of hands, what comes before is over, and no thing is in two uses. */
function canBeDone(tasks: readonly PlanTask[], start: Readonly<Record<string, number>>): boolean {
  const at = (id: string): number => start[id] ?? NaN
  const over = ({ id, handsMin, waitMin = 0 }: PlanTask): number => at(id) + handsMin + waitMin
  const apart = (a: readonly [number, number], b: readonly [number, number]): boolean =>
    a[1] <= b[0] || b[1] <= a[0]
  return tasks.every(
    (one, i) =>
      at(one.id) >= 0 &&
      (one.after ?? []).every(
        (id) => over(tasks.find((other) => other.id === id) as PlanTask) <= at(one.id),
      ) &&
      tasks.slice(i + 1).every((other) => {
        const hands = apart(
          [at(one.id), at(one.id) + one.handsMin],
          [at(other.id), at(other.id) + other.handsMin],
        )
        const share = (one.holds ?? []).some((thing) => other.holds?.includes(thing))
        return hands && (!share || apart([at(one.id), over(one)], [at(other.id), over(other)]))
      }),
  )
}

/** The shortest finish there is, by trying every whole minute for every step: nothing of the search is used. */
function shortest(tasks: readonly PlanTask[], most: number): number {
  const start: Record<string, number> = {}
  let best = Infinity
  const walk = (i: number, finish: number): void => {
    if (finish >= best) return
    const one = tasks[i]
    if (!one) {
      best = finish
      return
    }
    for (let at = 0; at + one.handsMin + (one.waitMin ?? 0) <= most; at++) {
      start[one.id] = at
      if (canBeDone(tasks.slice(0, i + 1), start))
        walk(i + 1, Math.max(finish, at + one.handsMin + (one.waitMin ?? 0)))
    }
  }
  walk(0, 0)
  return best
}

const someTasks = (most: number) =>
  fc
    .array(
      fc.record({
        hands: fc.integer({ min: 0, max: 4 }),
        wait: fc.integer({ min: 0, max: 6 }),
        before: fc.array(fc.nat({ max: 5 }), { maxLength: 2 }),
        pot: fc.boolean(),
      }),
      { minLength: 1, maxLength: most },
    )
    .map((list) =>
      list.map(({ hands, wait, before, pot }, i) =>
        task(`t${i}`, hands, wait, {
          after: [...new Set(before.filter((j) => j < i))].map((j) => `t${j}`),
          holds: pot ? ['pot'] : [],
        }),
      ),
    )

describe('a session in its shortest order', () => {
  test('is as short as the shortest that can be, and can be done', () => {
    fc.assert(
      fc.property(someTasks(4), (tasks) => {
        const plan = planSession({ tasks })
        expect(canBeDone(tasks, plan.start)).toBe(true)
        expect(plan.minutes).toBe(shortest(tasks, plan.minutes))
        expect(plan.provenMin).toBe(plan.minutes)
      }),
      { numRuns: 60 },
    )
  })

  test('never takes longer than a list read from the top, or the longest wait first', () => {
    fc.assert(
      fc.property(someTasks(9), (tasks) => {
        const plan = planSession({ tasks })
        const model = planModel(tasks, FROM_NOW)
        expect(canBeDone(tasks, plan.start)).toBe(true)
        expect(plan.minutes).toBeLessThanOrEqual(oneAfterAnother(model).finish)
        expect(plan.minutes).toBeLessThanOrEqual(
          byRule(model, (a, b) => (model.wait[a] ?? 0) > (model.wait[b] ?? 0)).finish,
        )
      }),
      { numRuns: 60 },
    )
  })

  test('starts the pot first, and cleans while it melts', () => {
    const plan = planSession({
      tasks: [task('clean', 12), task('melt', 1, 15), task('dip', 1, 10, { after: ['melt'] })],
    })
    expect(plan).toEqual({ minutes: 27, start: { melt: 0, clean: 1, dip: 16 }, provenMin: 27 })
  })

  test('leaves a chain in the pot until it is lifted out: the next one waits for that', () => {
    const chain = (name: string): PlanTask[] => [
      task(`dip ${name}`, 1, 10, { takes: ['pot'] }),
      task(`lift ${name}`, 2, 12, { after: [`dip ${name}`], frees: ['pot'] }),
    ]
    const plan = planSession({ tasks: [...chain('A'), ...chain('B'), task('frame', 9)] })
    // Dip, wait, lift; dip, wait, lift, hang: 1 + 10 + 2 + 1 + 10 + 2 + 12, and the frame fits into a wait.
    expect(plan.minutes).toBe(38)
    const starts = ['A', 'B'].map(
      (name) => [plan.start[`dip ${name}`] ?? 0, plan.start[`lift ${name}`] ?? 0] as const,
    )
    const [first, second] = starts.sort(([a], [b]) => a - b)
    expect(second?.[0]).toBeGreaterThanOrEqual((first?.[1] ?? 0) + 2)
  })

  test('begins after another’s hands where its wait does not matter', () => {
    const tasks = [task('water on', 1, 9), task('chain off', 3, 0, { afterHands: ['water on'] })]
    expect(planSession({ tasks }).start).toEqual({ 'water on': 0, 'chain off': 1 })
  })

  test('goes on from what has been begun: what waits, what is in use, and when hands are free', () => {
    const tasks = [
      task('lift', 2, 0, { after: ['dip'], frees: ['pot'] }),
      task('next', 1, 5, { takes: ['pot'] }),
    ]
    const plan = planSession({
      tasks,
      from: { handsFreeMin: 3, overAtMin: { dip: 7 }, busyUntilMin: { pot: Infinity } },
    })
    expect(plan.start).toEqual({ lift: 7, next: 9 })
    expect(plan.minutes).toBe(15)
  })

  test('where it is cut off, says what is proven', () => {
    const tasks = Array.from({ length: 16 }, (_, i) =>
      task(`t${i}`, 1 + ((7 * i) % 5), (11 * i) % 17, { holds: [i % 3 === 0 ? 'pot' : 'stand'] }),
    )
    const [cut, whole] = [planSession({ tasks, mostPlaces: 3 }), planSession({ tasks })]
    expect(cut.provenMin).toBeLessThanOrEqual(whole.minutes)
    expect(cut.minutes).toBeGreaterThanOrEqual(whole.minutes)
    expect(whole.provenMin).toBe(whole.minutes)
  })
})

describe('a plan that cannot be', () => {
  test.each<readonly [string, readonly PlanTask[], RegExp]>([
    [
      'a loop',
      [task('soak', 1, 0, { after: ['rinse'] }), task('rinse', 1, 0, { after: ['soak'] })],
      /"soak" .* before itself/,
    ],
    [
      'a step that is not there',
      [task('rinse', 1, 0, { after: ['soak'] })],
      /"rinse" comes after "soak", which is not/,
    ],
    ['a step twice', [task('soak', 1), task('soak', 2)], /"soak" is there twice/],
    ['a time that cannot be', [task('soak', -1)], /"soak" cannot take that long/],
    [
      'a pot that is never free again',
      [task('dip A', 1, 9, { takes: ['pot'] }), task('dip B', 1, 9, { takes: ['pot'] })],
      /"dip [AB]" takes the pot, and no step gives it back/,
    ],
    ['too many', Array.from({ length: 81 }, (_, i) => task(`t${i}`, 1)), /81 steps are too many/],
  ])('%s is named', (_, tasks, said) => {
    expect(() => planSession({ tasks })).toThrow(said)
  })
})
