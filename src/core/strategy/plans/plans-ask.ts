import { kmOf } from '../../exposure/distance.ts'
import { gearMix, sprocketTeeth } from '../../exposure/gear-mix.ts'
import { QUARTERS } from '../../exposure/conditions.ts'
import { mixByQuarter, roadAhead } from '../../exposure/road-ahead.ts'
import type { RoadPiece } from '../../exposure/roads.ts'
import { chainsOfSet, fittedParts, type BikeState, type Garage } from '../../log/garage.ts'
import type { PolicyEntry } from '../../log/kinds/policy.ts'
import type { Priced, PricesEntry } from '../../log/kinds/prices.ts'
import type { StockItem } from '../../log/kinds/stock.ts'
import { lifeUsed } from '../../lube/clock.ts'
import type { Lube } from '../../lube/lubes.ts'
import { isWax } from '../../lube/ways.ts'
import { leastHandsMin } from '../../session/least-minutes.ts'
import type { TeethOutlook } from '../../teeth/teeth-outlook.ts'
import type { KeptDraws } from '../../wear/kept-draws.ts'
import { drawsName } from '../../wear/kept-draws.ts'
import type { BikeReport } from '../facts/bike-report.ts'
import { livesOf } from '../facts/own-lives.ts'
import { ownStepMinutes, washBikeOf } from '../facts/wash-facts.ts'
import type { LubeUse, Prices } from './price.ts'
import { stockFit, stockOf } from '../shelf/stock-facts.ts'
import { largerRing } from './larger-ring.ts'
import { ownerHabits } from './owner-habits.ts'
import { isSamePlan, plansFor, planOf, type Plan } from './plans.ts'
import type { PlansAsk } from './plans-steps.ts'
import type { WaitAsk } from './wait-steps.ts'
import { usualPrices } from './usual-prices.ts'

const SEED = 1608
/** Lives, and how far each goes, km (issue: 2000 of 30,000 km). */
const LIVES = 2000
const HORIZON_KM = 30_000
/** What a chain is on, where the log does not say: drip lube. */
const lubeNow = ({ chain }: BikeReport): Lube =>
  chain?.lube && chain.lube.lube !== 'none' ? chain.lube.lube : 'wet-lube'

/** Wax where there is drip lube, drip lube where there is wax. */
const otherThan = (lube: Lube): Lube => (isWax(lube) ? 'wet-lube' : 'immersion-wax')

/** A kilometre of a year like any other, on some lubricant. */
function yearOn({ bike, chain, plan, now }: BikeReport, lube: Lube): readonly RoadPiece[] {
  const year = chain && roadAhead(bike, chain.story, plan, now).at(-1)?.perKm
  return (year ?? [{ km: 1, condition: bike.entry.usualCondition }]).map((piece) => ({ ...piece, lube }))
}

/** How often a lubricant is put on in a year like any other, by the clock of every screen, and how long hands take for it. */
function useOf(garage: Garage, { bike, now }: BikeReport, lube: Lube): LubeUse {
  const byQuarter = mixByQuarter(bike, now)
  const perKm = QUARTERS.flatMap((quarter) => byQuarter[quarter]).reduce(
    (sum, road) => sum + lifeUsed(lube, road, livesOf(garage)) / QUARTERS.length,
    0,
  )
  const given = {
    bike: washBikeOf(bike.entry),
    kit: ['stand', 'pot'] as const,
    ownMin: ownStepMinutes(garage),
  }
  return { per1000: 1000 * perKm, minutes: leastHandsMin(given, isWax(lube) ? 're-wax' : 'drip') }
}

/** How a bike's chain is lubricated, and how it would be otherwise. */
export function lubeUses(
  garage: Garage,
  report: BikeReport,
): { readonly now: LubeUse; readonly other: LubeUse; readonly isWaxed: boolean } {
  const lube = lubeNow(report)
  return {
    now: useOf(garage, report, lube),
    other: useOf(garage, report, otherThan(lube)),
    isWaxed: isWax(lube),
  }
}

