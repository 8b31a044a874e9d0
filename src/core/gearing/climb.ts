import { gear } from './ratio.ts'

/** Free fall, m/s² (standard gravity, CGPM 1901). */
const GRAVITY = 9.80665

/** A rider on a slope. */
export interface Climb {
  /** At the pedals, W, over 0. */
  readonly powerW: number
  /** Rider, bike and load, kg, over 0. */
  readonly massKg: number
  /** Rise over run, %; below 0 it goes down. */
  readonly gradePercent: number
  /** Rolling resistance, as a share of the load. */
  readonly crr: number
  /** Air: drag area, m², and density, kg/m³. */
  readonly cda: number
  readonly rho: number
  /** Of the drivetrain, over 0 to 1. */
  readonly efficiency: number
}

/** Faster than this nobody rides, m/s. */
const FASTEST = 100

/**
 * Speed at which power and resistance are even (methods 10): `P eta = v (m g sin + m g Crr cos + 0.5 rho CdA v^2)`. Found by
 * halving: from where the resistance is over 0 on, it grows with speed.
 * @returns km/h
 * @throws RangeError where there is no power, no mass, or nothing that resists
 */
export function climbSpeed({ powerW, massKg, gradePercent, crr, cda, rho, efficiency }: Climb): number {
  if (!(powerW > 0) || !(massKg > 0) || !(efficiency > 0))
    throw new RangeError('Power, mass and efficiency must be over 0.')
  if (![gradePercent, crr, cda, rho].every(Number.isFinite) || !(crr >= 0) || !(cda >= 0) || !(rho >= 0))
    throw new RangeError('Grade, rolling resistance and air must be numbers.')
  const slope = Math.atan(gradePercent / 100)
  const steady = massKg * GRAVITY * (Math.sin(slope) + crr * Math.cos(slope))
  const needed = (v: number): number => v * (steady + 0.5 * rho * cda * v * v)
  const given = powerW * efficiency
  let [low, high] = [0, FASTEST]
  if (needed(high) < given) throw new RangeError('Nothing here resists: the rider would go ever faster.')
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2
    if (needed(middle) < given) low = middle
    else high = middle
  }
  return 3.6 * low
}

/** Cadence in a gear at a speed, crank turns a minute. @throws RangeError for a gear that cannot be */
export const cadenceAt = (speedKmh: number, circumferenceMm: number, ring: number, cog: number): number =>
  (speedKmh * 1000) / 60 / gear(circumferenceMm, ring, cog, 0).developmentM
