import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { RoadStretch } from '../exposure/road-ahead.ts'
import type { RoadPiece } from '../exposure/roads.ts'
import { lengthAtElongation } from '../measure/elongation.ts'
import type { Reading } from '../measure/reading.ts'
import type { AskedChain } from './asked-chain.ts'
import { toEnd } from '../job.ts'
import { pastAt, type WearAnswer } from './outlook.ts'
import { riderOutlookSteps, type RiderOutlook } from './rider-outlook.ts'

const caliper = (percent: number): Reading => {
  const length = lengthAtElongation(8, percent)
  return { instrument: 'caliper-pair', pitches: 8, insideMm: length - 7.5, outsideMm: length + 7.5 }
}
const dry = (km: number): RoadPiece[] => [{ km, condition: 'dry-road' }]
/** 70 km a week for good, each of them 1.4 wear-km. */
const forGood: RoadStretch = { days: 7, km: 70, perKm: dry(1.4) }
const ahead = (stretches: readonly RoadStretch[] = [forGood], idle = false) => ({
  stretches,
  paceLogSd: 0.1,
  idle,
})
const read = (percents: readonly number[], km = 1500): AskedChain['readings'] =>
  percents.map((percent) => ({ reading: caliper(percent), road: dry(km) }))
const asked = (changes: Partial<AskedChain> = {}): AskedChain => ({
  id: 'chain',
  past: 'new',
  readings: [],
  lookSize: 0,
  examined: [],
  links: 114,
  now: dry(1500),
  limit: 0.5,
  drawAt: [0, 750, 1500].map((wearKm) => ({ wearKm, road: dry(wearKm) })),
  ahead: ahead(),
  ...changes,
})

const outlook = (...chains: readonly AskedChain[]): RiderOutlook =>
  toEnd(riderOutlookSteps({ chains, seasons: [], seed: 3 }))
const told = (...chains: readonly AskedChain[]): WearAnswer =>
  outlook(...chains).chains[chains[0]?.id ?? ''] as WearAnswer

