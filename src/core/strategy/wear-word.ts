import type { WearWord } from '../log/entry.ts'
import type { Summary } from '../measure/posterior.ts'
import { limitKey } from '../measure/posterior.ts'

/** One of the five words, or that nobody knows well enough to use one. */
export type ChainWord = WearWord | 'unsure'

/** Wider than this from the 5th to the 95th percentile, %, and no word is used. */
export const UNSURE_WIDTH = 0.4

/**
 * The word for a chain, from what is believed of its elongation and from its limit. Our own scale: spent where it
 * is probably a quarter of a per cent past the limit, swap where it is more likely past than not, watch from three
 * fifths of the limit or one chance in ten of being past, fresh below a fifth.
 * @param summary must hold the limit among its chances
 */
export function chainWord(summary: Summary, limit: number): ChainWord {
  const past = summary.pAbove[limitKey(limit)] ?? 0
  if (summary.mean >= limit + 0.25) return 'spent'
  if (past >= 0.5) return 'swap'
  if (summary.p95 - summary.p05 > UNSURE_WIDTH) return 'unsure'
  if (past >= 0.1 || summary.mean >= 0.6 * limit) return 'watch'
  return summary.mean < 0.2 * limit ? 'fresh' : 'good'
}

const ORDER: readonly WearWord[] = ['fresh', 'good', 'watch', 'swap', 'spent']

/** The worst of several words; undefined where there is none. */
export function worstWord(words: readonly WearWord[]): WearWord | undefined {
  return words.reduce<WearWord | undefined>(
    (worst, word) => (worst === undefined || ORDER.indexOf(word) > ORDER.indexOf(worst) ? word : worst),
    undefined,
  )
}
