import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { steepStretches } from '../exposure/steep.ts'
import type { TrackPoint } from '../exposure/track-point.ts'
import { cadenceOf, gearBench, gearSetFault, isCrossed, type GearSet } from './bench.ts'
import { capacityNeeded, chainLinks, chainstayOf, COMMON_MOST, fitQuestions } from './chain-fit.ts'
import { linksAround } from './chain-loop.ts'
import { cadenceAt } from './climb.ts'
import { onHill, ownHill, powerByBreath } from './hill.ts'
import { shiftedUse, usedGears, usedOn } from './shifted-use.ts'

const ROAD: GearSet = { rings: [34, 50], cogs: [11, 12, 13, 14, 15, 17, 19, 21, 24, 28] }
const ONE: GearSet = { rings: [40], cogs: [11, 13, 15, 17, 19, 21, 24, 28, 32, 37, 42] }
const teeth = (least: number, most: number) => fc.integer({ min: least, max: most })
const aSet = fc
  .record({
    rings: fc.uniqueArray(teeth(22, 54), { minLength: 1, maxLength: 3 }),
    cogs: fc.uniqueArray(teeth(10, 50), { minLength: 1, maxLength: 12 }),
  })
  .map(({ rings, cogs }): GearSet => ({
    rings: rings.sort((a, b) => a - b),
    cogs: cogs.sort((a, b) => a - b),
  }))

describe('the bench', () => {
  test('a road set by hand: 50 x 11 on a wheel of 2100 mm at 90 turns is 51.5 km/h', () => {
    const bench = gearBench(ROAD, 2100, 90)
    expect(bench.gears).toHaveLength(20)
    expect(bench.highest).toMatchObject({ ring: 50, cog: 11 })
    expect(bench.highest.speedKmh).toBeCloseTo((50 / 11) * 2.1 * 90 * 0.06, 9)
    expect(bench.highest.speedKmh).toBeCloseTo(51.5, 1)
    expect(bench.lowest).toMatchObject({ ring: 34, cog: 28 })
    expect(bench.range).toBeCloseTo((50 / 11) * (28 / 34), 9)
    // From the 17 to the 15: 13.3 %. From 28 to 24: 16.7 %, the widest.
    expect(bench.gears.find(({ ring, cog }) => ring === 50 && cog === 17)?.stepPercent).toBeCloseTo(13.33, 2)
    expect(bench.widestStepPercent).toBeCloseTo(16.67, 2)
  })

  test('large ring and largest cogs are crossed, and so are small ring and smallest; one ring is never', () => {
    expect(isCrossed(ROAD, 50, 28)).toBe(true)
    expect(isCrossed(ROAD, 34, 11)).toBe(true)
    expect(isCrossed(ROAD, 50, 15)).toBe(false)
    expect(gearBench(ONE, 2150, 80).gears.some((gear) => gear.isCrossed)).toBe(false)
  })

  test('a double is the same gear on another ring: 34 x 14 and 50 x 21 are 2 % apart', () => {
    const bench = gearBench(ROAD, 2100, 90)
    expect(bench.gears.find(({ ring, cog }) => ring === 34 && cog === 14)?.isDouble).toBe(true)
    expect(bench.gears.find(({ ring, cog }) => ring === 50 && cog === 12)?.isDouble).toBe(false)
    expect(bench.useful).toBeLessThan(20)
  })

  test('cadence at a speed and speed at a cadence undo one another', () => {
    fc.assert(
      fc.property(aSet, fc.double({ min: 20, max: 130, noNaN: true }), (set, cadence) => {
        for (const { developmentM, speedKmh, ring, cog } of gearBench(set, 2155, cadence).gears) {
          expect(cadenceOf(speedKmh, developmentM)).toBeCloseTo(cadence, 6)
          expect(cadenceAt(speedKmh, 2155, ring, cog)).toBeCloseTo(cadence, 6)
        }
      }),
    )
  })

  test.each<readonly [string, GearSet]>([
    ['no-ring', { rings: [], cogs: [11] }],
    ['no-cog', { rings: [40], cogs: [] }],
    ['teeth', { rings: [40], cogs: [0, 11] }],
    ['teeth', { rings: [40], cogs: [11, 12.5] }],
    ['twice', { rings: [40], cogs: [11, 11] }],
    ['too-many', { rings: [22, 32, 42, 52], cogs: [11] }],
  ])('%s is said', (fault, set) => {
    expect(gearSetFault(set)?.fault).toBe(fault)
    expect(() => gearBench(set, 2100, 90)).toThrow(RangeError)
  })
})

