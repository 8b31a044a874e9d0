import type { WearWord } from '../log/entry.ts'

/** The five words, from new to worn out. */
export const TOOTH_WORDS: readonly WearWord[] = ['fresh', 'good', 'watch', 'swap', 'spent']

/** What teeth have shaped themselves to between one word and the next, %. Methods 5. */
export const BETWEEN_WORDS = [0.1, 0.3, 0.5, 0.8] as const

/** The word for teeth that have shaped themselves to so much, %. */
export const toothWord = (worn: number): WearWord =>
  TOOTH_WORDS[BETWEEN_WORDS.filter((mark) => worn >= mark).length] ?? 'spent'
