import type { LinkFault } from '../../log/kinds/link-check.ts'
import { limitReason, lubeReason, teethReasons, type Rule } from './rule.ts'

/** A link that can come apart under load. */
export const BREAKS: readonly LinkFault[] = ['parted-plate', 'standing-pin', 'cracked-roller']

/** A chain with a link that can come apart is not ridden, however little it has lengthened. */
export const brokenLink: Rule = (facts) => {
  const bad = facts.chain?.badLinks.filter(({ fault }) => BREAKS.includes(fault)) ?? []
  if (bad.length === 0) return undefined
  return {
    action: 'swap-chain',
    word: 'spent',
    reasons: [
      { kind: 'bad-links', found: bad },
      ...teethReasons(facts),
      limitReason(facts),
      lubeReason(facts),
    ],
    cautions: ['do-not-ride'],
  }
}
