import type { Prices } from './price.ts'

/** Minor units of a currency that are about a euro cent: for guesses, and good for no more. */
const PER_CENT: Readonly<Record<string, number>> = {
  EUR: 1,
  GBP: 0.85,
  USD: 1.1,
  CHF: 0.95,
  DKK: 7.5,
  SEK: 11,
  NOK: 11.5,
  PLN: 4.3,
  CZK: 25,
  CAD: 1.5,
  AUD: 1.65,
  NZD: 1.8,
  // Yen have no minor unit.
  JPY: 1.6,
}

/** A guess in euro cents as a guess in minor units of another currency. @param currency ISO 4217 */
export const guessedMinor = (cents: number, currency: string): number =>
  Math.round(cents * (PER_CENT[currency] ?? 1))

/**
 * A guess of prices by how many cogs a bike has: more cogs, narrower and dearer parts. Ours, without a source.
 * @param currency ISO 4217; one that is not known is taken to be worth about a euro
 * @returns minor units
 */
export function usualPrices(speeds: number, currency: string): Prices {
  const by = (one: number, nine: number, ten: number, eleven: number, more: number): number =>
    speeds <= 1 ? one : speeds <= 9 ? nine : speeds <= 10 ? ten : speeds <= 11 ? eleven : more
  const chain = by(1200, 1800, 2400, 3000, 4200)
  const cents: Prices = {
    chain,
    hardChain: chain * 2.2,
    cassette: by(800, 3500, 5000, 7000, 12_000),
    singleCog: 900,
    ring: 3500,
    pulleys: 2000,
    lube: 40,
    hour: 0,
    skip: 0,
  }
  return Object.fromEntries(
    Object.entries(cents).map(([name, price]) => [name, guessedMinor(price, currency)]),
  ) as unknown as Prices
}
