import { number } from 'yup'
import { POLICY_BOUNDS } from '../../core/log/kinds/policy.ts'
import { entry, flag, maybeOneOf, thingId, whole } from './checks.ts'

/** The fields of a plan that is followed. */
export const policySchema = entry('policy', {
  bike: thingId(),
  percent: number().strict().required().min(POLICY_BOUNDS.percent[0]).max(POLICY_BOUNDS.percent[1]),
  chains: whole(...POLICY_BOUNDS.chains),
  everyKm: number().strict().min(POLICY_BOUNDS.everyKm[0]).max(POLICY_BOUNDS.everyKm[1]).optional(),
  isRunOut: flag().optional(),
  isSingly: flag().optional(),
  isHard: flag().optional(),
  lube: maybeOneOf(['wax', 'drip']),
  isLargerRing: flag().optional(),
})
