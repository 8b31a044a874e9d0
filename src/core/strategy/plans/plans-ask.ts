import { gearMix, sprocketTeeth } from '../../exposure/gear-mix.ts'
import { QUARTERS } from '../../exposure/conditions.ts'
import { mixByQuarter, roadAhead } from '../../exposure/road-ahead.ts'
import type { RoadPiece } from '../../exposure/roads.ts'
import { chainsOfSet, fittedParts, type Garage } from '../../log/garage.ts'
import type { PricesEntry } from '../../log/kinds/prices.ts'
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
import { plansFor } from './plans.ts'
import type { PlansAsk } from './plans-steps.ts'
import { usualPrices } from './usual-prices.ts'

const SEED = 1608
/** Lives, and how far each goes, km (issue: 2000 of 30,000 km). */
const LIVES = 2000
const HORIZON_KM = 30_000
/** Where nothing is known of how often an owner looks, km; and no nearer and no further apart than this. */
const [USUAL_LOOK_KM, LEAST_LOOK_KM, MOST_LOOK_KM] = [500, 150, 2000] as const

/** The mean distance between looks at the chain on a bike, km. */
function lookKmOf({ chain }: BikeReport): number {
  const looks = chain?.looks.length ?? 0
  if (!chain || looks < 2) return USUAL_LOOK_KM
  return Math.min(MOST_LOOK_KM, Math.max(LEAST_LOOK_KM, chain.story.km / looks))
}

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

/**
 * What is asked of a bike's plans: its drivetrain as it is now, by all that is known of it.
 * @param draws of the rider's answer
 * @param teeth of the rider's teeth; undefined while they are being worked out: the cogs are then taken for new
 * @returns undefined for a bike without a chain or without cogs
 */
export function plansAsk(
  garage: Garage,
  report: BikeReport,
  draws: KeptDraws,
  teeth: TeethOutlook | undefined,
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
  const ringPart = fittedParts(garage, bike.entry.bike, 'ring')[0]
  const ringSpec = ringPart?.entry.spec
  const lube = lubeNow(report)
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
    lookKm: lookKmOf(report),
    plans: plansFor(limit.percent, (spec.soldSingly?.length ?? 0) > 0),
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

/** The same question in so many parts, each a share of the lives. */
export const inParts = (ask: PlansAsk, count: number): readonly PlansAsk[] =>
  Array.from({ length: count }, (_, i) => {
    const at = (share: number): number => Math.round((ask.lives * share) / count)
    const part = [at(i), at(i + 1)] as const
    return { ...ask, part, named: `${part.join(' to ')} of ${ask.named}` }
  })

/** A bike's prices: as typed, and as guessed where nothing is. */
export function pricesOf(
  garage: Garage,
  { bike }: BikeReport,
): { readonly prices: Prices; readonly currency: string; readonly typed: PricesEntry['minor'] } {
  const last = garage.listed.prices.get(bike.entry.bike)?.at(-1)
  const typed = last?.minor ?? {}
  const currency = last?.currency ?? 'EUR'
  return { prices: { ...usualPrices(bike.entry.speeds, currency), ...typed }, currency, typed }
}
