import { describe, expect, test } from '@jest/globals'
import { JUDGED_AT, measuredAt, reportOn } from '../../../../test/judged.ts'
import { commuter, hundreds, noon, written } from '../../../../test/log.ts'
import { outlookOf } from '../../../../test/outlook.ts'
import type { VisitJob } from '../../log/kinds/visit.ts'
import { replay } from '../../log/replay.ts'
import { closeJobs, newChainKm } from './close-visit.ts'

const job = (id: string, more: Partial<VisitJob> = {}): VisitJob => ({
  id,
  name: id,
  isSafety: false,
  price: 2000,
  minutes: 10,
  worth: 5,
  outcome: 'open',
  ...more,
})
const riding = { now: noon(3, 1), weeklyKm: 70 }

describe('a visit as it ends', () => {
  test('what is left has its distance and day; safety has none, and what was done is done', () => {
    const [done, ring, brake] = closeJobs(
      [job('chain'), job('ring', { byKm: 140 }), job('brake', { isSafety: true })],
      new Set(['chain']),
      { ring: ' Too dear. ' },
      riding,
    )
    expect(done?.outcome).toBe('done')
    // 140 km at 70 km a week are two weeks.
    expect(ring).toMatchObject({ outcome: 'left', why: 'Too dear.', byKm: 140, byDay: noon(3, 15) })
    expect(brake).toEqual(job('brake', { isSafety: true, outcome: 'left' }))
  })

  test('nothing ridden, no day; without a distance of its own advice waits for 1000 km', () => {
    const [left] = closeJobs([job('ring')], new Set(), {}, { now: noon(3, 1), weeklyKm: 0 })
    expect(left).toEqual(job('ring', { outcome: 'left', byKm: 1000 }))
  })

  test('of two that do the same one is advised: none where one was done, the cheaper where neither was', () => {
    const both = [job('pulleys', { excludes: ['derailleur'] }), job('derailleur', { price: 6000 })]
    const outcomes = (done: readonly string[]) =>
      closeJobs(both, new Set(done), {}, riding).map(({ outcome }) => outcome)
    expect(outcomes([])).toEqual(['left', 'open'])
    expect(outcomes(['derailleur'])).toEqual(['open', 'done'])
  })

  test('a new chain goes as far as this rider’s chains do: further than the one that is half worn', () => {
    const log = [...commuter, ...hundreds, ...measuredAt(0.3)]
    const { draws, chains } = outlookOf(replay(written(log)), JUDGED_AT)
    const km = newChainKm(reportOn(log), draws)
    const on = chains['chain']
    if (!km || !on || !('toLimitKm' in on)) throw new Error('no forecast')
    expect(km.p50).toBeGreaterThan(on.toLimitKm.p50)
    expect(km.p90).toBeGreaterThan(km.p10)
    expect(newChainKm(reportOn(log), undefined)).toBeUndefined()
  })
})
