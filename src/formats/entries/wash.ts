import { LUBES } from '../../core/lube/lubes.ts'
import { WASH_WAYS } from '../../core/lube/wash-ways.ts'
import { entry, thingId, oneOf, maybeOneOf } from './checks.ts'

/** The fields of a wash. */
export const washSchema = entry('wash', {
  chain: thingId(),
  method: oneOf(['none', 'wipe', 'on-bike', 'off-bike']),
  lube: maybeOneOf(LUBES),
  way: maybeOneOf(WASH_WAYS),
})
