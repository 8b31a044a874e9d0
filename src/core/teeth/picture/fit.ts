import { newPlaced, place, riseAlong, strongestRise } from './edge.ts'
import type { Gradients } from './gradients.ts'
import { addRow, emptySums, hold, middleOf, solved, tukey } from './least-squares.ts'
import { tiltOf, type Pose } from './pose.ts'
import type { ProfilePoint } from './profile.ts'

/** A part as it is found in a picture: where it lies, and how far its flanks have worn. */
export interface Fitted {
  readonly pose: Pose
  /** What each side of the valleys has receded by at the pitch circle, mm. */
  readonly worn: readonly [number, number]
  /** How far inside the outline edges are seen all round, mm: bevels, and what a lens and a camera's own sharpening do. */
  readonly insetMm: number
  /** How surely both sides' wear together is told, mm, as a standard deviation. */
  readonly sdMm: number
  /** So much of the part's side, where the camera sees it, is taken for the part itself. */
  readonly wall: number
  /** Which way the part's back shows: along the way it is foreshortened, or against it. */
  readonly back: -1 | 1
}

/** One point of the outline, and the edge that was found by it. */
export interface FoundPoint {
  readonly valley: number
  readonly point: ProfilePoint
  /** How far along the normal out of the metal the edge lies beyond the model's, mm. */
  readonly offMm: number
  readonly strength: number
  /** How wide it is, as a standard deviation, mm. */
  readonly widthMm: number
  readonly pxPerMm: number
  /** Of the fit's unknowns: how the point moves along its normal with each, px. */
  readonly row: Float64Array
}

/** How well a fit and a picture agree. */
export interface Agreement {
  /** How strong those edges are, over the picture's usual. */
  readonly edge: number
  /** How far the edges are from the model, mm, in the middle; and how wide they are. */
  readonly residualMm: number
  readonly widthMm: number
}

const WORN_PRIOR = { mean: 0.15, sd: 0.4 }
const INSET_PRIOR = { mean: 0.02, sd: 0.02 }
/** Of what the part's tilt would show of a part this thick, so much is taken for its edge. */
const THICKNESS_MM = 1.8
const WALL_PRIOR = { mean: 0.3, sd: 0.5 }
/** Points all round share what the model has wrong: so many say something of their own, each so exactly, mm. */
const INDEPENDENT = 12
const MODEL_SD_MM = 0.02
/** Perspective of a usual picture, per mm. */
const PERSPECTIVE_SD = 2e-4
/** Errors beyond so many usual ones say nothing; beyond so many mm they cost no more. */
const TUKEY = 3
const CAP_MM = 0.15
const UNKNOWNS = 12

/** What a blur of so many pixels in all moves the edge of a bent outline by, towards the inside of the bend, px. */
const BLUR_PX = 1.4
const blurShift = (bend: number, pxPerMm: number): number => (BLUR_PX ** 2 * bend) / (2 * pxPerMm)

/** How far the part's back shows beyond its front, px: along the way it is foreshortened, to the one side or the other. */
function wallOf(pose: Pose, back: -1 | 1): readonly [number, number] {
  const { pxPerMm, tiltDeg, along } = tiltOf(pose)
  const far = back * THICKNESS_MM * pxPerMm * Math.sin((tiltDeg * Math.PI) / 180)
  return [far * along[0], far * along[1]]
}

const STEPS_PER_PX = 2

/**
 * Looks for every point's edge at a fit: the rises along the normals of neighbouring valleys are added up first, so that grain and
 * noise count less.
 * @param wide so many valleys either side
 */
export function findPoints(
  gradients: Gradients,
  profile: readonly ProfilePoint[],
  teeth: number,
  { pose, worn, insetMm, wall, back }: Fitted,
  reachMm: number,
  wide: number,
): FoundPoint[] {
  const full = wallOf(pose, back)
  const { pxPerMm: px } = tiltOf(pose)
  const steps = Math.ceil(reachMm * px * STEPS_PER_PX)
  const stepMm = reachMm / steps
  const size = 2 * steps + 1
  const rises = new Float32Array(teeth * profile.length * size)
  const seen = new Uint8Array(teeth * profile.length)
  const [placed, edge, sum] = [newPlaced(), new Float64Array(3), new Float32Array(size)]
  const rows: Float64Array[] = []
  const scales = new Float64Array(teeth * profile.length)
  for (let valley = 0; valley < teeth; valley++)
    profile.forEach((point, i) => {
      place(pose, point, (2 * Math.PI * valley) / teeth, worn, placed)
      const { X, Y, at, nx, ny, pxPerMm, moved } = placed
      const facing = Math.max(0, full[0] * nx + full[1] * ny)
      const [x, y] = [at[0] as number, at[1] as number]
      const expected = wall * facing - insetMm * pxPerMm + blurShift(point.bend, pxPerMm)
      at[0] = x + expected * nx
      at[1] = y + expected * ny
      const to = valley * profile.length + i
      seen[to] = riseAlong(gradients, placed, steps, stepMm * pxPerMm, rises, to * size) ? 1 : 0
      scales[to] = pxPerMm
      const w = 1 + (pose[6] as number) * X + (pose[7] as number) * Y
      const view = -(nx * x + ny * y) / w
      rows.push(
        Float64Array.of(
          (nx * X) / w,
          (nx * Y) / w,
          nx / w,
          (ny * X) / w,
          (ny * Y) / w,
          ny / w,
          view * X,
          view * Y,
          point.side === -1 ? moved : 0,
          point.side === 1 ? moved : 0,
          -pxPerMm,
          facing,
        ),
      )
    })
  const points: FoundPoint[] = []
  for (let valley = 0; valley < teeth; valley++)
    profile.forEach((point, i) => {
      const own = valley * profile.length + i
      if (!seen[own]) return
      sum.fill(0)
      let count = 0
      for (let k = -wide; k <= wide; k++) {
        const one = ((valley + k + teeth) % teeth) * profile.length + i
        if (!seen[one]) continue
        count++
        for (let j = 0; j < size; j++) sum[j] = (sum[j] as number) + (rises[one * size + j] as number)
      }
      if (!strongestRise(sum, steps, edge)) return
      points.push({
        valley,
        point,
        offMm: (edge[0] as number) * stepMm,
        strength: (edge[1] as number) / count,
        widthMm: (edge[2] as number) * stepMm,
        pxPerMm: scales[own] as number,
        row: rows[own] as Float64Array,
      })
    })
  return points
}

