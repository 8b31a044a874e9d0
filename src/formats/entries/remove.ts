import { BOUNDS } from '../../core/log/bounds.ts'
import { entry, thingId, line, oneOf } from './checks.ts'

/** The fields of a remove. */
export const removeSchema = entry('remove', {
  part: thingId(),
  to: oneOf(['shelf', 'retired', 'lent']),
  lentTo: line(BOUNDS.nameLetters).optional(),
})
