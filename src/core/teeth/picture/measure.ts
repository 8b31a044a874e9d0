import { sprocketGeometry } from '../geometry.ts'
import { likelyCentres } from './centre.ts'
import { bestComb, combAt, likelyCombs, type Comb } from './comb.ts'
import { findPoints, fitPart, type Fitted } from './fit.ts'
import { gradientAt, gradientsOf, type Gradients } from './gradients.ts'
import { blurred, shrunk, type Pixels } from './pixels.ts'
import { flatPose, project, tiltOf, type Pose } from './pose.ts'
import { valleyProfile } from './profile.ts'

/** Why a picture cannot be measured. */
export type PictureFault = 'none-found' | 'tilted' | 'cut-off' | 'too-small'

/** What a picture tells of a sprocket. */
export interface MeasuredPicture {
  /** What the valleys are wider than new at the pitch circle, mm: their middle, shift aids set aside; and valley by valley. */
  readonly valleyExcessMm: number
  readonly byValley: readonly number[]
  /** Teeth whose ends were seen, and those left out as shift aids. */
  readonly teethSeen: number
  readonly setAside: readonly number[]
  readonly tiltDeg: number
  readonly pxPerMm: number
  /** Where the part lies, in pixels of the picture as it was given. */
  readonly pose: Pose
}

/** Pixels along the longer side: to be measured in, to find the comb in, to look everywhere in. */
const FINE = 1600
const COARSE = 400
const TINY = 200
/** Found outlines have edges at least so strong over the usual, and lie this near, mm. */
const LEAST_EDGE = 1.4
const MOST_RESIDUAL_MM = 0.075
const MOST_TILT_DEG = 15
const LEAST_PX_PER_MM = 2.2
/** So large a share of the outline must be in the picture. */
const LEAST_SEEN = 0.9
/** Teeth that end so much before the others are shift aids, mm. */
const SHORT_MM = 0.7

/** The likeliest combs, each found in the coarse picture. */
function combsIn(pixels: Pixels, teeth: number): { readonly combs: readonly Comb[]; readonly by: number } {
  const coarse = shrunk(pixels, COARSE)
  const tiny = shrunk(pixels, TINY)
  const gradients = gradientsOf(blurred(coarse.picture, 1))
  const scale = tiny.by / coarse.by
  const places = [
    ...likelyCentres(gradients, 4),
    ...likelyCombs(gradientsOf(blurred(tiny.picture, 0.8)), teeth, 4).map(({ centre }) => ({
      x: (centre.x + 0.5) * scale - 0.5,
      y: (centre.y + 0.5) * scale - 0.5,
    })),
  ]
  const combs = places
    .flatMap((place) => combAt(gradients, place, teeth) ?? [])
    .sort((a, b) => b.strength - a.strength)
    .slice(0, 2)
    .flatMap(({ centre }) => bestComb(gradients, [centre], teeth) ?? [])
  return { combs, by: coarse.by }
}

const scoreOf = ({ edge, found, residualMm }: Fitted): number => (edge * found) / (residualMm + 0.02)

/** Where each tooth ends, mm from the centre; not a number where no end is to be seen. */
function toothEnds(gradients: Gradients, teeth: number, pose: Pose, sign: number): number[] {
  const shape = sprocketGeometry(teeth)
  const [from, to] = [shape.pitchDiameterMm / 2, shape.tipMaxMm / 2 + 0.6]
  const [at, held] = [new Float64Array(6), new Float64Array(2)]
  return Array.from({ length: teeth }, (_, tooth) => {
    const angle = (2 * Math.PI * (tooth + 0.5)) / teeth
    const [c, s] = [Math.cos(angle), Math.sin(angle)]
    let [best, end] = [0, NaN]
    for (let r = from; r <= to; r += 0.05) {
      project(pose, r * c, r * s, at)
      gradientAt(gradients, at[0] as number, at[1] as number, held)
      const [ox, oy] = [
        (at[2] as number) * c + (at[3] as number) * s,
        (at[4] as number) * c + (at[5] as number) * s,
      ]
      const across = (sign * ((held[0] as number) * ox + (held[1] as number) * oy)) / Math.hypot(ox, oy)
      if (across <= best) continue
      best = across
      end = r
    }
    return best >= LEAST_EDGE / 2 ? end : NaN
  })
}

