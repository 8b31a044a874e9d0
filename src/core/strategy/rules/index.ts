import { brokenLink } from './broken-link.ts'
import { firstLook } from './first-look.ts'
import { keepRiding } from './keep-riding.ts'
import { lookDue } from './look-due.ts'
import { lubeDue } from './lube-due.ts'
import { newChain } from './new-chain.ts'
import { noChain } from './no-chain.ts'
import { oddLook } from './odd-look.ts'
import { pastLimit } from './past-limit.ts'
import type { Rule } from './rule.ts'
import { toolsDisagree } from './tools-disagree.ts'

/**
 * All rules, in the order in which they are heard. Harm comes first: a link that breaks, then what nobody can vouch for, then a chain past its
 * limit, then one that may be by now, then lubrication, then riding on.
 */
export const RULES: readonly Rule[] = [
  noChain,
  brokenLink,
  newChain,
  firstLook,
  toolsDisagree,
  oddLook,
  pastLimit,
  lookDue,
  lubeDue,
  keepRiding,
]
