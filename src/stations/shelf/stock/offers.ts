import type { BikeState, Garage } from '../../../core/log/garage.ts'
import type { Priced } from '../../../core/log/kinds/prices.ts'
import { PRICED_AS } from '../../../core/strategy/plans/plans-ask.ts'
import { fitOf } from '../../../core/strategy/shelf/fit.ts'
import { takingBike } from '../../../core/strategy/shelf/stock-facts.ts'
import type { Need } from '../../../core/strategy/shelf/shopping.ts'
import type { FitFacts } from '../../../core/log/fit-facts.ts'
import type { Offer } from '../../../services/parts-supplier.ts'

/** What a supplier has for a need. */
export interface OfferFor {
  readonly offer: Offer
  /** It stands in for what cannot be had. */
  readonly isSubstitute: boolean
  readonly says: 'fits' | 'ask'
}

/**
 * The best offer for a need: of what does not plainly not fit, one that is to be had before one that is not, then the cheaper; where none
 * is to be had, what can stand in for it and is.
 */
export function offerFor(garage: Garage, need: Need, offers: readonly Offer[]): OfferFor | undefined {
  const bike = need.bike === undefined ? undefined : garage.bikes.get(need.bike)
  const held = need.stock === undefined ? undefined : garage.listed.stock.get(need.stock)?.at(-1)
  const fitting = (
    list: readonly Offer[],
  ): readonly { readonly offer: Offer; readonly says: 'fits' | 'ask' }[] =>
    list.flatMap((offer) => {
      if (!bike)
        return held?.facts?.speeds === undefined || offer.facts?.speeds === held.facts.speeds
          ? [{ offer, says: 'ask' as const }]
          : []
      const { says } = fitOf(offer.item, (offer.facts ?? {}) as FitFacts, takingBike(garage, bike), false)
      return says === 'does-not' ? [] : [{ offer, says }]
    })
  const plain = [...fitting(offers.filter(({ item }) => item === need.item))].sort(
    (a, b) => Number(b.offer.inStock > 0) - Number(a.offer.inStock > 0) || a.offer.minor - b.offer.minor,
  )
  const [best] = plain
  if (best && best.offer.inStock > 0) return { ...best, isSubstitute: false }
  const skus = new Set(plain.map(({ offer }) => offer.sku))
  const [other] = fitting(
    offers.filter(({ insteadOf, inStock }) => insteadOf !== undefined && skus.has(insteadOf) && inStock > 0),
  )
  if (other) return { ...other, isSubstitute: true }
  return best && { ...best, isSubstitute: false }
}

/** What a supplier asks for the parts of a bike: of what may fit, the cheapest, in one currency. */
export function pricesFrom(
  garage: Garage,
  bike: BikeState,
  offers: readonly Offer[],
): { readonly currency: string; readonly minor: Readonly<Partial<Record<Priced, number>>> } | undefined {
  const currency = offers[0]?.currency
  if (currency === undefined) return undefined
  const minor: Partial<Record<Priced, number>> = {}
  for (const offer of offers) {
    const priced = PRICED_AS[offer.item]
    const { says } = fitOf(offer.item, (offer.facts ?? {}) as FitFacts, takingBike(garage, bike), false)
    if (!priced || offer.currency !== currency || says === 'does-not') continue
    minor[priced] = Math.min(minor[priced] ?? Infinity, offer.minor)
  }
  return Object.keys(minor).length > 0 ? { currency, minor } : undefined
}
