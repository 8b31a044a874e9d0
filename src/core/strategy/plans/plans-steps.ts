import type { RoadPiece } from '../../exposure/roads.ts'
import type { JobStep } from '../../job.ts'
import type { PartId } from '../../log/entry.ts'
import type { SprocketMaterial } from '../../log/kinds/part.ts'
import { followRate } from '../../teeth/conform.ts'
import { keptChain, keptWearKm, type KeptDraws } from '../../wear/kept-draws.ts'
import { cogSet, type CogShare } from './cogs.ts'
import { live } from './life.ts'
import type { ChainWay, Life, LifeTold } from './life-kinds.ts'
import type { LargerRing } from './larger-ring.ts'
import type { OwnerHabits } from './owner-habits.ts'
import { EVENTS, keyedNormal, keyedUnit } from './luck.ts'
import type { Plan } from './plans.ts'

/** What is asked of a bike's plans. Plain data. */
export interface PlansAsk {
  /** A name for all of this: changes where any of it does. */
  readonly named: string
  readonly draws: KeptDraws
  /** The chain on the bike, and those that wait on hooks. */
  readonly chains: readonly PartId[]
  /** A kilometre of a year like any other: as the chain is lubricated now, and on the other lubricant. */
  readonly road: { readonly now: readonly RoadPiece[]; readonly otherLube: readonly RoadPiece[] }
  readonly cogs: readonly CogShare[]
  readonly soldSingly: readonly boolean[]
  /** What each cog has shaped itself to, draw by draw, %; undefined where that is not known: as new. */
  readonly worn: readonly Float32Array[] | undefined
  /** The rider's own skip threshold, draw by draw, % more than most; undefined: as most. */
  readonly shift: Float32Array | undefined
  readonly ring: { readonly material: SprocketMaterial; readonly worn: number } | undefined
  /** What a larger ring would do; absent where none could go on. */
  readonly largerRing?: LargerRing
  /** What the pulleys have worn to, %. */
  readonly pulleysWorn: number
  /** How the owner looks and acts. */
  readonly habits: OwnerHabits
  readonly plans: readonly Plan[]
  /** Lives in all. */
  readonly lives: number
  /** Those that this question is about, so that several workers share them: from one, up to but not including another. */
  readonly part: readonly [from: number, to: number]
  readonly horizonKm: number
  readonly seed: number
  /** The road wears so many times as much as it is taken to; absent: 1. */
  readonly wearTimes?: number
}

/** What is counted of every life, in this order. */
export const COUNTED = [
  'chains',
  'cassettes',
  'singleCogs',
  'rings',
  'pulleys',
  'orders',
  'mountings',
  'looks',
  'skips',
] as const
export type Counted = (typeof COUNTED)[number]

/** One plan's lives, as counted: prices come later. */
export interface PlanLives {
  readonly plan: Plan
  /** By life, in turn, each of {@link COUNTED}. */
  readonly counts: Float32Array
}

export interface PlansAnswer {
  readonly lives: number
  readonly horizonKm: number
  readonly plans: readonly PlanLives[]
}

/** Numbers of an owner and a road that nobody enters. */
export const LIFE_NUMBERS = {
  stepKm: 50,
  /** Spread of the logarithm of a chain's rate about its rider's (methods 4). */
  chainLogSd: 0.3,
  /** Error of a look with a usual gauge at several places, %. A guess. */
  lookSd: 0.05,
  /** Hard pushes a km. A guess. */
  pushesPerKm: 0.02,
  /** A hard surface wears so many times as fast as a plain one: a guess until the rider's own chains tell. */
  hardTimes: 0.7,
} as const

