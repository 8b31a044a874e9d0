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

/** How files of pictures made of dots begin, as bytes in hexadecimal: JPEG, PNG, GIF, BMP, TIFF, WebP; and HEIC and AVIF. */
const OF_DOTS = /^(ffd8ff|89504e47|47494638|424d|49492a00|4d4d002a|52494646.{8}57454250|.{8}66747970)/

/**
 * Whether a file holds a picture made of dots, by how it begins. One made of instructions (SVG) may tell the browser to
 * draw a thousand million lines, and is no photo.
 */
async function isOfDots(file: Blob): Promise<boolean> {
  const head = new Uint8Array(await file.slice(0, 12).arrayBuffer())
  return OF_DOTS.test([...head].map((byte) => byte.toString(16).padStart(2, '0')).join(''))
}

/** A picture of which the browser knows the size, and has unpacked nothing yet; undefined where it is none. */
function headRead(address: string): Promise<HTMLImageElement | undefined> {
  return new Promise((resolve) => {
    const image = new Image()
    image.onload = () => resolve(image)
    image.onerror = () => resolve(undefined)
    image.src = address
  })
}

/** Opens a picture file as the browser does, upright, and makes it as small as it is measured. */
export async function decodePicture(file: Blob): Promise<DecodedPicture | { readonly fault: DecodeFault }> {
  const address = URL.createObjectURL(file)
  try {
    if (!(await isOfDots(file))) return { fault: 'no-picture' }
    const image = await headRead(address)
    if (!image) return { fault: 'no-picture' }
    const { naturalWidth: width, naturalHeight: height } = image
    // Before it is unpacked: a hundred million dots would take the memory of the page.
    if (width * height > MOST_PIXELS) return { fault: 'too-large' }
    try {
      await image.decode()
    } catch {
      return { fault: 'no-picture' }
    }
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
