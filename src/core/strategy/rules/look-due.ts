import {
  chanceReason,
  doubtReasons,
  isLubeDue,
  limitReason,
  LOOK_DUE_KM,
  lubeReason,
  slipCautions,
  teethReasons,
  type Rule,
} from './rule.ts'

/** The readings leave too much open for a word, or are so far back that the chain may be past its limit by now. */
export const lookDue: Rule = (facts) => {
  const { wear } = facts
  if (!wear) return undefined
  const { answer, word, kmSinceReading } = wear
  const isTooWide = word === 'unsure'
  if (!isTooWide && (answer.nextLookKm >= LOOK_DUE_KM || kmSinceReading <= LOOK_DUE_KM)) return undefined
  return {
    action: 'measure',
    word,
    reasons: [
      isTooWide
        ? { kind: 'too-wide', low: answer.now.p05, high: answer.now.p95 }
        : { kind: 'reading-old', km: kmSinceReading },
      chanceReason(facts, wear),
      ...doubtReasons(wear),
      ...teethReasons(facts),
      limitReason(facts),
      ...(isLubeDue(facts) ? [lubeReason(facts)] : []),
    ],
    cautions: slipCautions(facts),
  }
}
