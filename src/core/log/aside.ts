/**
 * Why an entry is kept beside the log instead of in it: `newer`, only a newer app knows its kind or format; `unsound`,
 * something in it cannot be; `damaged`, not even its text can be read; `differs`, the log holds another one of the same
 * id; `removed`, its owner set it aside by hand.
 */
export const ASIDE_REASONS = ['newer', 'unsound', 'damaged', 'differs', 'removed'] as const
export type AsideReason = (typeof ASIDE_REASONS)[number]

/** An entry kept beside the log: counted nowhere, lost nowhere, carried along in every backup. */
export interface AsideEntry {
  /** As it came, as JSON. Tells it from the others. */
  readonly text: string
  readonly why: AsideReason
  /** In a few words, what is wrong with it. */
  readonly said: string
}
