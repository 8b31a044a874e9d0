import type { Gradients } from './gradients.ts'

/** A place in a picture, pixels. */
export interface Place {
  readonly x: number
  readonly y: number
}

/** Only so large a share of pixels, the steepest, vote. */
const VOTERS = 0.06
/** Votes nearer to their pixel than this say nothing, pixels. */
const NEAREST = 12

/** The steepness that only so large a share of pixels exceeds. */
function steepFrom({ x, y }: Gradients, share: number): number {
  const sample: number[] = []
  for (let i = 0; i < x.length; i += 7) sample.push(Math.hypot(x[i] as number, y[i] as number))
  sample.sort((a, b) => b - a)
  return sample[Math.floor(share * sample.length)] ?? 0
}

/**
 * Where lines along the gradients meet most often: circles round the part's centre (its hole, its root, its turning marks) all
 * point there.
 * @param count so many places, the likeliest first, well apart
 */
export function likelyCentres(gradients: Gradients, count: number): readonly Place[] {
  const { width, height, x: gx, y: gy } = gradients
  const votes = new Float32Array(width * height)
  const from = steepFrom(gradients, VOTERS)
  const furthest = Math.hypot(width, height) / 2
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const at = y * width + x
      const [dx, dy] = [gx[at] as number, gy[at] as number]
      const steep = Math.hypot(dx, dy)
      if (steep < from) continue
      for (const sign of [1, -1])
        for (let r = NEAREST; r < furthest; r++) {
          const [px, py] = [Math.round(x + (sign * r * dx) / steep), Math.round(y + (sign * r * dy) / steep)]
          if (px < 0 || py < 0 || px >= width || py >= height) break
          const to = py * width + px
          // A circle of any size counts alike: more pixels lie on a larger one.
          votes[to] = (votes[to] as number) + 1 / Math.sqrt(r)
        }
    }
  const smooth = boxed(votes, width, height, 2)
  const places: Place[] = []
  const taken = new Uint8Array(smooth.length)
  const apart = Math.max(6, Math.round(0.03 * Math.max(width, height)))
  while (places.length < count) {
    let best = -1
    smooth.forEach((value, at) => {
      if (!taken[at] && (best < 0 || value > (smooth[best] as number))) best = at
    })
    if (best < 0) break
    const place = { x: best % width, y: Math.floor(best / width) }
    places.push(place)
    for (let y = Math.max(0, place.y - apart); y <= Math.min(height - 1, place.y + apart); y++)
      for (let x = Math.max(0, place.x - apart); x <= Math.min(width - 1, place.x + apart); x++)
        taken[y * width + x] = 1
  }
  return places
}

/** Sums over squares of 2 reach + 1 pixels. */
function boxed(plane: Float32Array, width: number, height: number, reach: number): Float32Array {
  const to = new Float32Array(plane.length)
  for (let y = reach; y < height - reach; y++)
    for (let x = reach; x < width - reach; x++) {
      let sum = 0
      for (let dy = -reach; dy <= reach; dy++)
        for (let dx = -reach; dx <= reach; dx++) sum += plane[(y + dy) * width + x + dx] as number
      to[y * width + x] = sum
    }
  return to
}
