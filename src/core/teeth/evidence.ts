import type { WearWord } from '../log/entry.ts'
import { normalCdf } from '../stats/normal.ts'
import { skipRisk } from './skip.ts'
import { BETWEEN_WORDS, TOOTH_WORDS } from './tooth-word.ts'

/** What was found out about one sprocket. */
export type ToothEvidence =
  /** How it looked to the eye. */
  | {
      readonly kind: 'look'
      readonly word: WearWord
      /** This rider's own eye, as lessons measured it; absent: a new eye's. */
      readonly eye?: { readonly shift: number; readonly sd: number }
    }
  /** Valley excess measured in a picture, mm. */
  | { readonly kind: 'picture'; readonly mm: number; readonly sdMm?: number }
  /** A tool that simulates load. */
  | { readonly kind: 'tool'; readonly result: 'pass' | 'condemn' }
  /** Pushed hard on it with a chain of so much elongation, %. */
  | { readonly kind: 'ride'; readonly result: 'held' | 'skipped'; readonly chain: number }

/** How far a new eye is out, %. Methods 5. */
export const NEW_EYE = { shift: 0, sd: 0.15 } as const

/** mm of valley to a % of conformed elongation: a guess, and how far the rider's pictures may move it. */
export const MM_PER_PERCENT = 0.8
export const MM_PER_PERCENT_LOG_SD = 0.2
const PICTURE_SD_MM = 0.06
const PICTURE_SD_PER_PERCENT = 0.2

/** How often a cog-check tool is right of a cog that skips, and wrong of one that does not. Methods 5. */
export const TOOL_FINDS = 0.6
export const TOOL_FALSE = 0.05
/** The same of a hard push on the road. */
export const RIDE_FINDS = 0.9
export const RIDE_FALSE = 0.03

/** Rider's own numbers that evidence is heard by. */
export interface ToothShift {
  /** Of the skipping threshold, %. */
  readonly shift: number
  readonly mmPerPercent: number
}
export const NO_SHIFT: ToothShift = { shift: 0, mmPerPercent: MM_PER_PERCENT }

/** What a test says that only holds or slips: how likely it is if a chain skips there under a hard push, and if it does not. */
export interface ResultChances {
  readonly ifSkips: number
  readonly ifNot: number
}

/** The two chances of a test by tool or on the road; undefined for what is no such test. */
export function resultChances(evidence: ToothEvidence): ResultChances | undefined {
  const chances = (isBad: boolean, finds: number, isFalse: number): ResultChances =>
    isBad ? { ifSkips: finds, ifNot: isFalse } : { ifSkips: 1 - finds, ifNot: 1 - isFalse }
  switch (evidence.kind) {
    case 'tool':
      return chances(evidence.result === 'condemn', TOOL_FINDS, TOOL_FALSE)
    case 'ride':
      return chances(evidence.result === 'skipped', RIDE_FINDS, RIDE_FALSE)
    case 'look':
    case 'picture':
      return undefined
  }
}

/**
 * The likelihood of a finding (methods 5), up to a constant.
 * @param worn what the teeth have shaped themselves to, %
 * @param teeth of the sprocket
 */
export function evidenceLikelihood(
  evidence: ToothEvidence,
  worn: number,
  teeth: number,
  { shift, mmPerPercent }: ToothShift = NO_SHIFT,
): number {
  switch (evidence.kind) {
    case 'look': {
      const place = TOOTH_WORDS.indexOf(evidence.word)
      const { shift: shiftBy, sd } = evidence.eye ?? NEW_EYE
      const below = (mark: number | undefined, none: number): number =>
        mark === undefined ? none : normalCdf((mark - worn - shiftBy) / sd)
      return below(BETWEEN_WORDS[place], 1) - below(BETWEEN_WORDS[place - 1], 0)
    }
    case 'picture': {
      const sd = Math.hypot(PICTURE_SD_MM + PICTURE_SD_PER_PERCENT * worn, evidence.sdMm ?? 0)
      return Math.exp(-0.5 * ((evidence.mm - mmPerPercent * worn) / sd) ** 2) / sd
    }
    case 'tool':
    case 'ride': {
      const risk = skipRisk(worn, evidence.kind === 'ride' ? evidence.chain : 0, teeth, shift)
      const { ifSkips, ifNot } = resultChances(evidence) ?? { ifSkips: 1, ifNot: 1 }
      return ifNot + (ifSkips - ifNot) * risk
    }
  }
}
