import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { commuter, noon, written } from '../../../test/log.ts'
import type { EntryDraft } from '../log/entries.ts'
import type { EventEntry } from '../log/kinds/event.ts'
import { replay } from '../log/replay.ts'
import { addDays, daysBetween } from '../units/days.ts'
import { chainStory } from './chain-story.ts'
import { quarterOf } from './conditions.ts'
import { eventsAhead, mixByQuarter, nextQuarter, roadAhead } from './road-ahead.ts'
import { ridingPlan } from './riding-plan.ts'
import { defaultWearKm } from './roads.ts'

const NOW = noon(4, 1)
const ride = (at: string, km: number, condition?: 'wet-road' | 'dry-road' | 'mud'): EntryDraft => ({
  kind: 'ride',
  at,
  bike: 'heron',
  km,
  ...(condition && { condition }),
})
const tour = (starts: string, days: number, km: number, event = 'tour'): EntryDraft => ({
  kind: 'event',
  at: NOW,
  event,
  bike: 'heron',
  name: event,
  starts,
  days,
  km,
  condition: 'mud',
})
function heronWith(...drafts: readonly EntryDraft[]) {
  const garage = replay(written([...commuter, ...drafts]))
  const bike = garage.bikes.get('heron')
  if (!bike) throw new Error('no bike')
  return { bike, story: chainStory(garage, 'chain') }
}
const weekly = (weeks: number, km: number): EntryDraft[] =>
  Array.from({ length: weeks }, (_, i) => ride(addDays(NOW, -7 * (i + 1) + 0.2), km, 'dry-road')).reverse()

describe('parts of the year', () => {
  test('begin with December, March, June and September', () => {
    expect(nextQuarter('2026-12-31T23:00:00.000Z')).toBe('2027-03-01T00:00:00.000Z')
    expect(nextQuarter('2026-01-10T00:00:00.000Z')).toBe('2026-03-01T00:00:00.000Z')
    expect(nextQuarter('2026-03-01T00:00:00.000Z')).toBe('2026-06-01T00:00:00.000Z')
    expect(nextQuarter('2026-11-30T23:59:00.000Z')).toBe('2026-12-01T00:00:00.000Z')
  })

  test('the next is always later, another part, and no more than 92 days off', () => {
    fc.assert(
      fc.property(
        fc.date({ min: new Date('2020-01-01'), max: new Date('2040-01-01'), noInvalidDate: true }),
        (date) => {
          const at = date.toISOString()
          const next = nextQuarter(at)
          expect(next > at).toBe(true)
          expect(quarterOf(next)).not.toBe(quarterOf(at))
          expect(daysBetween(at, next)).toBeLessThanOrEqual(92)
        },
      ),
    )
  })
})

describe('what a kilometre is made of', () => {
  test('as it was ridden in that part of the year', () => {
    const { bike } = heronWith(ride('2025-07-01T12:00:00.000Z', 60, 'mud'), ...weekly(4, 50))
    const mix = mixByQuarter(bike, NOW)
    expect(mix['jun-aug']).toMatchObject([{ km: 1, condition: 'mud' }])
    expect(mix['mar-may']).toMatchObject([{ km: 1, condition: 'dry-road' }])
  })

  test('where too little was ridden then, as its owner said, else as lately', () => {
    const { bike } = heronWith(...weekly(4, 50))
    const winter = {
      ...bike,
      entry: { ...bike.entry, usualByQuarter: { 'dec-feb': 'winter-salt' as const } },
    }
    expect(mixByQuarter(winter, NOW)['dec-feb']).toMatchObject([{ km: 1, condition: 'winter-salt' }])
    expect(mixByQuarter(winter, NOW)['sep-nov']).toMatchObject([{ condition: 'dry-road' }])
  })

  test('with no ride at all, the usual', () => {
    const { bike } = heronWith()
    expect(mixByQuarter(bike, NOW)['jun-aug']).toEqual([{ km: 1, condition: 'dry-road' }])
  })

  test('rides without conditions stay not set', () => {
    const { bike } = heronWith(ride(addDays(NOW, -3), 80))
    expect(mixByQuarter(bike, NOW)['mar-may']).toMatchObject([{ condition: 'dry-road', notSet: true }])
  })
})

