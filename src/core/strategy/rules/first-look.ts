import { isLubeDue, lubeReason, teethReasons, type Rule } from './rule.ts'

/** A chain nobody has read, which nothing vouches for, or which is due for its first look: the one thing is to measure it. */
export const firstLook: Rule = (facts) => {
  const { chain, answer, wornTeeth } = facts
  if (!chain || chain.lastReadingAt !== undefined) return undefined
  const guess = chain.spec.past === 'new' ? answer?.wayHere.at(-1) : undefined
  return {
    action: 'measure',
    word: 'unsure',
    reasons: [
      { kind: 'not-measured', km: chain.story.km, guess },
      ...teethReasons(facts),
      ...(isLubeDue(facts) ? [lubeReason(facts)] : []),
    ],
    cautions: wornTeeth.length > 0 ? ['may-slip', 'ask-mechanic'] : [],
  }
}
