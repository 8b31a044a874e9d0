import { gradientAt, type Gradients } from './gradients.ts'
import { project, type Pose } from './pose.ts'
import type { ProfilePoint } from './profile.ts'

/** A point of a worn part's outline as it lies in a picture; filled anew for every point. */
export interface Placed {
  /** In mm about the part's centre. */
  X: number
  Y: number
  /** In pixels, as `project` fills it. */
  readonly at: Float64Array
  /** The normal out of the metal, in the picture, a unit vector; and pixels per mm along it. */
  nx: number
  ny: number
  pxPerMm: number
  /** How far the point moves along the normal, px, for each mm of wear of its own flank. */
  moved: number
}

/** An empty place to fill. */
export const newPlaced = (): Placed => ({
  X: 0,
  Y: 0,
  at: new Float64Array(6),
  nx: 0,
  ny: 0,
  pxPerMm: 1,
  moved: 0,
})

/**
 * Places a point of a valley: each flank has receded along the circle, by its share of the wear at the pitch circle.
 * @param middle the angle of the valley's middle
 * @param worn what either side has receded by, mm
 */
export function place(
  pose: Pose,
  point: ProfilePoint,
  middle: number,
  worn: readonly [number, number],
  to: Placed,
): void {
  const { radius, share, side, tangential, radial } = point
  const angle = middle + point.angle + (side * share * worn[side === 1 ? 1 : 0]) / radius
  const c = Math.cos(angle)
  const s = Math.sin(angle)
  // Out of the metal is into the valley: left of the way outward along the right flank, right of it along the left.
  const normalT = -side * radial
  const normalR = side * tangential
  const nX = -normalT * s + normalR * c
  const nY = normalT * c + normalR * s
  to.X = radius * c
  to.Y = radius * s
  const at = to.at
  project(pose, to.X, to.Y, at)
  const [a, b, d, e] = [at[2] as number, at[3] as number, at[4] as number, at[5] as number]
  // The way along the outline maps as it is; the normal in the picture stands across it.
  const tx = -a * nY + b * nX
  const ty = -d * nY + e * nX
  const length = Math.sqrt(tx * tx + ty * ty)
  let nx = ty / length
  let ny = -tx / length
  let px = nx * (a * nX + b * nY) + ny * (d * nX + e * nY)
  if (px < 0) {
    nx = -nx
    ny = -ny
    px = -px
  }
  to.nx = nx
  to.ny = ny
  to.pxPerMm = Math.max(1e-6, px)
  to.moved = side * share * (nx * (-a * s + b * c) + ny * (-d * s + e * c))
}

const held = new Float64Array(2)

/**
 * How steeply a plane rises out of the metal along a placed point's normal, at so many steps either side of it.
 * @param to filled from `from` on, 2 steps + 1 numbers
 * @returns false where any of it lies out of the picture
 */
export function riseAlong(
  gradients: Gradients,
  { at, nx, ny }: Placed,
  steps: number,
  stepPx: number,
  to: Float32Array,
  from: number,
): boolean {
  const x = at[0] as number
  const y = at[1] as number
  const edge = steps * stepPx + 2
  if (!(x >= edge && y >= edge && x <= gradients.width - edge - 1 && y <= gradients.height - edge - 1))
    return false
  for (let i = -steps; i <= steps; i++) {
    const d = i * stepPx
    gradientAt(gradients, x + d * nx, y + d * ny, held)
    to[from + i + steps] = (held[0] as number) * nx + (held[1] as number) * ny
  }
  return true
}

/**
 * The strongest rise along a normal, those nearer first.
 * @param to filled with where it lies, in steps from the middle, how strong it is, and how wide, as the standard deviation in steps
 * @returns false where there is none
 */
export function strongestRise(rises: Float32Array, steps: number, to: Float64Array): boolean {
  let best = 0
  let where = 0
  for (let i = -steps; i <= steps; i++) {
    const near = i / steps
    const score = (rises[i + steps] as number) * Math.exp(-0.5 * near * near)
    if (score <= best) continue
    best = score
    where = i
  }
  if (best <= 0 || where === -steps || where === steps) return false
  const middle = where + steps
  const [before, here, after] = [
    rises[middle - 1] as number,
    rises[middle] as number,
    rises[middle + 1] as number,
  ]
  const curve = before + after - 2 * here
  const peak = curve < 0 ? (0.5 * (before - after)) / curve : 0
  to[0] = where + Math.max(-1, Math.min(1, peak))
  to[1] = here
  // Of a bell curve the second derivative at the top is its height over its variance.
  to[2] = curve < 0 ? Math.sqrt(-here / curve) : steps
  return true
}
