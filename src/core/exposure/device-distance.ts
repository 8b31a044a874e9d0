import { MAX_SPEED_MS, type TrackPoint } from './track-point.ts'

/** Why a device's own distance is not used: it jumps as no bike does, or it is far from what the track says. */
export type DeviceFault = 'impossible' | 'unlike-track'

/** A device's own distance, km, and whether it can be. */
export interface DeviceDistance {
  readonly km: number
  readonly fault?: DeviceFault
}

/** A step may be this much too long, m: distances are written a second late, or in steps of a wheel's turn. */
const SLACK_M = 60
/** Falling by less than this is rounding, m. */
const FALL_M = 5

/**
 * A device's running distance over a track (methods 12), summed where it grows. A new segment may begin at 0 again; any
 * other fall, and a step that no bike goes, is a fault of the file.
 * @returns undefined where fewer than two points carry one
 */
export function runningDistance(segments: readonly (readonly TrackPoint[])[]): DeviceDistance | undefined {
  let held = 0
  let metres = 0
  let isWild = false
  let before: { readonly m: number; readonly s: number } | undefined
  for (const segment of segments) {
    let isFirst = true
    for (const { distanceM: m, timeS: s } of segment) {
      if (m === undefined) continue
      held++
      if (before) {
        const step = m - before.m
        const seconds = s - before.s
        // Without times nothing tells how far it can have come.
        const most = Number.isNaN(seconds) ? Infinity : MAX_SPEED_MS * Math.max(0, seconds) + SLACK_M
        if (step > most || (step < -FALL_M && !isFirst)) isWild = true
        else if (step > 0) metres += step
      }
      before = { m, s }
      isFirst = false
    }
  }
  if (held < 2) return undefined
  return { km: metres / 1000, ...(isWild && { fault: 'impossible' as const }) }
}

/** So far apart, as a factor, the device and the track do not speak of one ride. */
const UNLIKE = 1.5
/** Shorter differences are nothing, km. */
const NEAR_KM = 0.2
/** A track of fewer fixes than this share of its points is no measure of a distance. */
const PLACED = 0.9

/**
 * A device's distance held against the track.
 * @param trackKm by the positions
 * @param placed share of the points with a position, 0 to 1
 * @param elapsedS from start to end
 */
export function checkedDistance(
  device: DeviceDistance,
  trackKm: number,
  placed: number,
  elapsedS: number,
): DeviceDistance {
  const { km } = device
  if (device.fault) return device
  if (!Number.isFinite(km) || km * 1000 > MAX_SPEED_MS * elapsedS + SLACK_M)
    return { km, fault: 'impossible' }
  if (placed < PLACED || Math.abs(km - trackKm) <= NEAR_KM) return device
  const isUnlike = km > UNLIKE * trackKm || km < trackKm / UNLIKE
  return isUnlike ? { km, fault: 'unlike-track' } : device
}
