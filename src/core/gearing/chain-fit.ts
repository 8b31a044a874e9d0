import { chainLength } from './chain-length.ts'
import { linksAround, pitchRadius } from './chain-loop.ts'
import type { GearSet } from './bench.ts'

/** How long a chain must be, by both ways of finding it. */
export interface ChainLinks {
  /** By the formula (methods 10). */
  readonly byFormula: { readonly exact: number; readonly links: number }
  /** Laid round the largest ring and cog: to where the ends meet, and with a pair of links more. */
  readonly byLaying: { readonly meetAt: number; readonly links: number }
}

/** Up to an even number: the ends of a chain are an inner and an outer link. */
const evenUp = (links: number): number => 2 * Math.ceil(links / 2 - 1e-9)

/**
 * How long a chain must be for a set of gears.
 * @param chainstayMm between the axles, mm
 * @param hasDerailleur else the one ring and cog have it just round
 * @returns undefined where ring and cog have no room between the axles
 */
export function chainLinks(
  chainstayMm: number,
  { rings, cogs }: GearSet,
  hasDerailleur: boolean,
): ChainLinks | undefined {
  const [ring, cog] = [Math.max(...rings), Math.max(...cogs)]
  // Two sprockets whose pins' circles would touch.
  if (!(chainstayMm > pitchRadius(ring) + pitchRadius(cog))) return undefined
  const meetAt = evenUp(linksAround(chainstayMm, ring, cog))
  return {
    byFormula: chainLength(chainstayMm, ring, cog, hasDerailleur),
    byLaying: { meetAt, links: meetAt + (hasDerailleur ? 2 : 0) },
  }
}

/**
 * The chainstay that a chain of so many links was cut for, mm: the longest for which the formula gives that many. A guess: it may have been
 * cut longer or shorter.
 */
export function chainstayOf(links: number, set: GearSet, hasDerailleur: boolean): number | undefined {
  let [low, high] = [300, 700]
  const fits = (stay: number): boolean =>
    (chainLinks(stay, set, hasDerailleur)?.byFormula.links ?? 0) <= links
  if (!fits(low) || fits(high)) return undefined
  for (let i = 0; i < 30; i++) {
    const middle = (low + high) / 2
    if (fits(middle)) low = middle
    else high = middle
  }
  return low
}

/** A question of fit and how it stands. */
export interface FitQuestion {
  readonly what: 'capacity' | 'largest-cog' | 'front-difference' | 'speeds' | 'common'
  readonly says: 'fits' | 'does-not' | 'ask'
  readonly needed: number
  readonly has?: number
}

/** More than these no derailleur in common use takes: teeth of slack, teeth of the largest cog, teeth between two rings. Ours. */
export const COMMON_MOST = { capacity: 47, largestCog: 52, frontDifference: 16 } as const

/** What is known of the bike's derailleurs and shifters; absent: not known. */
export interface FitKnown {
  readonly capacityTeeth?: number
  readonly largestCog?: number
  readonly speeds?: number
}

const judge = (
  what: FitQuestion['what'],
  needed: number,
  has: number | undefined,
  isEnough: (has: number) => boolean,
): FitQuestion =>
  has === undefined
    ? { what, says: 'ask', needed }
    : { what, says: isEnough(has) ? 'fits' : 'does-not', needed, has }

/** Teeth of slack that the cage must take up: between the rings, and between the cogs. */
export const capacityNeeded = ({ rings, cogs }: GearSet): number =>
  Math.max(...rings) - Math.min(...rings) + Math.max(...cogs) - Math.min(...cogs)

/** Whether a set of gears goes with what is known of the bike; what is not known is to be asked of the maker. */
export function fitQuestions(set: GearSet, known: FitKnown): readonly FitQuestion[] {
  if (set.cogs.length === 1 && set.rings.length === 1) return []
  const capacity = capacityNeeded(set)
  const largest = Math.max(...set.cogs)
  const front = Math.max(...set.rings) - Math.min(...set.rings)
  const beyond = [
    capacity > COMMON_MOST.capacity && { needed: capacity, has: COMMON_MOST.capacity },
    largest > COMMON_MOST.largestCog && { needed: largest, has: COMMON_MOST.largestCog },
    front > COMMON_MOST.frontDifference && { needed: front, has: COMMON_MOST.frontDifference },
  ].flatMap((one): FitQuestion[] => (one ? [{ what: 'common', says: 'does-not', ...one }] : []))
  return [
    ...beyond,
    judge('capacity', capacity, known.capacityTeeth, (has) => has >= capacity),
    judge('largest-cog', largest, known.largestCog, (has) => has >= largest),
    judge('speeds', set.cogs.length, known.speeds, (has) => has === set.cogs.length),
  ]
}
