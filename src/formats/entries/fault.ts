import { array, object } from 'yup'
import { NOISE_CAUSES, SHIFT_CAUSES } from '../../core/faults/causes.ts'
import { FAULT_BOUNDS, FAULT_OUTCOMES } from '../../core/log/kinds/fault.ts'
import { entry, line, maybeOneOf, oneOf, teeth, thingId } from './checks.ts'

const CAUSES = [...SHIFT_CAUSES, ...NOISE_CAUSES]

/** The fields of a fault that was looked for. Findings are kept by name: a later app may know more of them. */
export const faultSchema = entry('fault', {
  fault: thingId(),
  bike: thingId(),
  about: oneOf(['shifting', 'noise']),
  answers: array(
    object({
      finding: line(FAULT_BOUNDS.nameLetters).min(1),
      said: array(line(FAULT_BOUNDS.nameLetters).min(1)).strict().required().max(FAULT_BOUNDS.values),
    })
      .noUnknown()
      .required(),
  )
    .strict()
    .required()
    .max(FAULT_BOUNDS.answers),
  cogs: array(teeth()).strict().max(FAULT_BOUNDS.cogs).optional(),
  found: array(oneOf(CAUSES)).strict().required().max(FAULT_BOUNDS.found),
  outcome: oneOf(FAULT_OUTCOMES),
  afterwards: maybeOneOf(['gone', 'still-there', 'not-sure']),
})
