export interface Laid<T> {
  readonly item: T
  readonly from: number
  readonly length: number
}

/** Lays things end to end from 0, each as long as told. */
export function layEndToEnd<T>(items: readonly T[], lengthOf: (item: T) => number): Laid<T>[] {
  const laid: Laid<T>[] = []
  for (const item of items) {
    const before = laid.at(-1)
    laid.push({ item, from: before ? before.from + before.length : 0, length: lengthOf(item) })
  }
  return laid
}
