import { sprocketGeometry } from '../geometry.ts'
import { halfSpace } from '../outline.ts'

/** A point of a new valley's outline: where it is, which way its normal points out of the metal, and how wear moves it. */
export interface ProfilePoint {
  /** Angle from the valley's middle, and distance from the centre, mm. */
  readonly angle: number
  readonly radius: number
  /** The outline's direction there, by angle and by radius, a unit vector. */
  readonly along: { readonly tangential: number; readonly radial: number }
  /** Which flank: one side, the other, or the seat between. */
  readonly side: -1 | 0 | 1
  /** So much of the wear at the pitch circle, 0 to 1. */
  readonly share: number
}

/** Flanks are trusted up to so far below the least tip circle, mm: tips are cut, worn and bevelled. */
const BELOW_TIP_MM = 0.35
const STEP_MM = 0.3

/** A new valley, evenly sampled along its outline. */
export function valleyProfile(teeth: number): readonly ProfilePoint[] {
  const shape = sprocketGeometry(teeth)
  const pitch = shape.pitchDiameterMm / 2
  const root = pitch - shape.seatRadiusMm
  const tip = shape.tipMinMm / 2
  const half = halfSpace(teeth)
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
      if (radius > tip - BELOW_TIP_MM) break
      const angle = Math.atan2(x, y)
      const [ux, uy] = [(b.x - a.x) / length, (b.y - a.y) / length]
      const tangential = ux * Math.cos(angle) - uy * Math.sin(angle)
      const radial = ux * Math.sin(angle) + uy * Math.cos(angle)
      const far = radius < pitch ? (pitch - radius) / (pitch - root) : (radius - pitch) / (tip - pitch)
      const share = 1 - 0.5 * Math.min(1, Math.max(0, far))
      // The seat moves with both flanks and tells neither.
      const side = radius < root + 0.5 ? 0 : 1
      points.push({ angle, radius, along: { tangential, radial }, side, share })
      points.push({
        angle: -angle,
        radius,
        along: { tangential: -tangential, radial },
        side: side === 0 ? 0 : -1,
        share,
      })
    }
    left -= length
  }
  return points
}
