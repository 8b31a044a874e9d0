import { sprocketGeometry } from '../geometry.ts'
import { halfSpace } from '../outline.ts'

/** A point of a new valley's outline: where it is, which way the outline goes there, and how wear moves it. */
export interface ProfilePoint {
  /** Angle from the valley's middle, and distance from the centre, mm. */
  readonly angle: number
  readonly radius: number
  /** The outline's direction there, by angle and by radius, a unit vector. */
  readonly tangential: number
  readonly radial: number
  /** Which flank. */
  readonly side: -1 | 1
  /** So much of the wear at the pitch circle, 0 to 1. */
  readonly share: number
  /** How the outline bends there, per mm: more than 0 round the seat, less on the flank, whose centre lies in the metal. */
  readonly bend: number
}

/** Flanks are trusted up to so far below the least tip circle, mm: tips are cut, worn and bevelled. */
const BELOW_TIP_MM = 0.35
const STEP_MM = 0.3
const FINENESS = 6

/**
 * What share of the wear at the pitch circle there is at a radius: it falls in a straight line to half, at the root and at the
 * largest tip circle (methods 5).
 */
export function wearShare(teeth: number, radiusMm: number): number {
  const shape = sprocketGeometry(teeth)
  const pitch = shape.pitchDiameterMm / 2
  const span = radiusMm < pitch ? shape.seatRadiusMm : shape.tipMaxMm / 2 - pitch
  return 1 - 0.5 * Math.min(1, Math.abs(radiusMm - pitch) / span)
}

/** A new valley, evenly sampled along its outline. */
export function valleyProfile(teeth: number): readonly ProfilePoint[] {
  const end = sprocketGeometry(teeth).tipMinMm / 2 - BELOW_TIP_MM
  const half = halfSpace(teeth, FINENESS)
  const shape = sprocketGeometry(teeth)
  // The seating arc ends where its tangent stands across half the seating angle.
  const seatEnd = (shape.seatAngleDeg / 2) * (Math.PI / 180)
  const seatEndX = shape.seatRadiusMm * Math.sin(seatEnd)
  const points: ProfilePoint[] = []
  let left = STEP_MM / 2
  for (let i = 0; i + 1 < half.length; i++) {
    const [a, b] = [half[i], half[i + 1]]
    if (!a || !b) continue
    const length = Math.hypot(b.x - a.x, b.y - a.y)
    for (; left < length; left += STEP_MM) {
      const t = left / length
      const [x, y] = [a.x + t * (b.x - a.x), a.y + t * (b.y - a.y)]
      const radius = Math.hypot(x, y)
      if (radius > end) break
      const angle = Math.atan2(x, y)
      const [ux, uy] = [(b.x - a.x) / length, (b.y - a.y) / length]
      const tangential = ux * Math.cos(angle) - uy * Math.sin(angle)
      const radial = ux * Math.sin(angle) + uy * Math.cos(angle)
      const share = wearShare(teeth, radius)
      const bend = x <= seatEndX ? 1 / shape.seatRadiusMm : -1 / shape.flankRadiusMm
      points.push({ angle, radius, tangential, radial, side: 1, share, bend })
      points.push({ angle: -angle, radius, tangential: -tangential, radial, side: -1, share, bend })
    }
    left -= length
  }
  return points
}
