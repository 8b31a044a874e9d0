import { isPlainText } from '../core/log/bounds.ts'

/** What is wrong with a text that was typed, if anything. */
export function faultOfText(text: string, most: number): string | undefined {
  const { length } = text.trim()
  if (length > most) return `At most ${most} letters: this has ${length}.`
  return isPlainText(text) ? undefined : 'It holds a character that cannot be shown: type it again.'
}
