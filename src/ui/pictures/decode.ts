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

/** Pictures beside a finding are kept so large along the longer side, px. */
const NOTE_SIDE = 1000
const NOTE_QUALITY = 0.8

/** A picture as it is kept beside the log: a JPEG of moderate size. */
export function jpegOf({ canvas, width, height }: DecodedPicture): Promise<Blob | undefined> {
  return new Promise((resolve) => {
    drawn(canvas, width, height, NOTE_SIDE).toBlob(
      (blob) => resolve(blob ?? undefined),
      'image/jpeg',
      NOTE_QUALITY,
    )
  })
}
