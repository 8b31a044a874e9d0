/** A picture as a canvas has it: four bytes a pixel, row after row from the top. */
export interface Pixels {
  readonly width: number
  readonly height: number
  readonly data: Uint8Array | Uint8ClampedArray
}

/** A picture's three colours, 0 to 1, each as a plane of its own. */
export interface Planes {
  readonly width: number
  readonly height: number
  readonly planes: readonly Float32Array[]
}

/**
 * The picture no larger than so many pixels along its longer side: whole blocks of pixels averaged.
 * @returns the planes, and how many pixels of the picture make one of theirs
 */
export function shrunk(
  { width, height, data }: Pixels,
  most: number,
): { readonly picture: Planes; readonly by: number } {
  const by = Math.max(1, Math.ceil(Math.max(width, height) / most))
  const [w, h] = [Math.floor(width / by), Math.floor(height / by)]
  const planes = [0, 1, 2].map(() => new Float32Array(w * h))
  const per = 1 / (255 * by * by)
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      let [r, g, b] = [0, 0, 0]
      for (let dy = 0; dy < by; dy++) {
        let at = ((y * by + dy) * width + x * by) * 4
        for (let dx = 0; dx < by; dx++, at += 4) {
          r += data[at] as number
          g += data[at + 1] as number
          b += data[at + 2] as number
        }
      }
      const to = y * w + x
      ;(planes[0] as Float32Array)[to] = r * per
      ;(planes[1] as Float32Array)[to] = g * per
      ;(planes[2] as Float32Array)[to] = b * per
    }
  return { picture: { width: w, height: h, planes }, by }
}

/** A plane blurred by a normal of so many pixels, rows first, then columns; edges are repeated. */
function blurredPlane(plane: Float32Array, width: number, height: number, sigma: number): Float32Array {
  const reach = Math.max(1, Math.ceil(3 * sigma))
  const kernel = Float32Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-0.5 * ((i - reach) / sigma) ** 2),
  )
  const sum = kernel.reduce((a, b) => a + b, 0)
  const along = (
    from: Float32Array,
    length: number,
    lines: number,
    step: number,
    next: number,
  ): Float32Array => {
    const to = new Float32Array(from.length)
    for (let line = 0; line < lines; line++)
      for (let i = 0; i < length; i++) {
        let value = 0
        for (let k = -reach; k <= reach; k++) {
          const j = Math.min(length - 1, Math.max(0, i + k))
          value += (kernel[k + reach] as number) * (from[line * next + j * step] as number)
        }
        to[line * next + i * step] = value / sum
      }
    return to
  }
  return along(along(plane, width, height, 1, width), height, width, width, 1)
}

/** A picture blurred by a normal of so many pixels. */
export const blurred = ({ width, height, planes }: Planes, sigma: number): Planes => ({
  width,
  height,
  planes: planes.map((plane) => blurredPlane(plane, width, height, sigma)),
})
