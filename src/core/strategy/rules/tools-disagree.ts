import { heldBack, type Rule } from './rule.ts'

/** Past or not, it makes no difference which of the tools is right beyond these chances. Ours, a judgement. */
const CLEARLY_UNDER = 0.02
const CLEARLY_PAST = 0.9

/** Two tools of the last look contradict one another, no third settles it, and it matters which is right. */
export const toolsDisagree: Rule = (facts) => {
  const { wear } = facts
  const conflict = wear?.answer.conflict
  if (!wear || !conflict || wear.past <= CLEARLY_UNDER || wear.past >= CLEARLY_PAST) return undefined
  return heldBack(facts, wear, { kind: 'tools-disagree', conflict }, 'measure')
}
