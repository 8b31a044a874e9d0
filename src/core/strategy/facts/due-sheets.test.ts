import { describe, expect, test } from '@jest/globals'
import { ITEM_IDS } from '../../checks/items.ts'
import type { Occasion } from '../../checks/sheets.ts'
import { commuter, noon, ride, written } from '../../../../test/log.ts'
import type { EntryDraft } from '../../log/entries.ts'
import { replay } from '../../log/replay.ts'
import { dueSheets } from './due-sheets.ts'

const dueOn = (now: string, ...drafts: readonly EntryDraft[]) => {
  const garage = replay(written([...commuter, ...drafts]))
  const bike = garage.bikes.get('heron')
  if (!bike) throw new Error('no bike')
  return dueSheets(garage, bike, now)
}
const names = (now: string, ...drafts: readonly EntryDraft[]): readonly Occasion[] =>
  dueOn(now, ...drafts).flatMap(({ occasion, isDue }) => (isDue ? [occasion] : []))
/** A sheet that was gone through on a day. */
const gone = (occasion: Occasion, month: number, day: number): EntryDraft[] => [
  {
    kind: 'round',
    at: noon(month, day),
    round: `${occasion}-${month}-${day}`,
    bike: 'heron',
    occasion,
    began: noon(month, day),
    items: ITEM_IDS.slice(0, 5),
  },
  ...ITEM_IDS.slice(0, 5).map((item): EntryDraft => ({
    kind: 'check',
    at: noon(month, day),
    bike: 'heron',
    item,
    result: 'pass',
  })),
]
const JUNE = ride(6, 1, 30)

describe('which sheet is due', () => {
  test('a bike that was never ridden is due for nothing', () => {
    expect(dueOn(noon(6, 10))).toEqual([])
  })

  test('the monthly round, a month after the last, or after the first ride', () => {
    expect(names(noon(6, 10), JUNE)).toEqual([])
    expect(names(noon(7, 10), JUNE, ride(7, 8, 30))).toEqual(['monthly'])
    const [next] = dueOn(noon(7, 10), JUNE, ride(7, 8, 30), ...gone('monthly', 6, 20))
    expect(next).toMatchObject({
      occasion: 'monthly',
      isDue: false,
      day: noon(7, 20),
      why: { kind: 'days', days: 20 },
    })
    // A bigger sheet did its work.
    expect(names(noon(7, 10), JUNE, ride(7, 8, 30), ...gone('spring', 6, 20))).toEqual([])
  })

  test('after a wet ride, until it was done', () => {
    const wet = ride(6, 9, 30, { condition: 'wet-road' })
    expect(names(noon(6, 10), JUNE, wet)).toEqual(['after-wet'])
    expect(names(noon(6, 10), JUNE, wet, ...gone('after-wet', 6, 10))).toEqual([])
    expect(names(noon(6, 20), JUNE, wet)).toEqual([])
  })

  test('before winter in autumn, spring in spring; half a year later south of the equator', () => {
    const october = ride(10, 20, 30)
    expect(names(noon(10, 25), october)).toContain('before-winter')
    expect(names(noon(10, 25), october, ...gone('before-winter', 10, 5))).not.toContain('before-winter')
    expect(names(noon(3, 20), ride(3, 10, 30))).toContain('spring')
    const south = ride(10, 20, 30, { place: { lat: -33, lon: 10 } })
    expect(names(noon(10, 25), south)).not.toContain('before-winter')
    expect(names(noon(10, 25), south)).toContain('spring')
  })

  test('after a lay-off, before it is ridden again', () => {
    const found = dueOn(noon(7, 15), JUNE)[0]
    expect(found).toMatchObject({ occasion: 'after-lay-off', why: { kind: 'stood', days: 44 } })
    expect(names(noon(7, 15), JUNE, ...gone('after-lay-off', 7, 10))).not.toContain('after-lay-off')
  })

  test('off the trainer after five rides on it', () => {
    const indoor = [1, 3, 5, 7, 9].map((day) => ride(6, day, 20, { condition: 'indoor' }))
    expect(names(noon(6, 10), ...indoor.slice(0, 4))).not.toContain('off-trainer')
    expect(names(noon(6, 10), ...indoor)).toContain('off-trainer')
    expect(names(noon(6, 10), ...indoor, ...gone('off-trainer', 6, 10))).not.toContain('off-trainer')
  })

  test('before a tour in the plan, from two weeks ahead', () => {
    const tour: EntryDraft = {
      kind: 'event',
      at: noon(6, 1),
      event: 't',
      bike: 'heron',
      name: 'Quay loop',
      starts: noon(7, 1),
      days: 2,
      km: 150,
      condition: 'dry-road',
    }
    expect(dueOn(noon(6, 10), JUNE, tour).find(({ occasion }) => occasion === 'before-event')).toMatchObject({
      isDue: false,
      day: noon(6, 17),
    })
    expect(names(noon(6, 20), JUNE, tour)).toContain('before-event')
    expect(names(noon(6, 20), JUNE, tour, ...gone('before-event', 6, 19))).not.toContain('before-event')
  })

  test('an electric bike has a sheet of its own; one of unknown past is looked at whole, once', () => {
    const kit = commuter.map((draft) =>
      draft.kind === 'bike' ? { ...draft, motor: 'mid-drive' as const } : draft,
    )
    const garage = replay(written([...kit, JUNE]))
    const bike = garage.bikes.get('heron')
    if (!bike) throw new Error('no bike')
    expect(dueSheets(garage, bike, noon(9, 20)).map(({ occasion }) => occasion)).toContain('electric')
    expect(names(noon(9, 20), JUNE)).not.toContain('electric')
    const used = commuter.map((draft) =>
      draft.kind === 'part' && draft.spec.type === 'chain'
        ? { ...draft, spec: { ...draft.spec, past: 'unknown' as const } }
        : draft,
    )
    const second = replay(written([...used]))
    const bought = second.bikes.get('heron')
    if (!bought) throw new Error('no bike')
    expect(dueSheets(second, bought, noon(1, 3))[0]?.occasion).toBe('second-hand')
  })

  test('before it goes back to its owner, on the days after a visit', () => {
    const visit: EntryDraft = {
      kind: 'visit',
      at: noon(6, 9),
      visit: 'v',
      bike: 'heron',
      currency: 'EUR',
      sum: 0,
      hour: 0,
      safetyTimes: 5,
      jobs: [],
      isClosed: true,
    }
    expect(names(noon(6, 10), JUNE, visit)).toEqual(['hand-back'])
    expect(names(noon(6, 20), JUNE, visit)).toEqual([])
  })
})
