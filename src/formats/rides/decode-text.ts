import { RideFileError } from './ride-file-error.ts'
import { words } from '../../words/formats/rides/decode-text.ts'

/**
 * Text out of bytes in whatever encoding they came: by their mark (UTF-8, UTF-16), else UTF-8 where it is sound, else
 * Western European as spreadsheets write it.
 * @throws RideFileError where it is no text at all
 */
export function decodeText(bytes: Uint8Array): string {
  const [a, b] = bytes
  if (a === 0xff && b === 0xfe) return new TextDecoder('utf-16le').decode(bytes)
  if (a === 0xfe && b === 0xff) return new TextDecoder('utf-16be').decode(bytes)
  if (bytes.subarray(0, 1000).includes(0)) throw new RideFileError(words.thisIsNotText)
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}
