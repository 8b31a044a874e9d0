import type { Planes } from './pixels.ts'

/** How steeply a picture changes, and which way, at every pixel; per pixel of the picture. */
export interface Gradients {
  readonly width: number
  readonly height: number
  readonly x: Float32Array
  readonly y: Float32Array
}

/** The side of a square over which the picture's usual steepness is taken, pixels. */
const SQUARE = 48

/**
 * The gradient of the colour that changes most, over the usual steepness round about: shadow and light then count alike.
 */
export function gradientsOf({ width, height, planes }: Planes): Gradients {
  const [gx, gy] = [new Float32Array(width * height), new Float32Array(width * height)]
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const at = y * width + x
      let most = 0
      for (const plane of planes) {
        const dx = ((plane[at + 1] as number) - (plane[at - 1] as number)) / 2
        const dy = ((plane[at + width] as number) - (plane[at - width] as number)) / 2
        const square = dx * dx + dy * dy
        if (square <= most) continue
        most = square
        gx[at] = dx
        gy[at] = dy
      }
    }
  const columns = Math.ceil(width / SQUARE)
  const rows = Math.ceil(height / SQUARE)
  const usual = new Float32Array(columns * rows)
  const counts = new Float32Array(columns * rows)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const square = Math.floor(y / SQUARE) * columns + Math.floor(x / SQUARE)
      const at = y * width + x
      usual[square] = (usual[square] as number) + Math.hypot(gx[at] as number, gy[at] as number)
      counts[square] = (counts[square] as number) + 1
    }
  const whole = usual.reduce((a, b) => a + b, 0) / (width * height)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const square = Math.floor(y / SQUARE) * columns + Math.floor(x / SQUARE)
      const over = 1 / (0.5 * ((usual[square] as number) / (counts[square] as number)) + 0.5 * whole + 1e-6)
      const at = y * width + x
      gx[at] = (gx[at] as number) * over
      gy[at] = (gy[at] as number) * over
    }
  return { width, height, x: gx, y: gy }
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
