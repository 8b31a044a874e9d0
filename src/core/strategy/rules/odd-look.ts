import { doubtsReading } from '../../wear/surprise.ts'
import { measureAgain, type Rule } from './rule.ts'

/** The last look is far from what was to be expected: it may not be of this chain, or not be right, and is taken again. */
export const oddLook: Rule = (facts) => {
  const { wear, report } = facts
  const surprise = wear?.answer.surprise
  if (!wear || !surprise || !doubtsReading(surprise)) return undefined
  // Past the limit as read and as expected is past it, whatever the look was.
  const isPastEitherWay = Math.min(surprise.read, surprise.expected.p50) >= report.limit.percent
  return isPastEitherWay ? undefined : measureAgain(facts, wear, { kind: 'surprise', surprise })
}
