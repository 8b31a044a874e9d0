import { SKIP_DOUBTFUL } from '../facts/teeth-facts.ts'
import { chanceReason, doubtReasons, limitReason, lubeReason, teethReasons, type Rule } from './rule.ts'

/** A chance that the cogs are shaped which is worth a word, and one that settles it. Ours, a judgement. */
const COGS_DOUBTFUL = 0.2
const COGS_SHAPED = 0.5

/** A chain more likely past its limit than not is swapped; with the cogs, where they go with it. */
export const pastLimit: Rule = (facts) => {
  const { wear, report, cogs, hasWornCogs } = facts
  if (!wear || wear.past < 0.5) return undefined
  // What the chain's length says of the cogs counts only while nothing is known of the cogs themselves.
  const cogsShaped = cogs ? 0 : wear.cogsShaped
  const maySkip = cogs?.some(({ fresh }) => fresh >= SKIP_DOUBTFUL) ?? false
  const withCogs = cogsShaped >= COGS_SHAPED || hasWornCogs || report.limit.school === 'late'
  return {
    action: withCogs ? 'swap-chain-and-cogs' : 'swap-chain',
    word: wear.word,
    confidence: wear.past,
    reasons: [
      chanceReason(facts, wear),
      ...(cogsShaped >= COGS_DOUBTFUL ? [{ kind: 'cogs-shaped', p: cogsShaped } as const] : []),
      ...teethReasons(facts),
      ...doubtReasons(wear),
      limitReason(facts),
      lubeReason(facts),
    ],
    cautions: cogsShaped >= COGS_DOUBTFUL || hasWornCogs || maySkip ? ['keep-old-chain', 'may-slip'] : [],
  }
}