describe('the road ahead', () => {
  test('goes on at the usual pace, part of the year after part of the year', () => {
    const { bike, story } = heronWith(...weekly(12, 70))
    const stretches = roadAhead(bike, story, ridingPlan(bike.rides, NOW), NOW)
    const laid = stretches.slice(0, -1)
    expect(laid[0]?.days).toBeCloseTo(daysBetween(NOW, '2026-06-01T00:00:00.000Z'), 6)
    for (const { days, km } of laid) expect(km / days).toBeCloseTo(10, 1)
    expect(stretches.at(-1)).toMatchObject({ days: 7 })
  })

  test('an event stands in its place, with its own road and its own distance', () => {
    const { bike, story } = heronWith(...weekly(12, 70), tour(addDays(NOW, 35), 9, 900))
    const stretches = roadAhead(bike, story, ridingPlan(bike.rides, NOW), NOW)
    const place = stretches.findIndex(({ event }) => event === 'tour')
    const before = stretches.slice(0, place)
    expect(before.reduce((sum, { days }) => sum + days, 0)).toBeCloseTo(35, 6)
    expect(stretches[place]).toMatchObject({ days: 9, km: 900 })
    expect(stretches[place]?.perKm.map(({ condition }) => condition)).toEqual(['mud'])
  })

  test('what is on the chain now is taken to be put on again', () => {
    const { bike, story } = heronWith(...weekly(3, 70), {
      kind: 'wash',
      at: addDays(NOW, -1),
      chain: 'chain',
      method: 'wipe',
      lube: 'drip-wax',
    })
    const [first] = roadAhead(bike, story, ridingPlan(bike.rides, NOW), NOW)
    expect(first?.perKm.every(({ lube }) => lube === 'drip-wax')).toBe(true)
  })

  test('nothing ridden, nothing stated: no distance, and no fault', () => {
    const { bike, story } = heronWith()
    const stretches = roadAhead(bike, story, ridingPlan(bike.rides, NOW), NOW)
    expect(stretches.every(({ km, days }) => km === 0 && days > 0)).toBe(true)
    for (const { perKm } of stretches)
      expect(perKm.reduce((sum, piece) => sum + defaultWearKm(piece), 0)).toBeCloseTo(1, 9)
  })

  test('events do not overlap: the later begins when the earlier is over; what has begun is being ridden', () => {
    const one = tour(addDays(NOW, 10), 5, 100, 'one') as EventEntry
    const two = tour(addDays(NOW, 12), 4, 100, 'two') as EventEntry
    const begun = tour(addDays(NOW, -2), 30, 100, 'begun') as EventEntry
    const ahead = eventsAhead([begun, one, two], NOW)
    expect(ahead.map(({ event, from }) => [event.event, from])).toEqual([
      ['one', addDays(NOW, 10)],
      ['two', addDays(NOW, 15)],
    ])
  })

  test('whatever is planned, every stretch takes time and goes nowhere backwards', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            day: fc.double({ min: -20, max: 900, noNaN: true }),
            days: fc.integer({ min: 1, max: 60 }),
            km: fc.integer({ min: 1, max: 4000 }),
          }),
          { maxLength: 6 },
        ),
        (events) => {
          const drafts = events.map(({ day, days, km }, i) => tour(addDays(NOW, day), days, km, `event ${i}`))
          const { bike, story } = heronWith(...weekly(6, 40), ...drafts)
          const stretches = roadAhead(bike, story, ridingPlan(bike.rides, NOW), NOW)
          expect(stretches.length).toBeGreaterThan(1)
          for (const { days, km, perKm } of stretches) {
            expect(days).toBeGreaterThan(0)
            expect(km).toBeGreaterThanOrEqual(0)
            expect(perKm.length).toBeGreaterThan(0)
          }
        },
      ),
      { numRuns: 40 },
    )
  })
})

describe('the plan', () => {
  test('what the rider has said counts for more than the last twelve weeks, until it is taken back', () => {
    const said = heronWith(...weekly(12, 70), { kind: 'plan', at: NOW, bike: 'heron', weeklyKm: 120 })
    expect(said.bike.plan?.weeklyKm).toBe(120)
    expect(ridingPlan(said.bike.rides, NOW, said.bike.plan?.weeklyKm)).toMatchObject({
      weeklyKm: 120,
      stated: true,
    })
    const back = heronWith(
      { kind: 'plan', at: addDays(NOW, -1), bike: 'heron', weeklyKm: 120 },
      { kind: 'plan', at: NOW, bike: 'heron' },
    )
    expect(back.bike.plan?.weeklyKm).toBeUndefined()
  })
})
