import { array, number } from 'yup'
import { JOINTS } from '../../core/checks/torque.ts'
import { BOUNDS } from '../../core/log/bounds.ts'
import { TORQUE_BOUNDS } from '../../core/log/kinds/fastener.ts'
import { entry, flag, line, oneOf, thingId } from './checks.ts'

const nm = () => number().strict().min(TORQUE_BOUNDS.nm[0]).max(TORQUE_BOUNDS.nm[1])

/** The fields of a bolt. */
export const fastenerSchema = entry('fastener', {
  bike: thingId(),
  fastener: thingId(),
  name: line(BOUNDS.nameLetters).min(1),
  size: line(TORQUE_BOUNDS.sizeLetters).optional(),
  valuesNm: array(nm().required()).strict().required().max(TORQUE_BOUNDS.values),
  joint: oneOf(JOINTS),
  isCarbon: flag().oneOf([true]).optional(),
  isGone: flag().oneOf([true]).optional(),
})

/** The fields of a bolt that was tightened. */
export const tightenedSchema = entry('tightened', {
  bike: thingId(),
  fastener: thingId(),
  nm: nm().optional(),
  wasLoose: flag().oneOf([true]).optional(),
})