describe('wear of another set', () => {
  test('by hand: all on 40 x 13, and the ring goes to 46: the 15 comes nearest', () => {
    const shifted = shiftedUse([{ ring: 40, cog: 13, share: 1 }], { ...ONE, rings: [46] })
    expect(shifted.gears).toEqual([{ ring: 46, cog: 15, share: expect.closeTo(1, 9) }])
    expect(shifted.chainWearTimes).toBeCloseTo((1 / 46 + 1 / 15) / (1 / 40 + 1 / 13), 9)
    expect(shifted.cogLifeTimes).toBeCloseTo(15 / 13, 9)
    expect(shifted.ringLifeTimes).toBeCloseTo(46 / 40, 9)
  })

  test('two teeth more move a part of the work by one cog, as much as they are of a step', () => {
    const use = ONE.cogs.map((cog) => ({ ring: 40, cog, share: 1 / ONE.cogs.length }))
    const { cogsBefore, cogsAfter, moves } = shiftedUse(use, { ...ONE, rings: [42] }, ONE)
    // ln(42/40) is 39 % of the step from 15 to 17, and 38 % of the stretch of the 15.
    const stretch = (Math.log(17 / 15) + Math.log(15 / 13)) / 2
    expect(Math.log(42 / 40) / stretch).toBeCloseTo(0.36, 1)
    const from15 = moves.find(({ from }) => from === 15)
    expect(from15?.to).toBe(17)
    expect(11 * (from15?.share ?? 0)).toBeCloseTo(0.36, 1)
    expect(cogsAfter.get(11)).toBeLessThan(cogsBefore.get(11) ?? 0)
    expect(cogsAfter.get(42)).toBeGreaterThan(cogsBefore.get(42) ?? 1)
  })

  test('no work is lost, and the same set changes nothing', () => {
    fc.assert(
      fc.property(aSet, aSet, fc.integer({ min: 1, max: 1e6 }), (from, to, seed) => {
        const gears = from.rings.flatMap((ring, r) =>
          from.cogs.map((cog, c) => ({ ring, cog, share: 1 + ((seed * (r + 3) * (c + 7)) % 97) })),
        )
        const total = gears.reduce((sum, { share }) => sum + share, 0)
        const used = gears.map((one) => ({ ...one, share: one.share / total }))
        const moved = shiftedUse(used, to)
        expect(moved.gears.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9)
        expect(moved.chainWearTimes).toBeGreaterThan(0)
        const same = shiftedUse(used, from)
        expect(same.chainWearTimes).toBeCloseTo(1, 9)
        expect(same.cogLifeTimes).toBeCloseTo(1, 9)
        expect(same.ringLifeTimes).toBeCloseTo(1, 9)
      }),
    )
  })

  test('what was ridden on a ring that came off counts for the nearest gear that the bike has', () => {
    const before = usedGears({ '40x15': 60, '42x17': 40 })
    const on = usedOn({ ...ONE, rings: [42] }, before)
    // 40 x 15 is 2.67; of the 42, the 15 gives 2.8 and the 17 gives 2.47.
    expect(on).toEqual([
      { ring: 42, cog: 15, share: 0.6 },
      { ring: 42, cog: 17, share: 0.4 },
    ])
    const { gears } = shiftedUse(on, { ...ONE, rings: [38] }, { ...ONE, rings: [42] })
    expect(gears.every(({ ring }) => ring === 38)).toBe(true)
    expect(usedOn({ rings: [], cogs: [] }, before)).toEqual([])
  })

  test('every sprocket twice as large halves the wear of the chain', () => {
    const used = usedGears({ '20x10': 30, '20x12': 70, 'no gear': 9 })
    expect(used).toEqual([
      { ring: 20, cog: 10, share: 0.3 },
      { ring: 20, cog: 12, share: 0.7 },
    ])
    expect(shiftedUse(used, { rings: [40], cogs: [20, 24] }).chainWearTimes).toBeCloseTo(0.5, 9)
  })
})

describe('the hill', () => {
  const rider = { powerW: 200, massKg: 90, gradePercent: 10 }
  test('the needed ratio gives just the slowest cadence', () => {
    const { neededRatio, cadenceRpm } = onHill(ONE, 2150, rider, 60)
    expect((40 / 42) * (cadenceRpm / 60)).toBeCloseTo(neededRatio, 9)
    // A steeper hill or a heavier load needs a lower gear.
    expect(onHill(ONE, 2150, { ...rider, gradePercent: 14 }, 60).neededRatio).toBeLessThan(neededRatio)
    expect(onHill(ONE, 2150, { ...rider, massKg: 110 }, 60).neededRatio).toBeLessThan(neededRatio)
  })

  test('a wall is walked', () => {
    expect(onHill(ONE, 2150, { ...rider, powerW: 90, gradePercent: 20 }, 60).isWalking).toBe(true)
  })

  test('breath is a guess that goes with the rider’s weight', () => {
    expect(powerByBreath('steady', 92)).toBe(150)
    expect(powerByBreath('easy', 92)).toBeLessThan(powerByBreath('hard', 92))
  })

  test('one wrong height is not geared for', () => {
    const rides = Array.from({ length: 40 }, (_, i) => ({
      steep: { m50: 9, m200: i === 0 ? 40 : 6 + i / 40, m1000: 3 },
    }))
    expect(ownHill(rides)?.gradePercent).toBeLessThan(7)
    expect(ownHill(rides)).toMatchObject({ over50Percent: 9, over1000Percent: 3, rides: 40 })
    expect(ownHill([{}])).toBeUndefined()
  })
})

