import { describe, expect, test } from '@jest/globals'
import { commuter, hundreds, noon, ride, written } from '../../../test/log.ts'
import { answerOf, outlookOf } from '../../../test/outlook.ts'
import type { EntryDraft } from '../log/entries.ts'
import { replay } from '../log/replay.ts'
import type { Reading } from '../measure/reading.ts'
import { addDays } from '../units/days.ts'
import { bikeReport } from './facts/bike-report.ts'
import { verdictOf } from './verdict.ts'
import { remindersOf } from './reminders.ts'

// Logs as they should not be, and are: there is always an answer as wide as it must be, never a number that is none.

const NOW = noon(4, 1)
const reading = (at: string, one: Reading): EntryDraft => ({
  kind: 'reading',
  at,
  chain: 'chain',
  reading: one,
})
const side = (at: string, result: 'clear' | 'drops', limit = 0.5): EntryDraft =>
  reading(at, { instrument: 'two-contact-limit', limit, result })
const rule = (at: string, lengthMm: number): EntryDraft =>
  reading(at, { instrument: 'rule', pitches: 24, lengthMm })
const LOGS: Readonly<Record<string, readonly EntryDraft[]>> = {
  'no rides at all': [rule(noon(3, 30), 305.8)],
  'no rides and no readings': [],
  'one reading only': [...hundreds, rule(noon(3, 30), 305.8)],
  'a chain ridden 0 km': [ride(3, 30, 0), rule(noon(3, 31), 305.8)],
  'readings that go down': [
    ...hundreds,
    rule(noon(2, 1), 307),
    rule(noon(3, 1), 306),
    rule(noon(3, 30), 305),
  ],
  'two chains mixed up': [
    ...hundreds,
    ...Array.from({ length: 8 }, (_, i) =>
      rule(noon(2 + Math.floor(i / 4), 3 + 7 * (i % 4)), i % 2 ? 308 : 304.9),
    ),
  ],
  'all of them yes or no': [
    ...hundreds,
    side(noon(2, 1), 'clear'),
    side(noon(3, 1), 'clear'),
    side(noon(3, 30), 'drops', 0.5),
  ],
  'yes, then no': [...hundreds, side(noon(2, 1), 'drops', 0.75), side(noon(3, 30), 'clear', 0.5)],
  'tools that contradict one another': [
    ...hundreds,
    reading(noon(3, 30), { instrument: 'two-contact-scale', percent: 0.9 }),
    reading(noon(3, 30), { instrument: 'three-contact-scale', percent: 0.1 }),
    side(noon(3, 30), 'clear', 0.5),
  ],
  'a chain as long as no chain is': [...hundreds, rule(noon(3, 30), 330)],
  'a reading before the first ride': [rule(noon(1, 1), 306), ...hundreds],
  'a ride round the earth': [ride(3, 1, 40_000), rule(noon(3, 30), 305.8)],
}

/** Every number in some data, with its place. */
function* numbersIn(data: unknown, place = ''): Generator<readonly [place: string, value: number]> {
  if (typeof data === 'number') yield [place, data]
  else if (ArrayBuffer.isView(data)) yield* numbersIn([...(data as Float64Array)], place)
  else if (data !== null && typeof data === 'object')
    for (const [key, value] of Object.entries(data)) yield* numbersIn(value, `${place}.${key}`)
}

describe.each(Object.entries(LOGS))('%s', (_name, drafts) => {
  const garage = replay(written([...commuter, ...drafts]))
  const outlook = outlookOf(garage, NOW)
  const answer = answerOf(garage, NOW, 'chain')
  const bike = garage.bikes.get('heron')
  if (!bike || !answer) throw new Error('the chain has no answer')
  const report = bikeReport(garage, bike, NOW)

  test('is answered in numbers that are numbers', () => {
    const wrong = [...numbersIn(outlook)].filter(([, value]) => !Number.isFinite(value))
    expect(wrong).toEqual([])
  })

  test('no distance and no day lies behind', () => {
    const { toLimitKm, toLimitDays, nextLookKm, fan } = answer
    for (const { p10, p50, p90 } of [toLimitKm, ...(toLimitDays ? [toLimitDays] : [])]) {
      expect(p10).toBeGreaterThanOrEqual(0)
      expect(p50).toBeGreaterThanOrEqual(p10)
      expect(p90).toBeGreaterThanOrEqual(p50)
    }
    expect(nextLookKm).toBeGreaterThanOrEqual(0)
    fan.forEach(({ p10, p50, p90, past }) => {
      expect(p10).toBeLessThanOrEqual(p50)
      expect(p50).toBeLessThanOrEqual(p90)
      expect(past).toBeGreaterThanOrEqual(0)
      expect(past).toBeLessThanOrEqual(1)
    })
  })

  test('something is recommended, and reminders lie on days', () => {
    const verdict = verdictOf(report, answer)
    expect(verdict?.reasons.length).toBeGreaterThan(0)
    for (const { day } of remindersOf([{ report, verdict }]))
      if (day !== undefined) expect(day >= addDays(NOW, -0.001)).toBe(true)
    for (const km of [verdict?.look?.inKm, verdict?.lube?.inKm, verdict?.swap?.inKm.p10])
      expect(km ?? 0).toBeGreaterThanOrEqual(0)
  })
})

describe('the width of the answer', () => {
  const widthOf = (name: string): number => {
    const { p10, p90 } = answerOf(replay(written([...commuter, ...(LOGS[name] ?? [])])), NOW, 'chain')
      ?.toLimitKm ?? { p10: NaN, p90: NaN }
    return p90 - p10
  }

  test('yes or no leaves it wider than a figure does', () => {
    expect(widthOf('one reading only')).toBeGreaterThan(0)
    expect(widthOf('no rides and no readings')).toBeGreaterThan(widthOf('one reading only'))
  })

  test('without rides there is a distance and no date', () => {
    const garage = replay(written([...commuter, rule(noon(3, 30), 305.8)]))
    const answer = answerOf(garage, NOW, 'chain')
    expect(answer?.toLimitKm.p50).toBeGreaterThan(0)
    expect(answer).not.toHaveProperty('toLimitDays')
  })
})
