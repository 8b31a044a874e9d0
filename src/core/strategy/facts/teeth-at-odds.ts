import type { IsoTime, WearWord } from '../../log/entry.ts'
import { TOOTH_WORDS, toothWord } from '../../teeth/tooth-word.ts'
import { daysBetween } from '../../units/days.ts'
import type { ToothState } from './tooth-state.ts'

/** Words that are so far apart do not go together. */
const APART = 2
/** Teeth change little within so many days. */
const SOON_DAYS = 30

/** What a look or a picture made of a sprocket, and when. */
export interface SeenAs {
  readonly word: WearWord
  readonly at: IsoTime
}

/**
 * Whether two findings about one sprocket cannot both be right: two words apart within a month, or less worn later than it was
 * before. That it wore on in the meantime is no contradiction.
 */
export function isAtOdds(a: SeenAs, b: SeenAs): boolean {
  const [before, after] = a.at <= b.at ? [a, b] : [b, a]
  const wornOn = TOOTH_WORDS.indexOf(after.word) - TOOTH_WORDS.indexOf(before.word)
  return wornOn <= -APART || (wornOn >= APART && Math.abs(daysBetween(before.at, after.at)) <= SOON_DAYS)
}

/** The last look and the last picture of a sprocket where they cannot both be right. */
export function teethAtOdds({
  sprocket,
  pictures,
  mmPerPercent,
}: ToothState): { readonly eye: SeenAs; readonly picture: SeenAs } | undefined {
  const eye = sprocket.look
  const last = pictures.at(-1)
  if (!eye || !last) return undefined
  const picture = { at: last.at, word: toothWord(last.excessMm / mmPerPercent) }
  return isAtOdds(eye, picture) ? { eye, picture } : undefined
}
