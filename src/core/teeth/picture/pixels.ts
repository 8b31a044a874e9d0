/** A picture as a canvas has it: four bytes a pixel, row after row from the top. */
export interface Pixels {
  readonly width: number
  readonly height: number
  readonly data: Uint8Array | Uint8ClampedArray
}

/** One value for every pixel, row after row. */
export interface Plane {
  readonly width: number
  readonly height: number
  readonly values: Float32Array
}

/** The logarithms of a picture's red, green and blue: light that falls on a place then adds to all three alike. */
export type Colours = readonly [Plane, Plane, Plane]

/** Added before the logarithm is taken, so that the noise of the dark does not count as colour; of 0 to 1. */
const FLOOR = 0.03

/**
 * The colours of a picture no larger than so many pixels along its longer side: whole blocks of pixels averaged.
 * @returns the colours, and how many pixels of the picture make one of theirs
 */
export function coloursOf(
  { width, height, data }: Pixels,
  most: number,
): { readonly colours: Colours; readonly by: number } {
  const by = Math.max(1, Math.ceil(Math.max(width, height) / most))
  const [w, h] = [Math.floor(width / by), Math.floor(height / by)]
  const [red, green, blue] = [new Float32Array(w * h), new Float32Array(w * h), new Float32Array(w * h)]
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
      red[to] = Math.log(r * per + FLOOR)
      green[to] = Math.log(g * per + FLOOR)
      blue[to] = Math.log(b * per + FLOOR)
    }
  const plane = (values: Float32Array): Plane => ({ width: w, height: h, values })
  return { colours: [plane(red), plane(green), plane(blue)], by }
}

/** A plane of half the size: four pixels make one. */
function halvedPlane({ width, height, values }: Plane): Plane {
  const [w, h] = [width >> 1, height >> 1]
  const to = new Float32Array(w * h)
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      const at = 2 * y * width + 2 * x
      to[y * w + x] =
        0.25 *
        ((values[at] as number) +
          (values[at + 1] as number) +
          (values[at + width] as number) +
          (values[at + width + 1] as number))
    }
  return { width: w, height: h, values: to }
}

/** Colours of half the size. */
export const halved = ([r, g, b]: Colours): Colours => [halvedPlane(r), halvedPlane(g), halvedPlane(b)]

/** The colours mixed into one plane, by so much of each. */
export function mixed([r, g, b]: Colours, [ofR, ofG, ofB]: readonly [number, number, number]): Plane {
  const values = new Float32Array(r.values.length)
  for (let i = 0; i < values.length; i++)
    values[i] = ofR * (r.values[i] as number) + ofG * (g.values[i] as number) + ofB * (b.values[i] as number)
  return { width: r.width, height: r.height, values }
}

/** A plane blurred by a normal of so many pixels, along rows first, then down columns; edges are repeated. */
export function blurred({ width, height, values }: Plane, sigma: number): Plane {
  const reach = Math.max(1, Math.ceil(3 * sigma))
  const kernel = new Float64Array(2 * reach + 1)
  let sum = 0
  for (let i = 0; i <= 2 * reach; i++) sum += kernel[i] = Math.exp(-0.5 * ((i - reach) / sigma) ** 2)
  for (let i = 0; i <= 2 * reach; i++) kernel[i] = (kernel[i] as number) / sum
  const rows = new Float32Array(values.length)
  const padded = new Float32Array(width + 2 * reach)
  for (let y = 0; y < height; y++) {
    const from = y * width
    padded.set(values.subarray(from, from + width), reach)
    padded.fill(values[from] as number, 0, reach)
    padded.fill(values[from + width - 1] as number, width + reach)
    for (let x = 0; x < width; x++) {
      let value = 0
      for (let k = 0; k <= 2 * reach; k++) value += (kernel[k] as number) * (padded[x + k] as number)
      rows[from + x] = value
    }
  }
  const to = new Float32Array(values.length)
  for (let y = 0; y < height; y++)
    for (let k = -reach; k <= reach; k++) {
      const by = kernel[k + reach] as number
      const from = Math.min(height - 1, Math.max(0, y + k)) * width
      for (let x = 0, at = y * width; x < width; x++, at++)
        to[at] = (to[at] as number) + by * (rows[from + x] as number)
    }
  return { width, height, values: to }
}

/** A part of a plane. */
export function cut(
  { width, values }: Plane,
  box: { x: number; y: number; width: number; height: number },
): Plane {
  const to = new Float32Array(box.width * box.height)
  for (let y = 0; y < box.height; y++) {
    const from = (box.y + y) * width + box.x
    to.set(values.subarray(from, from + box.width), y * box.width)
  }
  return { width: box.width, height: box.height, values: to }
}
