import { describe, expect, test } from '@jest/globals'
import { demoWorld } from '../../../demo/world.ts'
import { replay } from '../log/replay.ts'
import { intervalOf } from '../stats/interval.ts'
import { meanOf } from '../stats/mean.ts'
import { seededRandom } from '../stats/random.ts'
import { compare } from './compare.ts'
import { groupRates, type MeasuredRate } from './group-rates.ts'
import { stretchesOf, type Stretch } from './stretches.ts'

const sdOf = (values: Float64Array): number => {
  const mean = meanOf(values)
  return Math.sqrt(meanOf(values.map((value) => (value - mean) ** 2)))
}

describe('rates of groups', () => {
  test('are what summing over every rate and every scatter by hand gives', () => {
    // One group, no thing beside: the prior is normal (0.25, 0.3), the scatter even over 16 values from 0 to 0.3.
    const readings: readonly MeasuredRate[] = [
      { group: 0, rate: 0.12, sd: 0.05 },
      { group: 0, rate: 0.2, sd: 0.08 },
      { group: 0, rate: 0.31, sd: 0.1 },
    ]
    let [mass, first, second] = [0, 0, 0]
    for (let s = 0; s < 16; s++)
      for (let mu = -1; mu <= 1.5; mu += 0.001) {
        const scatter = (0.3 * s) / 15
        const prior = Math.exp(-0.5 * ((mu - 0.25) / 0.3) ** 2)
        const weight = readings.reduce((product, { rate, sd }) => {
          const wide = Math.hypot(sd, scatter)
          return (product * Math.exp(-0.5 * ((rate - mu) / wide) ** 2)) / wide
        }, prior)
        mass += weight
        first += weight * mu
        second += weight * mu ** 2
      }
    const mean = first / mass
    const { groups } = groupRates(readings, 1, 3)
    const [drawn] = groups
    if (!drawn) throw new Error('nothing was drawn')
    expect(meanOf(drawn)).toBeCloseTo(mean, 2)
    expect(sdOf(drawn)).toBeCloseTo(Math.sqrt(second / mass - mean ** 2), 2)
  })

  test('hold the truth in 80 of 100 intervals, over made-up groups', () => {
    const random = seededRandom(5)
    let [held, all] = [0, 0]
    for (let world = 0; world < 150; world++) {
      const truths = [random.normal(0.25, 0.1), random.normal(0.25, 0.1), random.normal(0.25, 0.1)]
      const rates = truths.flatMap((truth, group) =>
        Array.from({ length: 5 }, (): MeasuredRate => {
          const sd = random.between(0.03, 0.12)
          return { group, rate: truth + random.normal(0, 0.06) + random.normal(0, sd), sd }
        }),
      )
      groupRates(rates, 3, world).groups.forEach((draws, group) => {
        const { p10, p90 } = intervalOf(draws)
        all++
        if ((truths[group] ?? 0) >= p10 && (truths[group] ?? 0) <= p90) held++
      })
    }
    expect(held / all).toBeGreaterThan(0.72)
    expect(held / all).toBeLessThan(0.9)
  })

  test('leave a thing beside as unsure as it was where nothing tells it', () => {
    const { slope } = groupRates([{ group: 0, rate: 0.2, sd: 0.05 }], 1, 1)
    expect(sdOf(slope)).toBeCloseTo(0.3, 1)
  })
})

/** Made-up stretches: oil and wax, on roads of which some are dirty. */
function madeUp(of: { waxTimes: number; dirtAdds: number; waxDirt: number; oilDirt: number }): Stretch[] {
  const random = seededRandom(9)
  return Array.from({ length: 48 }, (_, i): Stretch => {
    const isWax = i % 2 === 0
    const dirtShare = Math.min(1, Math.max(0, random.normal(isWax ? of.waxDirt : of.oilDirt, 0.15)))
    const truth = 0.2 * (isWax ? of.waxTimes : 1) + of.dirtAdds * dirtShare
    return {
      chain: `chain-${Math.floor(i / 4)}`,
      bike: 'heron',
      from: '2026-01-01T12:00:00.000Z',
      to: '2026-02-01T12:00:00.000Z',
      km: 500,
      rate: truth + random.normal(0, 0.02),
      sd: 0.02,
      lube: isWax ? 'immersion-wax' : 'wet-lube',
      season: 'jun-aug',
      winterShare: 0,
      dirtShare,
      waxShare: isWax ? 1 : 0,
    }
  })
}

