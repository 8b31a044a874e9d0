import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { commuter, ride, written } from '../../../test/log.ts'
import { seededRandom } from '../stats/random.ts'
import { replay } from '../log/replay.ts'
import {
  chainPower,
  energyPerKm,
  throughChain,
  USUAL_MASS_KG,
  type ChainPower,
  type EffortSample,
} from './chain-energy.ts'
import { cogMixOf, gearCost, gearMix, guessedCogMix, hardestCogs, sprocketTeeth } from './gear-mix.ts'
import { bySprocket, gearSequence, useOfGears, type GearSample } from './gears-in-use.ts'
import { rideGears, roughPlace, routeKey } from './ride-gears.ts'
import { sensed } from './sensors.ts'
import { gearSamples } from './track-samples.ts'
import { REFERENCE_KJ_PER_KM } from './wear-km.ts'

const setup = { wheelMm: 2100, rings: [34, 50], cogs: [11, 13, 15, 17, 19, 21, 24, 28] }
/** A stretch in one gear at a cadence, with the given scatter of the measured ratio. */
const inGear = (
  ring: number,
  cog: number,
  seconds: number,
  from = 0,
  noise: (i: number) => number = () => 1,
): GearSample[] =>
  Array.from({ length: seconds }, (_, i) => {
    const cadenceRpm = 80
    return {
      t: from + i,
      cadenceRpm,
      speedMs: ((ring / cog) * setup.wheelMm * cadenceRpm * noise(i)) / 60_000,
      powerW: 150,
    }
  })

describe('the gear in use', () => {
  test('is found through three per cent of noise, and a stray second shifts nothing', () => {
    const random = seededRandom(5)
    const samples = inGear(50, 17, 300, 0, () => Math.exp(random.normal(0, 0.03)))
    const stray = samples[150]
    if (stray) samples[150] = { ...stray, speedMs: stray.speedMs * 2 }
    const gears = gearSequence(samples, setup)
    const right = setup.cogs.length + setup.cogs.indexOf(17)
    expect(gears.filter((gear) => gear === right).length).toBeGreaterThan(295)
    expect(gears[150]).toBe(right)
  })

  test('follows a shift to the second', () => {
    const gears = gearSequence([...inGear(50, 15, 60), ...inGear(50, 21, 60, 60)], setup)
    expect([gears[59], gears[60]]).toEqual([8 + 2, 8 + 5])
  })

  test('is nothing while coasting, standing, or with a silent sensor', () => {
    const [one] = inGear(50, 15, 1)
    if (!one) throw new Error('no sample')
    const { cadenceRpm: _cadence, ...silent } = one
    const samples = [{ ...one, cadenceRpm: 0 }, { ...one, speedMs: 0 }, { ...one, powerW: 0 }, silent]
    expect([...gearSequence(samples, setup)]).toEqual([-1, -1, -1, -1])
    expect(useOfGears(samples, setup)).toEqual({})
  })

  test('carries energy where there is power, time where there is none', () => {
    const samples = [...inGear(34, 28, 100), ...inGear(50, 15, 50, 100)]
    const kj = useOfGears(samples, setup, (i) => samples[i]?.powerW)
    expect(kj['34x28']).toBeCloseTo(15, 6)
    expect(kj['50x15']).toBeCloseTo(7.5, 6)
    expect(useOfGears(samples, setup)['34x28']).toBeCloseTo(100, 6)
    const { cogs, rings, total } = bySprocket(kj)
    expect([cogs.get(28), rings.get(50), total].map((value) => Math.round(10 * (value ?? 0)))).toEqual([
      150, 75, 225,
    ])
  })

  test('a gap in the recording is not the tea break; one written every ten seconds counts in full', () => {
    const samples = [...inGear(50, 15, 10), ...inGear(50, 15, 10, 2000)]
    expect(useOfGears(samples, setup)['50x15']).toBeCloseTo(20, 6)
    const sparse = inGear(50, 15, 101).filter(({ t }) => t % 10 === 0)
    expect(useOfGears(sparse, setup)['50x15']).toBeCloseTo(110, 6)
  })

  test('whatever is ridden, what is told sums to what was pedalled', () => {
    const sample = fc.record({
      speedMs: fc.double({ min: 0, max: 20, noNaN: true }),
      cadenceRpm: fc.integer({ min: 0, max: 130 }),
    })
    fc.assert(
      fc.property(fc.array(sample, { maxLength: 80 }), (drawn) => {
        const samples = drawn.map((one, t) => ({ ...one, t }))
        const pedalled = samples.filter(
          ({ cadenceRpm, speedMs }) => cadenceRpm >= 20 && speedMs >= 0.8,
        ).length
        expect(bySprocket(useOfGears(samples, setup)).total).toBeCloseTo(pedalled, 6)
      }),
    )
  })

  test('without a wheel, a ring or a cog cannot be told', () => {
    expect(() => gearSequence([], { ...setup, wheelMm: 0 })).toThrow(RangeError)
    expect(() => gearSequence([], { ...setup, cogs: [] })).toThrow(RangeError)
  })
})

