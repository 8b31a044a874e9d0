import { entry, thingId, reading } from './checks.ts'

/** The fields of a zeroing. */
export const zeroingSchema = entry('zeroing', { tool: thingId(), reading: reading() })
