/** A seeded source of randomness: the same seed tells the same story. */
export interface Random {
  /** Even between 0 and 1. */
  readonly unit: () => number
  /** Normal with the given mean and spread. */
  readonly normal: (mean: number, sd: number) => number
  readonly chance: (p: number) => boolean
  readonly between: (low: number, high: number) => number
  readonly bytes: (count: number) => Uint8Array
}

/** The 32-bit "mulberry" generator: small, even enough for a made-up garage. */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0
  const unit = (): number => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
  }
  return {
    unit,
    normal: (mean, sd) => mean + sd * Math.sqrt(-2 * Math.log(1 - unit())) * Math.cos(2 * Math.PI * unit()),
    chance: (p) => unit() < p,
    between: (low, high) => low + (high - low) * unit(),
    bytes: (count) => Uint8Array.from({ length: count }, () => Math.floor(unit() * 256)),
  }
}
