import { string } from 'yup'
import { STOCK_MOST } from '../../core/log/kinds/stock.ts'
import { VISIT_BOUNDS } from '../../core/log/kinds/visit.ts'
import { entry, oneOf, thingId, whole } from './checks.ts'
import { words } from '../../words/formats/entries/stock-move.ts'

/** Three capital letters, like EUR. */
export const currencyCode = () =>
  string()
    .strict()
    .matches(/^[A-Z]{3}$/, words.currencyMustBeThree)

/** The fields of something that came onto the shelf or went off it. */
export const stockMoveSchema = entry('stock-move', {
  stock: thingId(),
  count: whole(-STOCK_MOST, STOCK_MOST).notOneOf([0]),
  why: oneOf(['bought', 'used', 'counted']),
  minor: whole(0, VISIT_BOUNDS.minor).optional(),
  currency: currencyCode().optional(),
  bike: thingId().optional(),
})
