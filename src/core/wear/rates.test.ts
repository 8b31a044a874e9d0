import { describe, expect, test } from '@jest/globals'
import { lengthAtElongation } from '../measure/elongation.ts'
import type { Reading } from '../measure/reading.ts'
import { CONDITION_MULTIPLIER } from '../exposure/conditions.ts'
import type { RoadPiece } from '../exposure/roads.ts'
import type { AskedChain } from './asked-chain.ts'
import { toEnd } from '../job.ts'
import type { SeasonRoad } from './rates.ts'
import { riderOutlookSteps, type RiderOutlook } from './rider-outlook.ts'

const caliper = (percent: number): Reading => {
  const length = lengthAtElongation(8, percent)
  return { instrument: 'caliper-pair', pitches: 8, insideMm: length - 7.5, outsideMm: length + 7.5 }
}
const piece = (km: number, condition: RoadPiece['condition'], lube?: RoadPiece['lube']): RoadPiece => ({
  km,
  condition,
  ...(lube && { lube }),
})

/** A chain read carefully after each leg of its way, as it would be at 0.17 % per 1000 wear-km. */
function chain(id: string, legs: readonly RoadPiece[], times: (leg: RoadPiece) => number): AskedChain {
  const readings = legs.flatMap((_, i) => {
    const road = legs.slice(0, i + 1)
    const worn = road.reduce((sum, leg) => sum + (0.17 * leg.km * times(leg)) / 1000, 0)
    return [worn - 0.01, worn, worn + 0.01].map((percent) => ({ reading: caliper(percent), road }))
  })
  return {
    id,
    past: 'new',
    readings,
    lookSize: 3,
    examined: [],
    links: 114,
    now: legs,
    limit: 0.5,
    drawAt: [],
    ahead: { stretches: [{ days: 7, km: 70, perKm: [piece(1, 'dry-road')] }], paceLogSd: 0.1, idle: false },
  }
}
const outlook = (chains: readonly AskedChain[], seasons: readonly SeasonRoad[] = []): RiderOutlook =>
  toEnd(riderOutlookSteps({ chains, seasons, seed: 8 }))
const factor = ({ rates }: RiderOutlook, of: string) => rates.factors.find((one) => one.of === of)

describe('rates', () => {
  const mudLegs = [piece(800, 'dry-road'), piece(200, 'mud'), piece(600, 'dry-road'), piece(200, 'mud')]

  test('mud that wears twice its default is learned to be worse than was thought', () => {
    const told = outlook(
      ['a', 'b', 'c'].map((id) => chain(id, mudLegs, ({ condition }) => (condition === 'mud' ? 8 : 1))),
    )
    const mud = factor(told, 'mud')
    expect(mud?.before.p50).toBe(4)
    expect(mud?.after.p50).toBeGreaterThan(5.5)
    expect(mud?.after.p50).toBeLessThan(8.5)
    expect(mud?.learned).toBeGreaterThan(0.3)
    expect(mud?.less).toBe(0)
    expect(told.rates.rider.after.p50).toBeCloseTo(0.17, 1)
  })

  test('wax against drip: chains on wax that last half as long again say so, and how sure', () => {
    const dripped = ['a', 'b'].map((id) =>
      chain(id, [piece(1000, 'dry-road'), piece(1000, 'dry-road')], () => 1),
    )
    const waxed = ['c', 'd'].map((id) =>
      chain(id, [piece(1000, 'dry-road', 'drip-wax'), piece(1000, 'dry-road', 'drip-wax')], () => 0.6),
    )
    const wax = factor(outlook([...dripped, ...waxed]), 'drip-wax')
    expect(wax?.after.p50).toBeLessThan(wax?.before.p50 ?? 0)
    expect(wax?.after.p10).toBeLessThan(wax?.after.p50 ?? 0)
    expect(wax?.less).toBeGreaterThan(0.9)
  })

  test('with nothing read, what is known is what was thought', () => {
    const told = outlook([{ ...chain('a', [piece(500, 'wet-road')], () => 1), readings: [], lookSize: 0 }])
    const rain = factor(told, 'wet-road')
    expect(rain?.wearKm).toBe(0)
    expect(rain?.learned).toBeLessThan(0.06)
    expect(Math.log((rain?.after.p50 ?? 0) / (rain?.before.p50 ?? 1))).toBeCloseTo(0, 1)
    expect(told.rates.rider.learned).toBeLessThan(0.06)
    // 0.17 by 80 % of a spread of 0.5 (methods 4): 0.0896 to 0.3226.
    expect(told.rates.rider.before.p10).toBeCloseTo(0.0896, 3)
    expect(told.rates.rider.before.p90).toBeCloseTo(0.3226, 3)
  })

  test('a winter of salt wears faster than a dry summer, before anything was read and after', () => {
    const seasons: SeasonRoad[] = [
      { quarter: 'dec-feb', km: 900, perKm: [piece(1, 'winter-salt')] },
      { quarter: 'jun-aug', km: 900, perKm: [piece(1, 'dry-road')] },
    ]
    const legs = [piece(700, 'dry-road'), piece(400, 'winter-salt')]
    const [winter, summer] = outlook(
      [chain('a', legs, ({ condition }) => CONDITION_MULTIPLIER[condition])],
      seasons,
    ).rates.seasons
    expect(winter?.before.p50).toBeGreaterThan(2 * (summer?.before.p50 ?? 0))
    expect(winter?.after.p50).toBeGreaterThan(2 * (summer?.after.p50 ?? 0))
    const width = (of: typeof winter) => Math.log((of?.after.p90 ?? 0) / (of?.after.p10 ?? 1))
    expect(width(winter)).toBeLessThan(Math.log((winter?.before.p90 ?? 0) / (winter?.before.p10 ?? 1)))
  })

  test('every chain read is there, with its readings', () => {
    const told = outlook(['a', 'b'].map((id) => chain(id, mudLegs, () => 1)))
    expect(told.rates.chains.map(({ id, readings }) => [id, readings])).toEqual([
      ['a', 12],
      ['b', 12],
    ])
  })
})

describe('what would teach most', () => {
  const careful = chain('careful', [piece(1500, 'dry-road')], () => 1)
  const unread = { ...chain('unread', [piece(1500, 'dry-road')], () => 1), readings: [], lookSize: 0 }

  test('a look at the chain nobody has measured, before one at the chain that was', () => {
    const { lessons } = outlook([careful, unread])
    const looks = lessons.flatMap((lesson) => (lesson.kind === 'look' ? [lesson.chain] : []))
    expect(looks[0]).toBe('unread')
  })

  test('shares are shares, the greatest first', () => {
    const { lessons } = outlook([careful, unread])
    const shares = lessons.map(({ share }) => share)
    expect(shares.every((share) => share > 0 && share <= 1)).toBe(true)
    expect([...shares].sort((a, b) => b - a)).toEqual(shares)
  })

  test('nothing on a bike, nothing to learn for', () => {
    const { ahead: _ahead, ...off } = careful
    expect(outlook([off]).lessons).toEqual([])
  })
})
