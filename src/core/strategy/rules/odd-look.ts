import { doubtsReading, type Surprise } from '../../wear/surprise.ts'
import { heldBack, type Rule } from './rule.ts'

/** An answer to the question with less of a chance than this is not among the likely ones. Ours, a judgement. */
const LIKELY = 0.05

/** Where the chain is now by each of the likely answers to the question, %. */
const nowByAnswer = ({ asLogged, ifAsLogged, causes }: Surprise) =>
  [{ p: asLogged, ifSo: ifAsLogged }, ...causes].filter(({ p }) => p >= LIKELY).map(({ ifSo }) => ifSo)

/**
 * A look is far from what was to be expected, and what it means depends on what lies behind it. While that is open the
 * chain is not swapped, unless it is plainly past its limit (nine in ten) by every likely answer; and a look that is
 * probably not right, or of another chain, is taken again in any case.
 */
export const oddLook: Rule = (facts) => {
  const { wear, report } = facts
  const surprise = wear?.answer.surprise
  if (!wear || !surprise) return undefined
  const limit = report.limit.percent
  const now = nowByAnswer(surprise)
  if (now.length > 0 && now.every(({ p10 }) => p10 >= limit)) return undefined
  const isReading = doubtsReading(surprise)
  const isSame = now.every(({ p50 }) => p50 < limit) && wear.past < 0.5
  if (isSame && !isReading) return undefined
  return heldBack(facts, wear, { kind: 'surprise', surprise }, isReading ? 'measure' : 'answer-first')
}