/** So many valleys either side say the same of a part of so many teeth. */
export const neighboursOf = (teeth: number): number => Math.max(1, Math.round(teeth / WIDE))
const WIDE = 14

/** How well points found agree with the fit they were found at. */
export function agreementOf(points: readonly FoundPoint[]): Agreement {
  const near = points.filter(({ offMm }) => Math.abs(offMm) < 0.3)
  return {
    edge: middleOf(near.map(({ strength }) => strength)),
    residualMm: middleOf(points.map(({ offMm }) => Math.abs(offMm))),
    widthMm: middleOf(near.map(({ widthMm }) => widthMm)),
  }
}

/**
 * Fits a part's outline to the edges of a picture, along the normals: robust steps of Gauss and Newton over its pose and the wear
 * of either side.
 * @param reachesMm how far either side edges are looked for, step by step
 */
export function fitPart(
  gradients: Gradients,
  profile: readonly ProfilePoint[],
  teeth: number,
  start: Fitted,
  reachesMm: readonly number[],
): Fitted {
  let fitted = start
  for (const reach of reachesMm) {
    const points = findPoints(gradients, profile, teeth, fitted, reach, neighboursOf(teeth))
    if (points.length < 3 * UNKNOWNS) break
    const usual = middleOf(points.map(({ strength }) => strength))
    const spread = Math.max(0.05, 1.5 * middleOf(points.map(({ offMm }) => Math.abs(offMm))))
    const px = points[0]?.pxPerMm ?? 1
    const each = INDEPENDENT / points.length / (MODEL_SD_MM * px) ** 2
    const sums = emptySums(UNKNOWNS)
    for (const { row, offMm, strength, pxPerMm } of points)
      addRow(sums, row, offMm * pxPerMm, each * tukey(offMm, TUKEY * spread) * Math.min(1, strength / usual))
    const { pose, worn, insetMm, wall, back } = fitted
    hold(sums, 8, WORN_PRIOR.mean - worn[0], WORN_PRIOR.sd ** -2)
    hold(sums, 9, WORN_PRIOR.mean - worn[1], WORN_PRIOR.sd ** -2)
    hold(sums, 10, INSET_PRIOR.mean - insetMm, INSET_PRIOR.sd ** -2)
    hold(sums, 11, WALL_PRIOR.mean - wall, WALL_PRIOR.sd ** -2)
    for (const i of [6, 7]) hold(sums, i, -(pose[i] ?? 0), PERSPECTIVE_SD ** -2)
    const step = solved(sums)
    if (!step) break
    const by = (i: number): number => step.values[i] ?? 0
    const sum =
      (step.covariance[8]?.[8] ?? 0) + (step.covariance[9]?.[9] ?? 0) + 2 * (step.covariance[8]?.[9] ?? 0)
    fitted = {
      back,
      sdMm: Math.sqrt(sum),
      pose: pose.map((value, i) => value + by(i)),
      worn: [worn[0] + by(8), worn[1] + by(9)],
      insetMm: insetMm + by(10),
      wall: Math.max(0, Math.min(1.2, wall + by(11))),
    }
  }
  return fitted
}

/** How far from likely a fit is: its edges' errors and its own unknowns', in squares of standard deviations. */
export function costOf(points: readonly FoundPoint[], { worn, insetMm, wall }: Fitted): number {
  const errors = points.reduce((sum, { offMm }) => sum + Math.min(CAP_MM, Math.abs(offMm)) ** 2, 0)
  return (
    (INDEPENDENT * errors) / points.length / MODEL_SD_MM ** 2 +
    ((worn[0] - WORN_PRIOR.mean) / WORN_PRIOR.sd) ** 2 +
    ((worn[1] - WORN_PRIOR.mean) / WORN_PRIOR.sd) ** 2 +
    ((insetMm - INSET_PRIOR.mean) / INSET_PRIOR.sd) ** 2 +
    ((wall - WALL_PRIOR.mean) / WALL_PRIOR.sd) ** 2
  )
}
