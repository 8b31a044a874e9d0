import type { About, AnyCause, AnyFinding } from '../../core/faults/finder.ts'
import { NOISE_WHYS } from './noise-whys.ts'
import { SHIFTING_WHYS } from './shifting-whys.ts'

/** The reasons of both networks, read by any name: a cause or finding that is not in a network has none there. */
interface AnyWhys {
  readonly causes: Readonly<Partial<Record<AnyCause, string>>>
  readonly findings: Readonly<Partial<Record<AnyFinding, Readonly<Partial<Record<AnyCause, string>>>>>>
}
const WHYS: Readonly<Record<About, AnyWhys>> = { shifting: SHIFTING_WHYS, noise: NOISE_WHYS }

/** Why a cause is as common as it is. */
export const sayWhyUsual = (about: About, cause: AnyCause): string => WHYS[about].causes[cause] ?? ''

/** Why a finding speaks for a cause. */
export const sayWhyShown = (about: About, finding: AnyFinding, cause: AnyCause): string =>
  WHYS[about].findings[finding]?.[cause] ?? ''
