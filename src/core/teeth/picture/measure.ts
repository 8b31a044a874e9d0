import { toEnd, type JobStep } from '../../job.ts'
import { sprocketGeometry } from '../geometry.ts'
import { alignPart } from './align.ts'
import type { Comb } from './comb.ts'
import { isBetweenWhole, seenTeeth, type SeenTooth } from './ends.ts'
import { anySteps, combsIn } from './find.ts'
import { findPoints } from './fit.ts'
import { middleOf } from './least-squares.ts'
import { unlikeMetal } from './metal.ts'
import { blurred, coloursOf, cut, halved, type Colours, type Pixels } from './pixels.ts'
import { boxOf, cutAt, flatPose, scaled, tiltOf, type Pose } from './pose.ts'
import { valleyProfile } from './profile.ts'
import { settle } from './settle.ts'
import { excessByValley, landMm, leanDeg } from './shape.ts'

/** Why a picture cannot be measured. */
export type PictureFault =
  'none-found' | 'other-count' | 'several' | 'tilted' | 'cut-off' | 'blurred' | 'too-small'

/** What a picture tells of a sprocket. */
export interface MeasuredPicture {
  /** What the valleys are wider than new at the pitch circle, mm: their middle, shift aids set aside; how surely; and valley by valley. */
  readonly valleyExcessMm: number
  readonly sdMm: number
  readonly byValley: readonly number[]
  /** What either side of the valleys has receded by, mm: told apart less surely than both together. */
  readonly wornMm: readonly [number, number]
  /** How far teeth lean, degrees, and how wide they are where they end, mm. */
  readonly leanDeg: number
  readonly landMm: number
  /** Every tooth; t stands between the valleys t and t + 1. */
  readonly teeth: readonly SeenTooth[]
  readonly tiltDeg: number
  readonly pxPerMm: number
  /** Where the part lies, in pixels of the picture as it was given. */
  readonly pose: Pose
}

/** A measurement, or why there is none; where the count was another, which. */
export type PictureAnswer =
  { readonly measured: MeasuredPicture } | { readonly fault: PictureFault; readonly counted?: number }

/** Pixels along the longer side to be measured in, and how far they are blurred first, px. */
const FINE = 1600
const BLUR_PX = 1.2
/** The least picture that is looked at, px. */
const LEAST_SIDE = 120
/** Found outlines have edges at least so strong over the usual, and lie this near, mm. */
const LEAST_EDGE = 1.4
const MOST_RESIDUAL_MM = 0.1
/** Wider edges come of a blurred picture, mm and px; what they were blurred here is taken off first. */
const MOST_WIDTH_MM = 0.45
const MOST_WIDTH_PX = 4.6
const MOST_TILT_DEG = 15
const LEAST_PX_PER_MM = 2.2
/** So large a share of the outline must be in the picture. */
const LEAST_SEEN = 0.9
/** Fewer valleys with a whole tooth on both sides are no measurement of the part, as a share. */
const LEAST_COUNTED = 1 / 3
/** Beyond the tips so much is kept of the picture, mm. */
const MARGIN_MM = 6
/** Measurements vary by so much more than their edges tell, mm: bevels, shadows and what a part's side looks like. */
const OTHER_SD_MM = 0.09

/** A fit that costs more than this leaves something unexplained: a shadow taken for metal, perhaps. */
const USUAL_COST = 80

/** Both ways a comb can lie: metal brighter than what is behind it, or darker. */
function startsOf({ centre, pxPerMm, valley }: Comb, teeth: number, by: number): readonly Pose[] {
  const [x, y] = [(centre.x + 0.5) * by - 0.5, (centre.y + 0.5) * by - 0.5]
  return [valley, valley + Math.PI / teeth].map((turned) => flatPose(x, y, pxPerMm * by, turned))
}

/** Where the part roughly is, in the colours' pixels; or why it is not to be found. */
function roughly(
  colours: Colours,
  teeth: number,
): { readonly pose: Pose } | { readonly fault: PictureFault; readonly counted?: number } {
  const mid = halved(colours)
  const found = combsIn(halved(mid), teeth)
  if ('none' in found) return { fault: 'none-found' }
  if ('counted' in found) return { fault: 'other-count', counted: found.counted }
  if ('several' in found) return { fault: 'several' }
  const profile = valleyProfile(teeth)
  const steps = anySteps(mid, 1)
  const best = found.combs
    .flatMap((comb) => startsOf(comb, teeth, 2))
    .map((start) => alignPart(steps, profile, teeth, start))
    .sort((a, b) => b.strength - a.strength)[0]
  return best ? { pose: scaled(best.pose, 2) } : { fault: 'none-found' }
}

