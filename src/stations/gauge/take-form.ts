import { number, object, string, type InferType } from 'yup'
import { elongationFromCaliper, elongationFromLength } from '../../core/measure/elongation.ts'
import type { LimitInstrument, LimitResult, Reading } from '../../core/measure/reading.ts'
import { inchesToMm } from '../../core/units/convert.ts'
import { PITCH_MM } from '../../core/units/pitch.ts'
import type { Units } from '../../ui/screen-state.ts'
import { sayFigure } from '../../ui/words/numbers.ts'

/** What can be read with: the first form of the instruments. */
export const TOOLS = ['rule', 'two-contact-limit', 'three-contact-limit', 'caliper-pair'] as const

/** Elongations outside this are slips of the pen, not chains, %. */
const LEAST = -0.6
const MOST = 2.5

const figure = (what: string) =>
  number()
    .transform((value: number, original: unknown) => (original === '' ? undefined : value))
    .typeError(`Give ${what} as a number.`)

const RESULTS = ['clear', 'starts', 'drops', 'not-in'] as const

/** The draft of a reading as the form holds it; lengths in the units shown. */
export const takeSchema = object({
  tool: string()
    .oneOf([...TOOLS])
    .required(),
  day: string().required(),
  pitches: figure('the pitches')
    .integer('Count whole pitches.')
    .min(1, 'Count at least one.')
    .max(200, 'That is more than a chain has.')
    .required('Count the pitches.'),
  length: figure('the length')
    .positive('A length is more than nothing.')
    .when('tool', {
      is: 'rule',
      then: (schema) => schema.required('Read the length off the rule.'),
    }),
  inside: figure('the inside length')
    .positive('A length is more than nothing.')
    .when('tool', {
      is: 'caliper-pair',
      then: (schema) => schema.required('Measure between the rollers.'),
    }),
  outside: figure('the outside length')
    .positive('A length is more than nothing.')
    .when('tool', {
      is: 'caliper-pair',
      then: (schema) => schema.required('Measure over the rollers.'),
    }),
  low: string()
    .oneOf([...RESULTS])
    .optional(),
  high: string()
    .oneOf([...RESULTS])
    .optional(),
  lowMark: number().required(),
  highMark: number().required(),
  place: figure('the links')
    .integer('Count whole links.')
    .min(1, 'The joining link itself is not read: start at link 1.')
    .optional(),
  run: string().oneOf(['tight', 'slack']).required(),
})
export type TakeDraft = InferType<typeof takeSchema>

export type TakeResult =
  | { readonly ok: true; readonly readings: readonly Reading[]; readonly elongation?: number }
  | { readonly ok: false; readonly field: keyof TakeDraft; readonly fault: string }

const mmOf = (length: number, units: Units): number => (units === 'metric' ? length : inchesToMm(length))

/** What is wrong with an elongation, with the likeliest slip: the count is off by whole pitches, or the unit. */
function faultOfElongation(elongation: number, lengthMm: number, pitches: number): string | undefined {
  if (elongation >= LEAST && elongation <= MOST) return undefined
  const counted = Math.round(lengthMm / PITCH_MM)
  const said = `That would be ${sayFigure(elongation)} %`
  if (Math.abs(mmOf(lengthMm, 'imperial') / (pitches * PITCH_MM) - 1) < 0.05)
    return `${said}: was that in inches? Switch the units under More.`
  if (counted !== pitches && counted > 0) return `${said}: did you count ${counted} pitches?`
  return `${said}, more than any chain. Read it again.`
}

function limitReadings(draft: TakeDraft, instrument: LimitInstrument, slack: { slack?: true }): TakeResult {
  const { low, high, lowMark, highMark } = draft
  if (!low && !high) return { ok: false, field: 'low', fault: 'Say what at least one side did.' }
  if (high === 'drops' && low && low !== 'drops')
    return {
      ok: false,
      field: 'high',
      fault: `The ${highMark} side drops but the ${lowMark} side does not: read both again.`,
    }
  const side = (limit: number, result: LimitResult | undefined): Reading[] =>
    result ? [{ instrument, limit, result, ...slack }] : []
  return { ok: true, readings: [...side(lowMark, low), ...side(highMark, high)] }
}

/** Makes readings of a draft that passed the schema, or says which field cannot be and why. */
export function readingsOf(draft: TakeDraft, units: Units, links: number): TakeResult {
  if (draft.place !== undefined && draft.place >= links)
    return {
      ok: false,
      field: 'place',
      fault: `The chain has ${links} links: count again from the joining link.`,
    }
  const slack = draft.run === 'slack' ? ({ slack: true } as const) : {}
  switch (draft.tool) {
    case 'rule': {
      const lengthMm = mmOf(draft.length ?? 0, units)
      const elongation = elongationFromLength(draft.pitches, lengthMm)
      const fault = faultOfElongation(elongation, lengthMm, draft.pitches)
      if (fault) return { ok: false, field: 'length', fault }
      return {
        ok: true,
        elongation,
        readings: [{ instrument: 'rule', pitches: draft.pitches, lengthMm, ...slack }],
      }
    }
    case 'caliper-pair': {
      const [insideMm, outsideMm] = [mmOf(draft.inside ?? 0, units), mmOf(draft.outside ?? 0, units)]
      if (insideMm >= outsideMm)
        return {
          ok: false,
          field: 'inside',
          fault: 'The inside is not less than the outside: are the two swapped?',
        }
      const { elongation } = elongationFromCaliper(draft.pitches, insideMm, outsideMm)
      const fault = faultOfElongation(elongation, (insideMm + outsideMm) / 2, draft.pitches)
      if (fault) return { ok: false, field: 'outside', fault }
      const reading: Reading = {
        instrument: 'caliper-pair',
        pitches: draft.pitches,
        insideMm,
        outsideMm,
        ...slack,
      }
      return { ok: true, elongation, readings: [reading] }
    }
    case 'two-contact-limit':
    case 'three-contact-limit':
      return limitReadings(draft, draft.tool, slack)
  }
}

/** The next of three places round the chain, well away from the joining link. */
export function nextPlace(links: number, read: readonly number[]): number {
  const thirds = [1, 3, 5].map((sixth) => Math.round((links * sixth) / 6))
  return (
    thirds.find((place) => !read.some((other) => Math.abs(other - place) < links / 12)) ?? thirds[0] ?? 20
  )
}
