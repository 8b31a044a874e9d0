import {
  chanceReason,
  doubtReasons,
  goingReason,
  limitReason,
  lubeReason,
  slipCautions,
  teethReasons,
  type Rule,
} from './rule.ts'

/** The chain is good: ride on; or see to the teeth that the eye found worn. */
export const keepRiding: Rule = (facts) => {
  const { wear, wornTeeth, slipsNow } = facts
  if (!wear) return undefined
  return {
    action: wornTeeth.length > 0 || slipsNow ? 'look-at-teeth' : 'ride-on',
    word: wear.word,
    confidence: 1 - wear.past,
    reasons: [
      ...teethReasons(facts),
      chanceReason(facts, wear),
      ...doubtReasons(wear),
      goingReason(facts, wear.answer),
      lubeReason(facts),
      limitReason(facts),
    ],
    cautions: slipCautions(facts),
  }
}
