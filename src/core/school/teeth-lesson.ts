import { seededRandom } from '../stats/random.ts'
import { MM_PER_PERCENT } from '../teeth/evidence.ts'

/** A made-up sprocket to be graded. */
export interface TeethSetup {
  readonly seed: number
  readonly teeth: number
  readonly role: 'cog' | 'ring'
  /** What its teeth have shaped themselves to, %. */
  readonly worn: number
  /** What each tooth shown is wider than new in its valley, mm: they are not worn evenly. */
  readonly excessMm: readonly number[]
  /** Which of the teeth shown is a shift aid: cut short by design. */
  readonly aids: readonly number[]
  /** From where the light comes, degrees, and how much dirt hides, 0 to 1. */
  readonly lightDeg: number
  readonly dirt: number
}

const TEETH_SHOWN = 7
const COGS = [11, 12, 13, 14, 15, 17, 19, 21, 24, 28] as const
const RINGS = [34, 38, 40, 42, 46] as const

/** A sprocket to be graded, from a seed: all shades of wear are about as frequent. */
export function madeUpTeeth(seed: number): TeethSetup {
  const random = seededRandom(seed)
  const role = random.chance(0.75) ? 'cog' : 'ring'
  const list = role === 'cog' ? COGS : RINGS
  const worn = Math.round(100 * random.between(0, 1.1)) / 100
  return {
    seed,
    role,
    teeth: list[Math.floor(random.unit() * list.length)] ?? 15,
    worn,
    excessMm: Array.from({ length: TEETH_SHOWN }, () =>
      Math.max(0, MM_PER_PERCENT * worn * Math.exp(random.normal(0, 0.12))),
    ),
    aids: random.chance(0.7) ? [1 + Math.floor(random.unit() * (TEETH_SHOWN - 2))] : [],
    lightDeg: random.between(20, 160),
    dirt: random.between(0, 0.6),
  }
}