describe('energy through the chain', () => {
  const body = { massKg: 85, motor: 'none' as const, motorShare: 0 }
  const steady = (speedMs: number, slope: number, cadenceRpm = 80): EffortSample[] =>
    Array.from({ length: 61 }, (_, t) => ({ t, speedMs, heightM: slope * speedMs * t, cadenceRpm }))
  const mean = (power: ChainPower | undefined) =>
    (power?.powers ?? new Float64Array()).slice(10, 50).reduce((a, b) => a + b, 0) / 40

  test('on the flat is what rolling and air take, by hand', () => {
    // 8 m/s: rolling 85 x 9.81 x 0.006 = 5.00 N, air 0.5 x 1.2 x 0.385 x 64 = 14.78 N; 19.79 N x 8 m/s / 0.96 = 164.9 W
    expect(mean(chainPower(steady(8, 0), body))).toBeCloseTo(164.9, 0)
  })

  test('uphill is mostly lifting; downhill and coasting is nothing', () => {
    const up = mean(chainPower(steady(4, 0.06), body))
    expect(up).toBeGreaterThan(200)
    expect(up).toBeLessThan(270)
    expect(mean(chainPower(steady(10, -0.08), body))).toBe(0)
    expect(chainPower(steady(8, 0, 0), body)?.powers.every((power) => power === 0)).toBe(true)
  })

  test('is the rider’s own where it was measured, a mid-drive’s on top, a hub motor’s not', () => {
    const measured = steady(8, 0.2).map((sample) => ({ ...sample, powerW: 120 }))
    expect(mean(chainPower(measured, body))).toBe(120)
    expect(mean(chainPower(measured, { ...body, motor: 'mid-drive', motorShare: 0.5 }))).toBe(240)
    expect(throughChain(120, { ...body, motor: 'hub', motorShare: 0.5 })).toBe(120)
    const hub = mean(chainPower(steady(8, 0), { ...body, motor: 'hub', motorShare: 0.5 }))
    expect(hub).toBeCloseTo(mean(chainPower(steady(8, 0), body)) / 2, 6)
  })

  test('of the reference rider on rolling road is about the reference', () => {
    // 84 kg at 27 km/h, 13 N of air and 5 of tyres, over waves of 5 m and 600 m: 45 N up and down at the steepest, of which
    // the mean above nothing is (18 (pi / 2 + asin 0.4) + 45 cos(asin 0.4)) / pi = 24.5 N; over 0.96 25.5 kJ a km.
    const rolling = Array.from({ length: 1600 }, (_, t): EffortSample => ({
      t,
      speedMs: 7.5,
      heightM: 5.2 * Math.cos((2 * Math.PI * 7.5 * t) / 600),
      cadenceRpm: 80,
    }))
    const power = chainPower(rolling, { massKg: USUAL_MASS_KG, motor: 'none', motorShare: 0 })
    const kj = power && energyPerKm(rolling, power)
    expect(Math.abs((kj ?? 0) / 25.5 - 1)).toBeLessThan(0.03)
    expect(Math.abs((kj ?? 0) / REFERENCE_KJ_PER_KM - 1)).toBeLessThan(0.05)
  })

  test('per km is over what is known, and not there where nothing tells it', () => {
    const samples = steady(5, 0).map((one) => ({ ...one, powerW: 100 }))
    const told = chainPower(samples, body)
    // 100 W at 5 m/s is 20 J a metre.
    expect(told && energyPerKm(samples, told)).toBeCloseTo(20, 9)
    const away = samples.map((one, i) => (i < 25 ? { ...one, powerW: undefined } : one))
    const half = chainPower(away, body)
    expect(half && energyPerKm(away, half)).toBeCloseTo(20, 9)
    expect(
      chainPower(
        samples.map(({ t, speedMs }) => ({ t, speedMs })),
        body,
      ),
    ).toBeUndefined()
    const wild = samples.map((one) => ({ ...one, powerW: 2400 }))
    const power = chainPower(wild, body)
    expect(power && energyPerKm(wild, power)).toBeUndefined()
  })
})

