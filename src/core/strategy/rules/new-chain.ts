import { chainWord } from '../wear-word.ts'
import {
  goingReason,
  isLubeDue,
  limitReason,
  LOOK_DUE_KM,
  lubeReason,
  teethReasons,
  type Action,
  type Rule,
} from './rule.ts'

/**
 * A chain that went on new and was never read, with its distance in the log, wants riding until the forecast calls for the
 * first look, by the rule of every look.
 */
export const newChain: Rule = (facts) => {
  const { chain, answer, report, wornTeeth, slipsNow } = facts
  if (!chain || !answer || chain.lastReadingAt !== undefined || chain.spec.past !== 'new') return undefined
  const word = chainWord(answer.now, report.limit.percent)
  // As with a chain that was read: where no word can be put to it, it is to be measured.
  if (word === 'unsure' || answer.missingPast >= 0.5 || answer.nextLookKm < LOOK_DUE_KM) return undefined
  const action: Action = isLubeDue(facts)
    ? 'lubricate'
    : wornTeeth.length > 0 || slipsNow
      ? 'look-at-teeth'
      : 'ride-on'
  return {
    action,
    word,
    reasons: [
      { kind: 'new-chain', km: chain.story.km, guess: answer.wayHere.at(-1) },
      ...teethReasons(facts),
      goingReason(facts, answer),
      lubeReason(facts),
      limitReason(facts),
    ],
    cautions: wornTeeth.length > 0 || slipsNow ? ['may-slip', 'ask-mechanic'] : [],
  }
}
