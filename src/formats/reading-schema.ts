import { boolean, number, object, string, type AnyObjectSchema } from 'yup'
import { evidenceOf } from '../core/measure/likelihood.ts'
import {
  LIFT_RESULTS,
  LIMIT_RESULTS,
  PLAY_RESULTS,
  type Instrument,
  type Reading,
} from '../core/measure/reading.ts'

const MOST_PITCHES = 120
/** A new chain reads about 0 %; less or more than this is a slip, whatever the instrument. */
const PLAUSIBLE_PERCENT = [-3, 6] as const

const slack = boolean().strict().optional()
const kind = (instrument: Instrument) => string().strict().required().oneOf([instrument])
const figure = (most: number) => number().strict().required().min(0).max(most)
const pitches = number().strict().required().integer().min(1).max(MOST_PITCHES)
const answer = (answers: readonly string[]) =>
  string()
    .strict()
    .required()
    .oneOf([...answers])

const length = (instrument: Instrument) =>
  object({ instrument: kind(instrument), slack, pitches, lengthMm: figure(2000) }).noUnknown()
const scale = (instrument: Instrument) =>
  object({
    instrument: kind(instrument),
    slack,
    percent: number().strict().required().min(-3).max(6),
  }).noUnknown()
const limit = (instrument: Instrument) =>
  object({
    instrument: kind(instrument),
    slack,
    limit: number().strict().required().min(0.05).max(3),
    result: answer(LIMIT_RESULTS),
  }).noUnknown()

/** The fields of a reading, by its instrument. */
export const READING_SCHEMAS: Readonly<Record<Instrument, AnyObjectSchema>> = {
  rule: length('rule'),
  strip: length('strip'),
  'caliper-pair': object({
    instrument: kind('caliper-pair'),
    slack,
    pitches,
    insideMm: figure(2000),
    outsideMm: figure(2000),
  }).noUnknown(),
  'two-contact-scale': scale('two-contact-scale'),
  'three-contact-scale': scale('three-contact-scale'),
  'two-contact-limit': limit('two-contact-limit'),
  'three-contact-limit': limit('three-contact-limit'),
  'ring-lift': object({ instrument: kind('ring-lift'), slack, result: answer(LIFT_RESULTS) }).noUnknown(),
  'side-play': object({ instrument: kind('side-play'), slack, result: answer(PLAY_RESULTS) }).noUnknown(),
}

/** Whether a value is a reading the core can make evidence of, of an elongation that can be. */
export function isReading(value: unknown): value is Reading {
  if (typeof value !== 'object' || value === null) return false
  const { instrument } = value as { instrument?: unknown }
  if (typeof instrument !== 'string' || !Object.hasOwn(READING_SCHEMAS, instrument)) return false
  if (!READING_SCHEMAS[instrument as Instrument].isValidSync(value, { strict: true })) return false
  try {
    const evidence = evidenceOf(value as Reading)
    return (
      Number.isFinite(evidence.sd) &&
      (evidence.form === 'between' ||
        (evidence.value >= PLAUSIBLE_PERCENT[0] && evidence.value <= PLAUSIBLE_PERCENT[1]))
    )
  } catch (error) {
    if (error instanceof RangeError) return false
    throw error
  }
}
