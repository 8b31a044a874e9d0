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

/** Money that was paid, or is asked: to the last cent, without a fraction where it is none. @param minor units */
export function sayExactMoney(minor: number, currency: string): string {
  const major = minor / minorPerMajor(currency)
  try {
    return new Intl.NumberFormat(undefined, {
      style: 'currency',
      currency,
      trailingZeroDisplay: 'stripIfInteger',
    }).format(major)
  } catch {
    return `${Number.isInteger(major) ? major : major.toFixed(2)} ${currency}`
  }
}

/** Money that is only an estimate: two figures, so that it does not look surer than it is. @param minor units */
export function sayAboutMoney(minor: number, currency: string): string {
  const step = 10 ** Math.max(0, Math.floor(Math.log10(Math.max(1, Math.abs(minor)))) - 1)
  return sayMoney(Math.round(minor / step) * step, currency)
}

/** Money as it is written here; whole units from ten on. @param minor units, such as cents */
export function sayMoney(minor: number, currency: string): string {
  const major = minor / minorPerMajor(currency)
  const digits = Math.abs(major) < 10 ? {} : { maximumFractionDigits: 0, minimumFractionDigits: 0 }
  try {
    return new Intl.NumberFormat(undefined, { style: 'currency', currency, ...digits }).format(major)
  } catch {
    return `${major.toFixed(Math.abs(major) < 10 ? 2 : 0)} ${currency}`
  }
}