describe('the outlook of a chain', () => {
  const measured = asked({ readings: read([0.3, 0.31, 0.29]), lookSize: 3 })
  const answer = told(measured)

  test('at 0.30 % after 1500 wear-km it reaches 0.5 % about 1000 wear-km on, 714 km at 1.4 a km', () => {
    expect(answer.now.mean).toBeCloseTo(0.3, 1)
    expect(answer.toLimitKm.p50).toBeGreaterThan(600)
    expect(answer.toLimitKm.p50).toBeLessThan(850)
  })

  test('next look, limit and its late end come in that order, and so do their days', () => {
    const { nextLookKm, toLimitKm, toLimitDays } = answer
    expect(nextLookKm).toBe(toLimitKm.p10)
    expect(toLimitKm.p10).toBeLessThan(toLimitKm.p50)
    expect(toLimitKm.p50).toBeLessThan(toLimitKm.p90)
    // A tenth either way: the pace is not certain.
    expect(Math.abs((toLimitDays?.p50 ?? 0) / ((7 * toLimitKm.p50) / 70) - 1)).toBeLessThan(0.1)
    expect(answer.nextLookDays).toBe(toLimitDays?.p10)
  })

  test('at the next look one such chain in ten is past the limit, by the fan and by riding there', () => {
    expect(pastAt(answer, answer.nextLookKm)).toBeCloseTo(0.1, 1)
    const then = told({ ...measured, now: dry(1500 + 1.4 * answer.nextLookKm) })
    expect(then.now.pAbove['0.5']).toBeCloseTo(0.1, 1)
  })

  test('the chance of being past the limit only grows with the distance', () => {
    answer.fan.forEach(({ past }, i) => expect(past).toBeGreaterThanOrEqual(answer.fan[i - 1]?.past ?? 0))
    expect(pastAt(answer, 1e6)).toBe(answer.fan.at(-1)?.past)
  })

  test('the fan widens with distance and begins where the chain is; the way here begins at nothing', () => {
    const [first, last] = [answer.fan[0], answer.fan.at(-1)]
    expect(first?.x).toBe(0)
    expect(first?.p50).toBeCloseTo(answer.now.mean, 1)
    expect((last?.p90 ?? 0) - (last?.p10 ?? 0)).toBeGreaterThan((first?.p90 ?? 0) - (first?.p10 ?? 0))
    expect(answer.wayHere[0]?.p50).toBeCloseTo(0, 2)
  })

  test('says the same for the same seed', () => {
    expect(told(measured)).toEqual(answer)
  })

  test('without any reading it is the prior, and wider than with some', () => {
    const guess = told(asked())
    expect(guess.readings).toBe(0)
    expect(guess.ratePer1000.p50).toBeCloseTo(0.17, 1)
    const width = ({ toLimitKm }: WearAnswer) => Math.log(toLimitKm.p90 / Math.max(1, toLimitKm.p10))
    expect(width(answer)).toBeLessThan(width(guess))
  })

  test('rides that nobody has said the condition of widen it', () => {
    const width = ({ p10, p90 }: { p10: number; p90: number }) => p90 - p10
    const notSet: RoadPiece[] = [{ km: 1.4, condition: 'dry-road', notSet: true }]
    const wide = told({ ...measured, ahead: ahead([{ ...forGood, perKm: notSet }]) })
    expect(width(wide.toLimitKm)).toBeGreaterThan(1.2 * width(answer.toLimitKm))
  })

  test('a chain far past its limit has nothing left, never less', () => {
    const { toLimitKm, nextLookKm, now } = told(asked({ readings: read([1.1, 1.12]), lookSize: 2 }))
    expect(toLimitKm).toEqual({ p10: 0, p50: 0, p90: 0 })
    expect(nextLookKm).toBe(0)
    expect(now.pAbove['0.5']).toBeCloseTo(1, 3)
  })

  test('where nothing is ridden there is a distance but no date', () => {
    const idle = told({ ...measured, ahead: ahead([{ ...forGood, km: 0 }], true) })
    expect(idle.toLimitDays).toBeUndefined()
    expect(idle.toLimitKm.p50).toBeGreaterThan(600)
  })

  test('a chain off its bike is told how worn it is, and nothing of what lies ahead', () => {
    const { ahead: _ahead, ...off } = measured
    const now = outlook(off).chains['chain']
    expect(now && 'toLimitKm' in now).toBe(false)
    expect(now?.now.mean).toBeCloseTo(0.3, 1)
  })

  test('winter between now and the limit brings it nearer', () => {
    const salt: RoadStretch = { days: 60, km: 400, perKm: [{ km: 1.4, condition: 'winter-salt' }] }
    const winter = told({ ...measured, ahead: ahead([salt, forGood]) })
    expect(winter.toLimitKm.p50).toBeLessThan(0.7 * answer.toLimitKm.p50)
  })

  test('tells of two tools of the last look that contradict one another', () => {
    const readings = [
      ...[1, 0.95, 1].map((percent) => ({ instrument: 'two-contact-scale', percent }) as const),
      ...[0.5, 0.48, 0.5].map(
        (e) => ({ instrument: 'rule', pitches: 24, lengthMm: lengthAtElongation(24, e) }) as const,
      ),
    ].map((reading) => ({ reading, road: dry(1500) }))
    expect(told(asked({ readings, lookSize: 6 })).conflict).toMatchObject({
      high: { tool: 'two-contact-scale' },
      low: { tool: 'rule' },
      settle: 'caliper-pair',
    })
    expect(told(asked({ readings, lookSize: 3 })).conflict).toBeUndefined()
  })

  test('is always finite and in order, whatever the readings say of one another', () => {
    const reading = fc.double({ min: -0.2, max: 1.5, noNaN: true }).map(caliper)
    const taken = fc.record({ reading, road: fc.double({ min: 0, max: 9000, noNaN: true }).map(dry) })
    fc.assert(
      fc.property(
        fc.array(taken, { maxLength: 5 }),
        fc.constantFrom('new' as const, 'unknown' as const),
        fc.double({ min: 0, max: 9000, noNaN: true }),
        (readings, past, nowKm) => {
          const { now, toLimitKm, toLimitDays, nextLookKm, fan } = told(
            asked({ readings, past, now: dry(nowKm), lookSize: Math.min(1, readings.length) }),
          )
          const figures = [now.mean, now.p05, now.p95, ...Object.values({ ...toLimitKm, ...toLimitDays })]
          for (const value of figures) expect(Number.isFinite(value)).toBe(true)
          expect(nextLookKm).toBeGreaterThanOrEqual(0)
          for (const { p10, p50, p90 } of fan) {
            expect(p10).toBeLessThanOrEqual(p50)
            expect(p50).toBeLessThanOrEqual(p90)
          }
        },
      ),
      { numRuns: 10 },
    )
  })
})

describe('an event ahead', () => {
  const usual = (days: number): RoadStretch => ({ days, km: 10 * days, perKm: dry(1) })
  const tour = (km: number): RoadStretch => ({ days: 9, km, perKm: dry(1), event: 'tour' })
  const through = (percent: number, km: number) => {
    const [event] = told(
      asked({
        readings: read([percent, percent, percent]),
        lookSize: 3,
        ahead: ahead([usual(35), tour(km), forGood]),
      }),
    ).events
    if (!event) throw new Error('the event is not told of')
    return event
  }

  test('a fresh chain lasts: it is swapped afterwards', () => {
    const event = through(0.1, 400)
    expect(event).toMatchObject({ event: 'tour', advice: 'after' })
    // 35 days at 10 km a day, give or take the pace.
    expect(event.beginsKm.p50).toBeCloseTo(350, -2)
    expect(event.pastAfter).toBeLessThan(0.1)
  })

  test('one near its limit does not: it is swapped before', () => {
    expect(through(0.36, 900)).toMatchObject({ advice: 'before' })
    expect(through(0.6, 900)).toMatchObject({ advice: 'before-anyway' })
  })

  test('between the two it is looked at first, and what it may read then leaves room for the tour', () => {
    const event = through(0.3, 600)
    expect(event.advice).toBe('look-first')
    // 600 km at about 0.2 % per 1000 km take about 0.12 %.
    expect(event.mayRead).toBeGreaterThan(0.33)
    expect(event.mayRead).toBeLessThan(0.42)
  })
})
