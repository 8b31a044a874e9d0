import { agreementOf, costOf, findPoints, fitPart, neighboursOf, type Agreement, type Fitted } from './fit.ts'
import { gradientsOf, type Gradients } from './gradients.ts'
import { unlikeMetal } from './metal.ts'
import type { Colours } from './pixels.ts'
import type { Pose } from './pose.ts'
import type { ProfilePoint } from './profile.ts'

/** A fit, and how well it agrees with the picture. */
export interface Settled {
  readonly fitted: Fitted
  readonly gradients: Gradients
  readonly agreed: Agreement
  readonly cost: number
}

const START = { worn: [0.1, 0.1], insetMm: 0.02, wall: 0, back: 1, sdMm: 0.5 } as const
/** How far edges are looked for, mm, step by step: at first, and once the part is found. */
const FIRST_REACHES = [1, 0.8, 0.7, 0.6, 0.5]
const REACHES = [0.5, 0.5, 0.5, 0.4, 0.4, 0.4]
/** Edges count as seen within so far, mm. */
const SEEN_MM = 0.5
/** Where a fit costs more than this, it may hang on a shadow: others are started from so far round about, mm, some smaller. */
const DOUBTFUL_COST = 110
const ROUND_MM = 1
const ROUND = 8
const SIZES = [1, 0.97]
/** So many of the best go on. */
const KEPT = 3

/** The poses round about one: moved every way, and flat to the camera. */
function posesRound(pose: Pose): Pose[] {
  const far = ROUND_MM * Math.hypot(pose[0] as number, pose[3] as number)
  return SIZES.flatMap((size) =>
    Array.from({ length: ROUND }, (_, k) => {
      const turn = (2 * Math.PI * k) / ROUND
      const moved = Float64Array.from(pose, (value, i) => (i < 6 && i % 3 < 2 ? size * value : value))
      moved[2] = (pose[2] as number) + far * Math.cos(turn)
      moved[5] = (pose[5] as number) + far * Math.sin(turn)
      moved[6] = 0
      moved[7] = 0
      return moved
    }),
  )
}

const cheapest = (all: readonly Settled[]): readonly Settled[] => [...all].sort((a, b) => a.cost - b.cost)

/**
 * Fits a part to a picture from a rough pose; from others round about too, where the first leaves much unexplained. What the metal
 * looks like is learned anew as the pose gets better.
 */
export function settle(
  colours: Colours,
  profile: readonly ProfilePoint[],
  teeth: number,
  start: Pose,
): Settled | undefined {
  const wide = neighboursOf(teeth)
  const edgesAt = (pose: Pose): Gradients => gradientsOf(unlikeMetal(colours, teeth, pose))
  const fitFrom = (from: Fitted, gradients: Gradients, reaches: readonly number[]): Settled => {
    const fitted = fitPart(gradients, profile, teeth, from, reaches)
    const points = findPoints(gradients, profile, teeth, fitted, SEEN_MM, wide)
    return {
      fitted,
      gradients,
      agreed: agreementOf(points),
      cost: costOf(points, fitted),
    }
  }
  const first = edgesAt(start)
  const tried = [fitFrom({ ...START, pose: start }, first, FIRST_REACHES)]
  if (tried.some(({ cost }) => cost > DOUBTFUL_COST))
    for (const pose of posesRound(start)) tried.push(fitFrom({ ...START, pose }, first, FIRST_REACHES))
  const again = cheapest(tried)
    .slice(0, KEPT)
    .map(({ fitted }) => {
      const gradients = edgesAt(fitted.pose)
      const once = fitFrom(fitted, gradients, REACHES)
      return once.cost > DOUBTFUL_COST ? fitFrom(once.fitted, gradients, [...REACHES, ...REACHES]) : once
    })
  const best = cheapest(again)[0]
  if (!best) return undefined
  const gradients = edgesAt(best.fitted.pose)
  return cheapest(([1, -1] as const).map((back) => fitFrom({ ...best.fitted, back }, gradients, REACHES)))[0]
}
