import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { commuter, noon, ride, written } from '../../../test/log.ts'
import { replay } from '../log/replay.ts'
import { chainStory } from './chain-story.ts'
import { CONDITIONS, isWet } from './conditions.ts'
import { firstAtOrAfter, partDistances, ridesDuring } from './distance.ts'
import { ridingPlan } from './riding-plan.ts'
import { checkedDistance, runningDistance } from './device-distance.ts'
import { EARTH_RADIUS_M, greatCircleM, type TrackPoint } from './track-point.ts'
import { summariseTrack } from './track.ts'
import { agedLubeMultiplier, lubeMultiplier, wearKm } from './wear-km.ts'
import { wearWork } from './wear-work.ts'

describe('distance of parts', () => {
  const rides = new Map([
    ['a', [1, 2, 3, 4].map((day) => ({ at: noon(1, day), km: 10 * day }))],
    ['b', [{ at: noon(1, 3), km: 7 }]],
  ])

  test('a ride belongs to what is fitted at its start; the end of a fitting is exclusive', () => {
    const km = partDistances(rides, [
      { part: 'old', bike: 'a', from: noon(1, 1), to: noon(1, 3) },
      { part: 'new', bike: 'a', from: noon(1, 3) },
    ])
    expect(km.get('old')).toBe(30)
    expect(km.get('new')).toBe(70)
  })

  test('a part gathers on every bike it was on, and none while it hangs on the shelf', () => {
    const km = partDistances(rides, [
      { part: 'chain', bike: 'a', from: noon(1, 1), to: noon(1, 2) },
      { part: 'chain', bike: 'b', from: noon(1, 3) },
    ])
    expect(km.get('chain')).toBe(17)
  })

  test('however a bike’s time is cut among chains, their distances add up to the bike’s', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 60 }), { maxLength: 6 }),
        fc.array(fc.integer({ min: 1, max: 60 }), { maxLength: 40 }),
        (cuts, days) => {
          const at = (day: number) => new Date(Date.UTC(2026, 0, 1) + day * 86_400_000).toISOString()
          const ridden = [...days].sort((x, y) => x - y).map((day) => ({ at: at(day), km: day + 0.5 }))
          const edges = [0, ...[...cuts].sort((x, y) => x - y), 61]
          const fittings = edges
            .slice(1)
            .map((to, i) => ({ part: `p${i}`, bike: 'a', from: at(edges[i] ?? 0), to: at(to) }))
          const total = [...partDistances(new Map([['a', ridden]]), fittings).values()].reduce(
            (x, y) => x + y,
            0,
          )
          expect(total).toBeCloseTo(
            ridden.reduce((x, { km }) => x + km, 0),
            6,
          )
        },
      ),
    )
  })

  test('the first ride at or after a time is found among many', () => {
    const many = Array.from({ length: 100 }, (_, i) => ({ at: noon(1, 1 + Math.floor(i / 4)) }))
    expect(firstAtOrAfter(many, noon(1, 5))).toBe(16)
    expect(firstAtOrAfter(many, noon(12, 1))).toBe(100)
    expect(ridesDuring(many, noon(1, 5), noon(1, 6))).toHaveLength(4)
  })
})

describe('wear-kilometres', () => {
  test('dry road with nothing known of lubricant or effort is the unit', () => {
    expect(wearKm({ km: 100, condition: 'dry-road' })).toBe(100)
  })

  test('mud on immersion wax under a motor: 161 x 4 x 0.6 x 96/25', () => {
    expect(wearKm({ km: 161, condition: 'mud', lube: 'immersion-wax', energyKjPerKm: 96 })).toBeCloseTo(
      1483.776,
      9,
    )
  })

  test('wet lube is a fault in dust only', () => {
    expect(lubeMultiplier('wet-lube', 'dry-gravel')).toBe(1.3)
    for (const condition of CONDITIONS)
      if (condition !== 'dry-gravel') expect(lubeMultiplier('wet-lube', condition)).toBe(1)
  })

  test('past its interval a lubricant’s multiplier rises to 2 and stays there', () => {
    expect(agedLubeMultiplier('immersion-wax', 'dry-road', 1)).toBe(0.6)
    expect(agedLubeMultiplier('immersion-wax', 'dry-road', 1.5)).toBeCloseTo(1.3, 9)
    expect(agedLubeMultiplier('dry-lube', 'dry-road', 9)).toBe(2)
    expect(agedLubeMultiplier('none', 'dry-road', 9)).toBe(3)
  })

  test('a distance below nothing is refused', () => {
    expect(() => wearKm({ km: -1, condition: 'mud' })).toThrow(RangeError)
    expect(() => wearKm({ km: 1, condition: 'mud', energyKjPerKm: -1 })).toThrow(RangeError)
  })

  test('rain, salt, wet gravel and mud are wet; dust and the trainer are not', () => {
    expect(CONDITIONS.filter(isWet)).toEqual(['wet-road', 'winter-salt', 'wet-gravel', 'mud'])
  })
})

