import { expect, test } from '@jest/globals'
import { readGpx } from '../../formats/rides/gpx.ts'
import { draftOfRecording } from './batch.ts'

/** A kilometre and a half north at 6 %, a point every 10 m, with heights or without. */
function gpx(hasHeights: boolean): string {
  const points = Array.from({ length: 151 }, (_, i) => {
    const time = new Date(Date.UTC(2026, 4, 2, 8, 0, 3 * i)).toISOString()
    const height = hasHeights ? `<ele>${(100 + 0.6 * i).toFixed(1)}</ele>` : ''
    return `<trkpt lat="${(45 + (i * 10) / 111_195).toFixed(7)}" lon="7">${height}<time>${time}</time></trkpt>`
  })
  return `<gpx version="1.1"><trk><trkseg>${points.join('')}</trkseg></trk></gpx>`
}

test('a recorded ride keeps its steepest stretches, and one without heights keeps none', () => {
  const [steep] = readGpx(new TextEncoder().encode(gpx(true)))
  const [flat] = readGpx(new TextEncoder().encode(gpx(false)))
  if (!steep || !flat) throw new Error('no ride')
  const draft = draftOfRecording('heron', steep, 'hill.gpx', 'print')
  expect(draft.steep?.m200).toBeCloseTo(6, 0)
  expect(draft.steep?.m1000).toBeCloseTo(6, 0)
  expect(draftOfRecording('heron', flat, 'flat.gpx', 'print')).not.toHaveProperty('steep')
})
