import { sprocketGeometry } from '../../../core/teeth/geometry.ts'
import { project, type Pose } from '../../../core/teeth/picture/pose.ts'
import type { Pixels } from '../../../core/teeth/picture/pixels.ts'
import type { DecodedPicture } from '../../../ui/pictures/decode.ts'

/** Kept pictures are so large, px along each side, and show so much round the tips, mm. */
const KEPT_SIDE = 900
const KEPT_ROUND_MM = 3
const KEPT_QUALITY = 0.82

/** The bytes of a picture, to be handed over: another copy each time. */
export function pixelsOf({ canvas, width, height }: DecodedPicture): Pixels {
  const context = canvas.getContext('2d', { willReadFrequently: true })
  if (!context) throw new Error('The browser draws no pictures.')
  return { width, height, data: context.getImageData(0, 0, width, height).data }
}

/**
 * The part as it is kept beside the log: cut out, laid flat and turned so that a valley lies to the right. Two pictures of one
 * sprocket are then of one scale, and their teeth lie on each other.
 */
export async function keptPicture(
  { canvas }: DecodedPicture,
  pose: Pose,
  teeth: number,
): Promise<Blob | undefined> {
  const kept = document.createElement('canvas')
  kept.width = KEPT_SIDE
  kept.height = KEPT_SIDE
  const context = kept.getContext('2d')
  if (!context) return undefined
  const at = new Float64Array(6)
  project(pose, 0, 0, at)
  const [x, y, a, b, d, e] = at as unknown as readonly [number, number, number, number, number, number]
  const half = KEPT_SIDE / 2
  const by = half / (sprocketGeometry(teeth).tipMaxMm / 2 + KEPT_ROUND_MM) / (a * e - b * d)
  const [m11, m12, m21, m22] = [by * e, -by * d, -by * b, by * a]
  context.setTransform(m11, m12, m21, m22, half - m11 * x - m21 * y, half - m12 * x - m22 * y)
  context.imageSmoothingQuality = 'high'
  context.drawImage(canvas, 0, 0)
  return new Promise((resolve) => {
    kept.toBlob((blob) => resolve(blob ?? undefined), 'image/jpeg', KEPT_QUALITY)
  })
}
