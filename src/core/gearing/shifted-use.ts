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
  /** Work that goes from one cog to another, as shares of all, the most first. */
  readonly moves: readonly { readonly from: number; readonly to: number; readonly share: number }[]
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
 * The energy of gears, some of which a bike no longer has (an older ring, an older cassette), laid on those that it has: each of them counts
 * for the gear whose ratio is nearest. What the bike has stays where it is.
 */
export function usedOn(set: GearSet, used: readonly UsedGear[]): readonly UsedGear[] {
  const all = set.rings.flatMap((ring) => set.cogs.map((cog) => ({ ring, cog })))
  const far = (a: { ring: number; cog: number }, b: { ring: number; cog: number }): number =>
    Math.abs(Math.log((a.ring * b.cog) / (a.cog * b.ring)))
  const sums = new Map<string, UsedGear>()
  for (const gear of used) {
    const own =
      all.find(({ ring, cog }) => ring === gear.ring && cog === gear.cog) ??
      [...all].sort((a, b) => far(a, gear) - far(b, gear))[0]
    if (!own) continue
    const key = `${own.ring}x${own.cog}`
    sums.set(key, { ...own, share: (sums.get(key)?.share ?? 0) + gear.share })
  }
  return [...sums.values()]
}

/** So many speeds stand for all that are ridden in one gear. */
const SPEEDS = 24

/**
 * The ratios that a gear stands for: a rider who wants a little more or less stays in it, halfway to its neighbours on the ring. As
 * logarithms of the ratio, even over that stretch.
 */
function wantedRatios(ring: number, cog: number, cogs: readonly number[]): readonly number[] {
  const own = Math.log(ring / cog)
  const at = cogs.indexOf(cog)
  const [harder, easier] = [cogs[at - 1], cogs[at + 1]]
  const half = (other: number | undefined): number | undefined =>
    other === undefined || at < 0 ? undefined : Math.abs(Math.log(other / cog)) / 2
  // At an end the stretch is as long as on the other side.
  const up = half(harder) ?? half(easier) ?? 0
  const down = half(easier) ?? up
  return Array.from({ length: SPEEDS }, (_, i) => own - down + ((up + down) * (i + 0.5)) / SPEEDS)
}

interface Choice {
  readonly ring: number
  readonly cog: number
  readonly log: number
  readonly off: number
}

/**
 * The gears that a rider chooses from who was on a ring: on the ring in its place where there are as many as before, else on any; a slanted
 * gear last.
 */
function choicesFor(ring: number, from: readonly number[], to: GearSet): readonly Choice[] {
  const rings = from.length === to.rings.length ? [to.rings[from.indexOf(ring)] ?? ring] : to.rings
  const isSamePlace = rings.length < to.rings.length
  return rings.flatMap((one) =>
    to.cogs.map((cog) => ({
      ring: one,
      cog,
      log: Math.log(one / cog),
      off: !isSamePlace && isCrossed(to, one, cog) ? CROSSED_OFF : 0,
    })),
  )
}

const nearest = (choices: readonly Choice[], wanted: number): Choice | undefined =>
  choices.reduce<Choice | undefined>(
    (best, one) =>
      best === undefined || Math.abs(one.log - wanted) + one.off < Math.abs(best.log - wanted) + best.off
        ? one
        : best,
    undefined,
  )

/**
 * Lays a rider's own energy on another set of gears: the cadence is kept, so each bit of it goes to the gear whose ratio is nearest. What
 * is ridden in a gear is spread halfway to its neighbours, so that two teeth more on a ring move a part of the work by one cog. The work in a
 * chain's joints goes with `1/ring + 1/cog` (methods 3).
 * @param used shares of the energy, on gears of `from`: see {@link usedOn}
 * @param from the gears as they are; those that are used where absent
 */
export function shiftedUse(used: readonly UsedGear[], to: GearSet, from?: GearSet): ShiftedUse {
  const climbing = (list: readonly number[]): number[] => [...new Set(list)].sort((a, b) => a - b)
  const rings = climbing(from?.rings ?? used.map(({ ring }) => ring))
  const cogs = climbing(from?.cogs ?? used.map(({ cog }) => cog))
  const target: GearSet = { rings: climbing(to.rings), cogs: climbing(to.cogs) }
  const shares = new Map<string, UsedGear>()
  const moves = new Map<string, { from: number; to: number; share: number }>()
  let [before, after] = [0, 0]
  for (const { ring, cog, share } of used) {
    const choices = choicesFor(ring, rings, target)
    before += share * (1 / ring + 1 / cog)
    for (const wanted of wantedRatios(ring, cog, cogs)) {
      const best = nearest(choices, wanted)
      if (!best) continue
      const part = share / SPEEDS
      const key = `${best.ring}x${best.cog}`
      shares.set(key, { ring: best.ring, cog: best.cog, share: (shares.get(key)?.share ?? 0) + part })
      if (best.cog !== cog) {
        const move = `${cog}>${best.cog}`
        moves.set(move, { from: cog, to: best.cog, share: (moves.get(move)?.share ?? 0) + part })
      }
      after += part * (1 / best.ring + 1 / best.cog)
    }
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
    moves: [...moves.values()].sort((a, b) => b.share - a.share),
    cogsBefore,
    cogsAfter,
  }
}
