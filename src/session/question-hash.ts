import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'

/** Only pages of a safe origin have it: a workshop's own server on its network may be none. */
const subtle = (): SubtleCrypto | undefined => (globalThis.crypto as { subtle?: SubtleCrypto }).subtle

/**
 * A question's SHA-256, in hex: no two questions share one. The browser works it out beside the page where it can; a
 * workshop's two hundred questions would hold the page up.
 */
export async function questionHash(question: string): Promise<string> {
  const bytes = utf8ToBytes(question)
  const digest = subtle()?.digest('SHA-256', bytes)
  return bytesToHex(digest ? new Uint8Array(await digest) : sha256(bytes))
}
