import type { Generation } from './generation.ts'

/**
 * Entries next to one another in the order of arrival, as one text. A browser hands out a text many times faster than as
 * many entries one by one. Packs are no record: a log opens without them, only later.
 */
export interface Pack {
  /** Of the last entry before it; 0 for the first pack. */
  readonly from: number
  /** Of its last entry. */
  readonly to: number
  /** The state of the log that it was made of: of another one it says nothing. */
  readonly generation: Generation
  /** So many entries it holds. */
  readonly count: number
  readonly text: string
}
