import { object } from 'yup'
import { flag, maybe, maybeOneOf } from './checks.ts'

/** What a bike has beside its drivetrain. */
export const build = () =>
  maybe(
    object({
      suspension: flag().optional(),
      tyres: maybeOneOf(['tubes', 'tubeless']),
      carbon: flag().optional(),
      axles: maybeOneOf(['through', 'quick-release', 'nuts']),
      brakeLine: maybeOneOf(['hydraulic', 'cable']),
    }),
  )