describe('sensors that were not there', () => {
  const pedalling = Array.from({ length: 200 }, (_, t) => ({ t, speedMs: 6, cadenceRpm: 80, powerW: 150 }))

  test('are told from a rider who coasts', () => {
    expect(sensed(pedalling)).toBe(pedalling)
    const coasting = pedalling.map((one) => (one.t % 40 < 15 ? { ...one, cadenceRpm: 0, powerW: 0 } : one))
    expect(sensed(coasting)).toBe(coasting)
    const silent = pedalling.map((one) => ({ ...one, cadenceRpm: 0, powerW: 0 }))
    expect(sensed(silent).every((one) => one.cadenceRpm === undefined && one.powerW === undefined)).toBe(true)
    const lost = pedalling.map((one) => (one.t < 90 ? { ...one, powerW: 0 } : one))
    expect(sensed(lost).filter(({ powerW }) => powerW === undefined)).toHaveLength(90)
    const still = pedalling.map((one) => (one.t >= 100 && one.t < 190 ? { ...one, cadenceRpm: 0 } : one))
    expect(sensed(still).filter(({ cadenceRpm }) => cadenceRpm === undefined)).toHaveLength(90)
  })

  test('say what no rider does: it is left out', () => {
    const wild = pedalling.map((one) => (one.t === 50 ? { ...one, powerW: 65_535, cadenceRpm: 254 } : one))
    expect(sensed(wild)[50]).toMatchObject({ powerW: undefined, cadenceRpm: undefined })
    expect(sensed(wild)[51]).toEqual(pedalling[51])
  })
})

describe('a recorded ride', () => {
  const points = Array.from({ length: 600 }, (_, i) => ({
    lat: 44 + i * 7e-5,
    lon: -29,
    timeS: i,
    heightM: 10,
    cadenceRpm: 80,
  }))

  test('gives speed from its positions where the device gave none', () => {
    const samples = gearSamples([points])
    expect(samples[300]?.speedMs).toBeCloseTo(7.78, 1)
    expect(gearSamples([points.map((point) => ({ ...point, speedMs: 7.5 }))])[300]?.speedMs).toBe(7.5)
  })

  test('tells energy and gears; without cadence only energy, without either nothing', () => {
    const bike = { motor: 'none' as const, rings: [44], cogs: [11, 13, 15, 17, 19] }
    // 7.78 m/s at 80 rpm on 2155 mm: 2.71 turns; 44/15 = 2.93, 44/17 = 2.59.
    const told = rideGears(gearSamples([points]), bike)
    expect(Object.keys(told.gears ?? {})).toEqual(['44x17'])
    // 7.78 m/s on the flat: 4.94 N and 13.98 N, over 0.96.
    expect(told.energyKjPerKm).toBeCloseTo(19.7, 1)
    expect(told.from).toBe('speed')
    const silent = points.map(({ cadenceRpm: _cadence, ...point }) => ({ ...point, powerW: 100 }))
    const powered = rideGears(gearSamples([silent]), bike)
    expect(powered).not.toHaveProperty('gears')
    // 100 W at 7.78 m/s.
    expect(powered.energyKjPerKm).toBeCloseTo(100 / 7.784, 1)
    expect(powered.from).toBe('power')
    expect(rideGears([], bike)).toEqual({})
  })

  test('keeps its place roughly, and knows the same way again', () => {
    expect(roughPlace({ lat: 44.05321, lon: -29.40678 })).toEqual({ lat: 44.05, lon: -29.41 })
    expect(routeKey({ lat: 44.05, lon: -29.4 }, 12.1)).toBe(routeKey({ lat: 44.051, lon: -29.401 }, 12.2))
    expect(routeKey({ lat: 44.05, lon: -29.4 }, 12)).not.toBe(routeKey({ lat: 44.05, lon: -29.4 }, 24))
  })
})

