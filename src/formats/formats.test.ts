import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { readGpx as readGpxBytes } from './rides/gpx.ts'
import { ridePrint, type RecordedRide } from './rides/recorded-ride.ts'
import { RideFileError } from './rides/ride-file-error.ts'

const readGpx = (text: string): RecordedRide => {
  const [ride, ...more] = readGpxBytes(new TextEncoder().encode(text))
  if (!ride || more.length > 0) throw new Error('not one ride')
  return ride
}
const gpx = (points: string, extra = ''): string =>
  `<?xml version="1.0"?>\n<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1">${extra}<trk><name>Quay &amp; back</name><trkseg>${points}</trkseg></trk></gpx>`
const point = (lat: number, second: number, inside = ''): string =>
  `<trkpt lat="${lat}" lon="10"><ele>3</ele><time>2026-03-09T07:30:${String(second).padStart(2, '0')}Z</time>${inside}</trkpt>`

const faultOf = (text: string): string => {
  try {
    readGpx(text)
  } catch (error) {
    if (error instanceof RideFileError) return error.message
    throw error
  }
  throw new Error('the file was read')
}

describe('a GPX file', () => {
  test('is a ride with distance, times, name and what its points carry', () => {
    const ride = readGpx(readFileSync('cases/rides/quay-loop.gpx', 'utf8'))
    // The reference case's figures, worked out by another program.
    expect(ride.km).toBeCloseTo(1.5777529493423583, 6)
    expect(ride.movingSeconds).toBe(239)
    expect(ride).toMatchObject({ name: 'Quay loop', points: 240, hasCadence: true, hasPower: false })
    expect(ride.startedAt).toBe('2025-03-09T07:30:00.000Z')
  })

  test('keeps entities in its name and knows tags by their local names', () => {
    const ride = readGpx(
      gpx(
        point(
          50,
          0,
          '<extensions><x:TrackPointExtension xmlns:x="urn:x"><x:cad>80</x:cad><x:PowerInWatts>200</x:PowerInWatts></x:TrackPointExtension></extensions>',
        ) + point(50.0001, 2),
      ),
    )
    expect(ride).toMatchObject({ name: 'Quay & back', hasCadence: true, hasPower: true })
  })

  test('keeps a device’s own distance beside the track’s', () => {
    const ride = readGpx(
      gpx(point(50, 0, '<distance>100</distance>') + point(50.0001, 2, '<distance>112</distance>')),
    )
    expect(ride.deviceKm).toBeCloseTo(0.012, 9)
    expect(ride.km).toBeCloseTo(0.01112, 4)
  })

  test('is recognised by its times and points, whatever it is called', () => {
    const text = gpx(point(50, 0) + point(50.0001, 2))
    expect(ridePrint(readGpx(text))).toBe(ridePrint(readGpx(text.replace('Quay', 'Other'))))
    expect(ridePrint(readGpx(text))).not.toBe(ridePrint(readGpx(gpx(point(50, 0) + point(50.0001, 3)))))
  })

  test.each([
    ['', /empty/],
    ['not xml at all', /not a GPX file/],
    ['<?xml version="1.0"?><kml></kml>', /not a GPX file/],
    [gpx(''), /no points/],
    ['<gpx version="1.1"><rte><rtept lat="1" lon="2"/></rte></gpx>', /planned route/],
    [gpx('<trkpt lat="50" lon="10"/><trkpt lat="50.1" lon="10"/>'), /no times/],
    [gpx('<trkpt lat="950" lon="10"><time>2026-03-09T07:30:00Z</time></trkpt>'), /latitude.*line 2/],
    [gpx(point(50, 0)).replace('</trkseg>', '</trkpt>'), /damaged on line 2/],
  ])('that cannot be read says what is wrong: %.40p', (text, said) => {
    expect(faultOf(text)).toMatch(said)
  })

  test('cut short anywhere is said to be, and never half read', () => {
    const whole = gpx(Array.from({ length: 5 }, (_, i) => point(50 + i / 10_000, i)).join('\n'))
    fc.assert(
      fc.property(fc.integer({ min: 130, max: whole.length - 7 }), (length) => {
        expect(faultOf(whole.slice(0, length))).toMatch(/cut short|damaged/)
      }),
    )
  })
})
