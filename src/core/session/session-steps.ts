import type { BikeId } from '../log/entry.ts'
import type { StepKind } from './step-kinds.ts'
import { STEP_TIMES } from './step-kinds.ts'
import { washSteps, type WashJob, type WashStep } from './wash-steps.ts'

/** A bike's part in a session. */
export interface BikeWash {
  readonly bike: BikeId
  readonly job: WashJob
}

/** Steps that several bikes have in common: one pot of wax, one pan of water. */
const SHARED: readonly StepKind[] = ['pot-on', 'water-on', 'pot-off']

/** Steps for which the bike stands on the stand. */
const AT_STAND: readonly StepKind[] = [
  'shield-rotors',
  'chain-off',
  'wheel-off',
  'cassette-off',
  'wipe-chain',
  'degrease-chain',
  'bath-chain',
  'drops',
  'spray',
  'wipe-off',
  'cassette-on',
  'wheel-on',
  'clean-cassette',
  'clean-pulleys',
  'clean-rings',
  'clean-frame',
  'rotors-alcohol',
]

/**
 * One stand for several bikes: a bike takes it and gives it back. One whose chain goes into the wax comes off it meanwhile, and
 * back onto it for the chain.
 */
function withStand(steps: readonly WashStep[]): readonly WashStep[] {
  const onto = steps.find(({ kind }) => kind === 'onto-stand')
  if (!onto) return steps
  const isPot = steps.some(({ kind }) => kind === 'dip')
  const isAtStand = ({ kind }: WashStep): boolean =>
    AT_STAND.includes(kind) || (kind === 'fit-chain' && !isPot)
  const off: WashStep = {
    id: 'off-stand',
    kind: 'off-stand',
    ...STEP_TIMES['off-stand'],
    times: 1,
    after: [],
    afterHands: [onto, ...steps.filter(isAtStand)].map(({ id }) => id),
    frees: ['stand'],
  }
  return [
    ...steps.map((step) => {
      if (step === onto) return { ...step, takes: ['stand'] }
      if (step.kind === 'fit-chain' && isPot)
        return { ...step, after: [...(step.after ?? []), off.id], holds: ['stand'] }
      return step
    }),
    off,
  ]
}

/** A bike's steps under names of their own; what is shared keeps its name. */
function ofBike(bike: BikeId, steps: readonly WashStep[]): readonly WashStep[] {
  const shared = new Set(steps.filter(({ kind }) => SHARED.includes(kind)).map(({ id }) => id))
  const named = (id: string): string => (shared.has(id) ? id : `${id} @${bike}`)
  return steps.map((step) =>
    shared.has(step.id)
      ? { ...step, afterHands: (step.afterHands ?? []).map(named), after: (step.after ?? []).map(named) }
      : {
          ...step,
          id: named(step.id),
          bike,
          after: (step.after ?? []).map(named),
          afterHands: (step.afterHands ?? []).map(named),
        },
  )
}

/**
 * The steps of one session: a bike's wash, or those of several bikes with one pair of hands, one pot, one pan of water, one bath
 * and one stand between them.
 * @param washes one at least; each bike once
 * @throws RangeError where there is none, or a wash cannot be
 */
export function sessionSteps(washes: readonly BikeWash[]): readonly WashStep[] {
  const [first] = washes
  if (!first) throw new RangeError('Choose a bike to wash.')
  if (washes.length === 1) return washSteps(first.job)
  const byId = new Map<string, WashStep>()
  for (const { bike, job } of washes)
    for (const step of ofBike(bike, withStand(washSteps(job)))) {
      const before = byId.get(step.id)
      const both = (of: 'after' | 'afterHands'): string[] => [...(before?.[of] ?? []), ...(step[of] ?? [])]
      byId.set(step.id, { ...step, after: both('after'), afterHands: both('afterHands') })
    }
  return [...byId.values()]
}
