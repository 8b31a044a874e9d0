import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { commuter, noon, ride, written } from '../../../test/log.ts'
import type { EntryDraft } from '../log/entries.ts'
import type { BikeState } from '../log/garage.ts'
import { replay } from '../log/replay.ts'
import { chainStory } from './chain-story.ts'
import { CONDITIONS, type Condition } from './conditions.ts'
import { bikeEnergy } from './ride-energy.ts'
import { whatRidesAdd } from './rides-add.ts'
import { REFERENCE_KJ_PER_KM, wearKm } from './wear-km.ts'

const garageOf = (...rides: readonly EntryDraft[]) => replay(written([...commuter, ...rides]))
const bikeOf = (...rides: readonly EntryDraft[]): BikeState => {
  const bike = garageOf(...rides).bikes.get('heron')
  if (!bike) throw new Error('no bike')
  return bike
}
const wearOf = (...rides: readonly EntryDraft[]): number => {
  return chainStory(garageOf(...rides), 'chain').wearKm
}

describe('the energy of rides that do not tell it', () => {
  const told = (day: number, kj: number, condition: Condition = 'dry-road') =>
    ride(1, day, 10, { energyKjPerKm: kj, condition })

  test('is the reference, until five of like rides tell; a mid-drive’s is more', () => {
    const four = bikeOf(...[2, 3, 4, 5].map((day) => told(day, 50)))
    expect(bikeEnergy(four).factorOf({ condition: 'dry-road' })).toBe(1)
    const five = bikeOf(...[2, 3, 4, 5, 6].map((day) => told(day, 50)))
    expect(bikeEnergy(five).factorOf({ condition: 'dry-road' })).toBeCloseTo(2, 9)
    expect(bikeEnergy(five).factorOf({ condition: 'mud' })).toBe(1)
    expect(
      bikeEnergy({ ...four, entry: { ...four.entry, motor: 'mid-drive' } }).factorOf({ condition: 'mud' }),
    ).toBe(1.8)
  })

  test('of nothing with a distance is not told: the first builds wrote it so', () => {
    expect(wearOf(ride(1, 2, 30, { energyKjPerKm: 0, condition: 'dry-road' }))).toBeCloseTo(30, 9)
    expect(wearKm({ km: 30, condition: 'dry-road', energyKjPerKm: 0 })).toBe(30)
  })

  test('bears a spread of its own only beside rides that tell theirs', () => {
    const pieces = (...rides: readonly EntryDraft[]) => {
      const garage = garageOf(...rides)
      return chainStory(garage, 'chain').rides.map(({ piece }) => piece.energyUnknown)
    }
    expect(pieces(ride(1, 2, 10), ride(1, 3, 10))).toEqual([undefined, undefined])
    expect(pieces(told(2, 30), ride(1, 3, 10))).toEqual([undefined, true])
  })

  test('telling the energy of half of the rides moves the sum of wear-km by less than a tenth', () => {
    // A rider within a twentieth of the reference in the mean, whose rides scatter by a quarter about that.
    fc.assert(
      fc.property(
        fc.double({ min: 0.95, max: 1.05, noNaN: true }),
        fc.array(fc.double({ min: 0.75, max: 1.25, noNaN: true }), { minLength: 24, maxLength: 24 }),
        fc.constantFrom(...CONDITIONS),
        (mean, scatter, condition) => {
          const average = scatter.reduce((a, b) => a + b, 0) / scatter.length
          const rides = scatter.map((times, i) => {
            const energyKjPerKm = (REFERENCE_KJ_PER_KM * mean * times) / average
            return ride(1, 2 + i, 12, { condition, energyKjPerKm })
          })
          const unknown = scatter.map((_, i) => ride(1, 2 + i, 12, { condition }))
          // Which half a sensor tells of is no matter of how hard the ride was.
          const sorted = [...rides.keys()].sort((a, b) => (scatter[a] ?? 0) - (scatter[b] ?? 0))
          const half = rides.map((one, i) => (sorted.indexOf(i) % 2 === 0 ? one : (unknown[i] ?? one)))
          const none = wearOf(...unknown)
          expect(Math.abs(wearOf(...half) / none - 1)).toBeLessThan(0.1)
        },
      ),
      { numRuns: 30 },
    )
  })

  test('never makes a wear-distance of nothing out of a distance', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 400, noNaN: true }),
        fc.constantFrom(...CONDITIONS),
        fc.oneof(fc.constant(undefined), fc.constant(0), fc.double({ min: 1e-3, max: 300, noNaN: true })),
        (km, condition, energyKjPerKm) => {
          expect(wearKm({ km, condition, energyKjPerKm })).toBeGreaterThan(0)
        },
      ),
    )
  })
})

describe('what rides add', () => {
  const garage = garageOf(ride(1, 2, 30, { condition: 'dry-road' }))
  const draft = (km: number, more = {}) => ({
    kind: 'ride' as const,
    bike: 'heron',
    at: noon(1, 9),
    km,
    ...more,
  })

  test('is their distance on the chain of the day, by its wear', () => {
    expect(whatRidesAdd(garage, 'heron', [draft(20, { condition: 'mud' })])).toEqual([
      { chain: 'chain', km: 20, wearKm: 80 },
    ])
  })

  test('is the difference where one takes another’s place', () => {
    const [held] = garage.bikes.get('heron')?.rides ?? []
    const [change] = whatRidesAdd(garage, 'heron', [
      { ...draft(31, { condition: 'dry-road' }), at: held?.at ?? '', supersedes: held?.id ?? '' },
    ])
    expect(change?.km).toBeCloseTo(1, 9)
  })

  test('is nothing for a bike that is not there, and on days without a chain', () => {
    expect(whatRidesAdd(garage, 'nobody', [draft(20)])).toEqual([])
    expect(whatRidesAdd(garage, 'heron', [{ ...draft(20), at: '2001-01-01T12:00:00.000Z' }])).toEqual([])
  })
})
