import { array, object } from 'yup'
import { LINK_FAULTS } from '../../core/log/kinds/link-check.ts'
import { PART_BOUNDS } from '../../core/log/kinds/part.ts'
import { entry, oneOf, thingId, whole } from './checks.ts'

/** The fields of a chain gone through link by link. */
export const linkCheckSchema = entry('link-check', {
  chain: thingId(),
  found: array(object({ link: whole(1, PART_BOUNDS.links[1]), fault: oneOf(LINK_FAULTS) }).noUnknown())
    .strict()
    .required()
    .max(PART_BOUNDS.links[1]),
})
