import { BOUNDS } from '../../core/log/bounds.ts'
import { STOCK_ITEMS, STOCK_MOST } from '../../core/log/kinds/stock.ts'
import { entry, flag, line, oneOf, thingId, whole } from './checks.ts'
import { fitFacts } from './fit-facts.ts'

/** The fields of a thing on the shelf. */
export const stockSchema = entry('stock', {
  stock: thingId(),
  name: line(BOUNDS.nameLetters).min(1),
  item: oneOf(STOCK_ITEMS),
  place: line(BOUNDS.nameLetters).optional(),
  minimum: whole(0, STOCK_MOST).optional(),
  facts: fitFacts(),
  isDropped: flag().optional(),
})
