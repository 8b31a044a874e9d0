/** How the part's plane lies in the picture: mm about its centre to pixels, a homography of eight numbers (the ninth is 1). */
export type Pose = Float64Array

/** A part flat to the camera: turned, scaled, moved. */
export function flatPose(x: number, y: number, pxPerMm: number, turned: number): Pose {
  const [c, s] = [pxPerMm * Math.cos(turned), pxPerMm * Math.sin(turned)]
  return Float64Array.of(c, -s, x, s, c, y, 0, 0)
}

/** Where a point of the part lies in the picture, and how that moves with the point: fills x, y, dx/dX, dx/dY, dy/dX, dy/dY. */
export function project(pose: Pose, X: number, Y: number, to: Float64Array): void {
  const [a, b, c, d, e, f, g, h] = pose as unknown as readonly number[] & { length: 8 }
  const w = 1 + (g as number) * X + (h as number) * Y
  const x = ((a as number) * X + (b as number) * Y + (c as number)) / w
  const y = ((d as number) * X + (e as number) * Y + (f as number)) / w
  to[0] = x
  to[1] = y
  to[2] = ((a as number) - x * (g as number)) / w
  to[3] = ((b as number) - x * (h as number)) / w
  to[4] = ((d as number) - y * (g as number)) / w
  to[5] = ((e as number) - y * (h as number)) / w
}

/** How far the part is tilted away from the camera, degrees, and pixels per mm: by the singular values of the pose at its centre. */
export function tiltOf(pose: Pose): { readonly tiltDeg: number; readonly pxPerMm: number } {
  const found = new Float64Array(6)
  project(pose, 0, 0, found)
  const [a, b, c, d] = [found[2] as number, found[3] as number, found[4] as number, found[5] as number]
  const sum = a * a + b * b + c * c + d * d
  const det = Math.abs(a * d - b * c)
  const root = Math.sqrt(Math.max(0, sum * sum - 4 * det * det))
  const [large, small] = [Math.sqrt((sum + root) / 2), Math.sqrt(Math.max(0, (sum - root) / 2))]
  return { tiltDeg: (Math.acos(Math.min(1, small / large)) * 180) / Math.PI, pxPerMm: large }
}
