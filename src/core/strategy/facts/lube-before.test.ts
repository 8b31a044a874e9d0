import { expect, test } from '@jest/globals'
import { JUDGED_AT, LUBED, reportOn } from '../../../../test/judged.ts'
import { commuter, noon } from '../../../../test/log.ts'
import type { EntryDraft } from '../../log/entries.ts'
import { ownLives } from '../../lube/learn.ts'
import { lubeBefore } from './lube-before.ts'

const tour = (km: number, more: Partial<Extract<EntryDraft, { kind: 'event' }>> = {}): EntryDraft => ({
  kind: 'event',
  at: noon(3, 1),
  event: 'tour',
  bike: 'heron',
  name: 'Tour',
  starts: noon(4, 6),
  days: 2,
  km,
  condition: 'dry-road',
  ...more,
})
const before = (...drafts: readonly EntryDraft[]) =>
  lubeBefore(reportOn([...commuter, ...drafts], JUDGED_AT), undefined, ownLives([]))?.name

test('a tour that is longer than what is on the chain lasts asks for fresh lube before it', () => {
  // Wet lube lasts 250 km of dry road.
  expect(before(LUBED, tour(260))).toBe('Tour')
  expect(before(LUBED, tour(100))).toBeUndefined()
})

test('rain on a dry lube and mud on any do too, however short', () => {
  expect(before({ ...LUBED, lube: 'dry-lube' } as EntryDraft, tour(30, { condition: 'wet-road' }))).toBe(
    'Tour',
  )
  expect(before(LUBED, tour(30, { condition: 'mud' }))).toBe('Tour')
})

test('what is far off, or comes when the chain is due anyway, is not said', () => {
  expect(before(LUBED, tour(400, { starts: noon(5, 20) }))).toBeUndefined()
  expect(before(tour(400))).toBeUndefined()
})

test('the way there is counted by the forecast where there is one, as every screen counts it', () => {
  const report = reportOn([...commuter, LUBED, tour(150)], JUDGED_AT)
  const begins = (p50: number) => ({
    events: [
      {
        event: 'tour',
        beginsKm: { p10: p50, p50, p90: p50 },
        ends: { p10: 0, p50: 0, p90: 0 },
        pastBefore: 0,
        pastAfter: 0,
        mayRead: 1,
        advice: 'after' as const,
      },
    ],
  })
  const asked = (km: number) => lubeBefore(report, begins(km), ownLives([]))?.name
  expect([asked(0), asked(140)]).toEqual([undefined, 'Tour'])
})
