import { sprocketGeometry } from '../geometry.ts'
import type { Place } from './centre.ts'
import { gradientAt, type Gradients } from './gradients.ts'

/** Rings are sampled at so many places for each tooth, at least. */
const PER_TOOTH = 8
const LEAST_ANGLES = 240
const LEAST_RADIUS = 10
/** A sprocket's root circle fills at least so much of the picture: a radius over its shorter side. */
const SMALLEST = 0.14

/** How a picture changes round a place, ring by ring: its waves of some numbers, as complex numbers by radius in pixels. */
export interface RingWaves {
  readonly radii: number
  readonly re: (wave: number) => Float64Array
  readonly im: (wave: number) => Float64Array
}

/** How far from a place rings can be looked at, px: a little of them may lie out of the picture. */
const furthest = ({ width, height }: Gradients, { x, y }: Place): number =>
  Math.floor(Math.min(x, y, width - 1 - x, height - 1 - y) * 1.08)

/**
 * Waves of the gradient round a centre, along the rings: a comb of z teeth has the z-th, strong and alone.
 * @param from the least radius looked at, px
 * @param to and the largest
 */
export function ringWaves(
  gradients: Gradients,
  { x, y }: Place,
  waves: readonly number[],
  from = LEAST_RADIUS,
  to = Infinity,
): RingWaves {
  const radii = Math.min(furthest(gradients, { x, y }), Math.ceil(to))
  const re = new Map(waves.map((wave) => [wave, new Float64Array(Math.max(0, radii))]))
  const im = new Map(waves.map((wave) => [wave, new Float64Array(Math.max(0, radii))]))
  const ANGLES = Math.max(LEAST_ANGLES, PER_TOOTH * Math.max(...waves))
  const [cos, sin] = [new Float64Array(ANGLES), new Float64Array(ANGLES)]
  for (let a = 0; a < ANGLES; a++) {
    cos[a] = Math.cos((2 * Math.PI * a) / ANGLES)
    sin[a] = Math.sin((2 * Math.PI * a) / ANGLES)
  }
  const ring = new Float64Array(ANGLES)
  const found = new Float64Array(2)
  for (let r = Math.max(LEAST_RADIUS, Math.floor(from)); r < radii; r++) {
    for (let a = 0; a < ANGLES; a++) {
      gradientAt(gradients, x + r * (cos[a] as number), y + r * (sin[a] as number), found)
      const along = -(sin[a] as number) * (found[0] as number) + (cos[a] as number) * (found[1] as number)
      // One bright speck must not outweigh all teeth.
      ring[a] = Math.max(-6, Math.min(6, along))
    }
    for (const wave of waves) {
      let [sumRe, sumIm] = [0, 0]
      for (let a = 0; a < ANGLES; a++) {
        const at = (a * wave) % ANGLES
        sumRe += (ring[a] as number) * (cos[at] as number)
        sumIm -= (ring[a] as number) * (sin[at] as number)
      }
      ;(re.get(wave) as Float64Array)[r] = sumRe / ANGLES
      ;(im.get(wave) as Float64Array)[r] = sumIm / ANGLES
    }
  }
  const none = new Float64Array(0)
  return { radii, re: (wave) => re.get(wave) ?? none, im: (wave) => im.get(wave) ?? none }
}

/** A comb of teeth round a place. */
export interface Comb {
  readonly teeth: number
  readonly centre: Place
  readonly pxPerMm: number
  /** Angle of the middle of a valley, if the part is brighter than what is behind it; half a tooth on, if it is darker. */
  readonly valley: number
  /** How much the comb stands out. */
  readonly strength: number
}

/** The mean of a wave between two radii. */
function meanWave(waves: RingWaves, wave: number, from: number, to: number): { re: number; im: number } {
  let [re, im, count] = [0, 0, 0]
  const [allRe, allIm] = [waves.re(wave), waves.im(wave)]
  for (let r = Math.max(LEAST_RADIUS, Math.ceil(from)); r <= Math.min(waves.radii - 1, to); r++) {
    re += allRe[r] as number
    im += allIm[r] as number
    count++
  }
  return count > 0 ? { re: re / count, im: im / count } : { re: 0, im: 0 }
}

/** Sizes looked at, px per mm. */
interface Sizes {
  readonly least: number
  readonly most: number
}

