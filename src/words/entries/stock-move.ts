import type { StockMoveEntry } from '../../core/log/kinds/stock-move.ts'
import { sayExactMoney } from '../money.ts'
import { bikeName, type KindWords } from './kind-words.ts'

const WHY: Readonly<Record<StockMoveEntry['why'], string>> = {
  bought: 'bought',
  used: 'used',
  counted: 'counted again',
}

/** How something that came onto the shelf or went off it is worded. */
export const stockMove: KindWords<StockMoveEntry> = {
  name: 'shelf count',
  step: () => 'a change of the shelf',
  say: ({ stock, count, why, minor, currency, bike }, garage) => {
    const name = garage.listed.stock.get(stock)?.at(-1)?.name ?? 'a thing not in the log'
    const paid = minor === undefined ? '' : ` for ${sayExactMoney(minor, currency ?? 'EUR')}`
    const on = bike === undefined ? '' : ` on ${bikeName(garage, bike)}`
    return `${name}: ${count > 0 ? '+' : '\u2212'}${Math.abs(count)}, ${WHY[why]}${paid}${on}`
  },
  fields: [],
}
