import clsx from 'clsx'
import type { ChainWord } from '../../core/strategy/wear-word.ts'
import { WORD_NAMES } from '../../words/names.ts'

/** Profiles of one tooth between its valleys, in a box of 34 x 20: round and even at first, leaning to a point. */
export const TOOTH_PROFILES: Readonly<Record<ChainWord, string>> = {
  fresh: 'M1 19V9C3 9 4 15 8.5 15S13 9 13.5 4H20.5C21 9 21 15 25.5 15S31 9 33 9V19Z',
  good: 'M1 19V9C3 9 4 15 8.5 15S13.5 9 14.5 4H20C20.5 9 21 15 25.5 15S31 9 33 9V19Z',
  watch: 'M1 19V10C3 10 4 15.6 9 15.6S15.5 10 17 4.4H20.4C20.6 9 21.5 15.6 26 15.6S31 10 33 10V19Z',
  swap: 'M1 19V11C3 11 4 16.2 9.5 16.2S18.5 11 21 4.6H22C21.6 9 22.4 16.2 26.5 16.2S31 11 33 11V19Z',
  spent: 'M1 19V12C3 12 4 16.8 10 16.8S20 12.5 24.6 6L24.8 6.2C22.6 10 23 16.8 27 16.8S31 12 33 12V19Z',
  unsure: 'M1 19V9C3 9 4 15 8.5 15S13 9 13.5 4H20.5C21 9 21 15 25.5 15S31 9 33 9V19Z',
}

const TONES: Readonly<Record<ChainWord, string>> = {
  fresh: 'text-petrol',
  good: 'text-petrol',
  watch: 'text-ochre',
  swap: 'text-rust',
  spent: 'text-rust',
  unsure: 'text-steel',
}

interface Props {
  readonly word: ChainWord
  readonly className?: string
}

/** The small tooth that stands beside a wear word. Says nothing to a screen reader: the word beside it does. */
export function ToothGlyph({ word, className }: Props) {
  return (
    <svg viewBox="0 0 34 20" aria-hidden="true" className={clsx('h-4 w-7 shrink-0', TONES[word], className)}>
      <path
        d={TOOTH_PROFILES[word]}
        {...(word === 'unsure'
          ? { fill: 'none', stroke: 'currentColor', strokeWidth: 1.6, strokeDasharray: '2.6 2.2' }
          : { fill: 'currentColor', opacity: word === 'good' ? 0.75 : 1 })}
      />
    </svg>
  )
}

/** Word and glyph together: the way wear is always shown. */
export function WearMark({ word, className }: Props) {
  return (
    <span className={clsx('inline-flex items-center font-semibold', TONES[word], className ?? 'gap-1.5')}>
      {WORD_NAMES[word]}
      <ToothGlyph word={word} />
    </span>
  )
}

/** The large mark at the head of a station. */
export function WearMedal({ word }: { readonly word: ChainWord }) {
  return (
    <span
      className={clsx(
        'grid size-14 shrink-0 place-items-center rounded-full border-2 max-sm:size-11',
        TONES[word],
        word === 'unsure' ? 'border-dashed border-current' : 'border-current',
      )}
    >
      <ToothGlyph word={word} className="h-6 w-10 max-sm:h-5 max-sm:w-8" />
      <span className="sr-only">{WORD_NAMES[word]}</span>
    </span>
  )
}
