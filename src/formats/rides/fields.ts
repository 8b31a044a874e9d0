/** A number out of a file's field; undefined where it is none. */
export function numberOf(text: string): number | undefined {
  if (text === '') return undefined
  const value = Number(text)
  return Number.isFinite(value) ? value : undefined
}

/** A number that cannot be below nothing: a negative cadence or power is a fault of the sensor and is left out. */
export function amountOf(text: string): number | undefined {
  const value = numberOf(text)
  return value !== undefined && value >= 0 ? value : undefined
}

let heldDay = ''
let heldDayS = NaN

/** Seconds since 1970 of an ISO time; the common form in UTC is read without the clock's help. NaN where it is none. */
export function secondsOf(text: string): number {
  const { length } = text
  if (length < 20 || text.charCodeAt(length - 1) !== 90 || text.charCodeAt(10) !== 84)
    return Date.parse(text) / 1000
  if (!text.startsWith(heldDay) || heldDay === '') {
    heldDay = text.slice(0, 10)
    heldDayS = Date.parse(heldDay) / 1000
  }
  const digit = (i: number): number => text.charCodeAt(i) - 48
  const hours = 10 * digit(11) + digit(12)
  const minutes = 10 * digit(14) + digit(15)
  const whole = 10 * digit(17) + digit(18)
  const part = length > 20 ? Number(text.slice(19, -1)) : 0
  return heldDayS + hours * 3600 + minutes * 60 + whole + part
}
