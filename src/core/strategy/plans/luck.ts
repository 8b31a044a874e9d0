/** A whole number well mixed (the finaliser of the 32-bit "murmur" hash). */
function mixed(value: number): number {
  let h = value >>> 0
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b)
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35)
  return (h ^ (h >>> 16)) >>> 0
}

/** What luck is drawn for. */
export const EVENTS = { chain: 1, look: 2, forget: 3, late: 4, firstLook: 5 } as const
export type LuckEvent = (typeof EVENTS)[keyof typeof EVENTS]

/**
 * Even between 0 and 1, the same for the same life, event and number, whatever else was drawn and in whatever order: so that two
 * plans meet the same luck, and differ only by what they do.
 */
export function keyedUnit(seed: number, life: number, event: LuckEvent, index: number): number {
  const key = mixed(mixed(mixed(seed + 0x9e3779b9) ^ (life + 0x7f4a7c15)) ^ Math.imul(event, 0x1b873593))
  return mixed(key ^ Math.imul(index + 1, 0x9e3779b1)) / 4_294_967_296
}

/** Standard normal by the same key (Box and Muller). */
export function keyedNormal(seed: number, life: number, event: LuckEvent, index: number): number {
  const a = keyedUnit(seed, life, event, 2 * index)
  const b = keyedUnit(seed, life, event, 2 * index + 1)
  return Math.sqrt(-2 * Math.log(1 - a)) * Math.cos(2 * Math.PI * b)
}