describe('heights', () => {
  /** A straight road north, a point every 5 m, and a height for each. */
  const road = (metres: number, height: (m: number) => number): TrackPoint[] =>
    Array.from({ length: metres / 5 + 1 }, (_, i) => ({
      lat: 45 + (i * 5) / 111_195,
      lon: 7,
      timeS: i,
      heightM: height(i * 5),
    }))

  test('an even 8 % is 8 % over every length', () => {
    const steep = steepStretches([road(2000, (m) => 0.08 * m)])
    expect(steep).toEqual({
      m50: expect.closeTo(8, 1),
      m200: expect.closeTo(8, 1),
      m1000: expect.closeTo(8, 1),
    })
  })

  test('a short wall shows over 50 m, and hardly over a kilometre', () => {
    const steep = steepStretches([road(3000, (m) => (m < 1500 ? 0 : m < 1580 ? 0.15 * (m - 1500) : 12))])
    expect(steep?.m50).toBeGreaterThan(11)
    expect(steep?.m1000).toBeLessThan(2.5)
  })

  test('a barometer that steps by a metre adds little, and a road down is no climb', () => {
    const steps = steepStretches([road(2000, (m) => Math.round(0.05 * m))])
    expect(steps?.m200).toBeCloseTo(5, 0)
    expect(steps?.m50).toBeLessThan(7.5)
    expect(steepStretches([road(2000, (m) => 500 - 0.1 * m)])).toEqual({ m50: 0, m200: 0, m1000: 0 })
  })

  test('a jump of the receiver is no road, and no heights are no answer', () => {
    const wild = road(600, (m) => (m === 300 ? 900 : 10))
    expect(steepStretches([wild])?.m50 ?? 0).toBeLessThanOrEqual(45)
    expect(steepStretches([road(600, () => NaN)])).toBeUndefined()
    expect(steepStretches([])).toBeUndefined()
  })
})

describe('chain length and fit', () => {
  test('a belt round two of a size, by hand: twice the chainstay and once round', () => {
    // The pins lie on a circle of radius p / (2 sin(pi / z)): its half turn is a little more than z / 2 pitches.
    expect(linksAround(430, 40, 40)).toBeCloseTo(
      (2 * 430) / 12.7 + (Math.PI * 2 * (12.7 / (2 * Math.sin(Math.PI / 40)))) / 12.7,
      9,
    )
    expect(() => linksAround(20, 60, 11)).toThrow(RangeError)
  })

  test('laying the chain round agrees with the formula to a pair of links', () => {
    fc.assert(
      fc.property(aSet, fc.double({ min: 400, max: 480, noNaN: true }), (set, stay) => {
        const links = chainLinks(stay, set, true)
        if (!links) throw new Error('no room')
        const { byFormula, byLaying } = links
        expect(Math.abs(byFormula.links - byLaying.links)).toBeLessThanOrEqual(2)
        expect(byLaying.links).toBe(byLaying.meetAt + 2)
        expect(byLaying.links % 2).toBe(0)
      }),
    )
  })

  test('the chainstay that a chain was cut for gives that chain back', () => {
    const stay = chainstayOf(114, ONE, true)
    expect(stay).toBeDefined()
    expect(chainLinks(stay ?? 0, ONE, true)?.byFormula.links).toBe(114)
    expect(chainLinks(150, ROAD, true)).toBeUndefined()
    expect(chainstayOf(300, ONE, true)).toBeUndefined()
  })

  test('capacity is the teeth between the rings and between the cogs', () => {
    expect(capacityNeeded(ROAD)).toBe(16 + 17)
    const said = (known: Parameters<typeof fitQuestions>[1]) =>
      Object.fromEntries(fitQuestions(ROAD, known).map(({ what, says }) => [what, says]))
    expect(said({})).toEqual({ capacity: 'ask', 'largest-cog': 'ask', speeds: 'ask' })
    expect(said({ capacityTeeth: 33, largestCog: 26, speeds: 10 })).toEqual({
      capacity: 'fits',
      'largest-cog': 'does-not',
      speeds: 'fits',
    })
  })

  test('gears that no derailleur takes are said to be', () => {
    const wide = fitQuestions({ rings: [26, 52], cogs: [10, 60] }, {})
    expect(wide.filter(({ what }) => what === 'common').map(({ has }) => has)).toEqual([
      COMMON_MOST.capacity,
      COMMON_MOST.largestCog,
      COMMON_MOST.frontDifference,
    ])
    expect(fitQuestions({ rings: [44], cogs: [18] }, {})).toEqual([])
  })
})
