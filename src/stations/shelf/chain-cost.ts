import type { EntryDraft } from '../../core/log/entries.ts'
import type { IsoTime } from '../../core/log/entry.ts'
import type { Garage } from '../../core/log/garage.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { pricesOf } from '../../core/strategy/plans/plans-ask.ts'
import { stockFit, stockOf } from '../../core/strategy/shelf/stock-facts.ts'
import { minorPerMajor } from '../../words/money.ts'
import { words } from '../../words/stations/shelf/chain-cost.ts'

/** A new chain was bought for this bike, and does not come off the shelf. */
export const BOUGHT = 'bought'

/** Where a new chain for a bike can come from, and what that writes down. */
export function chainCost(garage: Garage, report: BikeReport) {
  const { currency } = pricesOf(garage, report)
  const { bike } = report.bike.entry
  /** Chains that are counted on the shelf and may fit. */
  const inStock = stockOf(garage).filter(
    (one) =>
      (one.entry.item === 'chain' || one.entry.item === 'hard-chain') &&
      one.count > 0 &&
      stockFit(garage, one, report.bike).says !== 'does-not',
  )
  /** One less on the shelf, or money spent; nothing where nothing was paid, or nobody keeps it here. */
  const costOf = (
    { source, price }: { readonly source: string; readonly price?: number | undefined },
    at: IsoTime,
  ): EntryDraft[] => {
    if (source !== BOUGHT) return [{ kind: 'stock-move', at, stock: source, count: -1, why: 'used', bike }]
    if (price === undefined) return []
    const minor = Math.round(price * minorPerMajor(currency))
    return [{ kind: 'paid', at, bike, what: words.newChain, minor, currency }]
  }
  return { currency, inStock, costOf }
}
