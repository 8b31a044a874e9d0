import type { Policy } from './policy.ts'

/** Plans that are compared. */
export const PLAN_IDS = [
  'early',
  'usual',
  'late',
  'own',
  'single-cogs',
  'rotate-2',
  'rotate-3',
  'rotate-4',
  'runout',
  'hard-chain',
  'other-lube',
] as const
export type PlanId = (typeof PLAN_IDS)[number]

/** A plan: when what is renewed, and with what. */
export interface Plan {
  readonly id: PlanId
  readonly policy: Policy
  /** Cogs are renewed one by one where they are sold so. */
  readonly isSingly: boolean
  /** Dear chains with a hard surface are bought from now on. */
  readonly isHard: boolean
  /** Wax where there was drip lube, or drip lube where there was wax. */
  readonly isOtherLube: boolean
}

/** Turns of a rotation, km. */
const TURN_KM = 300
/** Where a chain that is run to its end ends, % (methods 8). */
const END_PERCENT = 2

/**
 * The plans for a bike.
 * @param limit the bike's own, %
 * @param hasSingles some of its cogs are sold singly
 */
export function plansFor(limit: number, hasSingles: boolean): readonly Plan[] {
  const plan = (id: PlanId, policy: Policy, more: Partial<Omit<Plan, 'id' | 'policy'>> = {}): Plan => ({
    id,
    policy,
    isSingly: false,
    isHard: false,
    isOtherLube: false,
    ...more,
  })
  const replace = (at: number): Policy => ({ kind: 'replace', at })
  const rotate = (chains: number): Policy => ({ kind: 'rotate', chains, at: limit, everyKm: TURN_KM })
  const isOwn = ![0.5, 0.75, 1].includes(limit)
  return [
    plan('early', replace(0.5)),
    plan('usual', replace(0.75)),
    plan('late', replace(1)),
    ...(isOwn ? [plan('own', replace(limit))] : []),
    ...(hasSingles ? [plan('single-cogs', replace(limit), { isSingly: true })] : []),
    plan('rotate-2', rotate(2)),
    plan('rotate-3', rotate(3)),
    plan('rotate-4', rotate(4)),
    plan('runout', { kind: 'runout', at: END_PERCENT }),
    plan('hard-chain', replace(limit), { isHard: true }),
    plan('other-lube', replace(limit), { isOtherLube: true }),
  ]
}
