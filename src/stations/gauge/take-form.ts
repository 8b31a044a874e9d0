import { number, object, string, type InferType } from 'yup'
import { elongationFromCaliper, elongationFromLength } from '../../core/measure/elongation.ts'
import { STRIP_PITCHES, trueLength } from '../../core/measure/strip-marks.ts'
import {
  LIFT_RESULTS,
  LIMIT_RESULTS,
  PLAY_RESULTS,
  type Instrument,
  type LimitInstrument,
  type LimitResult,
  type Reading,
} from '../../core/measure/reading.ts'
import { inchesToMm } from '../../core/units/convert.ts'
import { PITCH_MM } from '../../core/units/pitch.ts'
import type { Units } from '../../core/units/units.ts'
import { neededNumber, numberField } from '../../ui/form/fields.ts'
import { sayFigure } from '../../words/numbers.ts'
import { words } from '../../words/stations/gauge/take-form.ts'
import { sayDecimal } from '../../words/grouped-number.ts'

/** What can be read with, the surest first. */
export const INSTRUMENT_ORDER = [
  'caliper-pair',
  'rule',
  'strip',
  'two-contact-limit',
  'three-contact-limit',
  'two-contact-scale',
  'three-contact-scale',
  'ring-lift',
  'side-play',
] as const satisfies readonly Instrument[]

/** Pitches usually read with each instrument that counts them. */
export function usualPitches(instrument: Instrument): number {
  return instrument === 'caliper-pair' ? 8 : instrument === 'strip' ? STRIP_PITCHES : 24
}

/** What an instrument showed, in the fields of the form: emptied once it is taken. */
export const SHOWN_FIELDS = ['length', 'inside', 'outside', 'percent', 'low', 'high', 'lift', 'play'] as const

/** Elongations outside this are slips of the pen, not chains, %. */
const LEAST = -0.6
const MOST = 2.5

/** No length read on a chain is longer than this, mm or in. */
const MOST_LENGTH = 3000

/** Figures beyond this are no elongation, %: so that "1,125" is read in one way only. */
const MOST_PERCENT = 100

const lengthOf = (what: string) => numberField({ unit: '', ask: words.read(what), most: MOST_LENGTH })

const isLength = (instrument: unknown): boolean => instrument === 'rule' || instrument === 'strip'
const isScale = (instrument: unknown): boolean =>
  instrument === 'two-contact-scale' || instrument === 'three-contact-scale'

/** The draft of a reading as the form holds it; lengths in the units shown. */
export const takeSchema = object({
  instrument: string()
    .oneOf([...INSTRUMENT_ORDER])
    .required(),
  /** One of the rider's own tools; absent: whatever there is of the instrument. */
  tool: string().optional(),
  day: string().required(),
  pitches: neededNumber({ unit: '', ask: words.countThePitches, least: 1, most: 200, whole: true }),
  length: lengthOf(words.theLength)
    .positive(words.aLengthIsMore)
    .when('instrument', { is: isLength, then: (schema) => schema.required(words.readTheLength) }),
  inside: lengthOf(words.theInsideLength)
    .positive(words.aLengthIsMore)
    .when('instrument', {
      is: 'caliper-pair',
      then: (schema) => schema.required(words.measureBetweenTheRollers),
    }),
  outside: lengthOf(words.theOutsideLength)
    .positive(words.aLengthIsMore)
    .when('instrument', {
      is: 'caliper-pair',
      then: (schema) => schema.required(words.measureOverTheRollers),
    }),
  percent: numberField({ unit: '%', ask: words.readTheScale, least: -MOST_PERCENT, most: MOST_PERCENT })
    .min(-0.2, words.noChainIsSo)
    .max(2, words.thatIsOffTheScale)
    .when('instrument', { is: isScale, then: (schema) => schema.required(words.readTheScale) }),
  low: string()
    .oneOf([...LIMIT_RESULTS])
    .optional(),
  high: string()
    .oneOf([...LIMIT_RESULTS])
    .optional(),
  lowMark: number().required(),
  highMark: number().required(),
  lift: string()
    .oneOf([...LIFT_RESULTS])
    .when('instrument', { is: 'ring-lift', then: (schema) => schema.required(words.sayHowFarItLifts) }),
  play: string()
    .oneOf([...PLAY_RESULTS])
    .when('instrument', { is: 'side-play', then: (schema) => schema.required(words.sayHowFarItBends) }),
  place: numberField({ unit: '', ask: words.countTheLinks, whole: true })
    .min(1, words.theJoiningLinkItself)
    .optional(),
  run: string().oneOf(['tight', 'slack']).required(),
})
export type TakeDraft = InferType<typeof takeSchema>

export type TakeResult =
  | { readonly ok: true; readonly readings: readonly Reading[]; readonly elongation?: number }
  | { readonly ok: false; readonly field: keyof TakeDraft; readonly fault: string }

/** What the form must know of the chain and the units. */
export interface TakeContext {
  readonly units: Units
  readonly links: number
  /** How much larger than drawn a strip was printed; 1 for everything else. */
  readonly printScale: number
}

const mmOf = (length: number, units: Units): number => (units === 'metric' ? length : inchesToMm(length))

