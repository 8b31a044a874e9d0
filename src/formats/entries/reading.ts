import { number } from 'yup'
import { PART_BOUNDS } from '../../core/log/kinds/part.ts'
import { entry, thingId, reading } from './checks.ts'

/** The fields of a reading. */
export const readingSchema = entry('reading', {
  chain: thingId(),
  linksFromJoint: number().strict().integer().min(0).max(PART_BOUNDS.links[1]).optional(),
  tool: thingId().optional(),
  reading: reading(),
})
