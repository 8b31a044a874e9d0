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

/** How often a chain skips under load. */
export function saySkips(per1000: number): string {
  if (per1000 < 0.05) return 'almost never'
  if (per1000 < 1.5) return `${per1000 < 0.95 ? per1000.toFixed(1) : '1'} in 1000\u00a0km`
  return `${Math.round(per1000)} in 1000\u00a0km`
}
