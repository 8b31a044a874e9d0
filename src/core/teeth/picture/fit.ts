import { gradientAt, type Gradients } from './gradients.ts'
import { project, type Pose } from './pose.ts'
import type { ProfilePoint } from './profile.ts'

/** A part as it is found in a picture: where it lies, and how far its flanks have worn. */
export interface Fitted {
  readonly pose: Pose
  /** What each side of the valleys has receded by at the pitch circle, mm. */
  readonly worn: readonly [number, number]
  /** Share of the outline's points with an edge where the model has it. */
  readonly found: number
  /** How strong those edges are, over the picture's usual. */
  readonly edge: number
  /** How far the edges are from the model, mm, in the middle. */
  readonly residualMm: number
}

/** One point of the outline, and the edge that was found by it. */
export interface FoundPoint {
  readonly valley: number
  readonly point: ProfilePoint
  /** How far along the normal out of the metal the edge lies beyond the model's, mm. */
  readonly offMm: number
  readonly strength: number
}

/** The searches, one after another: how far either side, mm. */
const REACHES = [2.4, 2.4, 2, 1.5, 1.2, 1, 0.7, 0.5, 0.5, 0.4, 0.4, 0.4]
const SAMPLES_PER_PX = 2
/** An edge against the part's own side counts so much less. */
const WRONG_WAY = 0.45
const WORN_PRIOR = { mean: 0.15, sd: 0.4 }
const PARAMETERS = 10

/** Solves a symmetric positive system in place (Gauss, pivots on the diagonal). */
function solve(matrix: Float64Array, right: Float64Array, n: number): void {
  for (let i = 0; i < n; i++) {
    const pivot = matrix[i * n + i] as number
    for (let j = i + 1; j < n; j++) {
      const by = (matrix[j * n + i] as number) / pivot
      if (by === 0) continue
      for (let k = i; k < n; k++)
        matrix[j * n + k] = (matrix[j * n + k] as number) - by * (matrix[i * n + k] as number)
      right[j] = (right[j] as number) - by * (right[i] as number)
    }
  }
  for (let i = n - 1; i >= 0; i--) {
    let sum = right[i] as number
    for (let k = i + 1; k < n; k++) sum -= (matrix[i * n + k] as number) * (right[k] as number)
    right[i] = sum / (matrix[i * n + i] as number)
  }
}

/** Where a point of a worn valley's outline is, mm, its normal out of the metal, and how it moves with each side's wear. */
function placed(point: ProfilePoint, middle: number, worn: readonly [number, number]) {
  const { radius, share, side } = point
  const [left, right] = worn
  // The seat recedes with both sides.
  const recess = side === 1 ? share * right : side === -1 ? share * left : 0
  const angle = middle + point.angle + (side * recess) / radius
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  // Out of the metal is into the valley: left of the way along the right flank, outward at the seat.
  const turn = point.angle >= 0 ? 1 : -1
  const normalT = -turn * point.along.radial
  const normalR = turn * point.along.tangential
  return {
    X: radius * c,
    Y: radius * s,
    nX: -normalT * s + normalR * c,
    nY: normalT * c + normalR * s,
    moveX: -side * share * s,
    moveY: side * share * c,
  }
}

/** Finds the edge nearest to where it should be along a point's normal; undefined out of the picture. */
function edgeBy(
  gradients: Gradients,
  at: Float64Array,
  nx: number,
  ny: number,
  reachPx: number,
  sign: number,
  held: Float64Array,
): { readonly off: number; readonly strength: number } | undefined {
  const steps = Math.max(3, Math.ceil(reachPx * SAMPLES_PER_PX))
  const [x, y] = [at[0] as number, at[1] as number]
  if (
    x < reachPx + 2 ||
    y < reachPx + 2 ||
    x > gradients.width - reachPx - 3 ||
    y > gradients.height - reachPx - 3
  )
    return undefined
  let [best, where] = [0, 0]
  const scores = new Float64Array(2 * steps + 1)
  for (let i = -steps; i <= steps; i++) {
    const d = (reachPx * i) / steps
    gradientAt(gradients, x + d * nx, y + d * ny, held)
    const across = (held[0] as number) * nx + (held[1] as number) * ny
    const score =
      Math.abs(across) * (across * sign > 0 ? 1 : WRONG_WAY) * Math.exp(-0.5 * (d / (0.6 * reachPx)) ** 2)
    scores[i + steps] = score
    if (score > best) {
      best = score
      where = i
    }
  }
  if (best <= 0) return undefined
  const [a, b, c] = [scores[where + steps - 1] ?? 0, best, scores[where + steps + 1] ?? 0]
  const peak = a + c - 2 * b < 0 ? (0.5 * (a - c)) / (a + c - 2 * b) : 0
  return { off: (reachPx * (where + Math.max(-1, Math.min(1, peak)))) / steps, strength: best }
}

/** Looks for every point's edge at a pose. */
export function findPoints(
  gradients: Gradients,
  profile: readonly ProfilePoint[],
  teeth: number,
  { pose, worn }: Pick<Fitted, 'pose' | 'worn'>,
  reachMm: number,
  sign: number,
): FoundPoint[] {
  const [at, held] = [new Float64Array(6), new Float64Array(2)]
  const points: FoundPoint[] = []
  for (let valley = 0; valley < teeth; valley++)
    for (const point of profile) {
      const { X, Y, nX, nY } = placed(point, (2 * Math.PI * valley) / teeth, worn)
      project(pose, X, Y, at)
      const { nx, ny, px } = normalIn(at, nX, nY)
      const edge = edgeBy(gradients, at, nx, ny, reachMm * px, sign, held)
      if (edge) points.push({ valley, point, offMm: edge.off / px, strength: edge.strength })
    }
  return points
}

