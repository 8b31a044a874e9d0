import { describe, expect, test } from '@jest/globals'
import { caliperReadings, commuter, hundreds, noon, ride, ruleReading, written } from '../../../test/log.ts'
import { answerOf } from '../../../test/outlook.ts'
import type { EntryDraft } from '../log/entries.ts'
import { replay } from '../log/replay.ts'
import { lengthAtElongation } from '../measure/elongation.ts'
import { bikeReport } from './bike-report.ts'
import { recommend, urgency, type Recommendation } from './recommend.ts'
import { chainWord, worstWord } from './wear-word.ts'

const now = noon(4, 1)

function reportOf(drafts: readonly EntryDraft[], at = now) {
  const garage = replay(written(drafts))
  const bike = garage.bikes.get('heron')
  if (!bike) throw new Error('the garage has lost its bike')
  return bikeReport(garage, bike, at)
}

function adviceOn(drafts: readonly EntryDraft[], at = now): Recommendation {
  const report = reportOf(drafts, at)
  const garage = replay(written(drafts))
  const advice = recommend(report, answerOf(garage, at, report.chain?.part.entry.part))
  if (!advice) throw new Error('no advice was given')
  return advice
}

const ridden = hundreds
const lubed: EntryDraft = { kind: 'wash', at: noon(3, 31), chain: 'chain', method: 'wipe', lube: 'wet-lube' }
const measured = (percent: number, times = 4) => caliperReadings(3, 30, percent, times)

describe('a bike’s report', () => {
  test('adds up its distances: all, on this chain, in four weeks', () => {
    const report = reportOf([...commuter, ...ridden])
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
    const { sprockets } = reportOf([...commuter, ...looks])
    expect(sprockets.map(({ teeth }) => teeth)).toEqual([11, 13, 15, 17, 19, 21, 24, 28, 32, 37, 42, 40])
    expect(sprockets[1]?.look?.word).toBe('watch')
    expect(sprockets[0]?.look).toBeUndefined()
  })

  test('leaves readings out of the question that are left out by hand', () => {
    const entries = written([...commuter, ...ridden, ruleReading(2, 1, 305), ruleReading(3, 1, 306)])
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
    expect(reportOf([...commuter, wet, ride(1, 2, 10)], noon(1, 20)).chain?.clock?.due).toBe(false)
    expect(reportOf([...commuter, wet, ride(1, 2, 10)], noon(2, 5)).chain?.clock).toMatchObject({
      due: true,
      reason: 'storage',
    })
  })

  test('the limit follows the school chosen', () => {
    const late: EntryDraft = { kind: 'limit', at: now, bike: 'heron', school: 'late' }
    expect(reportOf([...commuter, late]).limit).toMatchObject({ percent: 1, school: 'late' })
  })
})

