import { sprocketGeometry } from '../../../core/teeth/geometry.ts'
import { project, type Pose } from '../../../core/teeth/picture/pose.ts'
import type { Pixels } from '../../../core/teeth/picture/pixels.ts'

/** A picture as it is measured and shown: no larger than it has to be. */
export interface DecodedPicture {
  readonly width: number
  readonly height: number
  readonly canvas: HTMLCanvasElement
}

/** Why a file is no picture to be measured. */
export type DecodeFault = 'no-picture' | 'too-large'

/** Pixels along the longer side that are measured; and the most that are opened at all. */
const MEASURED_SIDE = 1600
const MOST_PIXELS = 60_000_000
/** Kept pictures are so large, px along each side, and show so much round the tips, mm. */
const KEPT_SIDE = 900
const KEPT_ROUND_MM = 3
const KEPT_QUALITY = 0.82

/** A canvas with a picture drawn on it, smaller where it is larger than so many pixels along its longer side. */
function drawn(source: CanvasImageSource, width: number, height: number, most: number): HTMLCanvasElement {
  const by = Math.min(1, most / Math.max(width, height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(width * by))
  canvas.height = Math.max(1, Math.round(height * by))
  const context = canvas.getContext('2d', { willReadFrequently: true })
  if (!context) throw new Error('The browser draws no pictures.')
  context.imageSmoothingQuality = 'high'
  context.drawImage(source, 0, 0, canvas.width, canvas.height)
  return canvas
}

/** Opens a picture file as the browser does, upright, and makes it as small as it is measured. */
export async function decodePicture(file: Blob): Promise<DecodedPicture | { readonly fault: DecodeFault }> {
  const address = URL.createObjectURL(file)
  try {
    const image = new Image()
    image.src = address
    try {
      await image.decode()
    } catch {
      return { fault: 'no-picture' }
    }
    const { naturalWidth: width, naturalHeight: height } = image
    if (width * height > MOST_PIXELS) return { fault: 'too-large' }
    const canvas = drawn(image, width, height, MEASURED_SIDE)
    return { width: canvas.width, height: canvas.height, canvas }
  } finally {
    URL.revokeObjectURL(address)
  }
}

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