/** What is wrong with an elongation, with the likeliest slip: the unit, or the count off by whole pitches. */
function faultOfElongation(
  elongation: number,
  lengthMm: number,
  pitches: number,
  units: Units,
): string | undefined {
  if (elongation >= LEAST && elongation <= MOST) return undefined
  const counted = Math.round(lengthMm / PITCH_MM)
  const said = words.thatWouldBe(sayFigure(elongation))
  const near = (mm: number): boolean => Math.abs(mm / (pitches * PITCH_MM) - 1) < 0.05
  if (units === 'metric' && near(inchesToMm(lengthMm))) return words.wasThatInInches(said)
  if (units === 'imperial' && near(lengthMm / 25.4)) return words.wasThatInMm(said)
  if (counted !== pitches && counted > 0) return words.didYouCountPitches(said, counted)
  return words.moreThanAnyChain(said)
}

const refuse = (field: keyof TakeDraft, fault: string): TakeResult => ({ ok: false, field, fault })

function limitReadings(draft: TakeDraft, instrument: LimitInstrument, slack: { slack?: true }): TakeResult {
  const { low, high, lowMark, highMark } = draft
  if (!low && !high) return refuse('low', words.sayWhatAtLeast)
  const depth = (result: LimitResult): number => (result === 'drops' ? 2 : result === 'starts' ? 1 : 0)
  if (high && low && low !== 'not-in' && high !== 'not-in' && depth(high) > depth(low))
    return refuse(
      'high',
      words.butDoesNotRead(
        sayDecimal(highMark, highMark === 0.75 ? 2 : 1),
        high === 'drops' ? words.drops : words.enters,
        lowMark,
      ),
    )
  if (high === 'drops' && low === 'not-in') return refuse('high', words.dropsButDoesNot(highMark, lowMark))
  const side = (limit: number, result: LimitResult | undefined): Reading[] =>
    result ? [{ instrument, limit, result, ...slack }] : []
  return { ok: true, readings: [...side(lowMark, low), ...side(highMark, high)] }
}

/** Whether the span read from a place, going round, runs over the joining link. */
function overJoiningLink(draft: TakeDraft, links: number): boolean {
  const counts =
    draft.instrument === 'rule' || draft.instrument === 'strip' || draft.instrument === 'caliper-pair'
  return counts && draft.place !== undefined && draft.place + draft.pitches > links
}

function lengthReading(
  draft: TakeDraft,
  instrument: 'rule' | 'strip',
  context: TakeContext,
  slack: { slack?: true },
): TakeResult {
  const lengthMm = trueLength(mmOf(draft.length ?? 0, context.units), context.printScale)
  const elongation = elongationFromLength(draft.pitches, lengthMm)
  const fault = faultOfElongation(elongation, lengthMm, draft.pitches, context.units)
  if (fault) return refuse('length', fault)
  return { ok: true, elongation, readings: [{ instrument, pitches: draft.pitches, lengthMm, ...slack }] }
}

function caliperReading(draft: TakeDraft, { units }: TakeContext, slack: { slack?: true }): TakeResult {
  const [insideMm, outsideMm] = [mmOf(draft.inside ?? 0, units), mmOf(draft.outside ?? 0, units)]
  if (insideMm >= outsideMm) return refuse('inside', words.theInsideIsNot)
  const { elongation } = elongationFromCaliper(draft.pitches, insideMm, outsideMm)
  const fault = faultOfElongation(elongation, (insideMm + outsideMm) / 2, draft.pitches, units)
  if (fault) return refuse('outside', fault)
  return {
    ok: true,
    elongation,
    readings: [{ instrument: 'caliper-pair', pitches: draft.pitches, insideMm, outsideMm, ...slack }],
  }
}

/** Makes readings of a draft that passed the schema, or says which field cannot be and why. */
export function readingsOf(draft: TakeDraft, context: TakeContext): TakeResult {
  const { links } = context
  if (draft.place !== undefined && draft.place >= links) return refuse('place', words.theChainHasLinks(links))
  if (overJoiningLink(draft, links))
    return refuse('place', words.fromLinkTheSpan(draft.place, links - draft.pitches - 1))
  const slack = draft.run === 'slack' ? ({ slack: true } as const) : {}
  const { instrument } = draft
  switch (instrument) {
    case 'rule':
    case 'strip':
      return lengthReading(draft, instrument, context, slack)
    case 'caliper-pair':
      return caliperReading(draft, context, slack)
    case 'two-contact-limit':
    case 'three-contact-limit':
      return limitReadings(draft, instrument, slack)
    case 'two-contact-scale':
    case 'three-contact-scale':
      return {
        ok: true,
        elongation: draft.percent ?? 0,
        readings: [{ instrument, percent: draft.percent ?? 0, ...slack }],
      }
    case 'ring-lift':
      return { ok: true, readings: [{ instrument, result: draft.lift ?? 'none' }] }
    case 'side-play':
      return { ok: true, readings: [{ instrument, result: draft.play ?? 'little' }] }
  }
}

/** How many places round the chain make a look. */
export const PLACES = 3

/**
 * The next of three places round the chain, such that no span runs over the joining link: the one least read so far.
 * @param read places of the readings of this look, a place as often as it was read
 */
export function nextPlace(links: number, read: readonly number[]): number {
  const thirds = [1, 3, 5].map((sixth) => Math.round((links * sixth) / 6 - links / 12))
  const timesRead = (place: number) => read.filter((other) => Math.abs(other - place) < links / 8).length
  return thirds.reduce((best, place) => (timesRead(place) < timesRead(best) ? place : best))
}
