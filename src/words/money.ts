import { sayDecimal } from './grouped-number.ts'
import { manner, NUMBER_STYLES } from './manner.ts'

/** Currencies to choose from. */
export const CURRENCIES = [
  'EUR',
  'GBP',
  'USD',
  'CHF',
  'DKK',
  'SEK',
  'NOK',
  'PLN',
  'CZK',
  'CAD',
  'AUD',
  'NZD',
  'JPY',
] as const

/** Minor units of a currency in one of its major ones: 100 for most, 1 for some. */
export function minorPerMajor(currency: string): number {
  try {
    const { maximumFractionDigits = 2 } = new Intl.NumberFormat('en', {
      style: 'currency',
      currency,
    }).resolvedOptions()
    return 10 ** maximumFractionDigits
  } catch {
    // A currency that this browser does not know is taken to have cents.
    return 100
  }
}

/** An amount in major units as it is written here: the place of the currency by the language, its marks by the manner. */
function written(major: number, currency: string, digits: Intl.NumberFormatOptions, plain: number): string {
  const { language, numbers } = manner()
  const { group, mark } = NUMBER_STYLES[numbers]
  try {
    return new Intl.NumberFormat(language, { style: 'currency', currency, ...digits })
      .formatToParts(major)
      .map(({ type, value }) => (type === 'group' ? group : type === 'decimal' ? mark : value))
      .join('')
  } catch {
    return `${sayDecimal(major, plain)} ${currency}`
  }
}

/** Money that was paid, or is asked: to the last cent, without a fraction where it is none. @param minor units */
export function sayExactMoney(minor: number, currency: string): string {
  const major = minor / minorPerMajor(currency)
  return written(major, currency, { trailingZeroDisplay: 'stripIfInteger' }, Number.isInteger(major) ? 0 : 2)
}

/** Money that is only an estimate: two figures, so that it does not look surer than it is. @param minor units */
export function sayAboutMoney(minor: number, currency: string): string {
  const step = 10 ** Math.max(0, Math.floor(Math.log10(Math.max(1, Math.abs(minor)))) - 1)
  return sayMoney(Math.round(minor / step) * step, currency)
}

/** Money as it is written here; whole units from ten on. @param minor units, such as cents */
export function sayMoney(minor: number, currency: string): string {
  const major = minor / minorPerMajor(currency)
  const isSmall = Math.abs(major) < 10
  const digits = isSmall ? {} : { maximumFractionDigits: 0, minimumFractionDigits: 0 }
  return written(major, currency, digits, isSmall ? 2 : 0)
}
