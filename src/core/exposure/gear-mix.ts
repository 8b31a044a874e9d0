import { sumOf } from '../stats/mean.ts'
import type { Garage, Ride } from '../log/garage.ts'
import { fittedParts } from '../log/garage.ts'
import type { BikeEntry } from '../log/kinds/bike.ts'
import { bySprocket } from './gears-in-use.ts'
import { energyFactor, REFERENCE_KJ_PER_KM } from './wear-km.ts'
import { wearWork } from './wear-work.ts'

/** Where the energy of a stretch of rides went. */
export interface GearMix {
  /** kJ by ring and cog, as "40x15". */
  readonly gears: Readonly<Record<string, number>>
  /** kJ by cog and by ring. */
  readonly cogs: ReadonlyMap<number, number>
  readonly rings: ReadonlyMap<number, number>
  readonly totalKj: number
  /** Share of the energy whose gear is known from cadence; the rest is laid out by the bike's usual mix. */
  readonly toldShare: number
}

/** What a bike carries, in teeth, smallest first. */
export function sprocketTeeth(garage: Garage, bike: string): { rings: number[]; cogs: number[] } {
  const specs = fittedParts(garage, bike).map((part) => part.entry.spec)
  return {
    rings: specs.flatMap((spec) => (spec.type === 'ring' ? [spec.teeth] : [])).sort((a, b) => a - b),
    cogs: specs.flatMap((spec) => (spec.type === 'cassette' ? [...spec.teeth] : [])).sort((a, b) => a - b),
  }
}

/**
 * The mix of cogs where nobody has told: most on the cogs a little smaller than the middle one, less to either end. A guess of
 * ours, editable.
 * @param cogs tooth counts, smallest first
 * @returns shares that sum to 1
 */
export function guessedCogMix(cogs: readonly number[]): ReadonlyMap<number, number> {
  const centre = 0.42 * (cogs.length - 1)
  const spread = Math.max(0.8, 0.2 * cogs.length)
  const raw = cogs.map((_, i) => Math.exp(-0.5 * ((i - centre) / spread) ** 2))
  const total = sumOf(raw)
  return new Map(cogs.map((cog, i) => [cog, (raw[i] ?? 0) / total]))
}

/** The bike's own mix where it was set, scaled to 1 over the cogs it has now, else the guess. */
export function cogMixOf(bike: BikeEntry, cogs: readonly number[]): ReadonlyMap<number, number> {
  const set = cogs.map((cog) => bike.cogMix?.[String(cog)] ?? 0)
  const total = sumOf(set)
  return total > 0 ? new Map(cogs.map((cog, i) => [cog, (set[i] ?? 0) / total])) : guessedCogMix(cogs)
}

/** Rings in turn share what the usual mix lays on a cog: small cogs go with the large ring. */
function ringFor(cog: number, rings: readonly number[], cogs: readonly number[]): number {
  const place = cogs.length < 2 ? 0 : cogs.indexOf(cog) / (cogs.length - 1)
  return rings[Math.min(rings.length - 1, Math.floor((1 - place) * rings.length))] ?? 0
}

/**
 * Energy through each gear over some rides (methods 3): as cadence told it, and by the bike's usual mix where it did
 * not. A ride of unknown energy counts as much as the reference a km.
 */
export function gearMix(
  rides: readonly Ride[],
  bike: BikeEntry,
  teeth: { readonly rings: readonly number[]; readonly cogs: readonly number[] },
): GearMix {
  const gears: Record<string, number> = {}
  const add = (gear: string, kj: number): void => void (gears[gear] = (gears[gear] ?? 0) + kj)
  const usual = cogMixOf(bike, teeth.cogs)
  let told = 0
  let rest = 0
  for (const ride of rides) {
    const energy = ride.km * energyFactor(ride.energyKjPerKm) * REFERENCE_KJ_PER_KM
    if (ride.gears) {
      told += energy
      const { total } = bySprocket(ride.gears)
      for (const [gear, kj] of Object.entries(ride.gears)) add(gear, (energy * kj) / (total || 1))
    } else rest += energy
  }
  if (rest > 0 && teeth.rings.length > 0)
    for (const [cog, share] of usual) add(`${ringFor(cog, teeth.rings, teeth.cogs)}x${cog}`, rest * share)
  const { cogs, rings, total } = bySprocket(gears)
  return {
    gears,
    cogs,
    rings,
    totalKj: total,
    toldShare: told + rest > 0 ? told / (told + rest) : 0,
  }
}

/** The cogs that did the most work, hardest first: tooth count and share of the energy. */
export function hardestCogs(mix: GearMix): readonly { readonly teeth: number; readonly share: number }[] {
  return [...mix.cogs]
    .map(([teeth, kj]) => ({ teeth, share: mix.totalKj > 0 ? kj / mix.totalKj : 0 }))
    .sort((a, b) => b.share - a.share)
}

/** What a choice of gears cost the chain. */
export interface GearCost {
  /** Share of the energy in crossed gears: the largest quarter of cogs on the large ring, or the smallest on the small. */
  readonly crossedShare: number
  /** Pin work over what the same energy would take with every ratio kept on sprockets two teeth a ring larger. */
  readonly largerRingSaves: number
  /** Share of the energy on cogs of 13 teeth or fewer, and how much harder a kJ there wears the pins than the mean kJ elsewhere. */
  readonly smallCogShare: number
  readonly smallCogTimes: number
}

const SMALL_COG = 13
const LARGER_RING_TEETH = 4

/**
 * What crossing and small sprockets cost (methods 3): pin work of each gear's energy by `1/zf + 1/zr`, against the
 * same ratios on a ring four teeth larger with cogs in proportion.
 */
export function gearCost(
  mix: GearMix,
  teeth: { readonly rings: readonly number[]; readonly cogs: readonly number[] },
): GearCost {
  let crossed = 0
  let work = 0
  let larger = 0
  let small = 0
  let smallWork = 0
  const quarter = Math.max(1, Math.round(teeth.cogs.length / 4))
  for (const [gear, kj] of Object.entries(mix.gears)) {
    const [ring = 1, cog = 1] = gear.split('x').map(Number)
    const pins = wearWork(kj, ring, cog, 100).pinWorkJ
    work += pins
    larger += wearWork(kj, ring + LARGER_RING_TEETH, (cog * (ring + LARGER_RING_TEETH)) / ring, 100).pinWorkJ
    if (cog <= SMALL_COG) {
      small += kj
      smallWork += pins
    }
    const place = teeth.cogs.indexOf(cog)
    const isLarge = ring === teeth.rings.at(-1)
    const isSmall = ring === teeth.rings[0]
    if (
      teeth.rings.length > 1 &&
      ((isLarge && place >= teeth.cogs.length - quarter) || (isSmall && place < quarter))
    )
      crossed += kj
  }
  const rest = mix.totalKj - small
  return {
    crossedShare: mix.totalKj > 0 ? crossed / mix.totalKj : 0,
    largerRingSaves: work > 0 ? 1 - larger / work : 0,
    smallCogShare: mix.totalKj > 0 ? small / mix.totalKj : 0,
    smallCogTimes: small > 0 && rest > 0 ? smallWork / small / ((work - smallWork) / rest) : 1,
  }
}
