import { decodeText } from './decode-text.ts'
import { secondsOf } from './fields.ts'

/** A value of an XML file, read as what it is wanted for. Good only while its tag goes by. */
export interface HeldValue {
  readonly text: () => string
  /** NaN where it is no number. */
  readonly number: () => number
  /** Seconds since 1970 of an ISO time; NaN where it is none. */
  readonly seconds: () => number
}

/** The same three out of a text. */
export const heldText = (text: string): HeldValue => ({
  text: () => text,
  number: () => (text === '' ? NaN : Number(text)),
  seconds: () => secondsOf(text),
})

const ZERO = 48
const POINT = 46
const MINUS = 45
const T = 84
const Z = 90
/** 10 to the power of the index; all of them exact as doubles. */
const POWERS = Array.from({ length: 23 }, (_, i) => 10 ** i)
/** So many figures always make an exact double. */
const EXACT_FIGURES = 15

/**
 * A plain decimal out of its bytes: exact, since both the figures and the power of ten are exact as doubles and one
 * division rounds correctly. Anything else (an exponent, more figures) goes the long way round.
 */
export function numberIn(bytes: Uint8Array, from: number, to: number): number {
  let i = from
  const negative = bytes[i] === MINUS
  if (negative) i++
  let value = 0
  let figures = 0
  let decimals = -1
  for (; i < to; i++) {
    const code = bytes[i] ?? 0
    if (code === POINT && decimals < 0) decimals = 0
    else if (code >= ZERO && code <= ZERO + 9) {
      value = value * 10 + (code - ZERO)
      figures++
      if (decimals >= 0) decimals++
    } else return Number(decodeText(bytes.subarray(from, to)).trim() || NaN)
  }
  if (figures === 0 || figures > EXACT_FIGURES)
    return to > from ? Number(decodeText(bytes.subarray(from, to))) : NaN
  const size = decimals > 0 ? value / (POWERS[decimals] ?? NaN) : value
  return negative ? -size : size
}

/** The two figures at a place; -1 where they are none. */
function two(bytes: Uint8Array, at: number): number {
  const a = (bytes[at] ?? 0) - ZERO
  const b = (bytes[at + 1] ?? 0) - ZERO
  return a >= 0 && a <= 9 && b >= 0 && b <= 9 ? 10 * a + b : -1
}

/** Reads times; of a ride's thousands most fall on the day of the one before. */
export function timeReader(): (bytes: Uint8Array, from: number, to: number) => number {
  const day = new Uint8Array(10)
  let dayS = NaN
  return (bytes, from, to) => {
    const size = to - from
    const plain = size >= 20 && bytes[to - 1] === Z && bytes[from + 10] === T
    const hours = two(bytes, from + 11)
    const minutes = two(bytes, from + 14)
    const seconds = two(bytes, from + 17)
    const part = size === 20 ? 0 : bytes[from + 19] === POINT ? numberIn(bytes, from + 19, to - 1) : NaN
    if (
      !plain ||
      hours < 0 ||
      hours > 23 ||
      minutes < 0 ||
      minutes > 59 ||
      seconds < 0 ||
      seconds > 59 ||
      !(part >= 0)
    )
      return secondsOf(decodeText(bytes.subarray(from, to)))
    let same = !Number.isNaN(dayS)
    for (let i = 0; same && i < 10; i++) same = day[i] === bytes[from + i]
    if (!same) {
      day.set(bytes.subarray(from, from + 10))
      dayS = secondsOf(decodeText(day))
    }
    return dayS + hours * 3600 + minutes * 60 + seconds + part
  }
}
