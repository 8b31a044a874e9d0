/**
 * The first place in a sorted list from which something holds, by halving (binary search).
 * @param length of the list
 * @param holds false up to some place, and true from there on
 * @returns the length where it holds nowhere
 */
export function firstIndex(length: number, holds: (i: number) => boolean): number {
  let low = 0
  let high = length
  while (low < high) {
    const middle = (low + high) >> 1
    if (holds(middle)) high = middle
    else low = middle + 1
  }
  return low
}
