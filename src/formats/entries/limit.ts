import { number } from 'yup'
import { BOUNDS } from '../../core/log/bounds.ts'
import { LIMIT_PERCENT } from '../../core/log/kinds/limit.ts'
import { entry, thingId, text, oneOf } from './checks.ts'

/** The fields of a limit. */
export const limitSchema = entry('limit', {
  bike: thingId(),
  school: oneOf(['early', 'usual', 'late']),
  percent: number().strict().min(LIMIT_PERCENT[0]).max(LIMIT_PERCENT[1]).optional(),
  reason: text(BOUNDS.noteLetters).optional(),
})
