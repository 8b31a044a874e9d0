import type { LimitReason } from '../core/measure/limits.ts'
import { MATERIAL_NAMES } from './names.ts'
import { sayLimit } from './numbers.ts'

/** Why a limit is what it is, in one clause. */
export function sayLimitReason(reason: LimitReason): string {
  switch (reason.is) {
    case 'single-cog':
      return `a single cog takes a chain up to ${sayLimit(1)} %`
    case 'soft-cogs':
      return `${MATERIAL_NAMES[reason.material]} cogs wear fast under a long chain`
    case 'narrow':
      return `narrow ${reason.speeds}-speed chains are changed at ${sayLimit(0.5)} %`
    case 'electric':
      return `electric shifting needs a chain under ${sayLimit(0.5)} %`
    case 'steel':
      return 'the usual rule for steel cogs up to 10-speed'
    case 'own':
      return reason.because === undefined
        ? 'your own limit for this bike'
        : `your own limit: ${reason.because}`
    case 'early':
      return 'early: change chains often, and cogs and rings last longest'
    case 'late':
      return 'late: run the chain, cogs and rings to the end, then replace them all'
  }
}
