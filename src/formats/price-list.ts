import Papa from 'papaparse'
import { wordsOfCell } from '../core/tables/plain-cell.ts'
import { PRICED, type Priced } from '../core/log/kinds/prices.ts'

/** A line of a price list that was understood. */
export interface PriceLine {
  readonly priced: Priced
  /** In whole units of its currency, such as euros. */
  readonly price: number
  /** ISO 4217, where the line says it. */
  readonly currency?: string
}

/** A line that was not, and why. */
export interface PriceFault {
  /** Counted from 1. */
  readonly line: number
  readonly text: string
  readonly fault: 'unknown-thing' | 'no-price' | 'negative' | 'too-dear' | 'twice'
}

export interface PriceList {
  readonly lines: readonly PriceLine[]
  readonly faults: readonly PriceFault[]
}

/** Words under which each thing is known, beside its own name; without blanks and in small letters. */
const KNOWN: Readonly<Record<Priced, readonly string[]>> = {
  chain: ['chain', 'newchain', 'plainchain'],
  hardChain: ['hardchain', 'hardcoatedchain', 'coatedchain'],
  cassette: ['cassette', 'cogs'],
  singleCog: ['singlecog', 'cog', 'onecog'],
  ring: ['ring', 'chainring'],
  pulleys: ['pulleys', 'pairofpulleys', 'pulley'],
  lube: ['lube', 'wax', 'lubeorwax', 'application'],
  hour: ['hour', 'anhour', 'hourofwork', 'labour', 'labor'],
  skip: ['skip', 'askip'],
}
/** A price over this many units is a slip of the finger. */
const TOO_DEAR = 100_000

const plain = (text: string): string => text.toLowerCase().replace(/[^\p{L}]/gu, '')
const pricedOf = (text: string): Priced | undefined =>
  PRICED.find(
    (name) => KNOWN[name].includes(plain(text)) || KNOWN[name].includes(plain(text).replace(/^an?/, '')),
  )

const SIGNS: Readonly<Record<string, string>> = { '€': 'EUR', '£': 'GBP', $: 'USD', '¥': 'JPY' }

/** A price as people write it: "24.90", "24,90", "1,240.50", "€ 30". @returns undefined where it is none */
export function priceOfText(
  text: string,
): { readonly price: number; readonly currency?: string } | undefined {
  const sign = Object.keys(SIGNS).find((one) => text.includes(one))
  const code = /\b([A-Z]{3})\b/.exec(text)?.[1]
  const bare = text.replace(/[^\d.,\u2212-]/g, '').replace('\u2212', '-')
  // The last of points and commas is the decimal one, unless three figures follow the only one.
  const last = Math.max(bare.lastIndexOf('.'), bare.lastIndexOf(','))
  const isGrouping =
    last >= 0 && bare.length - last - 1 === 3 && !/[.,]/.test(bare.slice(0, last)) && last <= 3
  const digits =
    last < 0 || isGrouping
      ? bare.replace(/[.,]/g, '')
      : `${bare.slice(0, last).replace(/[.,]/g, '')}.${bare.slice(last + 1)}`
  const price = digits === '' || digits === '-' ? NaN : Number(digits)
  const currency = code ?? (sign === undefined ? undefined : SIGNS[sign])
  return Number.isFinite(price) ? { price, ...(currency !== undefined && { currency }) } : undefined
}

/**
 * Reads a list of prices: a thing, its price and perhaps its currency on each line, with commas, semicolons or tabs between; a first line of
 * headings is passed over.
 */
export function readPriceList(text: string): PriceList {
  const { data } = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), { skipEmptyLines: 'greedy' })
  const lines: PriceLine[] = []
  const faults: PriceFault[] = []
  data.forEach((cells, i) => {
    const [thing = '', ...rest] = cells.map((cell) => wordsOfCell(cell).trim())
    // A decimal comma in a list with commas between: "chain,24,90".
    const joined = rest.length >= 2 && /^\d+$/.test(rest[0] ?? '') && /^\d{2}$/.test(rest[1] ?? '')
    const priceText = joined ? `${rest[0]},${rest[1]}` : (rest[0] ?? '')
    const found = priceOfText(priceText)
    const priced = pricedOf(thing)
    const said = cells.join(', ').slice(0, 60)
    const fault = (why: PriceFault['fault']): void => {
      faults.push({ line: i + 1, text: said, fault: why })
    }
    // Headings: neither a thing that is known nor a figure.
    if (i === 0 && !found && !priced) return
    if (!priced) return fault('unknown-thing')
    if (!found) return i === 0 ? undefined : fault('no-price')
    if (found.price < 0) return fault('negative')
    if (found.price > TOO_DEAR) return fault('too-dear')
    if (lines.some((one) => one.priced === priced)) return fault('twice')
    const code = (rest[joined ? 2 : 1] ?? '').toUpperCase()
    const currency = /^[A-Z]{3}$/.test(code) ? code : found.currency
    lines.push({ priced, price: found.price, ...(currency !== undefined && { currency }) })
  })
  return { lines, faults }
}