const medianOf = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[values.length >> 1] ?? NaN

/** Each valley's own excess: the whole part's, and what its own edges are off by. */
function excessByValley(fitted: Fitted, points: ReturnType<typeof findPoints>, teeth: number): number[] {
  const sideOf = (valley: number, side: -1 | 1): number =>
    medianOf(
      points
        .filter((one) => one.valley === valley && one.point.side === side && Math.abs(one.offMm) < 0.6)
        // A flank that has gone further than the model's stands further out of the valley: into the metal.
        .map(({ offMm, point }) => -offMm / (point.share * Math.max(0.3, Math.abs(point.along.radial)))),
    )
  const [left, right] = fitted.worn
  return Array.from({ length: teeth }, (_, valley) => left + right + sideOf(valley, -1) + sideOf(valley, 1))
}

/**
 * Measures the wear of a cog or ring in a picture taken about flat to it.
 * @param teeth of the sprocket, as it was counted
 * @returns the measurement, or why there is none
 */
export function measurePicture(
  pixels: Pixels,
  teeth: number,
): { readonly measured: MeasuredPicture } | { readonly fault: PictureFault } {
  if (Math.min(pixels.width, pixels.height) < 120) return { fault: 'too-small' }
  const { combs, by: coarseBy } = combsIn(pixels, teeth)
  const { picture, by } = shrunk(pixels, FINE)
  const gradients = gradientsOf(blurred(picture, 1.2))
  const profile = valleyProfile(teeth)
  const scale = coarseBy / by
  const fits = combs.flatMap(({ centre, pxPerMm, valley }) =>
    ([-1, 1] as const).map((sign) => {
      const turned = valley + (sign === 1 ? Math.PI / teeth : 0)
      const [x, y] = [(centre.x + 0.5) * scale - 0.5, (centre.y + 0.5) * scale - 0.5]
      return {
        sign,
        fitted: fitPart(gradients, profile, teeth, flatPose(x, y, pxPerMm * scale, turned), sign),
      }
    }),
  )
  const best = fits.sort((a, b) => scoreOf(b.fitted) - scoreOf(a.fitted))[0]
  if (!best || best.fitted.edge < LEAST_EDGE || best.fitted.residualMm > MOST_RESIDUAL_MM)
    return { fault: 'none-found' }
  const { fitted, sign } = best
  const { tiltDeg, pxPerMm } = tiltOf(fitted.pose)
  if (tiltDeg > MOST_TILT_DEG) return { fault: 'tilted' }
  if (pxPerMm < LEAST_PX_PER_MM) return { fault: 'too-small' }
  const points = findPoints(gradients, profile, teeth, fitted, 0.6, sign)
  if (points.length < LEAST_SEEN * teeth * profile.length) return { fault: 'cut-off' }
  const ends = toothEnds(gradients, teeth, fitted.pose, sign)
  const seen = ends.filter(Number.isFinite)
  const usual = medianOf(seen)
  const setAside = ends.flatMap((end, tooth) => (end < usual - SHORT_MM ? [tooth] : []))
  const byValley = excessByValley(fitted, points, teeth)
  // Tooth t stands between valleys t and t + 1.
  const isBeside = (valley: number): boolean =>
    setAside.some((tooth) => tooth === valley || (tooth + 1) % teeth === valley)
  const counted = byValley.filter((excess, valley) => Number.isFinite(excess) && !isBeside(valley))
  return {
    measured: {
      valleyExcessMm: medianOf(counted),
      byValley,
      teethSeen: seen.length,
      setAside,
      tiltDeg,
      pxPerMm: pxPerMm * by,
      pose: fitted.pose.map((value, i) => (i < 6 ? value * by : value)),
    },
  }
}
