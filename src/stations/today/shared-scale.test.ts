import { expect, test } from '@jest/globals'
import { factsOn, LUBED, measuredAt } from '../../../test/judged.ts'
import { commuter, hundreds, springTour } from '../../../test/log.ts'
import { ENTRY_FORMAT } from '../../core/log/entry.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import { verdictOf } from '../../core/strategy/verdict.ts'
import type { JudgedBike } from '../../session/verdicts.ts'
import { sayRoad } from '../../words/road.ts'
import { sharedScale } from './shared-scale.ts'

function judged(...drafts: readonly EntryDraft[]): JudgedBike {
  const { report, answer } = factsOn([...commuter, ...hundreds, LUBED, ...drafts])
  return {
    report,
    answer,
    teeth: undefined,
    verdict: verdictOf(report, answer),
    fresh: true,
    fault: undefined,
  }
}
const good = judged(...measuredAt(0.3))
const past = judged(...measuredAt(0.62))

test('reaches to the furthest limit there is, and back over what is behind', () => {
  const scale = sharedScale([past, good])
  expect(scale.aheadKm).toBeGreaterThan(good.answer?.toLimitKm.p50 ?? NaN)
  // No further back than ahead: what is to come is what one looks for.
  expect(scale.backKm).toBeCloseTo(Math.min(scale.aheadKm, 1.03 * 1200), 6)
  expect(scale.topPercent).toBeGreaterThanOrEqual(0.65)
  // A bike more is never drawn on a scale that is too short for it.
  expect(sharedScale([past]).aheadKm).toBeLessThanOrEqual(scale.aheadKm)
})

test('with nothing worked out yet it is a scale all the same', () => {
  const { report } = good
  const waiting = {
    report,
    answer: undefined,
    teeth: undefined,
    verdict: undefined,
    fresh: false,
    fault: undefined,
  }
  for (const value of Object.values(sharedScale([waiting]))) expect(value).toBeGreaterThan(0)
})

test('what a road shows is said: now, the limit, the next look, the lube', () => {
  const say = ({ report, answer, verdict }: JudgedBike): string =>
    answer && verdict ? sayRoad(report, answer, verdict, 'metric').replace(/[\u00a0\u2009\u202f]/g, ' ') : ''
  expect(say(good)).toMatch(
    /^Heron’s chain so far and ahead: 0\.[23]\d %.* its limit of 0\.5 % in about .* km; next look in .* km; lube for 250 km more\.$/,
  )
  const tour = { ...springTour, format: ENTRY_FORMAT, id: 'a' }
  const verdict = good.verdict && { ...good.verdict, look: { isFirst: false, before: tour } }
  expect(say({ ...good, verdict })).toMatch(/; next look before Spring tour; /)
  expect(say(past)).toMatch(/past its limit of 0\.5 %|its limit of 0\.5 % in about 0 km/)
})
