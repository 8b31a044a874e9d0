import { KM_PER_MILE } from '../../core/units/convert.ts'
import type { Units } from '../screen-state.ts'
import type { Priced } from '../../core/log/kinds/prices.ts'
import type { PlanId } from '../../core/strategy/plans/plans.ts'
import { sayLimit } from './numbers.ts'

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
}

/** A plan in a few words. @param limit the bike's own, %; @param isWaxed its chain is waxed now */
export function planName(id: PlanId, limit: number, isWaxed: boolean): string {
  const at = `${sayLimit(limit)}\u00a0%`
  switch (id) {
    case 'early':
      return 'replacing at 0.5\u00a0%'
    case 'usual':
      return 'replacing at 0.75\u00a0%'
    case 'late':
      return 'replacing at 1.0\u00a0%'
    case 'own':
      return `replacing at ${at}`
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
  }
}

/** The distance that costs and skips are told by, and how many 1000 km it is. */
export const perDistance = (units: Units): { readonly said: string; readonly times: number } =>
  units === 'metric' ? { said: '1000\u00a0km', times: 1 } : { said: '1000\u00a0mi', times: KM_PER_MILE }

/** How often a chain skips under load. @param per1000 in 1000 km */
export function saySkips(per1000: number, units: Units): string {
  const { said, times } = perDistance(units)
  const count = per1000 * times
  if (count < 0.05) return 'almost never'
  return `${count < 0.95 ? count.toFixed(1) : Math.round(count)} in ${said}`
}
