import type { Plane } from './pixels.ts'

/** How steeply a picture changes, and which way, at every pixel; over what is usual round about. */
export interface Gradients {
  readonly width: number
  readonly height: number
  readonly x: Float32Array
  readonly y: Float32Array
}

/** The side of a square over which the usual steepness is taken, pixels. */
const SQUARE = 48

/** The gradient of a plane, over half the usual steepness round about and half that of the whole: shadow and light count alike. */
export function gradientsOf({ width, height, values }: Plane): Gradients {
  const [gx, gy] = [new Float32Array(width * height), new Float32Array(width * height)]
  const columns = Math.ceil(width / SQUARE)
  const usual = new Float64Array(columns * Math.ceil(height / SQUARE))
  const counts = new Float64Array(usual.length)
  let whole = 0
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const at = y * width + x
      const dx = ((values[at + 1] as number) - (values[at - 1] as number)) / 2
      const dy = ((values[at + width] as number) - (values[at - width] as number)) / 2
      gx[at] = dx
      gy[at] = dy
      const steep = Math.sqrt(dx * dx + dy * dy)
      const square = ((y / SQUARE) | 0) * columns + ((x / SQUARE) | 0)
      usual[square] = (usual[square] as number) + steep
      counts[square] = (counts[square] as number) + 1
      whole += steep
    }
  whole /= width * height
  const over = usual.map(
    (sum, i) => 1 / (0.5 * (sum / Math.max(1, counts[i] as number)) + 0.5 * whole + 1e-6),
  )
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = y * width + x
      const by = over[((y / SQUARE) | 0) * columns + ((x / SQUARE) | 0)] as number
      gx[at] = (gx[at] as number) * by
      gy[at] = (gy[at] as number) * by
    }
  return { width, height, x: gx, y: gy }
}

/** Of two gradients the steeper at every pixel. */
export function steeper(a: Gradients, b: Gradients): Gradients {
  const [x, y] = [a.x.slice(), a.y.slice()]
  for (let i = 0; i < x.length; i++) {
    const [ax, ay, bx, by] = [a.x[i] as number, a.y[i] as number, b.x[i] as number, b.y[i] as number]
    if (bx * bx + by * by <= ax * ax + ay * ay) continue
    x[i] = bx
    y[i] = by
  }
  return { width: a.width, height: a.height, x, y }
}

/** A gradient between pixels, in a straight line along both ways; nothing beyond the picture. */
export function gradientAt(
  { width, height, x: gx, y: gy }: Gradients,
  x: number,
  y: number,
  to: Float64Array,
): void {
  const i = Math.floor(x)
  const j = Math.floor(y)
  if (!(i >= 0 && j >= 0 && i + 1 < width && j + 1 < height)) {
    to[0] = 0
    to[1] = 0
    return
  }
  const u = x - i
  const v = y - j
  const at = j * width + i
  // Written out: this is asked for millions of times.
  const a = (1 - u) * (1 - v)
  const b = u * (1 - v)
  const c = (1 - u) * v
  const d = u * v
  const below = at + width
  to[0] =
    a * (gx[at] as number) +
    b * (gx[at + 1] as number) +
    c * (gx[below] as number) +
    d * (gx[below + 1] as number)
  to[1] =
    a * (gy[at] as number) +
    b * (gy[at + 1] as number) +
    c * (gy[below] as number) +
    d * (gy[below + 1] as number)
}
