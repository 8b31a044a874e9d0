import { sprocketGeometry } from '../../src/core/teeth/geometry.ts'
import { halfSpace } from '../../src/core/teeth/outline.ts'
import { wearShare } from '../../src/core/teeth/picture/profile.ts'
import type { Scene } from './scene.ts'

const STEP_MM = 0.02
/** A cut tooth ends so much early, mm. */
const CUT_MM = 1.2
/** Teeth end so far out, as a share of the way from the least tip circle to the largest. */
const TIP_SHARE = 0.2

/** Whether there is metal at a place of a part, mm about its centre; and how thick its rim and its holes are. */
export interface Part {
  readonly isMetal: (X: number, Y: number) => boolean
  readonly tipMm: number
  readonly rootMm: number
}

/** A sprocket as worn as its scene says: a bore in the middle, holes round about where there is room. */
export function partOf({ teeth, wornMm, wave, short }: Scene): Part {
  const shape = sprocketGeometry(teeth)
  const pitch = shape.pitchDiameterMm / 2
  const root = pitch - shape.seatRadiusMm
  const tip = (shape.tipMinMm + TIP_SHARE * (shape.tipMaxMm - shape.tipMinMm)) / 2
  const half = halfSpace(teeth, 6)
  // How far either side of its middle a new valley reaches, by radius.
  const count = Math.ceil((tip - root) / STEP_MM) + 2
  const reach = new Float64Array(count)
  let i = 0
  for (let k = 0; k < count; k++) {
    const radius = root + k * STEP_MM
    while (i + 2 < half.length && Math.hypot(half[i + 1]?.x ?? 0, half[i + 1]?.y ?? 0) < radius) i++
    const [a, b] = [half[i], half[i + 1]]
    if (!a || !b) continue
    const [from, to] = [Math.hypot(a.x, a.y), Math.hypot(b.x, b.y)]
    const t = to > from ? Math.min(1.5, Math.max(0, (radius - from) / (to - from))) : 0
    reach[k] = Math.atan2(a.x + t * (b.x - a.x), a.y + t * (b.y - a.y))
  }
  const bore = teeth < 20 ? root * 0.58 : root * 0.42
  const holes = teeth < 18 ? 0 : 6
  const [holeAt, holeMm] = [root * 0.7, root * 0.1]
  const turn = (2 * Math.PI) / teeth
  const isMetal = (X: number, Y: number): boolean => {
    const radius = Math.hypot(X, Y)
    if (radius > tip || radius < bore) return false
    if (radius < root) {
      for (let k = 0; k < holes; k++) {
        const angle = (2 * Math.PI * k) / holes
        if (Math.hypot(X - holeAt * Math.cos(angle), Y - holeAt * Math.sin(angle)) < holeMm) return false
      }
      return true
    }
    const angle = Math.atan2(Y, X)
    const valley = Math.round(angle / turn)
    const off = angle - valley * turn
    const more = 1 + wave * Math.cos((4 * Math.PI * valley) / teeth)
    const recess = (wearShare(teeth, radius) * more * (off > 0 ? wornMm[1] : wornMm[0])) / radius
    if (Math.abs(off) < (reach[Math.floor((radius - root) / STEP_MM)] as number) + recess) return false
    const tooth = (((off > 0 ? valley : valley - 1) % teeth) + teeth) % teeth
    return radius < tip - (short.includes(tooth) ? CUT_MM : 0)
  }
  return { isMetal, tipMm: tip, rootMm: root }
}
