import { array } from 'yup'
import { SESSION_BOUNDS } from '../../core/log/kinds/session.ts'
import { WASH_WAYS } from '../../core/lube/wash-ways.ts'
import { STEP_KINDS } from '../../core/session/step-kinds.ts'
import { amount, entry, oneOf, record, thingId } from './checks.ts'

const isStep = (key: string): boolean => STEP_KINDS.some((kind) => kind === key)

/** The fields of a wash that was run. */
export const sessionSchema = entry('session', {
  bike: thingId(),
  chains: array(thingId()).strict().required().max(SESSION_BOUNDS.chains),
  way: oneOf(WASH_WAYS),
  minutes: amount(SESSION_BOUNDS.minutes),
  stepMin: record(isStep, SESSION_BOUNDS.stepMin, STEP_KINDS.length).required(),
})
