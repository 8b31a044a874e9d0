import { describe, expect, test } from '@jest/globals'
import { factsOn, measuredAt } from '../../../../test/judged.ts'
import { commuter, hundreds } from '../../../../test/log.ts'
import type { PossibleCause, Surprise, SurpriseCause } from '../../wear/surprise.ts'
import { verdictOf } from '../verdict.ts'
import { oddLook } from './odd-look.ts'

const facts = factsOn([...commuter, ...hundreds, ...measuredAt(0.3)])
const { wear } = facts
if (!wear) throw new Error('the chain was not worked out')

const about = (percent: number) => ({ p10: percent - 0.05, p50: percent, p90: percent + 0.05 })
const cause = (
  kind: Exclude<SurpriseCause['kind'], 'wrong-chain'>,
  p: number,
  percent: number,
): PossibleCause => ({
  cause: { kind },
  p,
  ifSo: about(percent),
})

/** The same chain, its last look found odd. `past`: the chance that it is past its limit, taking the look at its word. */
const surpriseOf = (read: number, causes: readonly PossibleCause[]): Surprise => ({
  look: { first: 3, size: 1 },
  isLast: true,
  read,
  expected: { p05: 0.24, p50: 0.3, p95: 0.36 },
  asLogged: 0.001,
  ifAsLogged: about(0.4),
  causes,
})
const surprised = (read: number, causes: readonly PossibleCause[], past = wear.past) => {
  const surprise = surpriseOf(read, causes)
  return oddLook({ ...facts, wear: { ...wear, past, answer: { ...wear.answer, surprise } } })
}

test('a look that is probably not right, or of another chain, is taken again', () => {
  const proposal = surprised(1.5, [cause('gauge', 0.9, 0.3)])
  expect(proposal).toMatchObject({ action: 'measure', word: 'unsure' })
  expect(proposal?.reasons[0]).toMatchObject({ kind: 'surprise', surprise: { read: 1.5 } })
  const wrong = { cause: { kind: 'wrong-chain', chain: 'kite-chain' }, p: 0.9, ifSo: about(0.3) } as const
  expect(surprised(0.02, [wrong])?.action).toBe('measure')
})

describe('where it is the log that is probably short of a ride or a swap', () => {
  test('the reading stands, if all likely answers come to the same', () => {
    expect(surprised(1.5, [cause('missing-road', 0.9, 1.5)], 0.99)).toBeUndefined()
    expect(surprised(0.02, [cause('swapped', 0.9, 0.02)])).toBeUndefined()
  })

  test('a question that changes nothing is told all the same, before all else where there is nothing to do', () => {
    const surprise = surpriseOf(0.02, [cause('swapped', 0.9, 0.02)])
    const told = verdictOf(facts.report, { ...wear.answer, surprise })
    expect(told?.action).toBe(verdictOf(facts.report, wear.answer)?.action)
    expect(told?.reasons.map(({ kind }) => kind)).toContain('question-open')
    expect(verdictOf(facts.report, wear.answer)?.reasons.map(({ kind }) => kind)).not.toContain(
      'question-open',
    )
  })

  test('the question comes first where one likely answer says swap and another does not', () => {
    const proposal = surprised(0.8, [cause('missing-road', 0.6, 0.8), cause('gauge', 0.35, 0.3)], 0.95)
    expect(proposal).toMatchObject({ action: 'answer-first', word: 'unsure', cautions: [] })
    expect(surprised(0.8, [cause('gauge', 0.6, 0.3), cause('missing-road', 0.35, 0.8)], 0.95)?.action).toBe(
      'measure',
    )
  })

  test('and where no likely answer says swap, though all readings together do', () => {
    expect(surprised(0.1, [cause('swapped', 0.9, 0.1)], 0.9)?.action).toBe('answer-first')
  })

  test('an answer with next to no chance holds nothing back', () => {
    expect(surprised(1.5, [cause('missing-road', 0.9, 1.5), cause('gauge', 0.04, 0.3)], 0.99)).toBeUndefined()
  })
})

test('at the limit by one of the likely answers is not past it by all', () => {
  const near = [cause('gauge', 0.6, 0.53), cause('missing-road', 0.3, 1.8)]
  expect(surprised(1.8, near, 0.99)?.action).toBe('measure')
})

test('past the limit by every answer is past it, whatever the look was', () => {
  expect(surprised(1.8, [cause('gauge', 0.6, 0.9), cause('missing-road', 0.3, 1.8)], 0.99)).toBeUndefined()
})

test('a look as expected is not odd', () => {
  expect(oddLook(facts)).toBeUndefined()
})
