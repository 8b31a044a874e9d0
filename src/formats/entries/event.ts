import { CONDITIONS } from '../../core/exposure/conditions.ts'
import { BOUNDS } from '../../core/log/bounds.ts'
import { EVENT_BOUNDS } from '../../core/log/kinds/event.ts'
import { entry, thingId, line, amount, whole, oneOf, time } from './checks.ts'

/** The fields of an entry of kind event. */
export const eventSchema = entry('event', {
  event: thingId(),
  bike: thingId(),
  name: line(BOUNDS.nameLetters).min(1),
  starts: time(),
  days: whole(1, EVENT_BOUNDS.days),
  km: amount(EVENT_BOUNDS.km),
  condition: oneOf(CONDITIONS),
})
