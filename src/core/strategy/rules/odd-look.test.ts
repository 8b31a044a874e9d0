import { expect, test } from '@jest/globals'
import { factsOn, measuredAt } from '../../../../test/judged.ts'
import { commuter, hundreds } from '../../../../test/log.ts'
import type { Surprise, SurpriseCause } from '../../wear/surprise.ts'
import { oddLook } from './odd-look.ts'

const facts = factsOn([...commuter, ...hundreds, ...measuredAt(0.3)])
const { wear } = facts
if (!wear) throw new Error('the chain was not worked out')

/** The same chain, its last look found odd. */
const surprised = (read: number, expected: number, cause: SurpriseCause) => {
  const surprise: Surprise = {
    read,
    expected: { p05: expected - 0.06, p50: expected, p95: expected + 0.06 },
    asLogged: 0.001,
    causes: [{ cause, p: 0.9 }],
  }
  return oddLook({ ...facts, wear: { ...wear, answer: { ...wear.answer, surprise } } })
}

test('a look that is probably not right, or of another chain, is taken again', () => {
  const proposal = surprised(1.5, 0.3, { kind: 'gauge' })
  expect(proposal).toMatchObject({ action: 'measure', word: 'unsure' })
  expect(proposal?.reasons[0]).toMatchObject({ kind: 'surprise', surprise: { read: 1.5 } })
  expect(surprised(0.02, 0.3, { kind: 'wrong-chain', chain: 'kite-chain' })?.action).toBe('measure')
})

test('where it is the log that is probably short of a ride or a swap, the reading stands', () => {
  expect(surprised(1.5, 0.3, { kind: 'missing-road' })).toBeUndefined()
  expect(surprised(0.02, 0.3, { kind: 'swapped' })).toBeUndefined()
})

test('past the limit as read and as expected is past it', () => {
  expect(surprised(1.8, 0.9, { kind: 'gauge' })).toBeUndefined()
})

test('a look as expected is not odd', () => {
  expect(oddLook(facts)).toBeUndefined()
})
