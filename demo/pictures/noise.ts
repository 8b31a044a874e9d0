/** A number from 0 to 1 that belongs to a place of a grid: always the same one. */
function cellOf(x: number, y: number, seed: number): number {
  let h = Math.imul(x, 374761393) ^ Math.imul(y, 668265263) ^ Math.imul(seed, 2147483647)
  h = Math.imul(h ^ (h >>> 13), 1274126177)
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296
}

/** Smooth noise from 0 to 1, a grid cell a unit. */
export function noiseAt(x: number, y: number, seed: number): number {
  const [i, j] = [Math.floor(x), Math.floor(y)]
  const [u, v] = [x - i, y - j]
  const [s, t] = [u * u * (3 - 2 * u), v * v * (3 - 2 * v)]
  const top = cellOf(i, j, seed) * (1 - s) + cellOf(i + 1, j, seed) * s
  const bottom = cellOf(i, j + 1, seed) * (1 - s) + cellOf(i + 1, j + 1, seed) * s
  return top * (1 - t) + bottom * t
}

/** Noise of several sizes together, from 0 to 1. */
export const roughAt = (x: number, y: number, seed: number): number =>
  0.5 * noiseAt(x, y, seed) +
  0.3 * noiseAt(2.1 * x, 2.1 * y, seed + 1) +
  0.2 * noiseAt(4.3 * x, 4.3 * y, seed + 2)
