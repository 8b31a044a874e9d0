import type { Entry } from './entries.ts'

/**
 * Entries in order of time; those of the same moment in the order in which they were written. By the moments as numbers:
 * in a log of a hundred thousand entries comparing them as text takes most of the time that opening it takes.
 */
export function inTimeOrder<E extends Entry>(entries: readonly E[]): E[] {
  const moments = Float64Array.from(entries, ({ at }) => Date.parse(at))
  const idOf = (i: number): string => entries[i]?.id ?? ''
  const inOrder = (a: number, b: number): number => {
    const apart = (moments[a] ?? 0) - (moments[b] ?? 0)
    if (apart !== 0) return apart
    const [first, second] = [idOf(a), idOf(b)]
    return first < second ? -1 : first > second ? 1 : a - b
  }
  // Rides come in as they were ridden, mostly: then there is nothing to sort.
  if (entries.every((_, i) => i === 0 || inOrder(i - 1, i) < 0)) return [...entries]
  const places = Uint32Array.from(entries, (_, i) => i)
  places.sort(inOrder)
  return Array.from(places, (place) => entries[place] as E)
}
