import type { TrackPoint } from '../src/core/exposure/track-point.ts'
import { seededRandom } from '../src/core/stats/random.ts'

/** What a simulated ride is ridden on. */
export const RIDDEN = { rings: [44], cogs: [11, 13, 15, 17, 20, 23, 26, 30], circumferenceMm: 2105 } as const

const GRAVITY = 9.81
const DEGREE_M = 111_195

/**
 * A ride as a device would write it every second: a rider of steady strength over hills, who shifts to keep his cadence,
 * rolls downhill and stops at lights. Position, height, cadence and power.
 * @param seconds how long, s
 * @param startS s since 1970
 */
export function ridden(
  seed: number,
  seconds: number,
  startS = Date.UTC(2026, 2, 9, 7, 30) / 1000,
): TrackPoint[] {
  const random = seededRandom(seed)
  const massKg = random.between(70, 95)
  const strengthW = random.between(120, 220)
  const hill = random.between(500, 1500)
  const steep = random.between(0.01, 0.05)
  const points: TrackPoint[] = []
  let [x, v] = [0, 0]
  let stopFor = 0
  let cog = 4
  for (let t = 0; t < seconds; t++) {
    const slope = steep * Math.sin((2 * Math.PI * x) / hill)
    const heightM = 200 - ((steep * hill) / (2 * Math.PI)) * Math.cos((2 * Math.PI * x) / hill)
    if (stopFor > 0) stopFor--
    else if (v > 3 && random.between(0, 400) < 1) stopFor = 25
    const isRolling = stopFor > 0 || v > 11
    let powerW = isRolling
      ? 0
      : strengthW * (1 + 0.5 * Math.max(-1, Math.min(1, slope / 0.04))) * random.between(0.9, 1.1)
    if (v < 1 && !isRolling) powerW = 150
    const brakes = stopFor > 10 ? 0.25 * massKg * GRAVITY : 0
    const drive = (0.96 * powerW) / Math.max(1.5, v)
    const force = drive - massKg * GRAVITY * (slope + 0.006) - 0.231 * v * v - brakes
    v = Math.max(0, v + force / massKg)
    x += v
    const rpmOn = (n: number): number =>
      ((v / (RIDDEN.circumferenceMm / 1000)) * 60 * (RIDDEN.cogs[n] ?? 30)) / RIDDEN.rings[0]
    while (cog > 0 && rpmOn(cog) > 95) cog--
    while (cog < RIDDEN.cogs.length - 1 && rpmOn(cog) < 72) cog++
    points.push({
      lat: 44 + x / DEGREE_M,
      lon: 10,
      timeS: startS + t,
      heightM: Math.round(heightM * 10) / 10,
      cadenceRpm: powerW > 0 ? Math.round(rpmOn(cog)) : 0,
      powerW: Math.round(powerW),
    })
  }
  return points
}

/** A ride as a device writes it that is sparing: every so many seconds. */
export const every = (points: readonly TrackPoint[], seconds: number): TrackPoint[] =>
  points.filter((_, i) => i % seconds === 0)

/** A ride as a device writes it that waits for something to change: after one to eight seconds. */
export function nowAndThen(points: readonly TrackPoint[], seed: number): TrackPoint[] {
  const random = seededRandom(seed)
  let next = 0
  return points.filter((_, i) => {
    if (i < next) return false
    next = i + 1 + Math.floor(random.between(0, 7.99))
    return true
  })
}
