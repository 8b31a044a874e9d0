import type { StockEntry } from '../../core/log/kinds/stock.ts'
import { STOCK_NAMES } from '../stock-words.ts'
import type { KindWords } from './kind-words.ts'

/** How a thing on the shelf is worded. */
export const stock: KindWords<StockEntry> = {
  name: 'thing on the shelf',
  step: () => 'a thing on the shelf',
  say: ({ name, item, place, isDropped }) =>
    `${name} (${STOCK_NAMES[item]})${place === undefined ? '' : `, ${place}`}${isDropped ? ': no longer kept' : ''}`,
  fields: [],
}
