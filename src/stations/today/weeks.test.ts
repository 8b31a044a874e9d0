import { describe, expect, test } from '@jest/globals'
import { noon, springTour } from '../../../test/log.ts'
import { ENTRY_FORMAT } from '../../core/log/entry.ts'
import type { Reminder } from '../../core/strategy/reminders.ts'
import { addDays } from '../../core/units/days.ts'
import { layWeeks } from './weeks.ts'

const NOW = noon(4, 1)
const FRAME = { left: 100, right: 1100, isNarrow: false }
const look = (bike: string, days: number): Reminder => ({
  kind: 'look',
  bike,
  day: addDays(NOW, days),
  look: { isFirst: false, inKm: 100 },
})
const lube = (bike: string, days: number): Reminder => ({
  kind: 'lube',
  bike,
  day: addDays(NOW, days),
  lube: { lube: 'wet-lube', inKm: 50 },
})
const tour = (days: number): Reminder => ({
  kind: 'event',
  bike: 'heron',
  day: addDays(NOW, days),
  event: { ...springTour, format: ENTRY_FORMAT, id: 'a', starts: addDays(NOW, days) },
})

describe('what comes up, along the next weeks', () => {
  test('a lane for each bike that has anything, in the order of the page; days in proportion', () => {
    const { lanes, weeks } = layWeeks(
      [look('kite', 7), look('heron', 14), lube('heron', 28)],
      ['heron', 'wren', 'kite'],
      NOW,
      FRAME,
    )
    expect(lanes.map(({ bike }) => bike)).toEqual(['heron', 'kite'])
    const [first, second] = lanes[0]?.due ?? []
    expect((second?.x ?? 0) - 100).toBeCloseTo(2 * ((first?.x ?? 0) - 100), 6)
    // The ruler's days stand where marks of that day do.
    expect(weeks.find(({ days }) => days === 14)?.x).toBeCloseTo(first?.x ?? 0, 6)
  })

  test('marks of one day stand beside one another, and a word stands only where it does not reach the next', () => {
    const { lanes } = layWeeks([look('heron', 3), lube('heron', 3)], ['heron'], NOW, FRAME)
    const [first, second] = lanes[0]?.due ?? []
    expect((second?.x ?? 0) - (first?.x ?? 0)).toBeGreaterThanOrEqual(20)
    expect(first).not.toHaveProperty('word')
    expect(second?.word).toBe('lube')
  })

  test('an event is as long as its days, and what is due now stands at today', () => {
    const { lanes } = layWeeks([look('heron', 0), tour(20)], ['heron'], NOW, FRAME)
    const [now, event] = lanes[0]?.due ?? []
    expect((now?.x ?? 0) - 100).toBeLessThan(20)
    const perDay = ((event?.x ?? 0) - 100) / 20
    expect(((event?.to ?? 0) - (event?.x ?? 0)) / perDay).toBeCloseTo(9, 6)
  })

  test('what is further off than four months, has no day, or is a ninth bike’s is left to the list', () => {
    const far = layWeeks([look('heron', 3), look('kite', 200)], ['heron', 'kite'], NOW, FRAME)
    expect(far.left).toBe(1)
    const dayless: Reminder = { kind: 'look', bike: 'heron', look: { isFirst: false, inKm: 100 } }
    expect(layWeeks([dayless], ['heron'], NOW, FRAME)).toMatchObject({ lanes: [], left: 1 })
    const bikes = Array.from({ length: 12 }, (_, i) => `bike-${i}`)
    const many = layWeeks(
      bikes.map((bike) => look(bike, 5)),
      bikes,
      NOW,
      FRAME,
    )
    expect(many.lanes).toHaveLength(8)
    expect(many.left).toBe(4)
  })
})
