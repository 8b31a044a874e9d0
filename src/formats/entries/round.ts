import { array } from 'yup'
import { ITEM_IDS } from '../../core/checks/items.ts'
import { OCCASIONS } from '../../core/checks/sheets.ts'
import { entry, flag, oneOf, thingId, time } from './checks.ts'

/** The fields of a round. */
export const roundSchema = entry('round', {
  round: thingId(),
  bike: thingId(),
  occasion: oneOf(OCCASIONS),
  began: time(),
  items: array(oneOf(ITEM_IDS)).strict().required().min(1).max(ITEM_IDS.length),
  isEnded: flag().oneOf([true]).optional(),
})
