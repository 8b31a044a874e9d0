import { sprocketGeometry } from './geometry.ts'
import { halfSpace, type Point } from './outline.ts'

/** The share of the wear at the pitch circle that a flank has at root and tip. */
const AT_ENDS = 0.5

/** How much of the wear at the pitch circle a flank has at a radius, 0 to 1. */
function shareAt(radius: number, root: number, pitch: number, tip: number): number {
  const far = radius < pitch ? (pitch - radius) / (pitch - root) : (radius - pitch) / (tip - pitch)
  return 1 - (1 - AT_ENDS) * Math.min(1, Math.max(0, far))
}

/** A rack of teeth: the rim of a sprocket laid flat, as the chain sees it. */
export interface Rack {
  /** mm along the pitch circle and out from the root circle, from the middle of one valley to that of another. */
  readonly outline: readonly Point[]
  readonly lengthMm: number
  readonly heightMm: number
}

/**
 * Some teeth of a sprocket laid flat, one flank of each worn (methods 5): it recedes by the valley's excess at the pitch circle,
 * by half of that at root and tip, and where it meets the other flank below the tip circle the tooth ends in a point. Seen from
 * the drive side, the top of the sprocket moving to the right: a cog's left flanks wear, a ring's right ones.
 * @param excessMm what each valley is wider than new at the pitch circle, mm, 0 or more
 * @param count so many teeth
 * @throws RangeError for a tooth count that cannot be
 */
export function toothRack(teeth: number, role: 'cog' | 'ring', excessMm: number, count: number): Rack {
  const shape = sprocketGeometry(teeth)
  const pitch = shape.pitchDiameterMm / 2
  const root = pitch - shape.seatRadiusMm
  const half = halfSpace(teeth)
  const tip = Math.max(...half.map(({ x, y }) => Math.hypot(x, y)))
  const pitchMm = (2 * Math.PI * pitch) / teeth
  const flat = half.map(({ x, y }) => ({ x: Math.atan2(x, y) * pitch, y: Math.hypot(x, y) - root }))
  const worn = flat.map(({ x, y }) => ({
    x: x + (excessMm * shareAt(y + root, root, pitch, tip) * pitch) / (y + root),
    y,
  }))
  // A valley's right flank is the left face of the tooth beside it.
  const [left, right] = role === 'cog' ? [flat, worn] : [worn, flat]
  const tooth = toothOf(right, left, pitchMm)
  const outline = Array.from({ length: count }, (_, t) =>
    tooth.map(({ x, y }) => ({ x: x + t * pitchMm, y })),
  ).flat()
  return { outline, lengthMm: count * pitchMm, heightMm: tip - root }
}

/** A shift aid is cut off at about this share of a tooth's height. Ours, for a drawing: every maker cuts his own. */
const AID_HEIGHT = 0.6

/** A tooth that is cut short by design, to let the chain climb over it, laid flat as new. */
export function shiftAidRack(teeth: number): Rack {
  const { outline, lengthMm, heightMm } = toothRack(teeth, 'cog', 0, 1)
  return {
    outline: outline.map(({ x, y }) => ({ x, y: Math.min(y, AID_HEIGHT * heightMm) })),
    lengthMm,
    heightMm,
  }
}

/** Up one flank of a tooth and down the other: to the tip, or to where they meet below it. */
function toothOf(right: readonly Point[], left: readonly Point[], pitchMm: number): Point[] {
  const widthAt = (i: number): number => pitchMm - (left[i]?.x ?? 0) - (right[i]?.x ?? 0)
  const met = right.findIndex((_, i) => widthAt(i) <= 0)
  if (met < 1) return [...right, ...[...left].reverse().map(({ x, y }) => ({ x: pitchMm - x, y }))]
  const [below, above] = [widthAt(met - 1), widthAt(met)]
  const t = below / (below - above)
  const between = (a: Point | undefined, b: Point | undefined): Point => ({
    x: (a?.x ?? 0) + t * ((b?.x ?? 0) - (a?.x ?? 0)),
    y: (a?.y ?? 0) + t * ((b?.y ?? 0) - (a?.y ?? 0)),
  })
  return [
    ...right.slice(0, met),
    between(right[met - 1], right[met]),
    ...left
      .slice(0, met)
      .reverse()
      .map(({ x, y }) => ({ x: pitchMm - x, y })),
  ]
}