/** A normal of the part as it is in the picture, a unit vector, and pixels per mm along it. */
function normalIn(at: Float64Array, nX: number, nY: number) {
  // The way along the outline maps as it is; the normal in the picture stands across it.
  const [tX, tY] = [-nY, nX]
  const tx = (at[2] as number) * tX + (at[3] as number) * tY
  const ty = (at[4] as number) * tX + (at[5] as number) * tY
  const length = Math.hypot(tx, ty)
  let [nx, ny] = [ty / length, -tx / length]
  const outX = (at[2] as number) * nX + (at[3] as number) * nY
  const outY = (at[4] as number) * nX + (at[5] as number) * nY
  let px = nx * outX + ny * outY
  if (px < 0) [nx, ny, px] = [-nx, -ny, -px]
  return { nx, ny, px: Math.max(1e-6, px) }
}

const medianOf = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[values.length >> 1] ?? 0

/**
 * Fits a part's outline to the edges of a picture, along the normals: robust steps of Gauss and Newton over its pose and the wear
 * of either side.
 * @param sign 1 where the picture gets brighter out of the metal, -1 where it gets darker
 */
export function fitPart(
  gradients: Gradients,
  profile: readonly ProfilePoint[],
  teeth: number,
  start: Pose,
  sign: number,
): Fitted {
  let pose = Float64Array.from(start)
  let worn: [number, number] = [0.1, 0.1]
  const [at, held] = [new Float64Array(6), new Float64Array(2)]
  const row = new Float64Array(PARAMETERS)
  let [found, edge, residualMm] = [0, 0, Infinity]
  for (const reach of REACHES) {
    const rows: {
      readonly row: Float64Array
      readonly off: number
      readonly strength: number
      readonly px: number
    }[] = []
    for (let valley = 0; valley < teeth; valley++)
      for (const point of profile) {
        const { X, Y, nX, nY, moveX, moveY } = placed(point, (2 * Math.PI * valley) / teeth, worn)
        project(pose, X, Y, at)
        const { nx, ny, px } = normalIn(at, nX, nY)
        const edgeFound = edgeBy(gradients, at, nx, ny, reach * px, sign, held)
        if (!edgeFound) continue
        const w = 1 + (pose[6] as number) * X + (pose[7] as number) * Y
        const [x, y] = [at[0] as number, at[1] as number]
        row[0] = (nx * X) / w
        row[1] = (nx * Y) / w
        row[2] = nx / w
        row[3] = (ny * X) / w
        row[4] = (ny * Y) / w
        row[5] = ny / w
        row[6] = (-(nx * x + ny * y) * X) / w
        row[7] = (-(nx * x + ny * y) * Y) / w
        const moved =
          nx * ((at[2] as number) * moveX + (at[3] as number) * moveY) +
          ny * ((at[4] as number) * moveX + (at[5] as number) * moveY)
        row[8] = point.side === -1 ? moved : 0
        row[9] = point.side === 1 ? moved : 0
        rows.push({ row: Float64Array.from(row), off: edgeFound.off, strength: edgeFound.strength, px })
      }
    if (rows.length < 3 * PARAMETERS) break
    const usual = medianOf(rows.map(({ strength }) => strength))
    const spread = Math.max(0.5, 1.5 * medianOf(rows.map(({ off }) => Math.abs(off))))
    const matrix = new Float64Array(PARAMETERS * PARAMETERS)
    const right = new Float64Array(PARAMETERS)
    for (const { row: r, off, strength } of rows) {
      // Tukey's weight: what is far off says nothing.
      const far = off / (3 * spread)
      if (Math.abs(far) >= 1) continue
      const weight = (1 - far * far) ** 2 * Math.min(1, strength / usual)
      for (let i = 0; i < PARAMETERS; i++) {
        const one = weight * (r[i] as number)
        right[i] = (right[i] as number) + one * off
        for (let j = 0; j < PARAMETERS; j++)
          matrix[i * PARAMETERS + j] = (matrix[i * PARAMETERS + j] as number) + one * (r[j] as number)
      }
    }
    const { px = 1 } = rows[0] ?? {}
    // The wear's prior, and a little of a hold on perspective, which few pixels tell.
    for (const i of [8, 9]) {
      const strength = 4 * px * px
      matrix[i * PARAMETERS + i] = (matrix[i * PARAMETERS + i] as number) + strength
      right[i] = (right[i] as number) + strength * (WORN_PRIOR.mean - (worn[i - 8] ?? 0))
    }
    for (let i = 0; i < PARAMETERS; i++)
      matrix[i * PARAMETERS + i] =
        (matrix[i * PARAMETERS + i] as number) * (i === 6 || i === 7 ? 1.02 : 1.0001) + 1e-9
    solve(matrix, right, PARAMETERS)
    pose = pose.map((value, i) => value + (right[i] as number))
    worn = [worn[0] + (right[8] as number), worn[1] + (right[9] as number)]
    const near = rows.filter(({ off, px: scale }) => Math.abs(off) < 0.3 * scale)
    found = near.length / (teeth * profile.length)
    edge = medianOf(near.map(({ strength }) => strength))
    residualMm = medianOf(rows.map(({ off, px: scale }) => Math.abs(off) / scale))
  }
  return { pose, worn, found, edge, residualMm }
}
