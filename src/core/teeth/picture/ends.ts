import { sprocketGeometry } from '../geometry.ts'
import { middleOf } from './least-squares.ts'
import type { Plane } from './pixels.ts'
import { project, type Pose } from './pose.ts'
import { wearShare } from './profile.ts'

/** A tooth as a picture shows it: whole, ending early by design (a shift aid), or not to be seen. */
export type SeenTooth = 'whole' | 'short' | 'hidden'

/** All teeth of a part. */
export interface SeenTeeth {
  readonly teeth: readonly SeenTooth[]
  /** Where a whole tooth usually ends, mm from the centre. */
  readonly endRadiusMm: number
}

/** Whether a valley counts: with a whole tooth on both sides. Tooth t stands between the valleys t and t + 1. */
export const isBetweenWhole = (teeth: readonly SeenTooth[], valley: number): boolean =>
  teeth[valley] === 'whole' && teeth[(valley - 1 + teeth.length) % teeth.length] === 'whole'

/** How many teeth were seen, and how many of them are shift aids. */
export const seenOf = (teeth: readonly SeenTooth[]): { readonly seen: number; readonly aids: number } => ({
  seen: teeth.filter((tooth) => tooth !== 'hidden').length,
  aids: teeth.filter((tooth) => tooth === 'short').length,
})

/** A shift aid ends at least so much before its neighbours; looked at between, mm below their usual end. */
const SHORT_MM = { from: 1.05, to: 0.35 }
/** A shift aid usually ends so much early, mm, and shows so much of what is behind; told by the sum of both. */
const AID_MM = 0.9
const AID_GAP = 0.45
const AID = 0.8
/** Or so many times as much as they differ in the middle. */
const SPREAD = 5
/** Ends are looked for so finely, mm. */
const STEP_MM = 0.05
/** Rays either side of a tooth's middle, mm. */
const RAYS_MM = [-0.25, 0, 0.25]
/** A tooth's foot lies so far inside the pitch circle, mm: it is metal whatever its end is like. */
const FOOT_MM = 1.2

function valueAt({ width, height, values }: Plane, x: number, y: number): number {
  const [i, j] = [Math.round(x), Math.round(y)]
  return i >= 0 && j >= 0 && i < width && j < height ? (values[j * width + i] as number) : NaN
}

/**
 * What each tooth of a fitted part is like: judged by whether there is still metal shortly below where its neighbours end.
 * @param plane as `unlikeMetal` gives it
 * @param worn what either side of the valleys has receded by, mm: a worn tooth's end leans
 * @returns tooth t stands between the valleys t and t + 1
 */
export function seenTeeth(
  plane: Plane,
  teeth: number,
  pose: Pose,
  worn: readonly [number, number],
): SeenTeeth {
  const shape = sprocketGeometry(teeth)
  const pitch = shape.pitchDiameterMm / 2
  const least = pitch + 0.3
  const most = shape.tipMaxMm / 2 + 0.6
  const at = new Float64Array(6)
  const leanMm = (worn[1] - worn[0]) / 2
  const unlike = (tooth: number, radius: number): number => {
    const values = RAYS_MM.map((aside) => {
      const angle =
        (2 * Math.PI * (tooth + 0.5)) / teeth + (leanMm * wearShare(teeth, radius) + aside) / radius
      project(pose, radius * Math.cos(angle), radius * Math.sin(angle), at)
      return valueAt(plane, at[0] as number, at[1] as number)
    })
    return values.reduce((a, b) => a + b, 0) / values.length
  }
  const mean = (tooth: number, from: number, to: number): number => {
    let [sum, count] = [0, 0]
    for (let r = from; r <= to + 1e-9; r += STEP_MM) {
      sum += unlike(tooth, r)
      count++
    }
    return sum / count
  }
  const all = Array.from({ length: teeth }, (_, tooth) => tooth)
  const foot = all.map((tooth) => mean(tooth, pitch - FOOT_MM - 0.5, pitch - FOOT_MM + 0.5))
  const beyond = all.map((tooth) => mean(tooth, most + 0.3, most + 0.9))
  const usualFoot = middleOf(foot.filter(Number.isFinite))
  const usualBeyond = middleOf(beyond.filter(Number.isFinite))
  const half = (usualFoot + usualBeyond) / 2
  // Where a tooth ends: the metal before it, what is behind after it.
  const ends = all.map((tooth) => {
    let [best, end] = [0, NaN]
    for (let r = least; r <= most; r += STEP_MM) {
      const step = unlike(tooth, r + 0.2) - unlike(tooth, r - 0.2)
      if (step <= best) continue
      best = step
      end = r
    }
    return end
  })
  const near = Math.max(3, Math.round(teeth / 8))
  const locally = (values: readonly number[], tooth: number): number =>
    middleOf(
      Array.from(
        { length: 2 * near + 1 },
        (_, k) => values[(tooth + k - near + teeth) % teeth] as number,
      ).filter(Number.isFinite),
    )
  // How much of what is behind shows where the neighbours still have metal.
  const gaps = all.map((tooth) => {
    const usual = locally(ends, tooth)
    return (mean(tooth, usual - SHORT_MM.from, usual - SHORT_MM.to) - usualFoot) / (usualBeyond - usualFoot)
  })
  // Where the ends are made out badly, more is asked of one that is called short.
  const spreadOf = (values: readonly number[]): number =>
    SPREAD *
    middleOf(
      all
        .map((tooth) => Math.abs((values[tooth] as number) - locally(values, tooth)))
        .filter(Number.isFinite),
    )
  const [endMm, gap] = [Math.max(AID_MM, spreadOf(ends)), Math.max(AID_GAP, spreadOf(gaps))]
  const found = all.map((tooth): SeenTooth => {
    if (!((foot[tooth] as number) < half)) return 'hidden'
    const early = (locally(ends, tooth) - (ends[tooth] as number)) / endMm
    const open = ((gaps[tooth] as number) - locally(gaps, tooth)) / gap
    return Math.max(-0.5, early) + open > AID ? 'short' : 'whole'
  })
  return {
    teeth: found,
    endRadiusMm: middleOf(ends.filter((end, tooth) => Number.isFinite(end) && found[tooth] === 'whole')),
  }
}
