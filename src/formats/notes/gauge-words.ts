import type { LimitResult } from '../../core/measure/reading.ts'

/** What was written of a limit side. Yes and no may answer "does it drop in?", or "is the chain still good?". */
export type SideWord = LimitResult | 'yes' | 'no'

/** A limit side and what was written of it. */
export interface SaidSide {
  /** The side's mark, %. */
  readonly percent: number
  readonly word: SideWord
}

/** What a yes means beside a limit side. */
export type YesMeans = 'drops' | 'good'

const YES = 'yes|yep|y|ja|j|oui|si|sí|✓|✔|✅'
const NO = 'no|nope|n|nein|non|✗|✘|❌'
const IN =
  'in|drops?(?: ?in)?|dropped|falls?(?: ?in)?|fell(?: ?in)?|goes(?: ?in)?|went(?: ?in)?|through|seats?|seated|past|fail(?:s|ed)?|worn'
const OUT =
  'not|out|not (?:in|yet|past)|does ?n.?t(?: drop| go| fit)?(?: in)?|did ?n.?t(?: drop| go)?(?: in)?|pass(?:es|ed)?|ok|okay|fine|good'
const PART = 'partly|partial|part|half(?:way)?|halb|starts?|started|nearly|almost|just|tight|sticks?'
const CLEAR = 'clear|not at all|nowhere near'

const WORDS: readonly (readonly [SideWord, RegExp])[] = [
  ['clear', new RegExp(`^(?:${CLEAR})$`, 'i')],
  ['yes', new RegExp(`^(?:${YES})$`, 'i')],
  ['no', new RegExp(`^(?:${NO})$`, 'i')],
  ['not-in', new RegExp(`^(?:${OUT})$`, 'i')],
  ['starts', new RegExp(`^(?:${PART})(?: ?in)?$`, 'i')],
  ['drops', new RegExp(`^(?:${IN})$`, 'i')],
]

/** What a word beside a limit side says; undefined where somebody has to say. */
export function sideWordOf(word: string): SideWord | undefined {
  const plain = word.trim().replace(/[.!]+$/, '')
  return WORDS.find(([, says]) => says.test(plain))?.[0]
}

const MARK = String.raw`(?<![\d.,])(0?[.,]\d{1,2}|1[.,]0{1,2})(?!\d)\s*%?`
const WORD = `(${CLEAR}|${PART}(?: ?in)?|${OUT}|${NO}|${IN}|${YES})`
const MARK_THEN_WORD = new RegExp(`${MARK}(?: side)?\\s*[:=]?\\s*(?:is |was )?${WORD}(?![\\p{L}])`, 'giu')
const WORD_THEN_MARK = new RegExp(
  `(?:(?<![\\p{L}])(not(?: yet)?(?: past| in| at)?|past|over|under|below|above)|([<>]))\\s*${MARK}`,
  'giu',
)

const percentOf = (text: string): number => Number(text.replace(',', '.'))

/**
 * The limit sides that a text tells of: "0.5 no, 0.75 yes", "past 0.5, not 0.75", ".5 drops .75 doesn't".
 * @returns in the order of their marks; none where it tells of none
 */
export function sidesIn(text: string): readonly SaidSide[] {
  const found = new Map<number, SideWord>()
  let rest = text
  for (const match of text.matchAll(MARK_THEN_WORD)) {
    const word = sideWordOf(match[2] ?? '')
    if (word === undefined) continue
    found.set(percentOf(match[1] ?? ''), word)
    rest = rest.replace(match[0], ' ')
  }
  for (const match of rest.matchAll(WORD_THEN_MARK))
    found.set(
      percentOf(match[3] ?? ''),
      /^(past|over|above|>)/i.test(match[1] ?? match[2] ?? '') ? 'drops' : 'not-in',
    )
  return [...found]
    .filter(([percent]) => percent >= 0.25 && percent <= 1)
    .map(([percent, word]) => ({ percent, word }))
    .sort((a, b) => a.percent - b.percent)
}

/** What a side did, once it is known what yes means. A "good" chain lets the side stand out: how far is not said. */
export function resultOf(word: SideWord, yesMeans: YesMeans): LimitResult {
  if (word === 'yes') return yesMeans === 'drops' ? 'drops' : 'not-in'
  if (word === 'no') return yesMeans === 'drops' ? 'not-in' : 'drops'
  return word
}

/** Whether some sides cannot be: a later mark drops in where an earlier one does not. */
export const areImpossible = (sides: readonly SaidSide[], yesMeans: YesMeans): boolean =>
  sides.some(
    (early) =>
      resultOf(early.word, yesMeans) !== 'drops' &&
      sides.some((late) => late.percent > early.percent && resultOf(late.word, yesMeans) === 'drops'),
  )

/**
 * What yes means in a table, by what a chain can do: no side drops in before the one with the smaller mark, and a side
 * that dropped in once does so until the chain is another.
 * @param groups the sides of each reading, in order of time, one list for each chain
 * @returns undefined where both could be: somebody has to say
 */
export function yesMeansIn(groups: readonly (readonly (readonly SaidSide[])[])[]): YesMeans | undefined {
  const wrongs = (yesMeans: YesMeans): number => {
    let count = 0
    for (const readings of groups) {
      const dropped = new Set<number>()
      for (const sides of readings) {
        if (areImpossible(sides, yesMeans)) count += 2
        for (const { percent, word } of sides)
          if (resultOf(word, yesMeans) === 'drops') dropped.add(percent)
          else if (dropped.has(percent)) count++
      }
    }
    return count
  }
  const [drops, good] = [wrongs('drops'), wrongs('good')]
  return drops === good ? undefined : drops < good ? 'drops' : 'good'
}
