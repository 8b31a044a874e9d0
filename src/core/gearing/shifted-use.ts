import { isCrossed, type GearSet } from './bench.ts'

/** A gear and its share of the rider's energy. */
export interface UsedGear {
  readonly ring: number
  readonly cog: number
  /** They sum to 1. */
  readonly share: number
}

/** What another set of gears does to the riding and the wear. */
export interface ShiftedUse {
  readonly gears: readonly UsedGear[]
  /** The chain wears so many times as fast by the km (methods 3). */
  readonly chainWearTimes: number
  /** The cog, and the ring, that wear out first do so after so many times the distance. */
  readonly cogLifeTimes: number
  readonly ringLifeTimes: number
  /** Where the work goes: cogs that gain and lose most, as shares of all. */
  readonly cogsBefore: ReadonlyMap<number, number>
  readonly cogsAfter: ReadonlyMap<number, number>
}

/** A gear at a slant counts as so much further off: a rider takes it last, as a logarithm of the ratio. Ours. */
const CROSSED_OFF = 0.06

/** Energy of gears by "ring x cog" keys ("40x15") as shares; what is no gear is passed over. */
export function usedGears(energy: Readonly<Record<string, number>>): readonly UsedGear[] {
  const gears = Object.entries(energy).flatMap(([key, kj]): UsedGear[] => {
    const [ring = NaN, cog = NaN] = key.split('x').map(Number)
    return ring > 0 && cog > 0 && kj > 0 ? [{ ring, cog, share: kj }] : []
  })
  const total = gears.reduce((sum, { share }) => sum + share, 0)
  return total > 0 ? gears.map((one) => ({ ...one, share: one.share / total })) : []
}

const sumBy = (gears: readonly UsedGear[], key: 'ring' | 'cog'): Map<number, number> => {
  const sums = new Map<number, number>()
  for (const one of gears) sums.set(one[key], (sums.get(one[key]) ?? 0) + one.share)
  return sums
}

/**
 * Wear of the sprocket that wears fastest: each tooth takes its share of the engagements, `share / teeth` a crank or wheel turn
 * (methods 5: a tooth's load goes with its sprocket's share over its teeth).
 */
const worstLoad = (shares: ReadonlyMap<number, number>): number =>
  Math.max(0, ...[...shares].map(([teeth, share]) => share / teeth))

/**
 * Lays a rider's own energy on another set of gears: the cadence is kept, so each bit of it goes to the gear whose ratio is nearest, a
 * slanted one only where nothing else is near. The work in a chain's joints goes with `1/ring + 1/cog` (methods 3).
 * @param used shares of the energy on the gears as they are
 */
export function shiftedUse(used: readonly UsedGear[], to: GearSet): ShiftedUse {
  const choices = to.rings.flatMap((ring) =>
    to.cogs.map((cog) => ({
      ring,
      cog,
      log: Math.log(ring / cog),
      off: isCrossed(to, ring, cog) ? CROSSED_OFF : 0,
    })),
  )
  const shares = new Map<string, UsedGear>()
  let [before, after] = [0, 0]
  for (const { ring, cog, share } of used) {
    const wanted = Math.log(ring / cog)
    const far = (one: (typeof choices)[number]): number => Math.abs(one.log - wanted) + one.off
    const best = choices.reduce<(typeof choices)[number] | undefined>(
      (nearest, one) => (nearest === undefined || far(one) < far(nearest) ? one : nearest),
      undefined,
    )
    if (!best) continue
    const key = `${best.ring}x${best.cog}`
    shares.set(key, { ring: best.ring, cog: best.cog, share: (shares.get(key)?.share ?? 0) + share })
    before += share * (1 / ring + 1 / cog)
    after += share * (1 / best.ring + 1 / best.cog)
  }
  const gears = [...shares.values()]
  const [cogsBefore, cogsAfter] = [sumBy(used, 'cog'), sumBy(gears, 'cog')]
  const life = (key: 'ring' | 'cog'): number => {
    const now = worstLoad(sumBy(gears, key))
    return now > 0 ? worstLoad(sumBy(used, key)) / now : 1
  }
  return {
    gears,
    chainWearTimes: before > 0 ? after / before : 1,
    cogLifeTimes: life('cog'),
    ringLifeTimes: life('ring'),
    cogsBefore,
    cogsAfter,
  }
}
