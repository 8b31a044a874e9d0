import { mkdirSync, writeFileSync } from 'node:fs'
import { seededRandom, type Random } from './random.ts'

// Writes demo/rides/: recorded rides of nobody, in the middle of an ocean, to try the import with.
// Run with: node --import tsx demo/write-rides.ts

interface Outing {
  readonly file: string
  readonly name: string
  readonly start: string
  readonly minutes: number
  readonly speedMs: number
}

const OUTINGS: readonly Outing[] = [
  { file: 'quay-and-back', name: 'Quay and back', start: '2026-11-16T07:20:00Z', minutes: 22, speedMs: 5.6 },
  { file: 'bakery-round', name: 'Bakery round', start: '2026-11-17T05:15:00Z', minutes: 35, speedMs: 4.9 },
  {
    file: 'limestone-track',
    name: 'Limestone track',
    start: '2026-11-21T09:05:00Z',
    minutes: 60,
    speedMs: 6.4,
  },
]
const STEP_S = 3
const METRES_PER_DEGREE = 111_195

function track(outing: Outing, random: Random): string {
  let [lat, lon, heading] = [44.05, -29.4, random.between(0, 2 * Math.PI)]
  const points: string[] = []
  for (let second = 0; second <= outing.minutes * 60; second += STEP_S) {
    const time = new Date(Date.parse(outing.start) + second * 1000).toISOString()
    const cadence = Math.round(random.normal(78, 5))
    points.push(
      `<trkpt lat="${lat.toFixed(6)}" lon="${lon.toFixed(6)}"><ele>${(12 + 8 * Math.sin(second / 400)).toFixed(1)}</ele>` +
        `<time>${time}</time><extensions><cad>${cadence}</cad></extensions></trkpt>`,
    )
    heading += random.normal(0, 0.09)
    const step = STEP_S * Math.max(1.5, random.normal(outing.speedMs, 0.5))
    lat += (step * Math.cos(heading)) / METRES_PER_DEGREE
    lon += (step * Math.sin(heading)) / (METRES_PER_DEGREE * Math.cos((lat * Math.PI) / 180))
  }
  return points.join('\n')
}

const folder = new URL('./rides/', import.meta.url)
mkdirSync(folder, { recursive: true })
OUTINGS.forEach((outing, i) => {
  const points = track(outing, seededRandom(90 + i))
  const text = `<?xml version="1.0" encoding="UTF-8"?>
<gpx version="1.1" creator="Ostermere demo" xmlns="http://www.topografix.com/GPX/1/1">
<trk><name>${outing.name}</name><trkseg>
${points}
</trkseg></trk>
</gpx>
`
  writeFileSync(new URL(`${outing.file}.gpx`, folder), text)
  // One that broke off while it was copied, to see what is said of it.
  if (i === 0) writeFileSync(new URL('cut-short.gpx', folder), text.slice(0, text.length / 2))
})
