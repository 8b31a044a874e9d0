import { useMemo, useState } from 'react'
import type { BikeId } from '../../../core/log/entry.ts'
import {
  bestPlan,
  breakEvens,
  lifeAt,
  priceOf,
  type PlanCost,
  type Prices,
} from '../../../core/strategy/plans/price.ts'
import {
  inParts,
  lubeUses,
  planNow,
  plansAsk,
  policyOf,
  pricesOf,
} from '../../../core/strategy/plans/plans-ask.ts'
import { planOf, type PolicyFields } from '../../../core/strategy/plans/plans.ts'
import { ratesAsk, rateTips, type RateTip } from '../../../core/strategy/plans/rate-tips.ts'
import { mergeLives, type PlansAsk } from '../../../core/strategy/plans/plans-steps.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { useAnswer } from '../../../session/use-answer.ts'
import { useDrawsOf } from '../../../session/use-forecasts.ts'
import type { JudgedBike } from '../../../session/verdicts.ts'
import { recallText, rememberText } from '../../../ui/local-memory.ts'

/** How much a skip matters: so many under load in 1000 km are put up with. */
export const SKIP_MINDS = { never: 0.05, seldom: 0.5, 'not-at-all': Infinity } as const
export type SkipMind = keyof typeof SKIP_MINDS
const MIND_KEY = 'jolt-mile-skips'
const isMind = (text: string | undefined): text is SkipMind => text !== undefined && text in SKIP_MINDS

/** How much the rider minds a skip, remembered from one visit to the next. */
function useSkipMind() {
  const [mind, setMind] = useState<SkipMind>(() => {
    const kept = recallText(MIND_KEY)
    return isMind(kept) ? kept : 'seldom'
  })
  return [
    mind,
    (next: SkipMind) => {
      rememberText(MIND_KEY, next)
      setMind(next)
    },
  ] as const
}

/**
 * Where the choice tips as the road wears more or less; undefined while that is being worked out.
 * @param ask asked once the plans themselves are known: they come first
 */
function useRoadTips(
  ask: PlansAsk | undefined,
  bike: BikeId,
  prices: Prices,
  lube: ReturnType<typeof lubeUses>,
  mostSkips: number,
): readonly RateTip[] | undefined {
  const question = useMemo(() => ask && ratesAsk(ask), [ask])
  const { fresh, answer } = useAnswer('plan-rates', question, `other roads of ${bike}`)
  return useMemo(
    () =>
      fresh && answer
        ? rateTips(
            answer.answers.map((road) => road.plans.map((one) => priceOf(one, road, prices, lube))),
            answer.wetTimes,
            mostSkips,
          )
        : undefined,
    [fresh, answer, prices, lube, mostSkips],
  )
}

/** A bike's plans: lived in a worker, priced on the page, so that a price that moves is answered at once. */
export function usePlans({ report, teeth }: JudgedBike) {
  const { garage } = useOpenLog()
  const bike = report.bike.entry.bike
  const draws = useDrawsOf(report.chain?.part.entry.part)
  const lube = useMemo(() => lubeUses(garage, report), [garage, report])
  const { isWaxed } = lube
  const policy = useMemo(() => policyOf(garage, report), [garage, report])
  /** A plan of the owner's own, tried before it is followed. */
  const [tried, setTried] = useState<PolicyFields>()
  const ask = useMemo(
    () =>
      draws && teeth ? plansAsk(garage, report, draws, teeth, tried && planOf(tried, isWaxed)) : undefined,
    [garage, report, draws, teeth, tried, isWaxed],
  )
  const now = useMemo(
    () => ask && planNow(ask, report.limit.percent, policy && planOf(policy, isWaxed)),
    [ask, report, policy, isWaxed],
  )
  const [first, second] = useMemo(() => (ask ? inParts(ask, 2) : []), [ask])
  const halves = [
    useAnswer('plans', first, `plans of ${bike}, first half`),
    useAnswer('plans', second, `plans of ${bike}, second half`),
  ]
  const [a, b] = halves.map((half) => half.answer)
  // An older answer of one half and a newer one of the other may be of different plans: they wait for one another.
  const isWhole = halves.every(({ fresh }) => fresh) || halves.every(({ fresh }) => !fresh)
  const answer = useMemo(
    () => (a && b && isWhole && a.plans.length === b.plans.length ? mergeLives([a, b]) : undefined),
    [a, b, isWhole],
  )
  const answered = {
    fresh: halves.every(({ fresh }) => fresh),
    isStopped: halves.some(({ stopped }) => stopped),
    fault: halves.find(({ fault }) => fault !== undefined)?.fault,
    progress: halves.reduce((sum, { fresh, progress = 0 }) => sum + (fresh ? 1 : progress) / 2, 0),
    stop: () => halves.forEach(({ stop }) => stop()),
    resume: () => halves.forEach(({ resume }) => resume()),
  }
  const known = useMemo(() => pricesOf(garage, report), [garage, report])
  const [moved, setMoved] = useState<Partial<Prices>>({})
  const prices = useMemo<Prices>(() => ({ ...known.prices, ...moved }), [known, moved])
  const [mind, setMind] = useSkipMind()
  const roadTips = useRoadTips(answer && ask, bike, prices, lube, SKIP_MINDS[mind])
  const said = useMemo(() => {
    if (!answer) return undefined
    const costAt = (at: Prices) => answer.plans.map((one) => priceOf(one, answer, at, lube))
    const costs = costAt(prices)
    const choice = bestPlan(costs, SKIP_MINDS[mind])
    return (
      choice && {
        costs: [...costs].sort((a, b) => a.mean - b.mean),
        choice,
        /** A life of a plan by its place among all, the cheapest first. */
        lifeOf: (id: PlanCost['id'], place: number) => {
          const lives = answer.plans.find(({ plan }) => plan.id === id)
          return lives && lifeAt(lives, answer, prices, lube, place)
        },
        now: costs.find(({ id }) => id === now?.id),
        tips: breakEvens(costs, choice.best, SKIP_MINDS[mind], prices, costAt),
      }
    )
  }, [answer, prices, lube, mind, now])
  return {
    ask,
    /** The plan that the bike is on. */
    now,
    own: tried ?? policy,
    tryOwn: setTried,
    answered,
    said,
    /** Where the choice tips as the road wears more or less; undefined while that is being worked out. */
    roadTips,
    lube,
    prices,
    currency: known.currency,
    typed: known.typed,
    paid: known.paid,
    moved,
    move: (change: Partial<Prices>) => setMoved((before) => ({ ...before, ...change })),
    settle: () => setMoved({}),
    mind,
    setMind,
  }
}

export type Plans = ReturnType<typeof usePlans>
