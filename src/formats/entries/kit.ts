import { array } from 'yup'
import { KIT_TOOLS, WASH_WAYS } from '../../core/lube/wash-ways.ts'
import { entry, flag, maybeOneOf, oneOf, time } from './checks.ts'

/** The fields of a kit. */
export const kitSchema = entry('kit', {
  tools: array(oneOf(KIT_TOOLS)).strict().required().max(KIT_TOOLS.length),
  noSolvent: flag().oneOf([true]).optional(),
  school: maybeOneOf(WASH_WAYS),
  waxSince: time().optional(),
})
