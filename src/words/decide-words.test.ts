import { describe, expect, test } from '@jest/globals'
import type { WaitChoice } from '../core/strategy/plans/wait-steps.ts'
import type { Verdict } from '../core/strategy/verdict.ts'
import { sayBy, sayLeft } from './job-words.ts'
import { sayAboutMoney, sayExactMoney } from './money.ts'
import { sayHabits, sayPolicy } from './plan-words.ts'
import { sayFit } from './stock-words.ts'
import { sayCall, sayReadingTurn } from './turn-words.ts'
import { sayRunnerUp, sayWait } from './wait-words.ts'

const plain = (text: string | undefined): string => (text ?? '').replaceAll('\u00a0', ' ')
const verdict = (action: Verdict['action']): Verdict => ({ action, word: 'good', reasons: [], cautions: [] })
/** Costs by wait, minor units, each known to within 10. */
const choice = (...more: readonly number[]): WaitChoice => {
  const costs = more.map((one, i) => ({ km: 200 * i, more: one, moreSe: 10, skipsSoon: 0.1 * i }))
  return { costs, best: costs[more.indexOf(0)] as (typeof costs)[number] }
}

describe('when to swap, in words', () => {
  test('too early, too late, and where it makes no difference', () => {
    expect(plain(sayWait(choice(800, 400, 0, 300, 600), false, 'EUR', 'metric'))).toBe(
      'By cost, the best moment is in about 400 km: swapping today costs about €8.00 more. After that each 100 km of waiting cost about €1.50.',
    )
    expect(plain(sayWait(choice(0, 300, 600), false, 'EUR', 'metric'))).toMatch(
      /now is as good as any.*Each 100 km/,
    )
    expect(plain(sayWait(choice(900, 400, 0), false, 'EUR', 'metric'))).toMatch(
      /can stay on for 400 km or more/,
    )
    expect(plain(sayWait(choice(0, 5, 8), false, 'EUR', 'metric'))).toMatch(/costs next to nothing/)
  })

  test('a chain that is due stays due: what money does not show is said', () => {
    expect(plain(sayWait(choice(800, 400, 0, 300), true, 'EUR', 'metric'))).toMatch(
      /By cost alone, waiting another 400 km would save about €8\.00\. The limit is there for/,
    )
  })

  test('what comes closest to the verdict, with its cost and its skips', () => {
    const costs = choice(800, 400, 0, 300, 600)
    expect(plain(sayRunnerUp(costs, verdict('ride-on'), 400, 'EUR', 'metric'))).toBe(
      'Next best: swap the chain today. About €8.00 dearer, 0.2 fewer skips in the next 1000 km.',
    )
    expect(plain(sayRunnerUp(costs, verdict('swap-chain'), 0, 'EUR', 'metric'))).toMatch(
      /ride on another 400 km\. About €8\.00 cheaper, 0\.2 more skips/,
    )
  })
})

describe('what would change the verdict, in words', () => {
  const turn = { isLowest: false, isHighest: false, p: 0.3, verdict: verdict('swap-chain') }
  test('figures with the length that shows them, and sides of a gauge', () => {
    const high = { ...turn, from: { percent: 0.5 }, to: { percent: 0.9 }, isHighest: true }
    // 24 pitches of 12.7 mm are 304.8 mm; half a per cent more is 306.3.
    expect(plain(sayReadingTurn(high, 24, 'metric'))).toBe('0.50 % (306.30 mm) or more')
    expect(plain(sayReadingTurn({ ...high, isLowest: true }, undefined, 'metric'))).toBe('whatever it reads')
    const side = { limit: 0.75, result: 'drops' as const }
    expect(sayReadingTurn({ ...turn, from: side, to: side }, undefined, 'metric')).toBe(
      'the 0.75 side drops in',
    )
  })

  test('every call is words for the middle of a sentence', () => {
    for (const action of ['measure', 'swap-chain', 'ride-on', 'lubricate', 'look-at-teeth'] as const)
      expect(sayCall(verdict(action), 'metric')).toMatch(/^[a-z]/)
    const soon = { ...verdict('ride-on'), swap: { inKm: { p10: 80, p50: 210, p90: 400 } } }
    expect(plain(sayCall(soon, 'metric'))).toBe('ride on, swap in about 210 km')
  })
})

describe('jobs, plans, parts and money in words', () => {
  test('why a job is left, and by when it should be seen to', () => {
    const nameOf = (id: string): string => id.toUpperCase()
    expect(sayLeft({ kind: 'sum', from: 8_450 }, nameOf, 'EUR')).toBe(
      'More than the sum: it fits from €84.50 on.',
    )
    expect(sayLeft({ kind: 'needs', ids: ['chain'] }, nameOf, 'EUR')).toMatch(/without: chain/)
    expect(plain(sayBy({ byKm: 400, isSafety: false }, 'metric', '2026-03-01'))).toBe('within 400 km')
    expect(sayBy({ isSafety: true }, 'metric', '2026-03-01')).toBe('before it is ridden')
  })

  test('money that was paid keeps its cents, an estimate does not pretend to', () => {
    expect(sayExactMoney(1750, 'EUR')).toBe('€17.50')
    expect(sayExactMoney(1800, 'EUR')).toBe('€18')
    expect(sayExactMoney(500, 'JPY')).toBe('¥500')
    expect(sayAboutMoney(1234, 'EUR')).toBe('€12')
    expect(sayAboutMoney(678, 'EUR')).toBe('€6.80')
  })

  test('a plan of one’s own, an owner’s habits and a fit', () => {
    expect(plain(sayPolicy({ percent: 0.6, chains: 3, everyKm: 300, isHard: true, lube: 'wax' }))).toBe(
      'three chains in turn to 0.6 %, hard-coated, hot wax',
    )
    expect(plain(sayHabits({ lookKm: 400, forgotten: 0.1, late: 0.2, looks: 2 }, 'metric'))).toMatch(
      /every 400 km, 10 % forgotten.*a guess until more looks/,
    )
    expect(sayFit({ says: 'does-not', grounds: [{ about: 'speeds', kind: 'differs' }] })).toEqual({
      word: 'does not fit',
      why: 'Differs: number of speeds.',
    })
  })
})
