import { describe, expect, test } from '@jest/globals'
import { cleanPoints, ridesApart } from './clean-points.ts'
import type { TrackPoint } from './track-point.ts'

const at = (timeS: number, lat = 44 + timeS * 5e-5, more: Partial<TrackPoint> = {}): TrackPoint => ({
  lat,
  lon: 10,
  timeS,
  ...more,
})
const times = (segments: readonly (readonly TrackPoint[])[]) =>
  segments.map((one) => one.map(({ timeS }) => timeS))

describe('the points of a track', () => {
  test('that rise in time are left as they are', () => {
    const segments = [[at(1), at(2)], [at(5)]]
    expect(cleanPoints(segments)).toEqual({ segments, twice: 0 })
    expect(cleanPoints(segments).segments).toBe(segments)
  })

  test('of one moment that say different things are put together; the same twice counts once', () => {
    const sensor = at(1, NaN, { cadenceRpm: 80, powerW: 150 })
    const { segments, twice } = cleanPoints([[sensor, at(1), at(2), at(2)]])
    expect(segments[0]?.[0]).toMatchObject({ lat: 44.00005, cadenceRpm: 80, powerW: 150 })
    expect([times(segments), twice]).toEqual([[[1, 2]], 1])
  })

  test('of a segment that is in the file twice count once, and segments stand in order of time', () => {
    const [late, early] = [
      [at(10), at(11)],
      [at(1), at(2)],
    ]
    const { segments, twice } = cleanPoints([late, early, late])
    expect([times(segments), twice]).toEqual([[[1, 2], [10, 11], []], 2])
  })

  test('written from the end to the beginning are put in order', () => {
    expect(times(cleanPoints([[at(3), at(2), at(NaN, 44), at(1)]]).segments)).toEqual([[1, 2, 3, NaN]])
  })

  test('of a device that writes minutes without seconds are spread over the minute', () => {
    const { segments } = cleanPoints([[at(0, 44), at(0, 44.001), at(0, 44.002), at(60, 44.003)]])
    expect(times(segments)).toEqual([[0, 20, 40, 60]])
  })

  test('hours apart are rides of their own, whether or not a segment ends between', () => {
    const day = 86_400
    const apart = ridesApart([[at(0), at(1), at(day), at(day + 1)], [at(3 * day)]])
    expect(apart.map(times)).toEqual([[[0, 1]], [[day, day + 1]], [[3 * day]]])
    const lunch = [[at(0), at(1)], [at(5 * 3600)]]
    expect(ridesApart(lunch)).toEqual([lunch])
  })
})
