import { describe, expect, test } from '@jest/globals'
import { outlookOf } from '../../../test/outlook.ts'
import { noon, written } from '../../../test/log.ts'
import { faultOfDraft } from '../../formats/entry-schema.ts'
import { replay } from '../../core/log/replay.ts'
import { DRIVETRAINS, provisionalDrafts, provisionalReport, type DrivetrainKind } from './provisional.ts'

const ids = { bike: 'b', chain: 'c', name: 'Bike 1' }
const now = noon(4, 1)
const kinds = Object.keys(DRIVETRAINS) as DrivetrainKind[]
const readings = [{ instrument: 'rule', pitches: 24, lengthMm: 307 }] as const

describe('a chain measured without a bike', () => {
  test.each(kinds)('%s: what keeping it writes is sound, and says the same as before it was kept', (kind) => {
    const drafts = provisionalDrafts(kind, readings, ids, now)
    expect(drafts.flatMap((draft) => faultOfDraft(draft) ?? [])).toEqual([])
    const made = provisionalReport(drafts, now)
    const kept = replay(written(drafts))
    expect(made?.report.limit).toBeDefined()
    if (!made) return
    expect(outlookOf(made.garage, now).chains['c']).toEqual(outlookOf(kept, now).chains['c'])
  })

  test('its limit follows from the kind of drivetrain', () => {
    const limits = kinds.map(
      (kind) => provisionalReport(provisionalDrafts(kind, readings, ids, now), now)?.report.limit.percent,
    )
    expect(limits).toEqual([1, 0.75, 0.5, 0.5, 0.5])
  })
})
