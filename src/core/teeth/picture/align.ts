import { newPlaced, place } from './edge.ts'
import { gradientAt, type Gradients } from './gradients.ts'
import { addRow, emptySums, hold, middleOf, solved, tukey } from './least-squares.ts'
import { project, type Pose } from './pose.ts'
import type { ProfilePoint } from './profile.ts'

/** How a part was laid over a picture, tooth by tooth. */
export interface Aligned {
  readonly pose: Pose
  /** How strong the steps along its outline are, over the usual. */
  readonly strength: number
}

/** The searches, one after another: how far each valley is moved either way, and in what steps, mm. */
const SEARCHES = [
  { reachMm: 3, stepMm: 0.5 },
  { reachMm: 2.4, stepMm: 0.4 },
  { reachMm: 1.6, stepMm: 0.4 },
  { reachMm: 0.9, stepMm: 0.3 },
  { reachMm: 0.6, stepMm: 0.2 },
]
const USUAL_WEAR: readonly [number, number] = [0.15, 0.15]
/** Every so many points of a valley are looked at: its neighbours say the same here. */
const EVERY = 3
/** One bright speck must not outweigh a valley. */
const MOST_STEEP = 6
/** A lens that near and a tilt that great make no more perspective than this, per mm. */
const PERSPECTIVE_SD = 4e-4

/**
 * Lays a part over a picture, from a rough place: each valley with its neighbours is moved about as a whole until steps lie along
 * it, of either way round, and the part's pose follows the valleys.
 */
export function alignPart(
  gradients: Gradients,
  profile: readonly ProfilePoint[],
  teeth: number,
  start: Pose,
): Aligned {
  const points = profile.filter((_, i) => (i >> 1) % EVERY === 0)
  let pose = start
  let strength = 0
  for (const { reachMm, stepMm } of SEARCHES) {
    const found = movedValleys(gradients, points, teeth, pose, reachMm, stepMm)
    strength = middleOf(found.map((one) => one.strength))
    const moved = follow(pose, found, teeth)
    if (!moved) break
    pose = moved
  }
  return { pose, strength }
}

interface MovedValley {
  readonly valley: number
  /** mm along the circle, and outward. */
  readonly along: number
  readonly out: number
  readonly strength: number
}

/** How strong the steps along each valley are, moved by every step: valleys × moves. */
function strengths(
  gradients: Gradients,
  points: readonly ProfilePoint[],
  teeth: number,
  pose: Pose,
  steps: number,
  stepMm: number,
): Float64Array {
  const side = 2 * steps + 1
  const sums = new Float64Array(teeth * side * side)
  const [placed, held] = [newPlaced(), new Float64Array(2)]
  for (let valley = 0; valley < teeth; valley++) {
    const middle = (2 * Math.PI * valley) / teeth
    const [c, s] = [Math.cos(middle), Math.sin(middle)]
    for (const point of points) {
      place(pose, point, middle, USUAL_WEAR, placed)
      const { at, nx, ny } = placed
      const [a, b, d, e] = [at[2] as number, at[3] as number, at[4] as number, at[5] as number]
      const [alongX, alongY] = [stepMm * (-a * s + b * c), stepMm * (-d * s + e * c)]
      const [outX, outY] = [stepMm * (a * c + b * s), stepMm * (d * c + e * s)]
      for (let i = -steps; i <= steps; i++)
        for (let j = -steps; j <= steps; j++) {
          gradientAt(
            gradients,
            (at[0] as number) + i * alongX + j * outX,
            (at[1] as number) + i * alongY + j * outY,
            held,
          )
          const across = (held[0] as number) * nx + (held[1] as number) * ny
          const to = valley * side * side + (i + steps) * side + j + steps
          sums[to] = (sums[to] as number) + Math.max(-MOST_STEEP, Math.min(MOST_STEEP, across))
        }
    }
  }
  return sums.map((sum) => Math.abs(sum) / points.length)
}

/** Where each valley lies best, its neighbours taken along. */
function movedValleys(
  gradients: Gradients,
  points: readonly ProfilePoint[],
  teeth: number,
  pose: Pose,
  reachMm: number,
  stepMm: number,
): MovedValley[] {
  const steps = Math.round(reachMm / stepMm)
  const side = 2 * steps + 1
  const all = strengths(gradients, points, teeth, pose, steps, stepMm)
  const wide = Math.max(1, Math.round(teeth / 14))
  const value = (valley: number, i: number, j: number): number => {
    let sum = 0
    for (let k = -wide; k <= wide; k++) {
      const one = (valley + k + teeth) % teeth
      sum += all[one * side * side + i * side + j] as number
    }
    return sum / (2 * wide + 1)
  }
  return Array.from({ length: teeth }, (_, valley) => {
    let [best, bestI, bestJ] = [-1, steps, steps]
    for (let i = 0; i < side; i++)
      for (let j = 0; j < side; j++) {
        // What is nearer is likelier.
        const far = Math.hypot(i - steps, j - steps) / steps
        const one = value(valley, i, j) * Math.exp(-0.3 * far * far)
        if (one <= best) continue
        best = one
        bestI = i
        bestJ = j
      }
    return {
      valley,
      along: (bestI - steps) * stepMm,
      out: (bestJ - steps) * stepMm,
      strength: value(valley, bestI, bestJ),
    }
  })
}

/** The pose that takes every valley where it was found, as well as one part can. */
function follow(pose: Pose, found: readonly MovedValley[], teeth: number): Pose | undefined {
  const radius = teeth * 2.02
  const at = new Float64Array(6)
  const observed = found.flatMap(({ valley, along, out, strength }) => {
    const middle = (2 * Math.PI * valley) / teeth
    const [c, s] = [Math.cos(middle), Math.sin(middle)]
    const [X, Y] = [radius * c, radius * s]
    project(pose, X, Y, at)
    const [dX, dY] = [out * c - along * s, out * s + along * c]
    const [x, y] = [at[0] as number, at[1] as number]
    const w = 1 + (pose[6] as number) * X + (pose[7] as number) * Y
    return [
      {
        row: [X / w, Y / w, 1 / w, 0, 0, 0, (-x * X) / w, (-x * Y) / w],
        off: (at[2] as number) * dX + (at[3] as number) * dY,
        weight: strength,
      },
      {
        row: [0, 0, 0, X / w, Y / w, 1 / w, (-y * X) / w, (-y * Y) / w],
        off: (at[4] as number) * dX + (at[5] as number) * dY,
        weight: strength,
      },
    ]
  })
  const pxPerMm = Math.hypot(pose[0] as number, pose[3] as number)
  let step: number[] | undefined
  for (let round = 0; round < 4; round++) {
    const last = step
    const errors = observed.map(({ row, off }) =>
      last ? off - row.reduce((sum, one, i) => sum + one * (last[i] as number), 0) : 0,
    )
    const spread = last ? Math.max(0.25 * pxPerMm, 1.5 * middleOf(errors.map(Math.abs))) : Infinity
    const sums = emptySums(8)
    observed.forEach(({ row, off, weight }, i) => {
      addRow(sums, row, off, weight * (last ? tukey(errors[i] as number, 3 * spread) : 1))
    })
    for (const i of [6, 7]) hold(sums, i, -(pose[i] as number), (pxPerMm * 0.3) ** 2 / PERSPECTIVE_SD ** 2)
    step = solved(sums)?.values
    if (!step) return undefined
  }
  return pose.map((value, i) => value + (step?.[i] ?? 0))
}
