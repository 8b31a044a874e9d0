import { describe, expect, test } from '@jest/globals'
import {
  factsOn,
  JUDGED_AT,
  LUBED,
  LUBED_LONG_AGO,
  measuredAt,
  OF_UNKNOWN_PAST,
  reportOn,
  verdictOn,
} from '../../../test/judged.ts'
import { commuter, hundreds, noon, ride, ruleReading, written } from '../../../test/log.ts'
import type { EntryDraft } from '../log/entries.ts'
import { replay } from '../log/replay.ts'
import { bikeReport } from './facts/bike-report.ts'
import { urgency, verdictOf } from './verdict.ts'
import { chainWord, worstWord } from './wear-word.ts'

const now = JUDGED_AT

describe('a bike’s report', () => {
  test('adds up its distances: all, on this chain, in four weeks', () => {
    const report = reportOn([...commuter, ...hundreds])
    expect(report.totalKm).toBe(1200)
    expect(report.chain?.story.km).toBe(1200)
    expect(report.lastFourWeeksKm).toBe(400)
    expect(report.limit.percent).toBe(0.5)
  })

  test('lists cogs from the smallest, then ring and pulleys, each with its last look', () => {
    const looks: EntryDraft[] = [
      { kind: 'look', at: noon(2, 1), part: 'cassette', cog: 13, word: 'good' },
      { kind: 'look', at: noon(3, 1), part: 'cassette', cog: 13, word: 'watch' },
    ]
    const { sprockets } = reportOn([...commuter, ...looks])
    expect(sprockets.map(({ teeth }) => teeth)).toEqual([11, 13, 15, 17, 19, 21, 24, 28, 32, 37, 42, 40])
    expect(sprockets[1]?.look?.word).toBe('watch')
    expect(sprockets[0]?.look).toBeUndefined()
  })

  test('leaves readings out of the question that are left out by hand', () => {
    const entries = written([...commuter, ...hundreds, ruleReading(2, 1, 305), ruleReading(3, 1, 306)])
    const out = entries.find((entry) => entry.kind === 'reading')
    const garage = replay([
      ...entries,
      ...written(
        [{ kind: 'reading-use', at: now, target: out?.id ?? '', counts: false }],
        Date.UTC(2027, 0, 1),
      ),
    ])
    const bike = garage.bikes.get('heron')
    const report = bike && bikeReport(garage, bike, now)
    expect([...(report?.chain?.nextLook.earlier ?? []), ...(report?.chain?.look ?? [])]).toHaveLength(1)
    expect(report?.chain?.readings).toHaveLength(2)
    expect(report?.chain?.kmSinceReading).toBe(400)
  })

  test('the clock counts the days since the last ride', () => {
    const wet: EntryDraft = { kind: 'wash', at: noon(1, 1), chain: 'chain', method: 'none', lube: 'wet-lube' }
    expect(reportOn([...commuter, wet, ride(1, 2, 10)], noon(1, 20)).chain?.lube?.clock?.due).toBe(false)
    expect(reportOn([...commuter, wet, ride(1, 2, 10)], noon(2, 5)).chain?.lube?.clock).toMatchObject({
      due: true,
      reason: 'storage',
    })
  })

  test('the limit follows the school chosen', () => {
    const late: EntryDraft = { kind: 'limit', at: now, bike: 'heron', school: 'late' }
    expect(reportOn([...commuter, late]).limit).toMatchObject({ percent: 1, school: 'late' })
  })
})

describe('the verdict', () => {
  test('a chain fitted new is looked at first by the rule of every look', () => {
    const verdict = verdictOn([...commuter, LUBED])
    // A rate past 0.5 % at 1400 km is the tenth part of what chains do in general: 0.17 % times exp(1.28 sqrt(0.5² + 0.3²)).
    expect(verdict.look).toMatchObject({ isFirst: true })
    expect(verdict.look?.inKm).toBeGreaterThan(900)
    expect(verdict.look?.inKm).toBeLessThan(1700)
    const later = verdictOn([...commuter, ...hundreds.slice(0, 6), LUBED])
    expect(later.reasons[0]).toMatchObject({ kind: 'new-chain', km: 600 })
    expect(later.look?.inKm).toBeLessThan((verdict.look?.inKm ?? 0) - 400)
  })

  test('the first rule that speaks is heard: one past its limit is not merely lubricated', () => {
    const used = [...commuter, LUBED_LONG_AGO, ...hundreds]
    expect(verdictOn([...used, ...measuredAt(0.12)]).action).toBe('lubricate')
    expect(verdictOn([...used, ...measuredAt(0.62)]).action).toBe('swap-chain')
    expect(verdictOn(used).action).toBe('measure')
  })

  test('who has just looked looks no sooner again than in 50 km', () => {
    const verdict = verdictOn([...commuter, ...hundreds, LUBED, ...measuredAt(0.46)])
    expect(verdict.action).toBe('ride-on')
    expect(verdict.look?.inKm).toBe(50)
  })

  test('nothing is said while the statistics are still being worked out', () => {
    const report = reportOn([...commuter, ...hundreds, ...measuredAt(0.3)])
    expect(verdictOf(report, undefined)).toBeUndefined()
    // What came on used and was never read does not wait for them.
    expect(verdictOf(reportOn(OF_UNKNOWN_PAST), undefined)?.action).toBe('measure')
  })

  test('is made once for the same report and answer', () => {
    const { report, answer } = factsOn([...commuter, ...hundreds, ...measuredAt(0.3)])
    expect(verdictOf(report, answer)).toBe(verdictOf(report, answer))
  })

  test('harm calls louder than doubt, doubt louder than care, care louder than nothing', () => {
    const calls = [
      verdictOn([...commuter, ...hundreds, LUBED, ...measuredAt(1.02)]),
      verdictOn([...commuter, ...hundreds, LUBED, ...measuredAt(0.62)]),
      verdictOn([...OF_UNKNOWN_PAST, ...hundreds, LUBED]),
      verdictOn([...commuter, LUBED_LONG_AGO, ...hundreds, ...measuredAt(0.1)]),
      verdictOn([...commuter, ...hundreds, LUBED, ...measuredAt(0.12)]),
    ].map(urgency)
    expect([...calls].sort((a, b) => b - a)).toEqual(calls)
    expect(new Set(calls).size).toBe(5)
  })
})

describe('words for wear', () => {
  const belief = (mean: number, half: number, past: number) => ({
    mean,
    p05: mean - half,
    p95: mean + half,
    pAbove: { '0.75': past },
  })

  test.each([
    [belief(0.05, 0.04, 0), 'fresh'],
    [belief(0.3, 0.08, 0), 'good'],
    [belief(0.5, 0.08, 0.01), 'watch'],
    [belief(0.4, 0.19, 0.12), 'watch'],
    [belief(0.4, 0.3, 0.02), 'unsure'],
    [belief(0.8, 0.1, 0.8), 'swap'],
    [belief(1.05, 0.1, 1), 'spent'],
  ])('%p is %p', (summary, word) => {
    expect(chainWord(summary, 0.75)).toBe(word)
  })

  test('the worst of several counts, none of none', () => {
    expect(worstWord(['good', 'swap', 'watch'])).toBe('swap')
    expect(worstWord([])).toBeUndefined()
  })
})
