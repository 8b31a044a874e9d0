import { greatCircleM, MAX_SPEED_MS, type TrackPoint } from './track-point.ts'

/** The steepest stretch of a ride, %, over each length; 0 or more. */
export interface SteepStretches {
  readonly m50: number
  readonly m200: number
  readonly m1000: number
}

/** The lengths, m. */
export const STEEP_LENGTHS = { m50: 50, m200: 200, m1000: 1000 } as const

/** Heights are laid out every so many metres, each the mean of what lies within so many metres of it: barometers step, receivers jump. */
const [GRID_M, SMOOTH_M] = [10, 25]
/** Steeper than this no road is: a receiver's error. */
const STEEPEST_PERCENT = 45
/** A stretch without a point for this long tells nothing of its hill, m. */
const MOST_GAP_M = 120

interface Profile {
  readonly atM: number[]
  readonly heightM: number[]
}

/** Distance and height along the pieces of a segment that are whole. */
function profilesOf(points: readonly TrackPoint[]): Profile[] {
  const profiles: Profile[] = []
  let now: Profile = { atM: [], heightM: [] }
  let last: TrackPoint | undefined
  let metres = 0
  for (const point of points) {
    const { lat, lon, heightM, timeS } = point
    if (heightM === undefined || !Number.isFinite(heightM) || Number.isNaN(lat) || Number.isNaN(lon)) continue
    const step = last ? greatCircleM(last, point) : 0
    const seconds = last ? timeS - last.timeS : 1
    const isWhole = last !== undefined && step <= MOST_GAP_M && !(step > MAX_SPEED_MS * Math.max(1, seconds))
    if (last && !isWhole) {
      profiles.push(now)
      now = { atM: [], heightM: [] }
      metres = 0
    } else metres += step
    // Several points on one spot count once.
    if (step > 0.5 || now.atM.length === 0) {
      now.atM.push(metres)
      now.heightM.push(heightM)
      last = point
    }
  }
  return [...profiles, now]
}

/** Heights every {@link GRID_M}, smoothed. */
function gridOf({ atM, heightM }: Profile): number[] {
  const end = atM.at(-1) ?? 0
  const raw: number[] = []
  let i = 0
  for (let at = 0; at <= end; at += GRID_M) {
    while (i < atM.length - 2 && (atM[i + 1] ?? 0) < at) i++
    const [a, b] = [atM[i] ?? 0, atM[i + 1] ?? atM[i] ?? 0]
    const [ha, hb] = [heightM[i] ?? 0, heightM[i + 1] ?? heightM[i] ?? 0]
    raw.push(b > a ? ha + ((hb - ha) * (at - a)) / (b - a) : ha)
  }
  const half = Math.floor(SMOOTH_M / GRID_M)
  return raw.map((_, k) => {
    const near = raw.slice(Math.max(0, k - half), k + half + 1)
    return near.reduce((sum, one) => sum + one, 0) / near.length
  })
}

/** The steepest climb over a length, %: the slope of the line of least squares through the heights there. */
function steepest(grid: readonly number[], lengthM: number): number {
  const count = Math.round(lengthM / GRID_M) + 1
  if (grid.length < count) return 0
  const middle = (count - 1) / 2
  const spread = (count * (count * count - 1)) / 12
  let best = 0
  for (let from = 0; from + count <= grid.length; from++) {
    let sum = 0
    for (let k = 0; k < count; k++) sum += (k - middle) * (grid[from + k] ?? 0)
    const percent = (100 * sum) / (spread * GRID_M)
    if (percent <= STEEPEST_PERCENT && percent > best) best = percent
  }
  return best
}

/**
 * The steepest stretches of a ride, for choosing its lowest gear: over 50, 200 and 1000 m, by least squares through heights that are
 * laid out every 10 m and smoothed over 50.
 * @returns undefined where the ride has no heights
 */
export function steepStretches(segments: readonly (readonly TrackPoint[])[]): SteepStretches | undefined {
  const grids = segments
    .flatMap(profilesOf)
    .map(gridOf)
    .filter((grid) => grid.length > 5)
  if (grids.length === 0) return undefined
  const of = (lengthM: number): number =>
    Math.round(10 * Math.max(0, ...grids.map((grid) => steepest(grid, lengthM)))) / 10
  return { m50: of(STEEP_LENGTHS.m50), m200: of(STEEP_LENGTHS.m200), m1000: of(STEEP_LENGTHS.m1000) }
}
