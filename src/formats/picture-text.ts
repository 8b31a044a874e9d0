import { isThingId } from '../core/log/bounds.ts'
import type { KeptPicture } from '../core/log/kept-picture.ts'

/** So many bytes are made text at once: a call takes only so many arguments. */
const HANDFUL = 8192
/** The first two bytes of every JPEG picture. */
const JPEG = [0xff, 0xd8]

/** A kept picture as it stands in a backup: `{"id":…,"jpeg":…}`, its bytes in base 64. */
export function writePicture({ id, jpeg }: KeptPicture): string {
  let bytes = ''
  for (let from = 0; from < jpeg.length; from += HANDFUL)
    bytes += String.fromCharCode(...jpeg.subarray(from, from + HANDFUL))
  return JSON.stringify({ id, jpeg: btoa(bytes) })
}

/** A picture as a backup holds it; undefined for what is none. */
export function readPictureText(value: unknown): KeptPicture | undefined {
  const { id, jpeg } = (typeof value === 'object' && value !== null ? value : {}) as Record<string, unknown>
  if (typeof id !== 'string' || !isThingId(id) || typeof jpeg !== 'string') return undefined
  try {
    const bytes = Uint8Array.from(atob(jpeg), (letter) => letter.charCodeAt(0))
    return JPEG.every((byte, i) => bytes[i] === byte) ? { id, jpeg: bytes } : undefined
  } catch {
    return undefined
  }
}
