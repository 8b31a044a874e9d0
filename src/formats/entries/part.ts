import { array, lazy, mixed, object, type AnyObjectSchema } from 'yup'
import { BOUNDS } from '../../core/log/bounds.ts'
import { PART_BOUNDS, type PartSpec } from '../../core/log/kinds/part.ts'
import { entry, thingId, text, line, amount, whole, flag, oneOf, maybeOneOf, teeth, maybe } from './checks.ts'

const material = () => oneOf(['steel', 'aluminium', 'titanium'])

/** The fields of what a part is, by its type. */
export const specSchemas: Readonly<Record<PartSpec['type'], AnyObjectSchema>> = {
  chain: object({
    type: oneOf(['chain']),
    links: whole(...PART_BOUNDS.links),
    speeds: whole(1, PART_BOUNDS.speeds),
    past: oneOf(['new', 'unknown']),
    surface: maybeOneOf(['plain', 'plated', 'hard-coated']),
    directional: flag().optional(),
    join: maybeOneOf(['joining-link', 'pin']),
  }).noUnknown(),
  'joining-link': object({
    type: oneOf(['joining-link']),
    speeds: whole(1, PART_BOUNDS.speeds),
    closingsAllowed: whole(1, PART_BOUNDS.closings),
    closedBefore: whole(0, PART_BOUNDS.closings),
  }).noUnknown(),
  cassette: object({
    type: oneOf(['cassette']),
    teeth: array(teeth()).strict().required().min(1).max(PART_BOUNDS.speeds),
    material: material(),
    soldSingly: array(teeth()).strict().max(PART_BOUNDS.speeds).optional(),
  }).noUnknown(),
  ring: object({ type: oneOf(['ring']), teeth: teeth(), material: material() }).noUnknown(),
  pulley: object({
    type: oneOf(['pulley']),
    position: oneOf(['guide', 'tension']),
    teeth: teeth(),
  }).noUnknown(),
}

const noSpec = mixed().test('spec', '${path} is not a part', () => false)
const specSchema = lazy((value: unknown) => {
  const type = (value as { type?: unknown } | null | undefined)?.type
  return typeof type === 'string' && Object.hasOwn(specSchemas, type)
    ? specSchemas[type as PartSpec['type']].required()
    : noSpec
})

/** The fields of a part. */
export const partSchema = entry('part', {
  part: thingId(),
  name: line(BOUNDS.nameLetters).min(1),
  note: text(BOUNDS.noteLetters).optional(),
  used: maybe(object({ km: amount(PART_BOUNDS.usedKm).optional() })),
  spec: specSchema,
})