describe('what the gears did', () => {
  const log = (...drafts: Parameters<typeof written>[0]) => replay(written([...commuter, ...drafts]))
  const told = ride(1, 2, 10, { gears: { '40x13': 30, '40x15': 10 } })
  const mixOf = (...drafts: Parameters<typeof written>[0]) => {
    const garage = log(...drafts)
    const bike = garage.bikes.get('heron')
    if (!bike) throw new Error('no bike')
    const teeth = sprocketTeeth(garage, 'heron')
    return { mix: gearMix(bike.rides, bike.entry, teeth), teeth, entry: bike.entry }
  }

  test('is told by cadence where it can be, energy in proportion to the ride’s', () => {
    const { mix } = mixOf(told)
    expect(mix.toldShare).toBe(1)
    expect(mix.totalKj).toBeCloseTo(250, 6)
    expect(hardestCogs(mix).map(({ teeth, share }) => [teeth, share])).toEqual([
      [13, 0.75],
      [15, 0.25],
    ])
  })

  test('is laid out by the usual mix where nothing tells', () => {
    const { mix, entry, teeth } = mixOf(told, ride(1, 3, 30))
    expect(mix.toldShare).toBeCloseTo(0.25, 9)
    expect(mix.totalKj).toBeCloseTo(1000, 6)
    expect([...mix.rings.keys()]).toEqual([40])
    const guess = [...guessedCogMix(teeth.cogs).values()]
    expect(guess.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12)
    const set = cogMixOf({ ...entry, cogMix: { '13': 3, '15': 1, '99': 5 } }, teeth.cogs)
    expect([set.get(13), set.get(15), set.get(11)]).toEqual([0.75, 0.25, 0])
  })

  test('costs more on small cogs, by the pins’ work, and less on a larger ring', () => {
    const { mix, teeth } = mixOf(told)
    const cost = gearCost(mix, teeth)
    expect(cost.smallCogShare).toBeCloseTo(0.75, 9)
    // (1/40 + 1/13) / (1/40 + 1/15)
    expect(cost.smallCogTimes).toBeCloseTo((1 / 40 + 1 / 13) / (1 / 40 + 1 / 15), 9)
    // Every sprocket ten per cent larger: the work is one eleventh less.
    expect(cost.largerRingSaves).toBeCloseTo(1 / 11, 9)
    expect(cost.crossedShare).toBe(0)
  })

  test('counts crossing where there are two rings', () => {
    const gears = { '52x11': 10, '52x25': 20, '36x11': 30, '36x25': 40 }
    const { cogs, rings, total } = bySprocket(gears)
    const mix = { gears, cogs, rings, totalKj: total, toldShare: 1 }
    expect(gearCost(mix, { rings: [36, 52], cogs: [11, 12, 13, 25] }).crossedShare).toBeCloseTo(0.5, 9)
  })
})