/** What a pair of pulleys has worn to by its distance, %: they are spent after some 15,000 km. A guess. */
function pulleysWorn(garage: Garage, bike: string): number {
  const km = fittedParts(garage, bike, 'pulley').map((part) => kmOf(garage, part))
  return Math.min(0.75, (0.053 * Math.max(0, ...km)) / 1000)
}

/**
 * The plan that a bike's owner follows; undefined where none was chosen. Whatever was written with it, its chains go at the bike's
 * limit: the verdict goes by that, and there is only one.
 */
export function policyOf(garage: Garage, { bike, limit }: BikeReport): PolicyEntry | undefined {
  const last = garage.listed.policy.get(bike.entry.bike)?.at(-1)
  return last && { ...last, percent: limit.percent }
}

/**
 * What is asked of a bike's plans: its drivetrain as it is now, by all that is known of it.
 * @param draws of the rider's answer
 * @param teeth of the rider's teeth; undefined while they are being worked out: the cogs are then taken for new
 * @param ownTried a plan of the owner's own that is being tried; absent: the one that is followed
 * @returns undefined for a bike without a chain or without cogs
 */
export function plansAsk(
  garage: Garage,
  report: BikeReport,
  draws: KeptDraws,
  teeth: TeethOutlook | undefined,
  ownTried?: Omit<Plan, 'id'>,
): PlansAsk | undefined {
  const { bike, chain, limit } = report
  const cassette = fittedParts(garage, bike.entry.bike, 'cassette')[0]
  const spec = cassette?.entry.spec
  if (!chain || !cassette || spec?.type !== 'cassette') return undefined
  const mix = gearMix(bike.rides, bike.entry, sprocketTeeth(garage, bike.entry.bike))
  const cogs = [...spec.teeth].map((count) => ({
    teeth: count,
    share: mix.totalKj > 0 ? (mix.cogs.get(count) ?? 0) / mix.totalKj : 1 / spec.teeth.length,
    material: spec.material,
  }))
  const set = teeth?.sets[cassette.entry.part]
  const worn = set && cogs.map(({ teeth: count }) => set.sprockets.find((one) => one.teeth === count)?.worn)
  const rings = fittedParts(garage, bike.entry.bike, 'ring')
  const ringPart = rings[0]
  const ringSpec = ringPart?.entry.spec
  // With two rings the rider shifts from one to the other: what a larger one would do is not known.
  const larger =
    ringSpec?.type === 'ring' && rings.length === 1 && cogs.length > 1
      ? largerRing(ringSpec.teeth, cogs)
      : undefined
  const lube = lubeNow(report)
  const followed = policyOf(garage, report)
  const own = ownTried ?? (followed && planOf(followed, isWax(lube)))
  const on = chain.part.entry.part
  const spares = chainsOfSet(garage, bike.entry.bike)
    .map(({ entry }) => entry.part)
    .filter((id) => id !== on)
  const asked = {
    chains: [on, ...spares],
    road: { now: yearOn(report, lube), otherLube: yearOn(report, otherThan(lube)) },
    cogs,
    soldSingly: cogs.map(({ teeth: count }) => spec.soldSingly?.includes(count) ?? false),
    ring:
      ringSpec?.type === 'ring'
        ? {
            material: ringSpec.material,
            worn: teeth?.sets[ringPart?.entry.part ?? '']?.sprockets[0]?.mean ?? 0,
          }
        : undefined,
    pulleysWorn: pulleysWorn(garage, bike.entry.bike),
    habits: ownerHabits(garage, report),
    ...(larger && { largerRing: larger }),
    plans: plansFor({
      limit: limit.percent,
      hasSingles: (spec.soldSingly?.length ?? 0) > 0,
      hasLargerRing: larger !== undefined,
      ...(own && { own }),
    }),
    lives: LIVES,
    part: [0, LIVES] as const,
    horizonKm: HORIZON_KM,
    seed: SEED,
  }
  const known = worn?.flatMap((list) => list ?? [])
  const isKnown = known !== undefined && known.length === cogs.length
  return {
    ...asked,
    named: `${drawsName(draws)} ${known?.map((list) => `${list[0] ?? 0} ${list.at(-1) ?? 0}`).join(' ') ?? ''} ${JSON.stringify(asked)}`,
    draws,
    worn: isKnown ? known : undefined,
    shift: teeth?.shift,
  }
}