describe('the recommendation', () => {
  test('a bike without a chain is asked for one', () => {
    expect(adviceOn(commuter.slice(0, 1)).action).toBe('describe-chain')
  })

  const ofUnknownPast = commuter.map((draft): EntryDraft =>
    draft.kind === 'part' && draft.spec.type === 'chain'
      ? { ...draft, spec: { ...draft.spec, past: 'unknown' } }
      : draft,
  )

  test('a chain fitted new wants riding until its first look, by the rule of every look', () => {
    const advice = adviceOn([...commuter, lubed])
    expect(advice).toMatchObject({ action: 'ride-on', word: 'fresh' })
    expect(advice.reasons[0]).toMatchObject({ kind: 'new-chain', km: 0 })
    // A rate past 0.5 % at 1400 km is the tenth part of what chains do in general: 0.17 % times exp(1.28 sqrt(0.5² + 0.3²)).
    expect(advice.lookInKm).toBeGreaterThan(900)
    expect(advice.lookInKm).toBeLessThan(1700)
    const later = adviceOn([...commuter, ...ridden.slice(0, 6), lubed])
    expect(later.reasons[0]).toMatchObject({ kind: 'new-chain', km: 600 })
    expect(later.lookInKm).toBeLessThan((advice.lookInKm ?? 0) - 400)
  })

  test('one that is due for it, or whose past nobody vouches for, is to be measured', () => {
    // After 1200 km it could be anywhere over nearly half a per cent.
    expect(adviceOn([...commuter, ...ridden, lubed])).toMatchObject({
      action: 'measure',
      word: 'unsure',
      reasons: [{ kind: 'not-measured', km: 1200 }],
    })
    expect(adviceOn([...ofUnknownPast, lubed])).toMatchObject({ action: 'measure', word: 'unsure' })
  })

  test('a fresh chain rides on, and is looked at again before one in ten is past', () => {
    const advice = adviceOn([...commuter, ...ridden, lubed, ...measured(0.12)])
    expect(advice.action).toBe('ride-on')
    expect(advice.lookInKm).toBeGreaterThan(100)
    expect(advice.confidence).toBeGreaterThan(0.95)
  })

  test('a chain past its limit is swapped alone', () => {
    const advice = adviceOn([...commuter, ...ridden, lubed, ...measured(0.62)])
    expect(advice).toMatchObject({ action: 'swap-chain', cautions: [] })
    expect(advice.reasons.map(({ kind }) => kind)).toEqual(['chance-past', 'limit', 'lube'])
  })

  test('past 0.9 % chain and cogs go together, and the old chain is kept', () => {
    const advice = adviceOn([...commuter, ...ridden, lubed, ...measured(1.02)])
    expect(advice.action).toBe('swap-chain-and-cogs')
    expect(advice.cautions).toContain('keep-old-chain')
    expect(advice.cautions).toContain('may-slip')
  })

  test('a cog that looked spent goes with the chain', () => {
    const look: EntryDraft = { kind: 'look', at: noon(3, 1), part: 'cassette', cog: 15, word: 'spent' }
    expect(adviceOn([...commuter, ...ridden, lubed, ...measured(0.62), look]).action).toBe(
      'swap-chain-and-cogs',
    )
    expect(adviceOn([...commuter, ...ridden, lubed, ...measured(0.12), look])).toMatchObject({
      action: 'look-at-teeth',
      cautions: ['may-slip'],
    })
  })

  test('under the late school everything is bought at once', () => {
    const late: EntryDraft = { kind: 'limit', at: now, bike: 'heron', school: 'late' }
    expect(adviceOn([...commuter, ...ridden, lubed, late, ...measured(1.08)]).action).toBe(
      'swap-chain-and-cogs',
    )
    expect(adviceOn([...commuter, ...ridden, lubed, late, ...measured(0.62)]).action).toBe('ride-on')
  })

  test('a good chain with its lubricant used up is lubricated', () => {
    const advice = adviceOn([...commuter, { ...lubed, at: noon(1, 1) }, ...ridden, ...measured(0.1)])
    expect(advice.action).toBe('lubricate')
    expect(advice.reasons[0]).toMatchObject({ kind: 'lube' })
  })

  test('one vague reading leaves the word unsaid and asks for another', () => {
    const vague: EntryDraft = {
      kind: 'reading',
      at: noon(3, 30),
      chain: 'chain',
      reading: { instrument: 'two-contact-limit', limit: 1, result: 'not-in' },
    }
    const used = commuter.map((draft) =>
      draft.kind === 'part' && draft.spec.type === 'chain'
        ? { ...draft, spec: { ...draft.spec, past: 'unknown' as const } }
        : draft,
    )
    expect(adviceOn([...used, lubed, vague])).toMatchObject({ action: 'measure', word: 'unsure' })
  })

  test('a reading long ago that has run out of distance is taken again', () => {
    const old = measured(0.3).map((draft): EntryDraft => ({ ...draft, at: noon(2, 1) }))
    const more = Array.from({ length: 9 }, (_, i) => ride(2, 5 + i, 26))
    const advice = adviceOn([...commuter, ...ridden.slice(0, 4), ...old, ...more, lubed])
    expect(advice.action).toBe('measure')
    expect(advice.reasons[0]).toMatchObject({ kind: 'reading-old', km: 234 })
  })

  test('where two instruments contradict one another, the third comes before any verdict', () => {
    const readings: EntryDraft[] = [
      ...[0.65, 0.7, 0.68].map(
        (percent) => ({ instrument: 'two-contact-scale', percent: percent + 0.1 }) as const,
      ),
      ...[0.25, 0.22, 0.24].map(
        (e) => ({ instrument: 'rule', pitches: 24, lengthMm: lengthAtElongation(24, e) }) as const,
      ),
    ].map((reading) => ({ kind: 'reading', at: noon(3, 30), chain: 'chain', reading }))
    const advice = adviceOn([...commuter, ...ridden, lubed, ...readings])
    expect(advice).toMatchObject({ action: 'measure', word: 'unsure' })
    expect(advice.reasons[0]).toMatchObject({ kind: 'tools-disagree', conflict: { settle: 'caliper-pair' } })
  })

  test('nothing is said while the statistics are still being worked out', () => {
    expect(recommend(reportOf([...commuter, ...ridden, ...measured(0.3)]), undefined)).toBeUndefined()
  })

  test('harm calls louder than doubt, doubt louder than care, care louder than nothing', () => {
    const calls = [
      adviceOn([...commuter, ...ridden, lubed, ...measured(1.02)]),
      adviceOn([...commuter, ...ridden, lubed, ...measured(0.62)]),
      adviceOn([...ofUnknownPast, ...ridden, lubed]),
      adviceOn([...commuter, { ...lubed, at: noon(1, 1) }, ...ridden, ...measured(0.1)]),
      adviceOn([...commuter, ...ridden, lubed, ...measured(0.12)]),
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
