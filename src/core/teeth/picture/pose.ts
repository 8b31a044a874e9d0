/** How the part's plane lies in the picture: mm about its centre to pixels, a homography of eight numbers (the ninth is 1). */
export type Pose = Float64Array

/** A part flat to the camera: turned, scaled, moved. */
export function flatPose(x: number, y: number, pxPerMm: number, turned: number): Pose {
  const [c, s] = [pxPerMm * Math.cos(turned), pxPerMm * Math.sin(turned)]
  return Float64Array.of(c, -s, x, s, c, y, 0, 0)
}

/** Where a point of the part lies in the picture, and how that moves with the point: fills x, y, dx/dX, dx/dY, dy/dX, dy/dY. */
export function project(pose: Pose, X: number, Y: number, to: Float64Array): void {
  // By number, not taken apart: this is asked for every pixel.
  const a = pose[0] as number
  const b = pose[1] as number
  const d = pose[3] as number
  const e = pose[4] as number
  const g = pose[6] as number
  const h = pose[7] as number
  const w = 1 + g * X + h * Y
  const x = (a * X + b * Y + (pose[2] as number)) / w
  const y = (d * X + e * Y + (pose[5] as number)) / w
  to[0] = x
  to[1] = y
  to[2] = (a - x * g) / w
  to[3] = (b - x * h) / w
  to[4] = (d - y * g) / w
  to[5] = (e - y * h) / w
}

/**
 * How far the part is tilted away from the camera, degrees, which way in the picture it is foreshortened, and pixels per mm: by the
 * singular values of the pose at its centre.
 */
export function tiltOf(pose: Pose): {
  readonly tiltDeg: number
  readonly pxPerMm: number
  readonly along: readonly [number, number]
} {
  const found = new Float64Array(6)
  project(pose, 0, 0, found)
  const [a, b, c, d] = [found[2] as number, found[3] as number, found[4] as number, found[5] as number]
  const sum = a * a + b * b + c * c + d * d
  const det = Math.abs(a * d - b * c)
  const root = Math.sqrt(Math.max(0, sum * sum - 4 * det * det))
  const [large, small] = [Math.sqrt((sum + root) / 2), Math.sqrt(Math.max(0, (sum - root) / 2))]
  // The eigenvector of the smaller singular value, in the picture.
  const [xx, xy, yy] = [a * a + b * b, a * c + b * d, c * c + d * d]
  const way = Math.atan2(2 * xy, xx - yy) / 2 + Math.PI / 2
  return {
    tiltDeg: (Math.acos(Math.min(1, small / large)) * 180) / Math.PI,
    pxPerMm: large,
    along: [Math.cos(way), Math.sin(way)],
  }
}

/** The way back: pixels to mm about the part's centre. */
export function inverseOf(pose: Pose): Pose {
  const [a, b, c, d, e, f, g, h] = pose as unknown as readonly number[] & { length: 8 }
  const [A, B, C, D, E, F, G, H] = [a, b, c, d, e, f, g, h] as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ]
  // The adjugate of the matrix whose last number is 1, over its own last number.
  const last = A * E - B * D
  return Float64Array.of(
    E - F * H,
    C * H - B,
    B * F - C * E,
    F * G - D,
    A - C * G,
    C * D - A * F,
    D * H - E * G,
    B * G - A * H,
  ).map((value) => value / last)
}

/** The same part in a picture whose corner lies so many pixels further right and down. */
export function cutAt(pose: Pose, x: number, y: number): Pose {
  const g = pose[6] as number
  const h = pose[7] as number
  return Float64Array.of(
    (pose[0] as number) - x * g,
    (pose[1] as number) - x * h,
    (pose[2] as number) - x,
    (pose[3] as number) - y * g,
    (pose[4] as number) - y * h,
    (pose[5] as number) - y,
    g,
    h,
  )
}

/** The box round all of a part that is no further than so far from its centre, mm, in whole pixels of a picture. */
export function boxOf(pose: Pose, radiusMm: number, width: number, height: number): Box {
  const at = new Float64Array(6)
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity]
  for (let k = 0; k < 64; k++) {
    project(pose, radiusMm * Math.cos((k * Math.PI) / 32), radiusMm * Math.sin((k * Math.PI) / 32), at)
    left = Math.min(left, at[0] as number)
    right = Math.max(right, at[0] as number)
    top = Math.min(top, at[1] as number)
    bottom = Math.max(bottom, at[1] as number)
  }
  const [x, y] = [Math.max(0, Math.floor(left)), Math.max(0, Math.floor(top))]
  return {
    x,
    y,
    width: Math.min(width, Math.ceil(right)) - x,
    height: Math.min(height, Math.ceil(bottom)) - y,
  }
}

/** A part of a picture, pixels. */
export interface Box {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

/** The same part in a picture of so many times as many pixels along each side; fewer than 1 for one that is smaller. */
export function scaled(pose: Pose, by: number): Pose {
  const g = pose[6] as number
  const h = pose[7] as number
  // The middle of a pixel lies half of one from its edge, in either picture.
  const half = (by - 1) / 2
  return Float64Array.of(
    by * (pose[0] as number) + half * g,
    by * (pose[1] as number) + half * h,
    by * (pose[2] as number) + half,
    by * (pose[3] as number) + half * g,
    by * (pose[4] as number) + half * h,
    by * (pose[5] as number) + half,
    g,
    h,
  )
}

/** The same part moved in its picture, turned about its centre, and larger by a factor. */
export function nudged(
  pose: Pose,
  {
    x = 0,
    y = 0,
    turn = 0,
    size = 1,
  }: { readonly x?: number; readonly y?: number; readonly turn?: number; readonly size?: number },
): Pose {
  const [c, s] = [size * Math.cos(turn), size * Math.sin(turn)]
  const [g, h] = [pose[6] as number, pose[7] as number]
  const row = (i: number): readonly [number, number] => [
    (pose[i] as number) * c + (pose[i + 1] as number) * s,
    (pose[i + 1] as number) * c - (pose[i] as number) * s,
  ]
  const [G, H] = [g * c + h * s, h * c - g * s]
  const [[a, b], [d, e]] = [row(0), row(3)]
  // Moved in the picture, not on the part: the last row brings its own share along.
  return Float64Array.of(
    a + x * G,
    b + x * H,
    (pose[2] as number) + x,
    d + y * G,
    e + y * H,
    (pose[5] as number) + y,
    G,
    H,
  )
}
