/** Entries are this deep at most, with room to spare: theirs are five. */
export const MOST_DEPTH = 32

const isHolding = (value: unknown): value is object => typeof value === 'object' && value !== null

/** Whether a value of JSON is deeper than any entry. Nothing here calls itself: a deep one would end that. */
export function isTooDeep(value: unknown): boolean {
  let level: readonly unknown[] = [value]
  for (let depth = 0; level.some(isHolding); depth++) {
    if (depth >= MOST_DEPTH) return true
    level = level.flatMap((one) => (isHolding(one) ? (Object.values(one) as readonly unknown[]) : []))
  }
  return false
}

/** What is still to be written: a piece of text, or a value. */
type Piece = { readonly text: string } | { readonly value: unknown }

/** The pieces of a list or an object, in their order. */
function piecesOf(value: object): Piece[] {
  const isList = Array.isArray(value)
  const inner = Object.entries(value).flatMap(([key, one], i): Piece[] => [
    { text: `${i > 0 ? ',' : ''}${isList ? '' : `${JSON.stringify(key)}:`}` },
    { value: one },
  ])
  return [{ text: isList ? '[' : '{' }, ...inner, { text: isList ? ']' : '}' }]
}

/** A value of JSON as text, however deep it is. */
export function deepText(value: unknown): string {
  const written: string[] = []
  const left: Piece[] = [{ value }]
  for (let piece = left.pop(); piece; piece = left.pop()) {
    if ('text' in piece) written.push(piece.text)
    else if (isHolding(piece.value)) left.push(...piecesOf(piece.value).reverse())
    else written.push(JSON.stringify(piece.value) ?? 'null')
  }
  return written.join('')
}