const bandsOf = (teeth: number) => {
  const shape = sprocketGeometry(teeth)
  const pitch = shape.pitchDiameterMm / 2
  return { root: pitch - shape.seatRadiusMm, tip: (shape.tipMinMm + shape.tipMaxMm) / 4 }
}

/** Every size of a comb of so many teeth that can be told round a place. */
function sizesRound(gradients: Gradients, centre: Place, teeth: number): Sizes {
  const { root, tip } = bandsOf(teeth)
  return {
    least: Math.max(LEAST_RADIUS + 4, SMALLEST * Math.min(gradients.width, gradients.height)) / root,
    most: furthest(gradients, centre) / tip,
  }
}

/** The best size of a comb in waves that were taken: its wave is strong between root and tip, and nowhere beside. */
function combIn(waves: RingWaves, centre: Place, teeth: number, { least, most }: Sizes): Comb | undefined {
  const { root, tip } = bandsOf(teeth)
  let best: Comb | undefined
  for (let s = least; s < most; s *= 1.01) {
    const band = meanWave(waves, teeth, s * (root + 0.8), s * (tip - 0.8))
    const inside = meanWave(waves, teeth, s * (root - 4), s * (root - 0.8))
    const outside = meanWave(waves, teeth, s * (tip + 0.6), s * (tip + 3))
    const strength =
      Math.hypot(band.re, band.im) -
      0.7 * Math.hypot(inside.re, inside.im) -
      0.7 * Math.hypot(outside.re, outside.im)
    if (best && strength <= best.strength) continue
    // Bright metal: the gradient along the ring is sin z(θ - valley), whose wave has the phase -π/2 - z valley.
    const valley = (-Math.PI / 2 - Math.atan2(band.im, band.re)) / teeth
    best = { teeth, centre, pxPerMm: s, valley, strength }
  }
  return best
}

/** The best comb of so many teeth round a place, of any size. */
export function combAt(gradients: Gradients, centre: Place, teeth: number): Comb | undefined {
  return combIn(ringWaves(gradients, centre, [teeth]), centre, teeth, sizesRound(gradients, centre, teeth))
}

/** The best comb of each of some numbers of teeth round a place. */
export function combsRound(gradients: Gradients, centre: Place, counts: readonly number[]): readonly Comb[] {
  const waves = ringWaves(gradients, centre, counts)
  return counts.flatMap((teeth) => combIn(waves, centre, teeth, sizesRound(gradients, centre, teeth)) ?? [])
}

/** A comb looked for anew round a place, about as large as before. */
function combAgain(gradients: Gradients, centre: Place, { teeth, pxPerMm }: Comb): Comb | undefined {
  const { root, tip } = bandsOf(teeth)
  const all = sizesRound(gradients, centre, teeth)
  const sizes = { least: Math.max(all.least, pxPerMm * 0.9), most: Math.min(all.most, pxPerMm * 1.1) }
  const waves = ringWaves(gradients, centre, [teeth], sizes.least * (root - 4), sizes.most * (tip + 3) + 1)
  return combIn(waves, centre, teeth, sizes)
}

/** Places are tried this far apart, px of the smallest picture. */
const APART = 5

/**
 * Where a comb of so many teeth may be: every place of a very small picture is tried.
 * @param count so many, the strongest first
 */
export function likelyCombs(gradients: Gradients, teeth: number, count: number): readonly Comb[] {
  const { width, height } = gradients
  const edge = 0.16 * Math.min(width, height)
  const found: Comb[] = []
  for (let y = edge; y < height - edge; y += APART)
    for (let x = edge; x < width - edge; x += APART) {
      const comb = combAt(gradients, { x, y }, teeth)
      if (comb) found.push(comb)
    }
  return found.sort((a, b) => b.strength - a.strength).slice(0, count)
}

/** A comb moved about in ever smaller steps to where it is strongest. */
export function climbed(gradients: Gradients, from: Comb): Comb {
  let best = from
  for (let step = 6; step >= 0.5; step /= 2)
    for (let moved = true, n = 0; moved && n < 6; n++) {
      moved = false
      for (const [dx, dy] of [
        [step, 0],
        [-step, 0],
        [0, step],
        [0, -step],
      ] as const) {
        const next = combAgain(gradients, { x: best.centre.x + dx, y: best.centre.y + dy }, best)
        if (!next || next.strength <= best.strength) continue
        best = next
        moved = true
      }
    }
  return best
}