/** Measures the part at a rough pose in colours. @yields before the longest piece of work */
function* measuredAt(
  whole: Colours,
  teeth: number,
  rough: Pose,
): Generator<JobStep, PictureAnswer, undefined> {
  const [{ width, height }] = whole
  const box = boxOf(rough, sprocketGeometry(teeth).tipMaxMm / 2 + MARGIN_MM, width, height)
  if (box.width < 32 || box.height < 32) return { fault: 'cut-off' }
  const [red, green, blue] = whole
  const soft: Colours = [
    blurred(cut(red, box), BLUR_PX),
    blurred(cut(green, box), BLUR_PX),
    blurred(cut(blue, box), BLUR_PX),
  ]
  yield { done: 2, of: STEPS }
  const profile = valleyProfile(teeth)
  const settled = settle(soft, profile, teeth, cutAt(rough, box.x, box.y))
  if (!settled) return { fault: 'none-found' }
  const { fitted, gradients, agreed } = settled
  if (agreed.edge < LEAST_EDGE || agreed.residualMm > MOST_RESIDUAL_MM) return { fault: 'none-found' }
  const { tiltDeg, pxPerMm } = tiltOf(fitted.pose)
  if (tiltDeg > MOST_TILT_DEG) return { fault: 'tilted' }
  if (pxPerMm < LEAST_PX_PER_MM) return { fault: 'too-small' }
  const widthMm = Math.sqrt(Math.max(0, agreed.widthMm ** 2 - (BLUR_PX / pxPerMm) ** 2))
  if (widthMm > MOST_WIDTH_MM || widthMm * pxPerMm > MOST_WIDTH_PX) return { fault: 'blurred' }
  const points = findPoints(gradients, profile, teeth, fitted, 0.5, 0)
  if (points.length < LEAST_SEEN * teeth * profile.length) return { fault: 'cut-off' }
  const seen = seenTeeth(unlikeMetal(soft, teeth, fitted.pose), teeth, fitted.pose, fitted.worn)
  const byValley = excessByValley(fitted, points, teeth)
  const counted = byValley.filter(
    (excess, valley) => Number.isFinite(excess) && isBetweenWhole(seen.teeth, valley),
  )
  if (counted.length < LEAST_COUNTED * teeth) return { fault: 'none-found' }
  const valleyExcessMm = middleOf(counted)
  return {
    measured: {
      valleyExcessMm,
      sdMm: Math.hypot(fitted.sdMm, OTHER_SD_MM) * Math.max(1, Math.sqrt(settled.cost / USUAL_COST)),
      byValley,
      wornMm: fitted.worn,
      leanDeg: leanDeg(teeth, fitted.worn),
      landMm: landMm(teeth, valleyExcessMm, seen.endRadiusMm),
      teeth: seen.teeth,
      tiltDeg,
      pxPerMm,
      pose: cutAt(fitted.pose, -box.x, -box.y),
    },
  }
}

/** A picture, and what is known of what is in it. */
export interface PictureQuestion extends Pixels {
  /** Teeth of the sprocket, as they were counted. */
  readonly teeth: number
  /** Where it lies, if that is known, in the picture's pixels: laid there by hand. */
  readonly near?: Pose
}

const STEPS = 3

/**
 * Measures the wear of a cog or ring in a picture taken about flat to it.
 * @returns by steps, the measurement, or why there is none
 */
export function* pictureSteps({
  teeth,
  near,
  ...pixels
}: PictureQuestion): Generator<JobStep, PictureAnswer, undefined> {
  if (Math.min(pixels.width, pixels.height) < LEAST_SIDE) return { fault: 'too-small' }
  yield { done: 0, of: STEPS }
  const { colours, by } = coloursOf(pixels, FINE)
  yield { done: 1, of: STEPS }
  const rough = near ? { pose: scaled(near, 1 / by) } : roughly(colours, teeth)
  if ('fault' in rough) return rough
  const answer = yield* measuredAt(colours, teeth, rough.pose)
  if ('fault' in answer) return answer
  const { measured } = answer
  return { measured: { ...measured, pxPerMm: measured.pxPerMm * by, pose: scaled(measured.pose, by) } }
}

/** The same in one go. */
export const measurePicture = (pixels: Pixels, teeth: number, near?: Pose): PictureAnswer =>
  toEnd(pictureSteps({ ...pixels, teeth, ...(near && { near }) }))
