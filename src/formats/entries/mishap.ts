import { MISHAPS } from '../../core/log/kinds/mishap.ts'
import { entry, oneOf, thingId } from './checks.ts'

/** The fields of a mishap. */
export const mishapSchema = entry('mishap', { bike: thingId(), what: oneOf(MISHAPS) })
