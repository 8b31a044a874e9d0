import { entry, thingId } from './checks.ts'

/** The fields of a fit. */
export const fitSchema = entry('fit', { part: thingId(), bike: thingId() })
