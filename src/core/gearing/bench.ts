import { gear } from './ratio.ts'

/** Rings and cogs, tooth counts, smallest first. */
export interface GearSet {
  readonly rings: readonly number[]
  readonly cogs: readonly number[]
}

/** One gear of a set. */
export interface BenchGear {
  readonly ring: number
  readonly cog: number
  readonly ratio: number
  readonly developmentM: number
  readonly speedKmh: number
  /** To the next harder gear on the same ring, %; absent for the hardest. */
  readonly stepPercent?: number
  /** The chain runs at a slant: a ring with the cogs on the other side. */
  readonly isCrossed: boolean
  /** A gear of another ring is as good as the same. */
  readonly isDouble: boolean
}

/** A set of gears, told. */
export interface Bench {
  /** By ring from the smallest, and on each from the easiest to the hardest. */
  readonly gears: readonly BenchGear[]
  readonly lowest: BenchGear
  readonly highest: BenchGear
  /** Hardest over easiest. */
  readonly range: number
  /** The widest step between two cogs, %. */
  readonly widestStepPercent: number
  /** Gears that are neither crossed nor another one's double. */
  readonly useful: number
}

/** Gears nearer than this are the same on the road, as a share. Ours. */
const SAME = 0.03
/** With several rings, so many cogs on the far side make a slant. */
const FAR_COGS = 2

/** Whether a ring and a cog make the chain run at a slant: a large ring and the largest cogs, a small one and the smallest. */
export function isCrossed({ rings, cogs }: GearSet, ring: number, cog: number): boolean {
  if (rings.length < 2 || cogs.length < 4) return false
  const at = cogs.indexOf(cog)
  if (ring === rings.at(-1)) return at >= cogs.length - FAR_COGS
  return ring === rings[0] && at < FAR_COGS
}

/** Bounds of what a bike can have: fewer teeth than 9 no chain goes round. */
export const BENCH_BOUNDS = { teeth: [9, 70], rings: 3, cogs: 14 } as const

/** What is wrong with a set of gears. */
export type GearSetFault = 'no-ring' | 'no-cog' | 'too-many' | 'teeth' | 'twice'

/** What is wrong with a set of gears, and with which tooth count; undefined where it can be. */
export function gearSetFault({
  rings,
  cogs,
}: GearSet): { readonly fault: GearSetFault; readonly teeth?: number } | undefined {
  if (rings.length === 0) return { fault: 'no-ring' }
  if (cogs.length === 0) return { fault: 'no-cog' }
  if (rings.length > BENCH_BOUNDS.rings || cogs.length > BENCH_BOUNDS.cogs) return { fault: 'too-many' }
  const [least, most] = BENCH_BOUNDS.teeth
  const odd = [...rings, ...cogs].find((teeth) => !Number.isInteger(teeth) || teeth < least || teeth > most)
  if (odd !== undefined) return { fault: 'teeth', teeth: odd }
  const twice = [rings, cogs].flatMap((list) => list.filter((one, i) => list.indexOf(one) !== i))[0]
  return twice === undefined ? undefined : { fault: 'twice', teeth: twice }
}

/**
 * All gears of a set (methods 10): ratio, development, speed at a cadence, steps, what is crossed and what is double.
 * @param circumferenceMm of the wheel, over 0
 * @param cadenceRpm 0 or more
 * @throws RangeError for a set that cannot be: see {@link gearSetFault}
 */
export function gearBench(set: GearSet, circumferenceMm: number, cadenceRpm: number): Bench {
  const fault = gearSetFault(set)
  if (fault) throw new RangeError(`These gears cannot be: ${fault.fault}.`)
  const rings = [...set.rings].sort((a, b) => a - b)
  const cogs = [...set.cogs].sort((a, b) => a - b)
  const sorted = { rings, cogs }
  const hardToEasy = [...cogs].reverse()
  const gears = rings.flatMap((ring) =>
    hardToEasy.map((cog, i): BenchGear => {
      const made = gear(circumferenceMm, ring, cog, cadenceRpm)
      const next = hardToEasy[i + 1]
      const isDouble = rings.some(
        (other) =>
          other > ring &&
          cogs.some(
            (its) => !isCrossed(sorted, other, its) && Math.abs(Math.log(other / its / made.ratio)) < SAME,
          ),
      )
      return {
        ring,
        cog,
        ...made,
        isCrossed: isCrossed(sorted, ring, cog),
        isDouble,
        ...(next !== undefined && { stepPercent: 100 * (cog / next - 1) }),
      }
    }),
  )
  const byRatio = [...gears].sort((a, b) => a.ratio - b.ratio)
  const [lowest, highest] = [byRatio[0], byRatio.at(-1)]
  if (!lowest || !highest) throw new RangeError('There are no gears.')
  return {
    gears,
    lowest,
    highest,
    range: highest.ratio / lowest.ratio,
    widestStepPercent: Math.max(0, ...gears.map(({ stepPercent = 0 }) => stepPercent)),
    useful: gears.filter(({ isCrossed: crossed, isDouble }) => !crossed && !isDouble).length,
  }
}

/** The cadence at a speed in a gear, crank turns a minute. @param developmentM over 0 */
export const cadenceOf = (speedKmh: number, developmentM: number): number =>
  (speedKmh * 1000) / 60 / developmentM
