/** A number that was typed, or why it is none. `two-ways`: "1,234" is one and a bit, or more than a thousand. */
export type TypedNumber =
  | { readonly value: number }
  | { readonly fault: 'empty' | 'not-a-number' | 'two-ways' | 'too-small' | 'too-large' }

export interface TypedRange {
  readonly least?: number
  readonly most?: number
}

const UNIT = /\s*(?:km|mi|miles?|mm|cm|in|inch(?:es)?|kg|lb|%|°|h|min|s|km\/h)\.?$/i
/** Spaces between groups of three digits, the narrow and the unbreaking ones too, and the Swiss mark. */
const GROUP_SPACE = /(\d)[\s\u00a0\u202f'’](?=\d{3}(?!\d))/g

const inRange = (value: number, { least = -Infinity, most = Infinity }: TypedRange): boolean =>
  value >= least && value <= most

function ranged(value: number, range: TypedRange): TypedNumber {
  if (!Number.isFinite(value)) return { fault: 'not-a-number' }
  if (inRange(value, range)) return { value }
  return { fault: value < (range.least ?? -Infinity) ? 'too-small' : 'too-large' }
}

/**
 * A number as people type it: decimal point or comma, groups parted by spaces, commas or points, a unit behind it.
 *
 * Where one comma or point stands before just three digits ("1,234") both readings are tried against the range: a comma
 * that leaves both possible is not guessed at. A point is then a decimal point, as on a caliper's display.
 * @param range what the field can hold; absent bounds are open
 * @example typedNumber('1 234,5 km', {}) // { value: 1234.5 }
 * @example typedNumber('1,234', { least: 0, most: 5000 }) // { fault: 'two-ways' }
 * @example typedNumber('1,234', { least: 100, most: 5000 }) // { value: 1234 }
 */
export function typedNumber(text: string, range: TypedRange = {}): TypedNumber {
  const bare = text.trim().replace(UNIT, '').replaceAll('\u2212', '-').replace(GROUP_SPACE, '$1')
  if (bare === '') return { fault: text.trim() === '' ? 'empty' : 'not-a-number' }
  if (/^[-+]?(?:\d+|\d+\.\d*|\.\d+)$/.test(bare)) return ranged(Number(bare), range)
  // Both marks: the last one is the decimal mark, where the other only parts groups of three.
  if (/^[-+]?\d{1,3}(?:,\d{3})+\.\d+$/.test(bare)) return ranged(Number(bare.replaceAll(',', '')), range)
  if (/^[-+]?\d{1,3}(?:\.\d{3})+,\d+$/.test(bare))
    return ranged(Number(bare.replaceAll('.', '').replace(',', '.')), range)
  if (/^[-+]?\d{1,3}(?:,\d{3}){2,}$/.test(bare)) return ranged(Number(bare.replaceAll(',', '')), range)
  if (/^[-+]?\d{1,3}(?:\.\d{3}){2,}$/.test(bare)) return ranged(Number(bare.replaceAll('.', '')), range)
  if (!/^[-+]?(?:\d+,\d*|,\d+)$/.test(bare)) return { fault: 'not-a-number' }
  const decimal = Number(bare.replace(',', '.'))
  if (!/^[-+]?[1-9]\d{0,2},\d{3}$/.test(bare)) return ranged(decimal, range)
  const grouped = Number(bare.replace(',', ''))
  if (inRange(decimal, range) && inRange(grouped, range)) return { fault: 'two-ways' }
  return ranged(inRange(grouped, range) ? grouped : decimal, range)
}
