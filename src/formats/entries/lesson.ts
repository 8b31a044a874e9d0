import { array, lazy, number, object, type AnyObjectSchema } from 'yup'
import { GAUGE_SLIPS, LESSON_BOUNDS, SWAP_CHOICES } from '../../core/log/kinds/lesson.ts'
import { INSTRUMENTS } from '../../core/measure/instruments.ts'
import { LIMIT_RESULTS, type Instrument } from '../../core/measure/reading.ts'
import { TOOTH_WORDS } from '../../core/teeth/tooth-word.ts'
import { amount, entry, flag, maybeOneOf, oneOf } from './checks.ts'

const between = ([least, most]: readonly [number, number]) =>
  number().strict().required().min(least).max(most)

/** The fields of an answer, by what the lesson was about. */
export const ANSWERS: Readonly<Record<string, AnyObjectSchema>> = {
  gauge: object({
    about: oneOf(['gauge']),
    instrument: oneOf(Object.keys(INSTRUMENTS) as Instrument[]),
    truth: between(LESSON_BOUNDS.truth),
    right: between(LESSON_BOUNDS.truth),
    read: number().strict().min(LESSON_BOUNDS.read[0]).max(LESSON_BOUNDS.read[1]).optional(),
    limit: number().strict().moreThan(0).max(LESSON_BOUNDS.limit).optional(),
    result: maybeOneOf(LIMIT_RESULTS),
    slips: array(oneOf(GAUGE_SLIPS)).strict().required().max(LESSON_BOUNDS.slips),
  }),
  teeth: object({ about: oneOf(['teeth']), truth: between(LESSON_BOUNDS.truth), word: oneOf(TOOTH_WORDS) }),
  skip: object({ about: oneOf(['skip']), p: amount(1), saidSkips: flag().required() }),
  swap: object({
    about: oneOf(['swap']),
    best: oneOf(SWAP_CHOICES),
    chose: oneOf(SWAP_CHOICES),
    lostShare: amount(LESSON_BOUNDS.lost),
  }),
}

/** The fields of a lesson: what they are depends on what it was about. */
export const lessonSchema = entry('lesson', {
  answer: lazy((value: unknown) => {
    const about = (value as { about?: unknown } | undefined)?.about
    return (ANSWERS[typeof about === 'string' ? about : ''] ?? (ANSWERS['gauge'] as AnyObjectSchema))
      .noUnknown()
      .required()
  }) as never,
})