describe('wear work', () => {
  test('is the slide of each pin under the chain’s tension, worked by hand for 360 kJ on 40 x 20 with 114 links', () => {
    // Tension x slide x passes: E / (p z) tooth passes worth of tension, shared over N joints, sliding pi d / z each.
    const { pinWorkJ, ringTooth, cogTooth } = wearWork(360, 40, 20, 114)
    expect(pinWorkJ).toBeCloseTo((360_000 * Math.PI * 3.6 * (1 / 40 + 1 / 20)) / (12.7 * 114), 9)
    expect(ringTooth).toBe(9)
    expect(cogTooth).toBe(18)
  })

  test('a ring two to four teeth larger, at the same ratio, spares the pins', () => {
    expect(wearWork(100, 44, 22, 114).pinWorkJ).toBeLessThan(wearWork(100, 40, 20, 114).pinWorkJ)
  })

  test.each([
    [-1, 40, 20, 114],
    [1, 0, 20, 114],
    [1, 40, 20, 0],
  ])('refuses %p kJ on %p x %p with %p links', (...input) => {
    expect(() => wearWork(...input)).toThrow(RangeError)
  })
})

describe('a recorded track', () => {
  const point = (lat: number, lon: number, timeS: number, distanceM?: number): TrackPoint => ({
    lat,
    lon,
    timeS,
    ...(distanceM !== undefined && { distanceM }),
  })
  /** Degrees of latitude that are one metre. */
  const METRE = 180 / (Math.PI * EARTH_RADIUS_M)
  const straight = (count: number, step = 5): TrackPoint[] =>
    Array.from({ length: count }, (_, i) => point(i * step * METRE, 10, 1000 + i))

  test('a quarter of the equator is a quarter of the circumference', () => {
    expect(greatCircleM(point(0, 0, 0), point(0, 90, 0))).toBeCloseTo((Math.PI / 2) * EARTH_RADIUS_M, 3)
  })

  test('from pole to pole is half round, and order does not matter', () => {
    expect(greatCircleM(point(90, 0, 0), point(-90, 50, 0))).toBeCloseTo(Math.PI * EARTH_RADIUS_M, 3)
    expect(greatCircleM(point(10, 20, 0), point(-5, 60, 0))).toBeCloseTo(
      greatCircleM(point(-5, 60, 0), point(10, 20, 0)),
      6,
    )
  })

  test('counts its steps and its moving time', () => {
    const summary = summariseTrack([straight(101)])
    expect(summary?.km).toBeCloseTo(0.5, 9)
    expect(summary?.movingSeconds).toBe(100)
    expect(summary?.points).toBe(101)
    expect(summary?.startedAt).toBe(new Date(1_000_000).toISOString())
  })

  test('nothing is ridden between two segments', () => {
    const far = straight(11).map((p) => ({ ...p, lat: p.lat + 1, timeS: p.timeS + 500 }))
    expect(summariseTrack([straight(11), far])?.km).toBeCloseTo(0.1, 9)
  })

  test('a stray point that would need over 35 m/s is dropped', () => {
    const track = straight(21)
    const stray = [...track.slice(0, 10), point(1, 10, 1009.5), ...track.slice(10)]
    const summary = summariseTrack([stray])
    expect(summary?.km).toBeCloseTo(0.1, 9)
    expect(summary?.dropped).toBe(1)
  })

  test('standing still and gaps over 30 s are distance but not moving time', () => {
    const crawl = summariseTrack([straight(11, 0.4)])
    expect(crawl?.km).toBeCloseTo(0.004, 9)
    expect(crawl?.movingSeconds).toBe(0)
    const gap = summariseTrack([[point(0, 10, 0), point(100 * METRE, 10, 31)]])
    expect(gap?.km).toBeCloseTo(0.1, 9)
    expect(gap?.movingSeconds).toBe(0)
  })

  test('the device’s own distance is summed where it grows, and doubted where it jumps', () => {
    const told = (distances: readonly (number | undefined)[]) =>
      runningDistance([straight(distances.length).map((p, i) => ({ ...p, distanceM: distances[i] }))])
    expect(told([0, 5.2, 10.4])).toEqual({ km: 0.0104 })
    expect(told([0, 5, undefined, 15])).toEqual({ km: 0.015 })
    expect(told([7])).toBeUndefined()
    // A spike, a step that no number holds, and a zero in between.
    expect(told([100, 105, 9000, 115])?.fault).toBe('impossible')
    expect(told([0, 1e305, 10, 15])?.fault).toBe('impossible')
    expect(told([100, 105, 0, 15])?.fault).toBe('impossible')
    // A new segment may begin at nothing again.
    const laps = [straight(3), straight(3)].map((lap) => lap.map((p, i) => ({ ...p, distanceM: 5 * i })))
    expect(runningDistance(laps)).toEqual({ km: 0.02 })
  })

  test('and doubted where the track says otherwise, if the track can be believed', () => {
    expect(checkedDistance({ km: 20 }, 20.4, 1, 3600)).toEqual({ km: 20 })
    expect(checkedDistance({ km: 12.5 }, 20.1, 1, 3600)).toEqual({ km: 12.5, fault: 'unlike-track' })
    expect(checkedDistance({ km: 0 }, 3, 1, 600)).toMatchObject({ fault: 'unlike-track' })
    // In a tunnel, or indoors, the wheel knows better.
    expect(checkedDistance({ km: 20 }, 9, 0.5, 3600)).toEqual({ km: 20 })
    expect(checkedDistance({ km: 1e302 }, 9, 1, 3600)).toMatchObject({ fault: 'impossible' })
    expect(checkedDistance({ km: 200 }, 9, 0.2, 3600)).toMatchObject({ fault: 'impossible' })
  })

  test('without times is no ride', () => {
    expect(summariseTrack([straight(3).map((p) => ({ ...p, timeS: NaN }))])).toBeUndefined()
  })
})

