import { PRICED, type PricesEntry } from '../../core/log/kinds/prices.ts'
import { sayExactMoney } from '../money.ts'
import { sayList } from '../numbers.ts'
import { PRICE_NAMES } from '../plan-words.ts'
import { bikeName, type KindWords } from './kind-words.ts'

/** How prices are worded. */
export const prices: KindWords<PricesEntry> = {
  name: 'prices',
  step: () => 'prices',
  say: ({ bike, currency, minor }, garage) => {
    const said = PRICED.flatMap((name) => {
      const price = minor[name]
      return price === undefined ? [] : [`${PRICE_NAMES[name]} ${sayExactMoney(price, currency)}`]
    })
    return `${bikeName(garage, bike)}: ${said.length > 0 ? sayList(said) : 'prices as guessed'}`
  },
  fields: [],
}
