import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { Action, Reason } from '../core/strategy/rules/rule.ts'
import type { Verdict } from '../core/strategy/verdict.ts'
import { noon, springTour } from '../../test/log.ts'
import { ENTRY_FORMAT } from '../core/log/entry.ts'
import { sayAction, sayCaution, sayReason } from './advice.ts'
import {
  keepUnits,
  sayAboutKm,
  sayAgo,
  sayChance,
  saySlip,
  sayCount,
  sayDay,
  sayFigure,
  sayKm,
  sayLength,
  sayLimit,
  sayList,
  sayPercent,
} from './numbers.ts'

const plain = (text: string): string => text.replaceAll('\u00a0', ' ')

describe('numbers in words', () => {
  test.each([
    [7412.4, 'metric', '7 412 km'],
    [6.4, 'metric', '6.4 km'],
    [6.02, 'metric', '6 km'],
    [1609.344, 'imperial', '1 000 mi'],
  ] as const)('%p in %p is %p', (km, units, said) => {
    expect(plain(sayKm(km, units))).toBe(said)
  })

  test('a number never parts from its unit', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1e6, noNaN: true }), (km) => {
        for (const text of [sayKm(km, 'metric'), sayAboutKm(km, 'imperial'), sayPercent(km / 1e6)])
          expect(text).not.toContain(' ')
      }),
    )
  })

  test.each([
    [553, '550 km'],
    [1038, '1 000 km'],
    [228, '230 km'],
    [13, '15 km'],
    [0, '0 km'],
  ])('an estimate of %p is said as %p: no surer than it is', (km, said) => {
    expect(plain(sayAboutKm(km, 'metric'))).toBe(said)
  })

  test.each([
    [0.8, 'about 4 in 5'],
    [0.52, 'about 1 in 2'],
    [0.11, 'about 1 in 10'],
    [0.016, '1 in 60'],
    [0.06, '1 in 17'],
    [0.002, 'less than 1 in 100'],
    [0.95, '19 in 20'],
    [0.999, 'almost certain'],
  ])('a chance of %p is %p', (p, said) => {
    expect(sayChance(p)).toBe(said)
  })

  test('a slip is said as sure as it is', () => {
    expect(saySlip(0.995)).toBe('almost certainly misread')
    expect(saySlip(0.9)).toBe('probably misread: about 9 in 10')
    expect(saySlip(0.35)).toMatch(/^perhaps misread: about 1 in 3$/)
  })

  test('elongation has two decimals, a true minus, and no minus nought', () => {
    expect(sayFigure(0.5612)).toBe('0.56')
    expect(sayFigure(-0.004)).toBe('0.00')
    expect(sayFigure(-0.1)).toBe('\u22120.10')
    expect([0.5, 0.75, 1].map(sayLimit)).toEqual(['0.5', '0.75', '1.0'])
  })

  test('lengths in both units', () => {
    expect(plain(sayLength(306.5, 'metric'))).toBe('306.5 mm')
    expect(plain(sayLength(304.8, 'imperial'))).toBe('12.000 in')
    expect(plain(sayLength(94.41, 'metric'))).toBe('94.41 mm')
  })

  test('days, and how long ago', () => {
    expect(sayDay(noon(12, 12), noon(11, 1))).toBe('12 December')
    expect(sayDay(noon(12, 12), '2027-01-01T00:00:00.000Z')).toBe('12 December 2026')
    expect(sayAgo(noon(3, 1), noon(3, 1))).toBe('today')
    expect(sayAgo(noon(3, 1), noon(3, 2))).toBe('yesterday')
    expect(sayAgo(noon(3, 1), noon(3, 12))).toBe('11 days ago')
    expect(sayAgo(noon(3, 1), noon(9, 1))).toBe('6 months ago')
  })

  test('counts and lists', () => {
    expect([sayCount(1, 'ride'), sayCount(2, 'ride'), sayCount(0, 'entry')]).toEqual([
      '1 ride',
      '2 rides',
      '0 entries',
    ])
    expect([sayList([]), sayList(['a']), sayList(['a', 'b']), sayList(['a', 'b', 'c'])]).toEqual([
      '',
      'a',
      'a and b',
      'a, b and c',
    ])
    expect(keepUnits('at 0.5 % or more')).toBe('at 0.5\u00a0% or more')
  })
})

