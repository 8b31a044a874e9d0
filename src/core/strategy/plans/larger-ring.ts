import type { CogShare } from './cogs.ts'

/** A ring with a few teeth more, and what becomes of the riding. */
export interface LargerRing {
  readonly teeth: number
  /** The chain wears so many times as fast by the km. */
  readonly wearTimes: number
  /** The same gears, each on the cog that comes nearest. */
  readonly cogs: readonly CogShare[]
}

/** So many teeth more on a small ring, and on one from `LARGE_FROM` teeth on (job: two to four). */
const [MORE_ON_SMALL, MORE_ON_LARGE, LARGE_FROM] = [2, 4, 38] as const

/**
 * What a larger ring does (methods 3: the work in a chain's joints goes with `1/zf + 1/zr`): the rider keeps to the same gears, and so
 * rides larger cogs; where there is none large enough, the largest.
 * @param ring teeth of the only ring
 * @param cogs with their shares of the work
 */
export function largerRing(ring: number, cogs: readonly CogShare[]): LargerRing {
  const teeth = ring + (ring >= LARGE_FROM ? MORE_ON_LARGE : MORE_ON_SMALL)
  const shares = new Map(cogs.map((cog) => [cog.teeth, 0]))
  const work = (zf: number, zr: number): number => 1 / zf + 1 / zr
  let [before, after] = [0, 0]
  for (const { teeth: cog, share } of cogs) {
    const wanted = Math.log((cog * teeth) / ring)
    const off = (other: number): number => Math.abs(Math.log(other) - wanted)
    const nearest = cogs.reduce((best, one) => (off(one.teeth) < off(best) ? one.teeth : best), cog)
    shares.set(nearest, (shares.get(nearest) ?? 0) + share)
    before += share * work(ring, cog)
    after += share * work(teeth, nearest)
  }
  return {
    teeth,
    wearTimes: before > 0 ? after / before : 1,
    cogs: cogs.map((cog) => ({ ...cog, share: shares.get(cog.teeth) ?? 0 })),
  }
}
