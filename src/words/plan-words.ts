import { KM_PER_MILE } from '../core/units/convert.ts'
import type { Units } from '../core/units/units.ts'
import type { Priced } from '../core/log/kinds/prices.ts'
import type { PlanId, PolicyFields } from '../core/strategy/plans/plans.ts'
import type { RateTip } from '../core/strategy/plans/rate-tips.ts'
import type { OwnerHabits } from '../core/strategy/plans/owner-habits.ts'
import { sayKm, sayLimit } from './numbers.ts'
import { sayDecimal } from './grouped-number.ts'

/** What has a price, as it is called beside its field. */
export const PRICE_NAMES: Readonly<Record<Priced, string>> = {
  chain: 'a chain',
  hardChain: 'a hard-coated chain',
  cassette: 'a cassette',
  singleCog: 'a single cog',
  ring: 'a ring',
  pulleys: 'a pair of pulleys',
  lube: 'lube or wax, one application',
  hour: 'an hour of work',
  skip: 'to be spared one skip',
}

const IN_TURN: Readonly<Record<number, string>> = { 2: 'two', 3: 'three', 4: 'four' }

/** An owner's own plan in a few words. */
export function sayPolicy({
  percent,
  chains,
  isRunOut,
  isSingly,
  isHard,
  lube,
  isLargerRing,
}: PolicyFields): string {
  const at = `${sayLimit(percent)}\u00a0%`
  return [
    isRunOut
      ? `running it all out to ${at}`
      : chains > 1
        ? `${IN_TURN[chains] ?? String(chains)} chains in turn to ${at}`
        : `replacing at ${at}`,
    isHard && 'hard-coated',
    isSingly && 'single cogs',
    lube === 'wax' && 'hot wax',
    lube === 'drip' && 'drip lube',
    isLargerRing && 'a larger ring',
  ]
    .filter(Boolean)
    .join(', ')
}

/**
 * A plan in a few words.
 * @param limit the bike's own, %
 * @param isWaxed its chain is waxed now
 * @param own what the plan of the owner's own is; absent: replacing at the limit
 */
export function planName(id: PlanId, limit: number, isWaxed: boolean, own?: PolicyFields): string {
  const at = `${sayLimit(limit)}\u00a0%`
  switch (id) {
    case 'early':
      return 'replacing at 0.5\u00a0%'
    case 'usual':
      return 'replacing at 0.75\u00a0%'
    case 'late':
      return 'replacing at 1.0\u00a0%'
    case 'own':
      return own ? sayPolicy(own) : `replacing at ${at}`
    case 'single-cogs':
      return `single cogs, replacing at ${at}`
    case 'rotate-2':
      return 'two chains in turn'
    case 'rotate-3':
      return 'three chains in turn'
    case 'rotate-4':
      return 'four chains in turn'
    case 'runout':
      return 'running it all out'
    case 'hard-chain':
      return `hard-coated chains, replacing at ${at}`
    case 'other-lube':
      return isWaxed ? `drip lube, replacing at ${at}` : `hot wax, replacing at ${at}`
    case 'larger-ring':
      return `a larger ring, replacing at ${at}`
  }
}

/** How fast wear would have to be for another plan, and what rain that would take. */
export function sayRoadTip({ times, moreRain }: RateTip): string {
  const rain =
    moreRain === undefined ? '' : `, as with ${Math.round(100 * moreRain)}\u00a0% more of the way in rain`
  return times > 1
    ? `Wear over ${sayDecimal(times, 1)} times as fast${rain}`
    : `Wear under ${sayDecimal(times, 1)} times as fast`
}

/** How the owner looks and acts, as the lives have it. */
export function sayHabits({ lookKm, forgotten, late, looks }: OwnerHabits, units: Units): string {
  const from = looks >= 3 ? `from ${looks} looks in the log` : 'a guess until more looks are in the log'
  return `A look every ${sayKm(lookKm, units)}, ${Math.round(100 * forgotten)}\u00a0% forgotten, ${Math.round(100 * late)}\u00a0% not acted on until the next (${from}).`
}

/** The distance that costs and skips are told by, and how many 1000 km it is. */
export const perDistance = (units: Units): { readonly said: string; readonly times: number } =>
  units === 'metric' ? { said: '1000\u00a0km', times: 1 } : { said: '1000\u00a0mi', times: KM_PER_MILE }

/** How often a chain skips under load. @param per1000 in 1000 km */
export function saySkips(per1000: number, units: Units): string {
  const { said, times } = perDistance(units)
  const count = per1000 * times
  if (count < 0.05) return 'almost never'
  return `${count < 0.95 ? sayDecimal(count, 1) : Math.round(count)} in ${said}`
}