describe('advice in words', () => {
  const about = (action: Action, more: Partial<Verdict>): Verdict => ({
    action,
    word: 'good',
    reasons: [],
    cautions: [],
    ...more,
  })
  const clock = { used: 0.4, due: false, reason: 'distance' } as const
  const say = (reason: Reason): string => plain(sayReason(reason, 'metric', new Map()))

  test('every action is an order one can follow', () => {
    const say = (action: Action, more: Partial<Verdict> = {}, units: 'metric' | 'imperial' = 'metric') =>
      plain(sayAction(about(action, more), units))
    const tour = { ...springTour, format: ENTRY_FORMAT, id: 'a' }
    const look = { isFirst: false, inKm: 180 }
    expect(say('ride-on', { look })).toBe('Ride on. Next look in 180 km.')
    expect(say('ride-on', { look }, 'imperial')).toBe('Ride on. Next look in 110 mi.')
    expect(say('ride-on', { look: { isFirst: true, inKm: 410 } })).toBe('Ride. First look in 410 km.')
    expect(say('ride-on', { look: { isFirst: false, before: tour } })).toBe(
      'Ride on. Next look before Spring tour.',
    )
    const swap = { inKm: { p10: 1, p50: 2, p90: 3 }, before: tour }
    expect(say('ride-on', { swap })).toBe('Ride on. Swap the chain before Spring tour.')
    expect(say('ride-on', { look, swap })).toBe(
      'Ride on. Next look in 180 km. Swap the chain before Spring tour.',
    )
    expect(say('measure', { reasons: [{ kind: 'not-measured', km: 5, guess: undefined }] })).toMatch(
      /^Not measured yet/,
    )
    expect(say('measure')).toBe('Measure the chain again.')
    for (const action of [
      'describe-chain',
      'answer-first',
      'swap-chain',
      'swap-chain-and-cogs',
      'lubricate',
      'look-at-teeth',
    ] as const)
      expect(say(action)).toMatch(/^[A-Z].*\.$/)
  })

  test.each<[Reason, RegExp]>([
    [{ kind: 'no-chain' }, /No chain/],
    [
      { kind: 'not-measured', km: 1688, guess: { p10: 0.21, p50: 0.5, p90: 0.94 } },
      /1 688 km\. A guess from bikes in general: 0\.21 to 0\.94 %/,
    ],
    [{ kind: 'chance-past', p: 0.8, percent: 0.75 }, /past 0\.75 %: about 4 in 5/],
    [{ kind: 'chance-past', p: 0.12, percent: 0.75 }, /past 0\.75 % already: about 1 in 10/],
    [{ kind: 'chance-past', p: 0.001, percent: 0.75 }, /almost certainly under/],
    [{ kind: 'chance-past', p: 1, percent: 0.75 }, /almost certainly past/],
    [{ kind: 'cogs-shaped', p: 0.34 }, /0\.9 % \(about 1 in 3\)/],
    [{ kind: 'reading-old', km: 540 }, /540 km since/],
    [{ kind: 'too-wide', low: 0.1, high: 0.9 }, /0\.10 to 0\.90 %/],
    [
      { kind: 'goes-further', km: { p10: 230, p50: 550, p90: 1000 }, percent: 0.5 },
      /about 550 km, probably 230 km to 1 000 km/,
    ],
    [
      { kind: 'goes-further', km: { p10: 1e5, p50: 1e5, p90: 1e5 }, percent: 0.5 },
      /too far ahead to say when/,
    ],
    [{ kind: 'question-open' }, /the question about it, on Gauge, is open/],
    [{ kind: 'lube', clock }, /40 % of its life is used/],
    [{ kind: 'lube', clock: { ...clock, used: 0 } }, /lube is fresh/],
    [{ kind: 'lube', clock: { used: 2, due: true, reason: 'rain' } }, /Rain/],
    [{ kind: 'lube-unknown' }, /is not entered/],
    [
      { kind: 'fault-open', left: ['bent-hanger'], stillThere: [] },
      /Found and not mended yet: a bent hanger/,
    ],
    [
      { kind: 'fault-open', left: [], stillThere: ['cable-tension'] },
      /^Still there after the repair \(cable tension, indexing\)/,
    ],
    [{ kind: 'advice-due', jobs: ['New pulleys', 'Brake pads'] }, /due now: New pulleys and Brake pads\./],
    [
      {
        kind: 'tools-disagree',
        conflict: {
          high: { tool: 'two-contact-scale', mean: 0.87 },
          low: { tool: 'rule', mean: 0.5 },
          settle: 'caliper-pair',
        },
      },
      /two-contact scale 0\.87, rule 0\.50\. A reading with the caliper/,
    ],
    [{ kind: 'log-doubted', km: 36 }, /do not fit the 36 km in the log/],
    [
      { kind: 'limit', percent: 0.5, why: { is: 'narrow', speeds: 11 } },
      /0\.5 %: narrow 11-speed chains are changed at 0\.5 %\./,
    ],
  ])('%.40p', (reason, said) => {
    expect(say(reason)).toMatch(said)
  })

  test('every caution keeps the rider’s bones in mind', () => {
    expect(sayCaution('may-slip')).toMatch(/never test it standing/)
    expect(sayCaution('keep-old-chain')).toMatch(/keep the old one/)
    expect(sayCaution('ask-mechanic')).toMatch(/qualified mechanic/)
  })
})
