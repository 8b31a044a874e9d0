/** Every typed array in an answer stands on its own bytes: they are handed over, not copied. */
export function buffersOf(answer: unknown): ArrayBuffer[] {
  const found = new Set<ArrayBuffer>()
  const look = (value: unknown): void => {
    if (typeof value !== 'object' || value === null) return
    if (ArrayBuffer.isView(value)) {
      // Nothing here shares memory between threads.
      found.add(value.buffer as ArrayBuffer)
    } else if (Array.isArray(value)) {
      // A list of numbers or words holds no bytes, however long it is.
      if (typeof value[0] === 'object') value.forEach(look)
    } else if (!(value instanceof Blob)) Object.values(value).forEach(look)
  }
  look(answer)
  return [...found]
}

/** Roughly the room that an answer takes when it is kept, bytes: 8 a number, 2 a letter. */
export function bytesOf(answer: unknown): number {
  if (typeof answer === 'string') return 2 * answer.length
  if (typeof answer !== 'object' || answer === null) return 8
  if (ArrayBuffer.isView(answer)) return answer.byteLength
  return Object.entries(answer).reduce(
    (sum, [name, value]) => sum + (Array.isArray(answer) ? 0 : 2 * name.length) + bytesOf(value),
    0,
  )
}
