import { mkdirSync, writeFileSync } from 'node:fs'
import { strToU8, zipSync } from 'fflate'
import { FitBaseType, FitEncoder } from 'fit-file-parser'
import { seededRandom, type Random } from '../src/core/stats/random.ts'

// Writes demo/rides/: recorded rides of nobody, in the middle of an ocean, to try the import with.
// Run with: node --import tsx demo/write-rides.ts

interface Outing {
  readonly file: string
  readonly name: string
  readonly start: string
  readonly minutes: number
  readonly speedMs: number
}
interface Point {
  readonly time: string
  readonly lat: number
  readonly lon: number
  readonly heightM: number
  readonly cadence: number
  readonly watts: number
  /** As the device counted it, by its wheel. */
  readonly metres: number
}

const OUTINGS: readonly Outing[] = [
  {
    file: 'quay-and-back.gpx',
    name: 'Quay and back',
    start: '2026-11-16T07:20:00Z',
    minutes: 22,
    speedMs: 5.6,
  },
  {
    file: 'bakery-round.gpx',
    name: 'Bakery round',
    start: '2026-11-17T05:15:00Z',
    minutes: 35,
    speedMs: 4.9,
  },
  {
    file: 'limestone-track.gpx',
    name: 'Limestone track',
    start: '2026-11-21T09:05:00Z',
    minutes: 60,
    speedMs: 6.4,
  },
  {
    file: 'harbour-climb.tcx',
    name: 'Harbour climb',
    start: '2026-11-18T16:40:00Z',
    minutes: 25,
    speedMs: 5.1,
  },
  { file: 'late-round.fit', name: 'Late round', start: '2026-11-19T18:10:00Z', minutes: 30, speedMs: 6 },
]
const STEP_S = 3
const METRES_PER_DEGREE = 111_195

function track(outing: Outing, random: Random): Point[] {
  let [lat, lon, heading, metres] = [44.05, -29.4, random.between(0, 2 * Math.PI), 0]
  const points: Point[] = []
  for (let second = 0; second <= outing.minutes * 60; second += STEP_S) {
    points.push({
      time: new Date(Date.parse(outing.start) + second * 1000).toISOString(),
      lat,
      lon,
      heightM: 12 + 8 * Math.sin(second / 400),
      cadence: Math.round(random.normal(78, 5)),
      watts: Math.max(0, Math.round(random.normal(150, 25))),
      metres,
    })
    heading += random.normal(0, 0.09)
    const step = STEP_S * Math.max(1.5, random.normal(outing.speedMs, 0.5))
    lat += (step * Math.cos(heading)) / METRES_PER_DEGREE
    lon += (step * Math.sin(heading)) / (METRES_PER_DEGREE * Math.cos((lat * Math.PI) / 180))
    metres += 1.004 * step
  }
  return points
}

const gpx = (name: string, points: readonly Point[]): string => `<?xml version="1.0" encoding="UTF-8"?>
<gpx version="1.1" creator="Ostermere demo" xmlns="http://www.topografix.com/GPX/1/1">
<trk><name>${name}</name><trkseg>
${points
  .map(
    ({ time, lat, lon, heightM, cadence }) =>
      `<trkpt lat="${lat.toFixed(6)}" lon="${lon.toFixed(6)}"><ele>${heightM.toFixed(1)}</ele>` +
      `<time>${time}</time><extensions><cad>${cadence}</cad></extensions></trkpt>`,
  )
  .join('\n')}
</trkseg></trk>
</gpx>
`

const tcx = (points: readonly Point[]): string => `<?xml version="1.0" encoding="UTF-8"?>
<TrainingCenterDatabase><Activities><Activity Sport="Biking"><Lap StartTime="${points[0]?.time}"><Track>
${points
  .map(
    ({ time, lat, lon, heightM, cadence, watts, metres }) =>
      `<Trackpoint><Time>${time}</Time><Position><LatitudeDegrees>${lat.toFixed(6)}</LatitudeDegrees>` +
      `<LongitudeDegrees>${lon.toFixed(6)}</LongitudeDegrees></Position>` +
      `<AltitudeMeters>${heightM.toFixed(1)}</AltitudeMeters><DistanceMeters>${metres.toFixed(1)}</DistanceMeters>` +
      `<Cadence>${cadence}</Cadence><Extensions><TPX><Watts>${watts}</Watts></TPX></Extensions></Trackpoint>`,
  )
  .join('\n')}
</Track></Lap></Activity></Activities></TrainingCenterDatabase>
`

function fit(points: readonly Point[]): Uint8Array {
  const field = (number: number, size: number, baseType: FitBaseType, value: number) => ({
    number,
    size,
    baseType,
    value,
  })
  const semicircles = (degrees: number): number => Math.round((degrees * 2 ** 31) / 180)
  const encoder = new FitEncoder()
  encoder.writeMessage(0, [field(0, 1, FitBaseType.Enum, 4)])
  for (const { time, lat, lon, cadence, watts, metres } of points)
    encoder.writeMessage(20, [
      field(253, 4, FitBaseType.Uint32, FitEncoder.toFitTimestamp(new Date(time))),
      field(0, 4, FitBaseType.Sint32, semicircles(lat)),
      field(1, 4, FitBaseType.Sint32, semicircles(lon)),
      field(5, 4, FitBaseType.Uint32, Math.round(metres * 100)),
      field(4, 1, FitBaseType.Uint8, cadence),
      field(7, 2, FitBaseType.Uint16, watts),
    ])
  return encoder.close()
}

/** Rides kept in a spreadsheet of a country that writes 12,5 and puts the day first; one row went wrong. */
const TABLE = `Datum;Strecke (km);Dauer
2.11.2026;12,5;0:41:10
4.11.2026;8,25;0:29:00
soon;9;0:30:00
13.11.2026;102,0;5:10:00
`

const folder = new URL('./rides', import.meta.url)
mkdirSync(folder, { recursive: true })
const written = OUTINGS.map((outing, i) => {
  const points = track(outing, seededRandom(90 + i))
  const bytes = outing.file.endsWith('.fit')
    ? fit(points)
    : strToU8(outing.file.endsWith('.tcx') ? tcx(points) : gpx(outing.name, points))
  writeFileSync(new URL(outing.file, folder), bytes)
  return [outing.file, bytes] as const
})
// One that broke off while it was copied, to see what is said of it.
const [first] = written
if (first) writeFileSync(new URL('cut-short.gpx', folder), first[1].slice(0, first[1].length / 2))
writeFileSync(new URL('november.csv', folder), TABLE)
// The same rides once more, in one archive, with a note among them.
writeFileSync(
  new URL('that-week.zip', folder),
  zipSync(
    { ...Object.fromEntries(written), 'read-me.txt': strToU8('Rides of nobody.') },
    { mtime: '2026-11-22' },
  ),
)
