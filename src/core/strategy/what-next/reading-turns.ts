import type { TeethOutlook } from '../../teeth/teeth-outlook.ts'
import type { WearAnswer } from '../../wear/outlook.ts'
import type { BikeReport } from '../facts/bike-report.ts'
import { verdictOf, type Verdict } from '../verdict.ts'
import type { AfterFinding } from './after-finding.ts'
import type { NextReading, Says } from './what-next-ask.ts'
import type { WhatNext } from './what-next-steps.ts'

/** Readings after which the verdict is the same: from one to another, in the tool's order. */
export interface ReadingTurn {
  readonly from: Says
  readonly to: Says
  /** Nothing likely lies below it, or above it. */
  readonly isLowest: boolean
  readonly isHighest: boolean
  /** Chance that the next reading is one of them. */
  readonly p: number
  /** What would be said after the middle one. */
  readonly verdict: Verdict
}

/** Readings that are less likely than this, on either side, are not told: they would be asked about first. */
const ODD = 0.005

/** Whether two verdicts tell their rider to do the same. */
export const isSameCall = (a: Verdict, b: Verdict): boolean =>
  a.action === b.action && (a.swap?.before?.event ?? '') === (b.swap?.before?.event ?? '')

/** The verdict as it would be with another answer, the chain having been read just now. */
export function verdictAfter(
  report: BikeReport,
  answer: WearAnswer,
  teeth: TeethOutlook | undefined,
  after: AfterFinding,
): Verdict | undefined {
  const { chain, now } = report
  if (!chain) return undefined
  const read = { ...report, chain: { ...chain, lastReadingAt: now, kmSinceReading: 0 } }
  return verdictOf(read, { ...answer, ...after }, teeth)
}

/**
 * What each next reading would do to the verdict: found by trying, reading by reading, and put together where the verdict is the
 * same (methods 8, "what would change the answer").
 */
export function readingTurns(
  report: BikeReport,
  answer: WearAnswer,
  teeth: TeethOutlook | undefined,
  { says }: NextReading,
  { readings }: WhatNext,
): readonly ReadingTurn[] {
  const all = says.flatMap((one, i) => {
    const tried = readings[i]
    const verdict = tried && verdictAfter(report, answer, teeth, tried.after)
    return tried && verdict ? [{ says: one, p: tried.p, verdict }] : []
  })
  // From either end, as much as is odd is left out.
  const cutAt = (list: typeof all): number => {
    let sum = 0
    return list.findIndex(({ p }) => (sum += p) >= ODD)
  }
  const first = cutAt(all)
  const last = all.length - 1 - cutAt([...all].reverse())
  const turns: { -readonly [K in keyof ReadingTurn]: ReadingTurn[K] }[] = []
  let inTurn: typeof all = []
  const close = (): void => {
    const [from, to] = [inTurn[0], inTurn.at(-1)]
    const middle = inTurn.reduce((best, one) => (one.p > best.p ? one : best), from as (typeof all)[number])
    if (from && to)
      turns.push({
        from: from.says,
        to: to.says,
        isLowest: turns.length === 0,
        isHighest: false,
        p: inTurn.reduce((sum, { p }) => sum + p, 0),
        verdict: middle.verdict,
      })
    inTurn = []
  }
  for (const one of all.slice(Math.max(0, first), last + 1)) {
    const before = inTurn.at(-1)
    if (before && !isSameCall(before.verdict, one.verdict)) close()
    inTurn = [...inTurn, one]
  }
  close()
  const highest = turns.at(-1)
  if (highest) highest.isHighest = true
  return turns
}
