import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'

/** A question's SHA-256, in hex: no two questions share one. */
export const questionHash = (question: string): string => bytesToHex(sha256(utf8ToBytes(question)))
