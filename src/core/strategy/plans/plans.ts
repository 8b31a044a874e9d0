import type { EntryBase } from '../../log/entry.ts'
import type { PolicyEntry } from '../../log/kinds/policy.ts'
import { chainsAtOnce, type Policy } from './policy.ts'

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
  'larger-ring',
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
  /** A ring of a few teeth more goes on, and the same gears are ridden on larger cogs. */
  readonly isLargerRing: boolean
}

/** Turns of a rotation, km. */
const TURN_KM = 300
/** Where a chain that is run to its end ends, % (methods 8). */
const END_PERCENT = 2

/** What can be chosen of a plan beside when and how: all false for a plain one. */
type Choices = Omit<Plan, 'id' | 'policy'>
const PLAIN: Choices = { isSingly: false, isHard: false, isOtherLube: false, isLargerRing: false }

/** What there is to choose from on a bike. */
export interface PlanChoices {
  /** The bike's own limit, %. */
  readonly limit: number
  /** Some of its cogs are sold singly. */
  readonly hasSingles: boolean
  /** A larger ring could go on. */
  readonly hasLargerRing: boolean
  /** A plan of the owner's own. */
  readonly own?: Omit<Plan, 'id'>
}

/** Whether two plans are the same, whatever they are called. */
export const isSamePlan = (a: Omit<Plan, 'id'>, b: Omit<Plan, 'id'>): boolean =>
  a.policy.kind === b.policy.kind &&
  a.policy.at === b.policy.at &&
  chainsAtOnce(a.policy) === chainsAtOnce(b.policy) &&
  (a.policy.kind === 'rotate' ? a.policy.everyKm : 0) ===
    (b.policy.kind === 'rotate' ? b.policy.everyKm : 0) &&
  a.isSingly === b.isSingly &&
  a.isHard === b.isHard &&
  a.isOtherLube === b.isOtherLube &&
  a.isLargerRing === b.isLargerRing

/** The plans for a bike; its owner's own is among them where none of the others is the same. */
export function plansFor({ limit, hasSingles, hasLargerRing, own }: PlanChoices): readonly Plan[] {
  const plan = (id: PlanId, policy: Policy, more: Partial<Choices> = {}): Plan => ({
    id,
    policy,
    ...PLAIN,
    ...more,
  })
  const replace = (at: number): Policy => ({ kind: 'replace', at })
  const rotate = (chains: number): Policy => ({ kind: 'rotate', chains, at: limit, everyKm: TURN_KM })
  const usual = [
    plan('early', replace(0.5)),
    plan('usual', replace(0.75)),
    plan('late', replace(1)),
    ...(hasSingles ? [plan('single-cogs', replace(limit), { isSingly: true })] : []),
    plan('rotate-2', rotate(2)),
    plan('rotate-3', rotate(3)),
    plan('rotate-4', rotate(4)),
    plan('runout', { kind: 'runout', at: END_PERCENT }),
    plan('hard-chain', replace(limit), { isHard: true }),
    plan('other-lube', replace(limit), { isOtherLube: true }),
    ...(hasLargerRing ? [plan('larger-ring', replace(limit), { isLargerRing: true })] : []),
  ]
  const isNew = (one: Omit<Plan, 'id'>): boolean => !usual.some((other) => isSamePlan(one, other))
  const atLimit = plan('own', replace(limit))
  return [
    ...usual,
    ...(own && isNew(own) ? [{ ...own, id: 'own' as const }] : isNew(atLimit) ? [atLimit] : []),
  ]
}

/** A plan as the log holds it, without its bike and day. */
export type PolicyFields = Omit<PolicyEntry, 'kind' | 'bike' | keyof EntryBase>

/** A plan that was written down. @param isWaxed the chain is waxed now */
export function planOf(entry: PolicyFields, isWaxed: boolean): Omit<Plan, 'id'> {
  const { percent: at, chains, everyKm = TURN_KM } = entry
  return {
    policy: entry.isRunOut
      ? { kind: 'runout', at }
      : chains > 1
        ? { kind: 'rotate', chains, at, everyKm }
        : { kind: 'replace', at },
    isSingly: entry.isSingly ?? false,
    isHard: entry.isHard ?? false,
    isOtherLube: entry.lube !== undefined && (entry.lube === 'wax') !== isWaxed,
    isLargerRing: entry.isLargerRing ?? false,
  }
}

/** A plan to be written down: {@link planOf} the other way round. */
export const policyFields = (
  { policy, isSingly, isHard, isOtherLube, isLargerRing }: Omit<Plan, 'id'>,
  isWaxed: boolean,
): PolicyFields => ({
  percent: policy.at,
  chains: chainsAtOnce(policy),
  ...(policy.kind === 'rotate' && { everyKm: policy.everyKm }),
  ...(policy.kind === 'runout' && { isRunOut: true }),
  ...(isSingly && { isSingly }),
  ...(isHard && { isHard }),
  ...(isLargerRing && { isLargerRing }),
  // Who keeps to the lube that is on has chosen none.
  ...(isOtherLube && { lube: isWaxed ? 'drip' : 'wax' }),
})
