import { ACTS, ITEM_IDS } from '../../core/checks/items.ts'
import { BOUNDS } from '../../core/log/bounds.ts'
import { CHECK_BOUNDS, CHECK_RESULTS } from '../../core/log/kinds/check.ts'
import { amount, entry, line, maybeOneOf, oneOf, thingId, time } from './checks.ts'

/** The fields of something that was looked at. */
export const checkSchema = entry('check', {
  bike: thingId(),
  item: oneOf(ITEM_IDS),
  result: oneOf(CHECK_RESULTS),
  act: maybeOneOf(ACTS),
  byKm: amount(CHECK_BOUNDS.byKm).optional(),
  byDay: time().optional(),
  note: line(BOUNDS.noteLetters).optional(),
  picture: thingId().optional(),
})
