import { doubtsReading, type Surprise } from '../../wear/surprise.ts'
import { heldBack, type Rule } from './rule.ts'

/** An answer to the question with less of a chance than this is not among the likely ones. Ours, a judgement. */
const LIKELY = 0.1

/** Whether the chain is past its limit now, by each of the likely answers to the question. */
const pastByAnswer = ({ asLogged, ifAsLogged, causes }: Surprise, limit: number): boolean[] =>
  [{ p: asLogged, ifSo: ifAsLogged }, ...causes]
    .filter(({ p }) => p >= LIKELY)
    .map(({ ifSo }) => ifSo.p50 >= limit)

/**
 * A look is far from what was to be expected, and what it means depends on what lies behind it. While that is open the
 * chain is not swapped, unless it is to be by every likely answer; and a look that is probably not right, or of another
 * chain, is taken again in any case.
 */
export const oddLook: Rule = (facts) => {
  const { wear, report } = facts
  const surprise = wear?.answer.surprise
  if (!wear || !surprise) return undefined
  const past = pastByAnswer(surprise, report.limit.percent)
  if (past.length > 0 && past.every(Boolean)) return undefined
  const isReading = doubtsReading(surprise)
  const isSame = !past.some(Boolean) && wear.past < 0.5
  if (isSame && !isReading) return undefined
  return heldBack(facts, wear, { kind: 'surprise', surprise }, isReading ? 'measure' : 'answer-first')
}
