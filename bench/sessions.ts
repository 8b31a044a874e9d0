import { byRule, oneAfterAnother } from '../src/core/session/in-turn.ts'
import { planModel } from '../src/core/session/plan-model.ts'
import { planSession } from '../src/core/session/plan.ts'
import { FROM_NOW, type PlanTask } from '../src/core/session/task.ts'
import { sessionSteps } from '../src/core/session/session-steps.ts'
import { washSteps, type WashJob } from '../src/core/session/wash-steps.ts'
import { KIT_TOOLS, WASH_WAYS, type KitTool } from '../src/core/lube/wash-ways.ts'
import { WAYS } from '../src/core/lube/ways.ts'
import { seededRandom, type Random } from '../src/core/stats/random.ts'

const SESSIONS = 200

/** A made-up session: some steps wait, some come after others, some need the pot or the stand. */
function madeUp(count: number, random: Random): PlanTask[] {
  return Array.from({ length: count }, (_, i) => ({
    id: `t${i}`,
    handsMin: 1 + Math.floor(random.between(0, 8)),
    waitMin: random.chance(0.6) ? Math.floor(random.between(0, 25)) : 0,
    after: Array.from({ length: i }, (__, j) => j)
      .filter(() => random.chance(0.06))
      .map((j) => `t${j}`),
    holds: random.chance(0.4) ? [random.chance(0.5) ? 'pot' : 'stand'] : [],
  }))
}

/** A wash of a made-up bike and kit. */
function madeUpJob(random: Random, bike: string, kit: readonly KitTool[]): WashJob {
  const way = WASH_WAYS[Math.floor(random.between(0, WASH_WAYS.length))] ?? 'wipe'
  const isPot = WAYS[way].lubes.includes('immersion-wax')
  const chains = Array.from(
    { length: isPot ? 1 + Math.floor(random.between(0, 4)) : 1 },
    (_, i) => `${bike} c${i}`,
  )
  return {
    way,
    lube: WAYS[way].lubes[0] ?? 'wet-lube',
    bike: { hasDiscs: random.chance(0.7), isElectric: random.chance(0.3) },
    chains: chains.map((id, i) => ({ id, isOn: i === 0 })),
    fits: chains.at(-1) ?? `${bike} c0`,
    kit,
  }
}
const madeUpKit = (random: Random): readonly KitTool[] => KIT_TOOLS.filter(() => random.chance(0.6))

/** Two bikes in one session, as the app plans it. */
function madeUpPair(random: Random): readonly PlanTask[] {
  const kit = madeUpKit(random)
  return sessionSteps(['a', 'b'].map((bike) => ({ bike, job: madeUpJob(random, bike, kit) })))
}

/** Times of exact plans, and the minutes that they save over a list and over the longest wait first. */
export function sessionFigures(): readonly {
  readonly what: string
  readonly median: string
  readonly worst: string
  readonly goal: string
}[] {
  const timed = (
    what: string,
    made: (random: Random) => readonly PlanTask[],
    rounds: number,
    goal: string,
  ) => {
    const random = seededRandom(1500 + what.length)
    let unproven = 0
    const taken = Array.from({ length: rounds }, () => {
      const tasks = made(random)
      const began = performance.now()
      const { minutes, provenMin } = planSession({ tasks })
      if (provenMin < minutes - 1e-9) unproven++
      return performance.now() - began
    }).sort((a, b) => a - b)
    return {
      what: `${what} in the shortest order, ${rounds} made-up ones (in a worker)`,
      median: `${(taken[rounds >> 1] ?? NaN).toFixed(0)} ms`,
      worst: `${(taken.at(-1) ?? NaN).toFixed(0)} ms; ${unproven} cut off before it was proven`,
      goal,
    }
  }
  const random = seededRandom(15)
  const saved = Array.from({ length: SESSIONS }, () => {
    const tasks = washSteps(madeUpJob(random, 'a', madeUpKit(random)))
    const model = planModel(tasks, FROM_NOW)
    const { minutes } = planSession({ tasks })
    const wait = (i: number): number => model.wait[i] ?? 0
    return {
      list: oneAfterAnother(model).finish - minutes,
      longest: byRule(model, (a, b) => wait(a) > wait(b)).finish - minutes,
    }
  })
  const mean = (of: 'list' | 'longest'): number => saved.reduce((sum, one) => sum + one[of], 0) / SESSIONS
  const most = (of: 'list' | 'longest'): number => saved.reduce((high, one) => Math.max(high, one[of]), 0)
  return [
    timed('a session of 14 steps', (random) => madeUp(14, random), 60, 'under 1 s'),
    timed('a session of 25 steps', (random) => madeUp(25, random), 60, 'under 5 s'),
    timed('washes of two bikes together', madeUpPair, 60, 'none set'),
    {
      what: `minutes saved over ${SESSIONS} made-up washes: against the steps one after another, and against the longest wait first`,
      median: `${mean('list').toFixed(1)} and ${mean('longest').toFixed(1)} min on average`,
      worst: `${most('list').toFixed(0)} and ${most('longest').toFixed(0)} min at most`,
      goal: 'none set',
    },
  ]
}