describe('the story of a chain', () => {
  const story = (...drafts: Parameters<typeof written>[0]) =>
    chainStory(replay(written([...commuter, ...drafts])), 'chain')

  test('gathers distance and wear-distance, and tells both for any moment', () => {
    const told = story(ride(1, 2, 40), ride(1, 4, 30, { condition: 'winter-salt' }))
    expect([told.km, told.wearKm]).toEqual([70, 130])
    expect(told.at(noon(1, 3))).toEqual({ km: 40, wearKm: 40, unsureWearKm: 0 })
  })

  test('a waxed chain wears less until its wax is used up', () => {
    const wax = {
      kind: 'wash',
      at: noon(1, 1),
      chain: 'chain',
      method: 'none',
      lube: 'immersion-wax',
    } as const
    expect(story(wax, ride(1, 2, 100)).wearKm).toBeCloseTo(60, 9)
    const long = story(wax, ride(1, 2, 800), ride(1, 3, 100))
    expect(long.lube.used).toBeCloseTo(2.25, 9)
    expect(long.wearKm).toBeCloseTo(800 * 0.6 + 100 * 2, 9)
  })

  test('degreased and left bare it wears three times as fast; wiped it keeps what it had', () => {
    const wash = (method: 'wipe' | 'on-bike') =>
      ({ kind: 'wash', at: noon(1, 2), chain: 'chain', method }) as const
    expect(story(wash('on-bike'), ride(1, 3, 10)).wearKm).toBe(30)
    expect(story(wash('wipe'), ride(1, 3, 10)).wearKm).toBe(10)
    expect(story(wash('wipe')).lube.lube).toBeUndefined()
  })

  test('a mid-drive’s energy counts', () => {
    expect(story(ride(1, 2, 50, { energyKjPerKm: 37.5 })).wearKm).toBeCloseTo(75, 9)
  })

  test('of a part that is not there is empty', () => {
    expect(chainStory(replay([]), 'nowhere').km).toBe(0)
  })
})

describe('riding to come', () => {
  const weekly = (weeks: number, km: number) =>
    Array.from({ length: weeks }, (_, i) => ({
      at: new Date(Date.UTC(2026, 5, 1) - (weeks - 1 - i) * 7 * 86_400_000).toISOString(),
      km,
    }))
  const now = new Date(Date.UTC(2026, 5, 2)).toISOString()

  test('is the mean of the last twelve weeks, unless the rider has stated another', () => {
    const plan = ridingPlan(weekly(30, 50), now)
    expect(plan.weeklyKm).toBeCloseTo(50, 9)
    expect(plan.stated).toBe(false)
    expect(ridingPlan(weekly(30, 50), now, 120)).toEqual({ weeklyKm: 120, weeklySpread: 0.15, stated: true })
  })

  test('even riding is still not certain riding', () => {
    expect(ridingPlan(weekly(12, 50), now).weeklySpread).toBeGreaterThan(0.05)
    expect(ridingPlan(weekly(2, 50), now).weeklySpread).toBeGreaterThan(
      ridingPlan(weekly(12, 50), now).weeklySpread,
    )
  })

  test('is nothing, and said so, where nothing was ridden', () => {
    expect(ridingPlan([], now)).toEqual({ weeklyKm: 0, weeklySpread: 1, stated: false })
    const old = weekly(3, 50).map((one) => ({ ...one, at: one.at.replace('2026', '2020') }))
    expect(ridingPlan(old, now).weeklyKm).toBe(0)
  })
})