/**
 * The plan that a bike is on: the one that its owner follows; where none was chosen, its limit, with as many chains in turn as it has.
 * @returns undefined where the plan that is followed is none of those compared, while another of the owner's own is tried
 */
export function planNow(
  { plans, chains }: Pick<PlansAsk, 'plans' | 'chains'>,
  limit: number,
  followed: Omit<Plan, 'id'> | undefined,
): Plan | undefined {
  if (followed) return plans.find((one) => isSamePlan(one, followed))
  const isPlain = (one: Plan): boolean =>
    !one.isSingly && !one.isHard && !one.isOtherLube && !one.isLargerRing && one.policy.at === limit
  const inTurn = Math.min(4, chains.length)
  return (
    plans.find((one) => isPlain(one) && one.policy.kind === 'rotate' && one.policy.chains === inTurn) ??
    plans.find((one) => isPlain(one) && one.policy.kind === 'replace')
  )
}

/** So many lives tell when to swap, and so far they go beyond the last wait, km. */
const WAIT_LIVES = 500
const WAIT_BEYOND_KM = 10_000
/** A swap is tried at so many distances, as far ahead as twice the way to the limit, within these, km. */
const WAIT_STEPS = 12
const WAIT_REACH_KM = [1000, 5000] as const

/** When would the mounted chain best be swapped? @param toLimitKm its way to the limit, km */
export function waitAsk(ask: PlansAsk, plan: Plan, toLimitKm: number): WaitAsk {
  const { named, plans: _plans, part: _part, ...rest } = ask
  const reach = Math.min(WAIT_REACH_KM[1], Math.max(WAIT_REACH_KM[0], 2 * toLimitKm))
  const waits = Array.from(
    { length: WAIT_STEPS },
    (_, i) => 50 * Math.round((reach * i) / (WAIT_STEPS - 1) / 50),
  )
  const horizonKm = (waits.at(-1) ?? 0) + WAIT_BEYOND_KM
  return {
    ...rest,
    plan,
    waits,
    horizonKm,
    lives: WAIT_LIVES,
    named: `wait ${waits.join(' ')} ${JSON.stringify(plan)} ${named}`,
  }
}

/** The same question in so many parts, each a share of the lives. */
export const inParts = (ask: PlansAsk, count: number): readonly PlansAsk[] =>
  Array.from({ length: count }, (_, i) => {
    const at = (share: number): number => Math.round((ask.lives * share) / count)
    const part = [at(i), at(i + 1)] as const
    return { ...ask, part, named: `${part.join(' to ')} of ${ask.named}` }
  })

/** What a part is priced as in a plan. */
export const PRICED_AS: Readonly<Partial<Record<StockItem, Priced>>> = {
  chain: 'chain',
  'hard-chain': 'hardChain',
  cassette: 'cassette',
  'single-cog': 'singleCog',
  ring: 'ring',
  pulleys: 'pulleys',
}

/** What was last paid for parts that may go on a bike, in a currency. */
function paidPrices(garage: Garage, bike: BikeState, currency: string): Partial<Record<Priced, number>> {
  return Object.fromEntries(
    stockOf(garage).flatMap((one) => {
      const priced = PRICED_AS[one.entry.item]
      const { lastPaid } = one
      const isOurs = lastPaid?.currency === currency && stockFit(garage, one, bike).says !== 'does-not'
      return priced && lastPaid && isOurs ? [[priced, lastPaid.minor] as const] : []
    }),
  )
}

/** A bike's prices: as typed, else as last paid for what is on the shelf, else as guessed. */
export function pricesOf(
  garage: Garage,
  { bike }: BikeReport,
): {
  readonly prices: Prices
  readonly currency: string
  readonly typed: PricesEntry['minor']
  readonly paid: PricesEntry['minor']
} {
  const last = garage.listed.prices.get(bike.entry.bike)?.at(-1)
  const typed = last?.minor ?? {}
  const currency = last?.currency ?? 'EUR'
  const paid = paidPrices(garage, bike, currency)
  return { prices: { ...usualPrices(bike.entry.speeds, currency), ...paid, ...typed }, currency, typed, paid }
}
