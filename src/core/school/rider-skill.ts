import type { GaugeAnswer, LessonAnswer } from '../log/kinds/lesson.ts'
import { INSTRUMENTS } from '../measure/instruments.ts'
import { limitInterval } from '../measure/likelihood.ts'
import type { Bias, Instrument } from '../measure/reading.ts'
import { BETWEEN_WORDS, TOOTH_WORDS } from '../teeth/tooth-word.ts'
import { ownError, type ErrorPrior, type LessonEvidence, type OwnError } from './own-error.ts'

/** Riders shift an instrument by about so much, %, before any lesson. A guess. */
const SHIFT_SD = 0.08
const SPREAD_LOG_SD = 0.5
/** The length over which a rule is read, mm: its noise is a length. */
const RULE_SPAN_MM = 304.8
/** Of an instrument's noise so much is its own, as a share of the variance; the rest is its reader's. Ours. */
const INSTRUMENT_SHARE = 0.5

/** What an instrument's noise is in %, over the span it is usually read. */
export function noiseOf(instrument: Instrument): number {
  const { noise } = INSTRUMENTS[instrument]
  return 'percent' in noise ? noise.percent : (100 * noise.mm) / RULE_SPAN_MM
}

const priorOf = (instrument: Instrument): ErrorPrior => ({
  shiftSd: SHIFT_SD,
  spread: Math.sqrt(1 - INSTRUMENT_SHARE) * noiseOf(instrument),
  spreadLogSd: SPREAD_LOG_SD,
})

function evidenceOf({ right, read, limit, result }: GaugeAnswer): LessonEvidence[] {
  if (read !== undefined) return [{ right, read }]
  return limit !== undefined && result !== undefined ? [{ right, ...limitInterval(limit, result) }] : []
}

/** A rider's own error with one instrument, by the lessons done with it. */
export const readerOf = (instrument: Instrument, lessons: readonly LessonAnswer[]): OwnError =>
  ownError(
    lessons.flatMap((lesson) =>
      lesson.about === 'gauge' && lesson.instrument === instrument ? evidenceOf(lesson) : [],
    ),
    priorOf(instrument),
  )

/** What an eye is out by before any lesson, %: methods 5 has 0.15 for a new eye; and riders' eyes differ. */
const EYE: ErrorPrior = { shiftSd: 0.1, spread: 0.15, spreadLogSd: 0.4 }

/** A rider's own error in grading teeth, by the lessons done. */
export const eyeOf = (lessons: readonly LessonAnswer[]): OwnError =>
  ownError(
    lessons.flatMap((lesson): LessonEvidence[] => {
      if (lesson.about !== 'teeth') return []
      const place = TOOTH_WORDS.indexOf(lesson.word)
      return [
        {
          right: lesson.truth,
          low: BETWEEN_WORDS[place - 1] ?? -Infinity,
          high: BETWEEN_WORDS[place] ?? Infinity,
        },
      ]
    }),
    EYE,
  )

/** How a rider reads an instrument: what stands in place of methods 2's table for readings of their own. */
export interface OwnReading {
  readonly bias: Bias
  /** The noise of one reading, before what places differ by, %. */
  readonly noise: number
}

/** So few lessons tell of luck, not of the rider. */
export const LEAST_LESSONS = 3

/**
 * The table's bias moved by the rider's own shift, and its noise with the rider's own spread in place of a reader's in general.
 * @returns undefined while there are too few lessons
 */
export function ownReading(instrument: Instrument, reader: OwnError): OwnReading | undefined {
  if (reader.lessons < LEAST_LESSONS) return undefined
  const { bias } = INSTRUMENTS[instrument]
  return {
    bias: { b: bias.b + reader.shift, sb: Math.hypot(bias.sb, reader.shiftSd) },
    noise: Math.hypot(Math.sqrt(INSTRUMENT_SHARE) * noiseOf(instrument), reader.spread),
  }
}

/** A rider's own eye, as evidence by eye is heard; undefined while there are too few lessons. */
export const ownEye = (eye: OwnError): { readonly shift: number; readonly sd: number } | undefined =>
  eye.lessons < LEAST_LESSONS ? undefined : { shift: eye.shift, sd: Math.hypot(eye.spread, eye.shiftSd) }
