import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { every, nowAndThen, RIDDEN, ridden } from '../../../test/ridden.ts'
import { bySprocket } from './gears-in-use.ts'
import { rideGears, type RideGears } from './ride-gears.ts'
import { gearSamples } from './track-samples.ts'
import type { TrackPoint } from './track-point.ts'
import { summariseTrack } from './track.ts'

const bike = { motor: 'none' as const, massKg: 84, ...RIDDEN }
const withoutPower = (points: readonly TrackPoint[]): TrackPoint[] =>
  points.map((point) => ({ ...point, powerW: undefined }))
const toldOf = (points: readonly TrackPoint[]): RideGears => rideGears(gearSamples([points]), bike)
const kmOf = (points: readonly TrackPoint[]): number => summariseTrack([points])?.km ?? NaN

/** The largest difference between two mixes of cogs, as a share of the energy. */
function apart(a: RideGears, b: RideGears): number {
  const [first, second] = [bySprocket(a.gears ?? {}), bySprocket(b.gears ?? {})]
  return Math.max(
    ...RIDDEN.cogs.map((cog) =>
      Math.abs((first.cogs.get(cog) ?? 0) / first.total - (second.cogs.get(cog) ?? 0) / second.total),
    ),
  )
}
const off = (a: number | undefined, b: number | undefined): number => Math.abs((a ?? NaN) / (b ?? NaN) - 1)

describe('how often a device writes makes no difference', () => {
  const seed = fc.integer({ min: 0, max: 1_000_000 })

  test.each([
    ['with power', (points: readonly TrackPoint[]) => points],
    ['with cadence only', withoutPower],
  ])('%s: every 2, 3 or 5 s, or now and then', (_name, recorded) => {
    fc.assert(
      fc.property(seed, fc.constantFrom(2, 3, 5, 0), (drawn, step) => {
        const points = recorded(ridden(drawn, 3600))
        const thin = step === 0 ? nowAndThen(points, drawn) : every(points, step)
        const [whole, thinned] = [toldOf(points), toldOf(thin)]
        expect(off(kmOf(thin), kmOf(points))).toBeLessThan(0.01)
        expect(off(thinned.energyKjPerKm, whole.energyKjPerKm)).toBeLessThan(0.05)
        expect(apart(thinned, whole)).toBeLessThan(0.05)
      }),
      { numRuns: 25 },
    )
  })

  test('every 10 s makes twice that at most', () => {
    fc.assert(
      fc.property(seed, fc.boolean(), (drawn, powered) => {
        const points = powered ? ridden(drawn, 5400) : withoutPower(ridden(drawn, 5400))
        const [whole, thinned] = [toldOf(points), toldOf(every(points, 10))]
        expect(off(thinned.energyKjPerKm, whole.energyKjPerKm)).toBeLessThan(0.1)
        expect(apart(thinned, whole)).toBeLessThan(0.1)
      }),
      { numRuns: 15 },
    )
  })

  test('what is told from speed agrees with what a meter measured, in the mean over rides', () => {
    // The rides are of riders between 70 and 95 kg: a bike of unknown weight is taken to have 84.
    const rides = Array.from({ length: 12 }, (_, i) => ridden(100 + i, 3600))
    const sum = (told: readonly RideGears[]) => told.reduce((all, one) => all + (one.energyKjPerKm ?? NaN), 0)
    const measured = sum(rides.map(toldOf))
    const bySpeed = sum(rides.map(withoutPower).map(toldOf))
    expect(Math.abs(bySpeed / measured - 1)).toBeLessThan(0.1)
  })
})
