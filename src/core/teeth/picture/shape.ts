import { sprocketGeometry } from '../geometry.ts'
import { halfSpace } from '../outline.ts'
import { isBetweenWhole, type SeenTooth } from './ends.ts'
import type { Fitted, FoundPoint } from './fit.ts'
import { middleOf } from './least-squares.ts'
import { wearShare } from './profile.ts'

/** Edges further off than this are something else's, mm. */
const OFF_MM = 0.6

/** Each valley's own excess at the pitch circle, mm: the whole part's, and what its own edges are off by; not a number where none is seen. */
export function excessByValley({ worn }: Fitted, points: readonly FoundPoint[], teeth: number): number[] {
  const offs = new Map<number, number[]>()
  for (const { valley, point, offMm } of points) {
    if (Math.abs(offMm) >= OFF_MM) continue
    const key = 2 * valley + (point.side === 1 ? 1 : 0)
    const all = offs.get(key) ?? []
    // An edge further out of the metal than the model's leaves the valley narrower.
    all.push(-offMm / (point.share * Math.max(0.3, Math.abs(point.radial))))
    offs.set(key, all)
  }
  return Array.from(
    { length: teeth },
    (_, valley) =>
      worn[0] + worn[1] + middleOf(offs.get(2 * valley) ?? []) + middleOf(offs.get(2 * valley + 1) ?? []),
  )
}

/** So many of the worst valleys are told, where they are worse than the middle by more than this and worn at all, mm. */
const MARKED = 3
const WORSE_MM = 0.12
const WORN_MM = 0.25

/** The valleys that are clearly more worn than the rest, the worst first; at most three. */
export const worstValleys = (
  byValley: readonly number[],
  teeth: readonly SeenTooth[],
  middleMm: number,
): readonly number[] =>
  byValley
    .map((mm, valley) => ({ mm, valley }))
    .filter(({ mm, valley }) => mm > Math.max(WORN_MM, middleMm + WORSE_MM) && isBetweenWhole(teeth, valley))
    .sort((a, b) => b.mm - a.mm)
    .slice(0, MARKED)
    .map(({ valley }) => valley)

/**
 * How far the middle of a tooth leans at mid height, degrees from upright: the flank that has worn less stands where it stood, the
 * other has gone back. Towards the side of the greater angle where more than 0.
 */
export function leanDeg(teeth: number, [left, right]: readonly [number, number]): number {
  const shape = sprocketGeometry(teeth)
  const pitch = shape.pitchDiameterMm / 2
  const root = pitch - shape.seatRadiusMm
  const moved = ((right - left) / 2) * (wearShare(teeth, pitch) - wearShare(teeth, root))
  return (Math.atan2(moved, pitch - root) * 180) / Math.PI
}

/** How wide a tooth still is where it ends, mm: 0 where its flanks meet. */
export function landMm(teeth: number, excessMm: number, endRadiusMm: number): number {
  const half = halfSpace(teeth, 4)
  let angle = 0
  for (let i = 0; i + 1 < half.length; i++) {
    const [a, b] = [half[i], half[i + 1]]
    if (!a || !b) continue
    const [from, to] = [Math.hypot(a.x, a.y), Math.hypot(b.x, b.y)]
    if (from > endRadiusMm || to < from) continue
    const t = Math.min(1, (endRadiusMm - from) / Math.max(1e-9, to - from))
    angle = Math.atan2(a.x + t * (b.x - a.x), a.y + t * (b.y - a.y))
  }
  const width = (2 * Math.PI * endRadiusMm) / teeth - 2 * angle * endRadiusMm
  return Math.max(0, width - excessMm * wearShare(teeth, endRadiusMm))
}