/** One life under one plan: from the drivetrain as it is, by one draw of what is known. */
export function lifeOf(
  ask: PlansAsk,
  roads: { now: Float64Array; otherLube: Float64Array },
  life: number,
): (plan: Plan) => Life {
  const { draws, seed } = ask
  const n = Math.floor((life * draws.count) / ask.lives) % draws.count
  const at = (list: ArrayLike<number>, fallback: number): number => list[n] ?? fallback
  const { habits, largerRing } = ask
  const cogs = cogSet(ask.cogs)
  const largerCogs = largerRing && cogSet(largerRing.cogs)
  const [beta, lateTimes, lateFrom] = [at(draws.beta, 1), at(draws.lateTimes, 1), at(draws.lateFrom, 1)]
  const has = ask.chains.map((id): ChainWay => {
    const chain = keptChain(draws, id)
    return {
      rate: at(chain.rate, 0.17),
      beta: at(chain.beta, 1),
      start: at(chain.start, 0),
      lateTimes: at(chain.lateTimes, 1),
      lateFrom: at(chain.lateFrom, 1),
      wearKm: at(chain.wearKm, 0),
    }
  })
  // The teeth have draws of their own: a fixed stride apart, so that neighbouring lives do not meet the same ones.
  const tooth = ask.worn?.[0] ? (life * 7) % Math.max(1, ask.worn[0].length) : 0
  return (plan) => ({
    cogs: (plan.isLargerRing && largerCogs) || cogs,
    has,
    horizonKm: ask.horizonKm,
    stepKm: LIFE_NUMBERS.stepKm,
    wearPerKm:
      (ask.wearTimes ?? 1) *
      at(plan.isOtherLube ? roads.otherLube : roads.now, 1) *
      (plan.isLargerRing ? (largerRing?.wearTimes ?? 1) : 1),
    pushesPerKm: LIFE_NUMBERS.pushesPerKm,
    shift: ask.shift?.[tooth] ?? 0,
    lookKm: habits.lookKm,
    pulleysWorn: ask.pulleysWorn,
    isPutOff: (nth) => keyedUnit(seed, life, EVENTS.late, nth) < habits.late,
    lookError: (nth) =>
      keyedUnit(seed, life, EVENTS.forget, nth) < habits.forgotten
        ? undefined
        : LIFE_NUMBERS.lookSd * keyedNormal(seed, life, EVENTS.look, nth),
    chain: (nth) => ({
      rate:
        at(draws.rider, 0.17) *
        Math.exp(LIFE_NUMBERS.chainLogSd * keyedNormal(seed, life, EVENTS.chain, nth)) *
        (plan.isHard ? LIFE_NUMBERS.hardTimes : 1),
      beta,
      start: 0,
      lateTimes,
      lateFrom,
      wearKm: 0,
    }),
    ...(ask.worn && { worn: ask.worn.map((list) => list[tooth] ?? 0) }),
    ...(plan.isSingly && { soldSingly: ask.soldSingly }),
    ...(ask.ring && {
      ring: {
        follow: followRate('ring', ask.ring.material),
        worn: plan.isLargerRing ? 0 : ask.ring.worn,
        isBoughtFirst: plan.isLargerRing,
      },
    }),
  })
}

/** Wear-km of a km, draw by draw. */
export const planRoads = ({ draws, road }: PlansAsk) => ({
  now: keptWearKm(draws, road.now),
  otherLube: keptWearKm(draws, road.otherLube),
})

/** Lives between two steps of the job. */
const SLICE = 20

/**
 * Lives of a drivetrain under each plan (methods 8): from its state now, each life by one draw of the posterior and with luck of
 * its own, the same for all plans.
 * @yields how many lives are done
 * @throws RangeError where no plan, no life or no cog is asked about
 */
export function* plansSteps(ask: PlansAsk): Generator<JobStep, PlansAnswer, undefined> {
  const { plans, horizonKm, part } = ask
  const lives = part[1] - part[0]
  if (!(lives >= 1) || plans.length === 0) throw new RangeError('Nothing to compare: no plan, or no life.')
  const roads = planRoads(ask)
  const counts = plans.map(() => new Float32Array(lives * COUNTED.length))
  for (let life = 0; life < lives; life++) {
    const made = lifeOf(ask, roads, part[0] + life)
    plans.forEach((plan, p) => {
      const lived = live(made(plan), plan.policy)
      COUNTED.forEach((what, i) => {
        ;(counts[p] as Float32Array)[life * COUNTED.length + i] = lived[what]
      })
    })
    if (life % SLICE === SLICE - 1) yield { done: life + 1, of: lives }
  }
  return {
    lives,
    horizonKm,
    plans: plans.map((plan, p) => ({ plan, counts: counts[p] as Float32Array })),
  }
}

/** Parts of the same lives as one answer, in their order. @throws RangeError for none */
export function mergeLives(parts: readonly PlansAnswer[]): PlansAnswer {
  const [first] = parts
  if (!first) throw new RangeError('There are no lives to put together.')
  return {
    ...first,
    lives: parts.reduce((sum, { lives }) => sum + lives, 0),
    plans: first.plans.map(({ plan }, p) => ({
      plan,
      counts: Float32Array.from(parts.flatMap(({ plans }) => [...(plans[p]?.counts ?? [])])),
    })),
  }
}

/** What happens in one life, to be drawn. */
export interface LifeEvent {
  readonly what: Parameters<LifeTold>[0]
  readonly km: number
  readonly percent: number
}

/** One life again, with all that happens in it. */
export function oneLife(ask: PlansAsk, plan: Plan, life: number): readonly LifeEvent[] {
  const events: LifeEvent[] = []
  live(lifeOf(ask, planRoads(ask), life)(plan), plan.policy, (what, km, percent) =>
    events.push({ what, km, percent }),
  )
  return events
}
