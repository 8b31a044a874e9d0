import {
  chanceReason,
  doubtReasons,
  goingReason,
  isLubeDue,
  lubeReason,
  slipCautions,
  teethReasons,
  type Rule,
} from './rule.ts'

/** What is on the chain is used up or ruined. */
export const lubeDue: Rule = (facts) => {
  const { wear } = facts
  if (!wear || !isLubeDue(facts)) return undefined
  return {
    action: 'lubricate',
    word: wear.word,
    reasons: [
      lubeReason(facts),
      ...teethReasons(facts),
      goingReason(facts, wear.answer),
      chanceReason(facts, wear),
      ...doubtReasons(wear),
    ],
    cautions: slipCautions(facts),
  }
}
