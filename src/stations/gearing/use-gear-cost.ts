import { useMemo } from 'react'
import { gearingAsks } from '../../core/strategy/plans/gearing-ask.ts'
import { lubeUses, planNow, plansAsk, policyOf, pricesOf } from '../../core/strategy/plans/plans-ask.ts'
import { planOf } from '../../core/strategy/plans/plans.ts'
import { priceOf } from '../../core/strategy/plans/price.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { useAnswer } from '../../session/use-answer.ts'
import { useDrawsOf } from '../../session/use-forecasts.ts'
import type { JudgedBike } from '../../session/verdicts.ts'
import type { GearingInHand } from './use-gearing.ts'

/** What set-ups cost, minor units per 1000 km, on the plan that the bike is on. */
export interface GearCosts {
  readonly now: number | undefined
  /** Of the what-if in hand; undefined for others. */
  readonly of: (name: string) => number | undefined
  /** The what-if in hand. */
  readonly chosen: string | undefined
  readonly currency: string
  readonly isWorking: boolean
}

const isSame = (a: readonly number[], b: readonly number[]): boolean =>
  a.length === b.length && a.every((one) => b.includes(one))

/** The cost of the gears as they are and of one what-if, lived through the same luck by Decide's own simulation. */
export function useGearCosts(
  { report, teeth }: JudgedBike,
  { onBench, own }: GearingInHand,
  chosen: string | undefined,
): GearCosts {
  const { garage } = useOpenLog()
  const bike = report.bike.entry.bike
  const draws = useDrawsOf(report.chain?.part.entry.part)
  const lube = useMemo(() => lubeUses(garage, report), [garage, report])
  const what = onBench.find(({ name, isOwn }) => !isOwn && name === chosen)
  const asks = useMemo(() => {
    const ask = draws && teeth ? plansAsk(garage, report, draws, teeth) : undefined
    if (!ask || !what?.shifted) return undefined
    const policy = policyOf(garage, report)
    const plan = planNow(ask, report.limit.percent, policy && planOf(policy, lube.isWaxed))
    if (!plan) return undefined
    const cogs = [...what.set.cogs].sort((a, b) => a - b)
    return gearingAsks(ask, plan, what.shifted, cogs, isSame(cogs, own.cogs))
  }, [garage, report, draws, teeth, what, own, lube])
  const now = useAnswer('plans', asks?.now, `gears of ${bike}`)
  const then = useAnswer('plans', asks?.then, undefined)
  const { prices, currency } = useMemo(() => pricesOf(garage, report), [garage, report])
  const costOf = ({ answer, fresh }: typeof now): number | undefined => {
    const [plan] = answer?.plans ?? []
    return answer && plan && fresh ? priceOf(plan, answer, prices, lube).mean : undefined
  }
  const [costNow, costThen] = [costOf(now), costOf(then)]
  return {
    now: costNow,
    of: (name) => (name === chosen ? costThen : undefined),
    chosen,
    currency,
    isWorking: asks !== undefined && (costNow === undefined || costThen === undefined),
  }
}
