import type { SteepStretches } from '../exposure/steep.ts'
import type { GearSet } from './bench.ts'
import { cadenceAt, climbSpeed, type Climb } from './climb.ts'

/** How a rider breathes when the effort can be held for an hour. */
export const BREATHS = ['easy', 'steady', 'hard'] as const
export type Breath = (typeof BREATHS)[number]

/** Watts a kilogram of rider for an hour, by breath; of a rider of no special training. Ours, guesses. */
const WATTS_PER_KG: Readonly<Record<Breath, number>> = { easy: 1.4, steady: 2, hard: 2.7 }
/** A bike with its bags, kg: what of the whole mass is not the rider. Ours. */
const NOT_RIDER_KG = 17

/** Power that can be held for an hour, guessed from breath and the whole mass, W. @param massKg rider, bike and load */
export const powerByBreath = (breath: Breath, massKg: number): number =>
  Math.round(WATTS_PER_KG[breath] * Math.max(30, massKg - NOT_RIDER_KG))

/** Rolling, air and drivetrain of an ordinary bike: asphalt, upright enough, clean chain. Ours. */
export const USUAL_RIDE = { crr: 0.006, cda: 0.4, rho: 1.2, efficiency: 0.96 } as const

/** Slower than this a bike is hard to steer, km/h. Ours. */
export const WALKING_KMH = 4.5

/** What a hill asks of a set of gears. */
export interface HillAnswer {
  readonly speedKmh: number
  /** In the easiest gear. */
  readonly cadenceRpm: number
  /** The ratio that gives the slowest cadence that is still comfortable. */
  readonly neededRatio: number
  /** So slow that one would walk. */
  readonly isWalking: boolean
}

/**
 * A hill in the easiest gear of a set: how fast, at what cadence, and which ratio would be needed.
 * @param slowestRpm the slowest cadence that is still comfortable on a climb, over 0
 * @param gradePercent over 0
 * @throws RangeError for a climb that cannot be
 */
export function onHill(
  { rings, cogs }: GearSet,
  circumferenceMm: number,
  { powerW, massKg, gradePercent }: Pick<Climb, 'powerW' | 'massKg' | 'gradePercent'>,
  slowestRpm: number,
): HillAnswer {
  const climb: Climb = { powerW, massKg, gradePercent, ...USUAL_RIDE }
  const [ring, cog] = [Math.min(...rings), Math.max(...cogs)]
  const speedKmh = climbSpeed(climb)
  const cadenceRpm = cadenceAt(speedKmh, circumferenceMm, ring, cog)
  return {
    speedKmh,
    cadenceRpm,
    neededRatio: (ring / cog) * (cadenceRpm / slowestRpm),
    isWalking: speedKmh < WALKING_KMH,
  }
}

/** The steepest hill of a rider's own rides. */
export interface OwnHill {
  /** Over 200 m, %. */
  readonly gradePercent: number
  /** The same of the steepest 50 m and the steepest kilometre, %. */
  readonly over50Percent: number
  readonly over1000Percent: number
  /** Rides that told heights. */
  readonly rides: number
}

/**
 * The hill to gear for, from a rider's own rides: of the steepest 200 m of each, the steepest that is met on one ride in twenty at least, so
 * that one wrong height is not geared for.
 * @returns undefined where no ride has heights
 */
export function ownHill(rides: readonly { readonly steep?: SteepStretches }[]): OwnHill | undefined {
  const known = rides.flatMap(({ steep }) => steep ?? [])
  if (known.length === 0) return undefined
  const at = Math.floor(known.length / 20)
  const met = (over: keyof SteepStretches): number =>
    known.map((steep) => steep[over]).sort((a, b) => b - a)[at] ?? 0
  return {
    gradePercent: met('m200'),
    over50Percent: met('m50'),
    over1000Percent: met('m1000'),
    rides: known.length,
  }
}
