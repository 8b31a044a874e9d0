import { BOUNDS } from '../../core/log/bounds.ts'
import {
  array,
  boolean,
  number,
  object,
  string,
  ValidationError,
  type InferType,
  type ObjectSchema,
} from 'yup'
import { usualGearName } from '../../core/gearing/write-set.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import type { IsoTime } from '../../core/log/entry.ts'
import { numberField, pastDay } from '../../ui/form/fields.ts'
import type { PartSpec } from '../../core/log/kinds/part.ts'
import { faultOfCogs, teethOf } from './bike-form.ts'
import { words } from '../../words/stations/shelf/part-form.ts'

export const PART_TYPES = {
  chain: 'chain',
  'joining-link': words.joiningLink,
  cassette: words.cassetteOrSingleCog,
  ring: 'ring',
  guide: words.guidePulley,
  tension: words.tensionPulley,
} as const
export type PartType = keyof typeof PART_TYPES

/** A count that some types have. What stands in a field that the type does not show is left aside. */
const countOf = (types: readonly PartType[], least: number, most: number, ask: string) =>
  numberField({ unit: '', ask, least, most, whole: true }).when('type', {
    is: (type: PartType) => types.includes(type),
    otherwise: (count) => count.transform(() => undefined),
  })

/** What is asked of a part; each type takes what is its own. */
const partSchema = object({
  type: string()
    .oneOf(Object.keys(PART_TYPES) as PartType[])
    .required(),
  name: string().trim().max(BOUNDS.nameLetters, words.aShorterNameOfAtMost(BOUNDS.nameLetters)).default(''),
  note: string().trim().max(200, words.aFewWordsAre).default(''),
  speeds: countOf(['chain', 'joining-link'], 1, 16, words.forHowManySpeeds),
  links: countOf(['chain'], 40, 300, words.countTheLinks),
  surface: string().oneOf(['plain', 'plated', 'hard-coated']).default('plain'),
  directional: string().oneOf(['yes', 'no']).default('no'),
  join: string().oneOf(['joining-link', 'pin']).default('joining-link'),
  teeth: string().trim().default(''),
  cogsCounted: boolean().default(false),
  loose: string().trim().default(''),
  material: string().oneOf(['steel', 'aluminium', 'titanium']).default('steel'),
  limit: countOf(['joining-link'], 1, 100, words.howOftenMayItBe),
  closedBefore: countOf(['joining-link'], 0, 100, words.howOftenWasItClosed),
  used: string().oneOf(['new', 'used']).default('new'),
  usedKm: numberField({ unit: 'km', ask: words.aDistanceOrNothing, least: 0, most: 500_000 }).when('used', {
    is: 'used',
    otherwise: (km) => km.transform(() => undefined),
  }),
})
type PartFields = InferType<typeof partSchema>

const teethSchema = array(number().required().min(9).max(60)).required().min(1)

/** What is wrong with a part, by field. */
export class PartFault extends Error {
  override readonly name = 'PartFault'
  readonly field: string
  constructor(field: string, message: string) {
    super(message)
    this.field = field
  }
}

function teeth(text: string, most: number): number[] {
  const counts = teethOf(text)
  try {
    return teethSchema.max(most).validateSync(counts)
  } catch {
    throw new PartFault(
      'teeth',
      most === 1
        ? 'The number of its teeth: one figure from 9 to 60.'
        : 'Tooth counts from 9 to 60, as in "11 13 15".',
    )
  }
}

function needed(value: number | undefined, field: string, message: string): number {
  if (value === undefined) throw new PartFault(field, message)
  return value
}

function specOf(fields: PartFields): PartSpec {
  const { material } = fields
  switch (fields.type) {
    case 'chain':
      return {
        type: 'chain',
        links: needed(fields.links, 'links', words.countTheLinks),
        speeds: needed(fields.speeds, 'speeds', words.forHowManySpeeds),
        past: fields.used === 'new' ? 'new' : 'unknown',
        surface: fields.surface,
        directional: fields.directional === 'yes',
        join: fields.join,
      }
    case 'joining-link':
      return {
        type: 'joining-link',
        speeds: needed(fields.speeds, 'speeds', words.forHowManySpeeds),
        closingsAllowed: needed(fields.limit, 'limit', words.howOftenMayItBeClosed),
        closedBefore: fields.closedBefore ?? 0,
      }
    case 'cassette': {
      const counts = teeth(fields.teeth, 16)
      const odd = faultOfCogs(fields.teeth, fields.cogsCounted)
      if (odd) throw new PartFault('teeth', odd)
      const loose = teethOf(fields.loose).filter((count) => counts.includes(count))
      return { type: 'cassette', teeth: counts, material, ...(loose.length > 0 && { soldSingly: loose }) }
    }
    case 'ring':
      return { type: 'ring', teeth: teeth(fields.teeth, 1)[0] ?? 0, material }
    case 'guide':
    case 'tension':
      return { type: 'pulley', position: fields.type, teeth: teeth(fields.teeth, 1)[0] ?? 0 }
  }
}

function usualName(spec: PartSpec): string {
  switch (spec.type) {
    case 'chain':
      return words.chain
    case 'joining-link':
      return words.joiningLink2
    case 'cassette':
    case 'ring':
      return usualGearName(spec)
    case 'pulley':
      return spec.position === 'guide' ? words.guidePulley2 : words.tensionPulley2
  }
}

/** The form for a part: what it is, where it goes, when. What its type needs is asked for at its own field. */
export const partFormSchema = (now: IsoTime) =>
  partSchema
    .shape({
      where: string<'bike' | 'shelf'>().required(),
      day: pastDay(now),
    })
    .test('spec', '', (fields, context) => {
      try {
        specOf(fields)
        return true
      } catch (error) {
        if (error instanceof PartFault)
          return context.createError({ path: error.field, message: error.message })
        throw error
      }
    })
export type PartForm = ReturnType<typeof partFormSchema> extends ObjectSchema<infer T> ? T : never

export type PartDraft = Extract<EntryDraft, { kind: 'part' }>

/**
 * The part that a form describes.
 * @param id its id, for a part that is new
 * @throws PartFault naming the field and what is wrong with it
 */
export function partDraft(raw: unknown, id: string, at: string): PartDraft {
  let fields: PartFields
  try {
    fields = partSchema.validateSync(raw)
  } catch (error) {
    if (error instanceof ValidationError) throw new PartFault(error.path ?? 'type', error.message)
    throw error
  }
  const spec = specOf(fields)
  return {
    kind: 'part',
    at,
    part: id,
    name: fields.name === '' ? usualName(spec) : fields.name,
    spec,
    ...(fields.note !== '' && { note: fields.note }),
    ...(fields.used === 'used' && {
      used: fields.usedKm === undefined ? {} : { km: fields.usedKm },
    }),
  }
}
