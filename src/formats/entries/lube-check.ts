import { CHAIN_LOOKS } from '../../core/lube/chain-looks.ts'
import { entry, oneOf, thingId } from './checks.ts'

/** The fields of how a chain looked and sounded. */
export const lubeCheckSchema = entry('lube-check', { chain: thingId(), look: oneOf(CHAIN_LOOKS) })
