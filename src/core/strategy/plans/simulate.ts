import type { CogShare } from './cogs.ts'
import { cogSet } from './cogs.ts'
import { live } from './life.ts'
import type { ChainWay, LifeCounts } from './life-kinds.ts'
import { EVENTS, keyedNormal } from './luck.ts'
import type { Policy } from './policy.ts'

/** Prices in minor units or any other money: the cost comes in the same. */
export interface BarePrices {
  readonly chain: number
  readonly cassette: number
}

/** The bare simulation of methods 8: dry road, chain and cassette alone, a drivetrain from new. */
export interface BareAsk {
  /** Median rate of a chain, % per 1000 km. */
  readonly ratePer1000: number
  /** Spread of its logarithm from chain to chain. */
  readonly rateSd: number
  readonly cogs: readonly CogShare[]
  readonly prices: BarePrices
  readonly policy: Policy
  readonly lookKm: number
  /** Error of a look, %. */
  readonly lookSd: number
  readonly pushesPerKm: number
  readonly horizonKm: number
  readonly lives: number
  readonly seed: number
}

/** What a policy comes to, over many lives. */
export interface BareOutcome {
  readonly costPer1000: { readonly mean: number; readonly p10: number; readonly p90: number }
  /** Bought in a life, the first set included. */
  readonly chains: number
  readonly cassettes: number
  readonly skipsPer1000: number
}

const STEP_KM = 50

/** A chain that wears straight on from new. */
const straight = (rate: number): ChainWay => ({
  rate,
  beta: 1,
  start: 0,
  lateTimes: 1,
  lateFrom: 1,
  wearKm: 0,
})

const costOf = ({ chains, cassettes }: LifeCounts, prices: BarePrices): number =>
  chains * prices.chain + cassettes * prices.cassette

/** A share of sorted values, the nearest. */
const at = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN

/** Simulates many lives of a new drivetrain under one policy. @throws RangeError for a road or an owner that cannot be */
export function simulatePolicy(ask: BareAsk): BareOutcome {
  const { lives, horizonKm, lookKm, seed } = ask
  if (!(lookKm > 0) || !(horizonKm > 0) || !(lives >= 1))
    throw new RangeError('A plan is simulated over at least one life, some road, and looks some km apart.')
  const cogs = cogSet(ask.cogs)
  const all = Array.from({ length: lives }, (_, life) =>
    live(
      {
        cogs,
        horizonKm,
        stepKm: STEP_KM,
        wearPerKm: 1,
        pushesPerKm: ask.pushesPerKm,
        shift: 0,
        lookKm,
        lookError: (nth) => ask.lookSd * keyedNormal(seed, life, EVENTS.look, nth),
        chain: (nth) =>
          straight(ask.ratePer1000 * Math.exp(ask.rateSd * keyedNormal(seed, life, EVENTS.chain, nth))),
      },
      ask.policy,
    ),
  )
  const costs = all.map((counts) => (1000 * costOf(counts, ask.prices)) / horizonKm)
  const mean = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0) / lives
  const sorted = [...costs].sort((a, b) => a - b)
  return {
    costPer1000: { mean: mean(costs), p10: at(sorted, 0.1), p90: at(sorted, 0.9) },
    chains: mean(all.map(({ chains }) => chains)),
    cassettes: mean(all.map(({ cassettes }) => cassettes)),
    skipsPer1000: mean(all.map(({ skips }) => (1000 * skips) / horizonKm)),
  }
}

/** What a policy costs with looks that see all and chains that are all alike (methods 8's plain count). */
export function plainCost({
  ratePer1000,
  cogs,
  prices,
  policy,
  horizonKm,
}: Pick<BareAsk, 'ratePer1000' | 'cogs' | 'prices' | 'policy' | 'horizonKm'>): {
  readonly costPer1000: number
  readonly chains: number
  readonly cassettes: number
} {
  const stepKm = 5
  const counts = live(
    {
      cogs: cogSet(cogs),
      horizonKm,
      stepKm,
      wearPerKm: 1,
      pushesPerKm: 0,
      shift: 0,
      lookKm: stepKm,
      lookError: () => 0,
      chain: () => straight(ratePer1000),
    },
    policy,
  )
  return {
    costPer1000: (1000 * costOf(counts, prices)) / horizonKm,
    chains: counts.chains,
    cassettes: counts.cassettes,
  }
}
