import type { Instrument, LimitResult } from '../../measure/reading.ts'
import type { EntryBase, WearWord } from '../entry.ts'
import type { Kind } from './kind.ts'

/** How a gauge can be put on wrongly. */
export const GAUGE_SLIPS = ['slack', 'joining-link', 'wrong-side', 'pushed', 'crooked'] as const
export type GaugeSlip = (typeof GAUGE_SLIPS)[number]

/** What can be done in the story of a worn chain. */
export const SWAP_CHOICES = ['swap-now', 'ride-on', 'run-out'] as const
export type SwapChoice = (typeof SWAP_CHOICES)[number]

/** A made-up chain that was read: how long it really was, what a faultless reading would have shown, and what was read. %. */
export interface GaugeAnswer {
  readonly about: 'gauge'
  readonly instrument: Instrument
  readonly truth: number
  readonly right: number
  /** A figure; or, of a drop-in gauge, a side and what it did. */
  readonly read?: number
  readonly limit?: number
  readonly result?: LimitResult
  readonly slips: readonly GaugeSlip[]
}

/** What a lesson was about, and how it went. */
export type LessonAnswer =
  | GaugeAnswer
  /** A made-up sprocket was graded: what its teeth had shaped themselves to, %, and the word. */
  | { readonly about: 'teeth'; readonly truth: number; readonly word: WearWord }
  /** A story was decided: the chance that it skips, and what was said. */
  | { readonly about: 'skip'; readonly p: number; readonly saidSkips: boolean }
  /** What was best, what was chosen, and how much dearer that was on average, as a share of the best. */
  | {
      readonly about: 'swap'
      readonly best: SwapChoice
      readonly chose: SwapChoice
      readonly lostShare: number
    }

/** A lesson that was done. */
export interface LessonEntry extends EntryBase {
  readonly kind: 'lesson'
  readonly answer: LessonAnswer
}

/** Bounds of a lesson's figures, %, and of what a choice may have lost, as a share. */
export const LESSON_BOUNDS = { truth: [-0.5, 3], read: [-3, 6], limit: 3, slips: 5, lost: 100 } as const

export const lesson: Kind<LessonEntry> = {
  fields: { answer: 'measure' },
  isAbout: () => [],
  key: ({ answer }) => (answer.about === 'gauge' ? `gauge ${answer.instrument}` : answer.about),
}
