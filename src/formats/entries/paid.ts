import { BOUNDS } from '../../core/log/bounds.ts'
import { VISIT_BOUNDS } from '../../core/log/kinds/visit.ts'
import { entry, line, thingId, whole } from './checks.ts'
import { currencyCode } from './stock-move.ts'

/** The fields of money spent. */
export const paidSchema = entry('paid', {
  bike: thingId(),
  what: line(BOUNDS.nameLetters).min(1),
  minor: whole(0, VISIT_BOUNDS.minor),
  currency: currencyCode().required(),
  part: thingId().optional(),
})