describe('a comparison', () => {
  test('finds that wax wears half as fast where it does, and nothing else that may have made it', () => {
    const { ratios, chains, groups } = compare(
      madeUp({ waxTimes: 0.5, dirtAdds: 0, waxDirt: 0.3, oilDirt: 0.3 }),
      'lube',
    )
    expect(chains).toBe(12)
    expect(groups).toHaveLength(2)
    const [ratio] = ratios
    const wax = ratio?.key === 'immersion-wax' ? ratio.times : undefined
    const times = wax ?? { p10: 1 / (ratio?.times.p90 ?? 1), p90: 1 / (ratio?.times.p10 ?? 1) }
    expect(times.p10).toBeLessThan(0.5)
    expect(times.p90).toBeGreaterThan(0.5)
    expect(times.p90 - times.p10).toBeLessThan(0.12)
    expect(ratio?.beside).toBeUndefined()
  })

  test('says that dirt may have made it, where oil was only ridden in dirt and wax only in the dry', () => {
    const [ratio] = compare(madeUp({ waxTimes: 1, dirtAdds: 0.2, waxDirt: 0.1, oilDirt: 0.7 }), 'lube').ratios
    expect(ratio?.beside?.what).toBe('dirt')
    expect(ratio?.beside?.share).toBeGreaterThan(0.6)
    expect(ratio?.isOnOtherBikes).toBe(false)
  })

  test('says so where two lubes were never on the same bike', () => {
    const apart = madeUp({ waxTimes: 0.5, dirtAdds: 0, waxDirt: 0.3, oilDirt: 0.3 }).map((stretch) => ({
      ...stretch,
      bike: stretch.lube ?? '',
    }))
    expect(compare(apart, 'lube').ratios[0]?.isOnOtherBikes).toBe(true)
    expect(compare(apart, 'bike').ratios[0]?.isOnOtherBikes).toBe(false)
  })

  test('of groups that were hardly ridden is none', () => {
    const few = madeUp({ waxTimes: 1, dirtAdds: 0, waxDirt: 0, oilDirt: 0 }).slice(0, 1)
    expect(compare(few, 'lube')).toMatchObject({ ratios: [], groups: [{ key: 'immersion-wax' }] })
    expect(compare([], 'chain')).toMatchObject({ groups: [], ratios: [], chains: 0, km: 0 })
  })
})

describe('stretches of the demo’s chains', () => {
  const garage = replay(demoWorld('2026-11-26'))
  const stretches = stretchesOf(garage)

  test('are distances between looks, none counted twice, their shares shares', () => {
    expect(stretches.length).toBeGreaterThan(20)
    for (const { km, sd, winterShare, dirtShare, waxShare, from, to } of stretches) {
      expect(km).toBeGreaterThanOrEqual(150)
      expect(sd).toBeGreaterThan(0)
      expect(from < to).toBe(true)
      for (const share of [winterShare, dirtShare, waxShare]) {
        expect(share).toBeGreaterThanOrEqual(0)
        expect(share).toBeLessThanOrEqual(1 + 1e-9)
      }
    }
    const ridden = [...garage.bikes.values()].reduce(
      (sum, { rides }) => sum + rides.reduce((km, ride) => km + ride.km, 0),
      0,
    )
    expect(stretches.reduce((sum, { km }) => sum + km, 0)).toBeLessThanOrEqual(ridden)
  })

  test('can be compared every way, each rate with an interval about it', () => {
    for (const by of ['chain', 'lube', 'bike', 'season'] as const) {
      const { groups, ratios } = compare(stretches, by)
      expect([by, groups.length > 1]).toEqual([by, true])
      expect(ratios).toHaveLength(groups.length - 1)
      for (const { rate } of groups) expect(rate.p10 < rate.p50 && rate.p50 < rate.p90).toBe(true)
    }
  })
})
