import { describe, expect, test } from '@jest/globals'
import { commuter, noon, ride, ruleReading, written } from '../../../test/log.ts'
import { outlookOf } from '../../../test/outlook.ts'
import { replay } from '../../core/log/replay.ts'
import { toEnd } from '../../core/job.ts'
import { riderOutlookSteps } from '../../core/wear/rider-outlook.ts'
import { faultOfDraft } from '../../formats/entry-schema.ts'
import { DRIVETRAINS, type DrivetrainKind } from '../../core/gearing/drivetrains.ts'
import { provisionalDrafts, provisionalReport } from './provisional.ts'

const ids = { bike: 'b', chain: 'c', name: 'Bike 1' }
const now = noon(4, 1)
const kinds = Object.keys(DRIVETRAINS) as DrivetrainKind[]
const readings = [{ instrument: 'rule', pitches: 24, lengthMm: 307 }] as const

describe('a chain measured without a bike', () => {
  test.each(kinds)('%s: what keeping it writes is sound', (kind) => {
    const drafts = provisionalDrafts(kind, readings, ids, now)
    expect(drafts.flatMap((draft) => faultOfDraft(draft) ?? [])).toEqual([])
  })

  const others = [...commuter, ride(1, 5, 1500), ruleReading(2, 6, 306)]
  test.each([
    ['an empty log', []],
    ['a log with another bike, whose chain teaches the rider’s rate', others],
  ])('says in %s what it says once it is kept', (_log, before) => {
    const drafts = provisionalDrafts('many', readings, ids, now)
    const made = provisionalReport(written(before), drafts, ids, now)
    if (!made?.ask) throw new Error('nothing to ask')
    const kept = replay(written([...before, ...drafts]))
    expect(toEnd(riderOutlookSteps(made.ask)).chains['c']).toEqual(outlookOf(kept, now).chains['c'])
  })

  test('its limit follows from the kind of drivetrain', () => {
    const limits = kinds.map(
      (kind) =>
        provisionalReport([], provisionalDrafts(kind, readings, ids, now), ids, now)?.report.limit.percent,
    )
    expect(limits).toEqual([1, 0.75, 0.5, 0.5, 0.5])
  })
})
