import { array, boolean, number, object, string } from 'yup'
import { chooseWithin } from '../src/core/strategy/fixed-sum.ts'
import type { Policy } from '../src/core/strategy/plans/policy.ts'
import { plainCost, simulatePolicy } from '../src/core/strategy/plans/simulate.ts'
import { figure, kind, type Runner } from './kind.ts'

const cogs = () =>
  array(
    object({
      teeth: figure().min(5),
      share: figure().min(0),
      material: string()
        .oneOf(['steel', 'aluminium', 'titanium'] as const)
        .required(),
    }),
  ).required()
const prices = () => object({ chain: figure().min(0), cassette: figure().min(0) }).required()
const policy = () =>
  object({
    kind: string()
      .oneOf(['replace', 'rotate', 'runout'] as const)
      .required(),
    at: figure(),
    chains: number().strict().optional(),
    everyKm: number().strict().optional(),
  }).required()

function policyOf(asked: {
  readonly kind: Policy['kind']
  readonly at: number
  readonly chains?: number | undefined
  readonly everyKm?: number | undefined
}): Policy {
  const { at } = asked
  if (asked.kind !== 'rotate') return { kind: asked.kind, at }
  return { kind: 'rotate', at, chains: asked.chains ?? 2, everyKm: asked.everyKm ?? Infinity }
}

/** Cases about what a plan costs, and what is chosen for a fixed sum. */
export const STRATEGY_KINDS: Readonly<Record<string, Runner>> = {
  'strategy.simulate': kind(
    object({
      ratePer1000: figure(),
      rateSd: figure(),
      cogs: cogs(),
      prices: prices(),
      policy: policy(),
      lookKm: figure(),
      lookSd: figure(),
      pushesPerKm: figure(),
      horizonKm: figure(),
      lives: figure(),
      seed: figure(),
    }),
    (input) => ({ ...simulatePolicy({ ...input, policy: policyOf(input.policy) }) }),
  ),
  'strategy.cost': kind(
    object({ ratePer1000: figure(), cogs: cogs(), prices: prices(), policy: policy(), horizonKm: figure() }),
    (input) => ({ ...plainCost({ ...input, policy: policyOf(input.policy) }) }),
  ),
  'budget.choose': kind(
    object({
      sum: figure(),
      ratePerHour: figure(),
      options: array(
        object({
          id: string().strict().required(),
          price: figure(),
          minutes: figure(),
          value: figure(),
          available: boolean().optional(),
          needs: array(string().strict().required()).optional(),
          needsOneOf: array(array(string().strict().required()).required()).optional(),
          excludes: array(string().strict().required()).optional(),
        }),
      ).required(),
    }),
    ({ sum, ratePerHour, options }) => ({
      ...chooseWithin({
        sum,
        ratePerHour,
        options: options.map(({ available, needs, needsOneOf, excludes, ...one }) => ({
          ...one,
          available: available ?? true,
          needs: needs ?? [],
          needsOneOf: needsOneOf ?? [],
          excludes: excludes ?? [],
        })),
      }),
    }),
  ),
}
