import { expect, test } from '@jest/globals'
import { replay } from '../core/log/replay.ts'
import type { ComparedRatio, Comparison } from '../core/compare/compare.ts'
import { sayBeside, sayComparison, sayNotShown, sayShare, sayTimes } from './compare-words.ts'

const garage = replay([])
const ratio: ComparedRatio = {
  key: 'immersion-wax',
  to: 'wet-lube',
  times: { p10: 0.6, p50: 0.74, p90: 0.9 },
  beside: { what: 'winter', share: 0.65 },
  isOnOtherBikes: false,
}
const group = (key: string, stretches: number, km: number) => ({
  key,
  chains: 6,
  stretches,
  km,
  rate: { p10: 0.1, p50: 0.2, p90: 0.3 },
})
const comparison: Comparison = {
  of: 'lube',
  groups: [group('wet-lube', 20, 9000), group('immersion-wax', 2, 600)],
  ratios: [ratio],
  chains: 12,
  km: 9600,
}

test('a comparison says how many chains, how much, and what else it may be', () => {
  expect(sayComparison(comparison, garage)).toBe(
    '12 chains: immersion wax, 0.60 to 0.90 times the wear of wet lube. Two thirds of the difference may be the winter.',
  )
})

test('an interval on both sides of 1 is no difference', () => {
  const even = { ...ratio, times: { p10: 0.8, p50: 1, p90: 1.3 } }
  expect(sayComparison({ ...comparison, ratios: [even] }, garage)).toBe(
    '12 chains: no clear difference between these.',
  )
  expect(sayComparison({ ...comparison, groups: comparison.groups.slice(0, 1), ratios: [] }, garage)).toMatch(
    /not enough/,
  )
})

test('two that were never on the same bike say that the bikes may be all of it', () => {
  expect(sayBeside({ ...ratio, isOnOtherBikes: true })).toMatch(/all of the difference may be the bikes/)
  expect(sayBeside({ ...ratio, beside: { what: 'dirt', share: 0.02 } })).toBe(
    'Little of the difference may be wet and dirty roads.',
  )
})

test('shares and times are said as people say them', () => {
  expect([0.05, 0.26, 0.35, 0.5, 0.7, 0.76, 0.98].map(sayShare)).toEqual([
    'little',
    'a quarter',
    'a third',
    'half',
    'two thirds',
    'three quarters',
    'all',
  ])
  expect(sayTimes({ ...ratio, times: { p10: 1.84, p50: 3, p90: 14 } })).toBe('1.8 to 14 times')
})

test('what rests on little says so first', () => {
  expect(sayNotShown(comparison, garage, 'metric')[0]).toBe(
    'immersion wax: only 2 stretches between looks, 600\u00a0km.',
  )
})
