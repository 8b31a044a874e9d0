import type { GaugeSlip, LessonAnswer, SwapChoice } from '../core/log/kinds/lesson.ts'
import type { Instrument } from '../core/measure/reading.ts'
import type { OwnError } from '../core/school/own-error.ts'
import { SHORT_INSTRUMENT, WORD_NAMES } from './names.ts'
import { sayCount, sayFigure } from './numbers.ts'

/** What can be done in the story of a worn chain. */
export const SWAP_CHOICE_NAMES: Readonly<Record<SwapChoice, string>> = {
  'swap-now': 'swap the chain now',
  'ride-on': 'ride on',
  'run-out': 'run it all to the end',
}

/** A lesson in a few words. */
export function sayLesson(answer: LessonAnswer): string {
  switch (answer.about) {
    case 'gauge':
      return `lesson with the ${SHORT_INSTRUMENT[answer.instrument]}: ${answer.read === undefined ? (answer.result ?? '') : `read ${sayFigure(answer.read)} %`}, true ${sayFigure(answer.truth)} %`
    case 'teeth':
      return `lesson on teeth: said ${WORD_NAMES[answer.word]}, true ${sayFigure(answer.truth)} %`
    case 'skip':
      return `lesson, will it skip: said ${answer.saidSkips ? 'yes' : 'no'}`
    case 'swap':
      return `lesson, swap or ride on: chose to ${SWAP_CHOICE_NAMES[answer.chose]}`
  }
}

/** What each way of putting a gauge on wrongly did. */
export const SLIP_WORDS: Readonly<Record<GaugeSlip, string>> = {
  slack:
    'The chain hung slack: a slack run reads about 0.10 % too little. Put it on the big ring and a big cog, and hold it tight.',
  'joining-link':
    'The joining link was under it. It is newer or older than its neighbours, and its pitch is another: stay off it.',
  'wrong-side': 'The other side of the gauge was in the chain: its marks say which is which.',
  pushed:
    'It was pushed in: force spreads the rollers, and it reads about 0.08 % too much. Let it drop by its own weight.',
  crooked: 'The zero did not lie at the edge of the pin. What it lies beside is read as length.',
}

/** What a skill is called. */
export function skillName(skill: string): string {
  switch (skill) {
    case 'teeth':
      return 'Judging teeth'
    case 'skip':
      return 'Will it skip?'
    case 'swap':
      return 'Swap or ride on?'
    default:
      return `Reading the ${SHORT_INSTRUMENT[skill.replace(/^gauge /, '') as Instrument]}`
  }
}

/** What is practised, in a sentence. */
export function skillTalk(skill: string): string {
  switch (skill) {
    case 'teeth':
      return 'Give the word for a made-up sprocket, shift aids among its teeth.'
    case 'skip':
      return 'A story of readings and looks: decide, and see a hundred futures.'
    case 'swap':
      return 'A story of a worn chain and money: decide, and see a hundred futures.'
    default:
      return 'Put it on a made-up chain, read it, and see the truth.'
  }
}

/** A rider's own error in a sentence: "You read 0.04 % high, known to within 0.02; single readings scatter by 0.05." */
export function sayOwnError({ shift, shiftSd, spread, lessons }: OwnError, isEye: boolean): string {
  const way =
    Math.abs(shift) < shiftSd
      ? 'about right'
      : `${sayFigure(Math.abs(shift))} % too ${shift > 0 ? 'high' : 'low'}`
  return `You ${isEye ? 'grade' : 'read'} ${way}, known to within ${sayFigure(1.28 * shiftSd)}; one ${isEye ? 'look' : 'reading'} scatters by ${sayFigure(spread)}. ${sayCount(lessons, 'lesson')}.`
}
