import { demoWorld } from '../demo/world.ts'
import { seededRandom } from '../src/core/stats/random.ts'
import type { GearRecord } from '../src/core/exposure/track-samples.ts'
import { ENTRY_FORMAT } from '../src/core/log/entry.ts'
import type { Entry } from '../src/core/log/entries.ts'
import { makeEntryId } from '../src/core/log/entry-id.ts'
import { lengthAtElongation } from '../src/core/measure/elongation.ts'
import type { Reading } from '../src/core/measure/reading.ts'

/** Sixty readings of one chain by five instruments. */
export function sixtyReadings(): Reading[] {
  const random = seededRandom(1)
  return Array.from({ length: 60 }, (_, i): Reading => {
    const e = random.normal(0.6, 0.08)
    switch (i % 4) {
      case 0:
        return { instrument: 'rule', pitches: 24, lengthMm: lengthAtElongation(24, e) }
      case 1:
        return { instrument: 'two-contact-scale', percent: e + 0.1 }
      case 2: {
        const length = lengthAtElongation(8, e)
        return { instrument: 'caliper-pair', pitches: 8, insideMm: length - 7.5, outsideMm: length + 7.5 }
      }
      default:
        return {
          instrument: i % 8 === 3 ? 'two-contact-limit' : 'three-contact-limit',
          limit: [0.5, 0.75, 1][i % 3] ?? 0.5,
          result: (['drops', 'starts', 'clear'] as const)[i % 3] ?? 'clear',
        }
    }
  })
}

/** The demo world's parts and bikes with twenty thousand rides and five hundred readings. */
export function largeLog(): Entry[] {
  const random = seededRandom(2)
  const world = demoWorld('2026-11-23').filter(({ kind }) => kind !== 'ride' && kind !== 'reading')
  const start = Date.UTC(2016, 0, 1)
  const bikes = ['heron', 'kite', 'quarry', 'sparrow']
  const at = (): string => new Date(start + random.between(0, 3900) * 86_400_000).toISOString()
  const id = (n: number): string => makeEntryId(start + n, 0, random.bytes(16))
  const rides = Array.from({ length: 20_000 }, (_, n): Entry => ({
    kind: 'ride',
    format: ENTRY_FORMAT,
    id: id(n),
    at: at(),
    bike: bikes[n % 4] ?? '',
    km: 20,
    condition: 'dry-road',
  }))
  const readings = Array.from({ length: 500 }, (_, n): Entry => ({
    kind: 'reading',
    format: ENTRY_FORMAT,
    id: id(30_000 + n),
    at: at(),
    chain: `heron-chain-${1 + (n % 4)}`,
    reading: { instrument: 'rule', pitches: 24, lengthMm: 305.5 },
  }))
  return [...world, ...rides, ...readings]
}

/** One recorded ride of about two megabytes, with heights and cadence. */
export function twoMegabytesOfGpx(): string {
  const points: string[] = []
  let bytes = 0
  for (let i = 0; bytes < 2_000_000; i++) {
    const time = new Date(Date.UTC(2026, 2, 9) + i * 1000).toISOString()
    const point = `<trkpt lat="${(44 + i * 4.5e-5).toFixed(7)}" lon="-29.4000000"><ele>${(12 + (i % 9)).toFixed(1)}</ele><time>${time}</time><extensions><cad>80</cad></extensions></trkpt>`
    points.push(point)
    bytes += point.length + 1
  }
  return `<?xml version="1.0"?>\n<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>${points.join('\n')}</trkseg></trk></gpx>`
}

/** A hundred readings by six instruments. */
export function hundredReadings(): Reading[] {
  const random = seededRandom(4)
  const extra = Array.from({ length: 40 }, (_, i): Reading => {
    const e = random.normal(0.6, 0.06)
    return i % 2 === 0
      ? { instrument: 'three-contact-scale', percent: e }
      : { instrument: 'strip', pitches: 20, lengthMm: lengthAtElongation(20, e) }
  })
  return [
    ...sixtyReadings().filter(({ instrument }) => instrument !== 'three-contact-limit'),
    ...extra,
    ...extra,
  ].slice(0, 100)
}

/** Two hundred bikes, each with ten fittings of chains, and a hundred thousand rides over ten years. */
export function workshopLog(): Entry[] {
  const random = seededRandom(3)
  const start = Date.UTC(2016, 0, 1)
  const day = (n: number): string => new Date(start + n * 86_400_000).toISOString()
  const entries: Entry[] = []
  const id = (): string => makeEntryId(start + entries.length, 0, random.bytes(16))
  for (let b = 0; b < 200; b++) {
    const bike = `bike-${b}`
    entries.push({
      kind: 'bike',
      format: ENTRY_FORMAT,
      id: id(),
      at: day(0),
      bike,
      name: `Bike ${b}`,
      note: '',
      speeds: 11,
      shifting: 'cable',
      motor: 'none',
      usualCondition: 'dry-road',
      storage: 'indoors',
    })
    for (let f = 0; f < 10; f++) {
      const part = `${bike}-chain-${f}`
      const at = day(f * 360)
      const spec = { type: 'chain', links: 114, speeds: 11, past: 'new' } as const
      entries.push({ kind: 'part', format: ENTRY_FORMAT, id: id(), at, part, name: `Chain ${f + 1}`, spec })
      entries.push({ kind: 'fit', format: ENTRY_FORMAT, id: id(), at, part, bike })
    }
  }
  for (let n = 0; n < 100_000; n++)
    entries.push({
      kind: 'ride',
      format: ENTRY_FORMAT,
      id: id(),
      at: new Date(start + random.between(0, 3650) * 86_400_000).toISOString(),
      bike: `bike-${n % 200}`,
      km: random.between(5, 60),
      condition: 'dry-road',
    })
  return entries
}

const OWNERS = ['Quay library', 'Bakery', 'Ferry crew', 'School'] as const

/**
 * The same workshop as one works there: whose each bike is and where it stands, and ten thousand readings, fifty a bike
 * with a rule, of chains that wear by 0.10 to 0.16 % in 1000 km.
 */
export function readWorkshopLog(): Entry[] {
  const random = seededRandom(11)
  const start = Date.UTC(2016, 0, 1)
  const bare = workshopLog().map((entry, i): Entry =>
    entry.kind === 'bike'
      ? { ...entry, owner: OWNERS[i % OWNERS.length] ?? '', rack: `Rack ${(i % 10) + 1}` }
      : entry,
  )
  const readings: Entry[] = []
  for (let b = 0; b < 200; b++) {
    // Some are ridden in the dry and some in mud: of the chains that are on, some are new, some are past their limit.
    const perThousand = random.between(0.06, 0.45)
    for (let f = 0; f < 10; f++)
      for (let n = 1; n <= 5; n++) {
        const kmRidden = n * 70 * 4.45
        const percent = perThousand * (kmRidden / 1000) + random.between(-0.03, 0.03)
        readings.push({
          kind: 'reading',
          format: ENTRY_FORMAT,
          id: makeEntryId(start + 200_000 + readings.length, 0, random.bytes(16)),
          at: new Date(start + (f * 360 + n * 70) * 86_400_000).toISOString(),
          chain: `bike-${b}-chain-${f}`,
          reading: {
            instrument: 'rule',
            pitches: 24,
            lengthMm: Number((304.8 * (1 + percent / 100)).toFixed(2)),
          },
        })
      }
  }
  return [...bare, ...readings]
}

/** One more ride, written after all of a log. */
export const oneMoreRide = (): Entry => ({
  kind: 'ride',
  format: ENTRY_FORMAT,
  id: makeEntryId(Date.UTC(2027, 0, 1), 0, new Uint8Array(16)),
  at: new Date(Date.UTC(2026, 10, 1)).toISOString(),
  bike: 'bike-7',
  km: 33,
  condition: 'dry-road',
})

/** One bike over ten years: ten rides in three days, a chain every 3000 km, read every 300 km, lubed every 250. */
export function tenYearsOfOneBike(): Entry[] {
  const random = seededRandom(5)
  const start = Date.UTC(2016, 10, 25)
  const entries: Entry[] = []
  const add = (entry: Omit<Entry, 'id'>): void => {
    entries.push({ ...entry, id: makeEntryId(start + entries.length, 0, random.bytes(16)) } as Entry)
  }
  const at = (hours: number): string => new Date(start + hours * 3_600_000).toISOString()
  const bike = 'heron'
  const base = { at: at(0), bike, name: 'Heron', note: 'steel commuter', speeds: 11 } as const
  add({
    ...base,
    kind: 'bike',
    shifting: 'cable',
    motor: 'none',
    usualCondition: 'dry-road',
    storage: 'indoors',
  } as Entry)
  const conditions = ['dry-road', 'wet-road', 'dry-gravel', 'mud', 'winter-salt'] as const
  let chain = 0
  let since = { chain: 3000, read: 0, lube: 0 }
  const part = (): string => `heron-chain-${chain}`
  for (let hours = 5; hours < 10 * 8760; hours += 7.2) {
    if (since.chain >= 3000) {
      chain++
      const spec = { type: 'chain', links: 114, speeds: 11, past: 'new' } as const
      add({ kind: 'part', at: at(hours), part: part(), name: `Chain ${chain}`, spec } as Entry)
      add({ kind: 'fit', at: at(hours), part: part(), bike } as Entry)
      since = { chain: 0, read: 0, lube: 0 }
    }
    if (since.read >= 300) {
      const lengthMm = lengthAtElongation(24, random.normal(since.chain * 1.5e-4, 0.03))
      const reading = { instrument: 'rule', pitches: 24, lengthMm: Math.round(lengthMm * 4) / 4 } as const
      add({ kind: 'reading', at: at(hours + 0.1), chain: part(), reading } as Entry)
      since.read = 0
    }
    if (since.lube >= 250) {
      add({ kind: 'wash', at: at(hours + 0.2), chain: part(), method: 'wipe', lube: 'wet-lube' } as Entry)
      since.lube = 0
    }
    const km = random.between(2, 5)
    const condition = conditions[Math.floor(random.between(0, 1) ** 2 * 5)] ?? 'dry-road'
    add({ kind: 'ride', at: at(hours + 0.3), bike, km, condition } as Entry)
    since = { chain: since.chain + km, read: since.read + km, lube: since.lube + km }
  }
  return entries
}

/** An hour of riding by the second on two rings and eleven cogs, with cadence and height. */
export function hourOfRiding(): GearRecord[] {
  const random = seededRandom(6)
  const gears = [1.9, 2.2, 2.6, 3.1, 2.6]
  return Array.from({ length: 3600 }, (_, second) => {
    const cadence = random.normal(82, 4)
    const ratio = gears[Math.floor(second / 240) % gears.length] ?? 2
    return {
      t: second,
      speedMs: (cadence / 60) * ratio * 2.155,
      cadenceRpm: cadence,
      heightM: 20 + 15 * Math.sin(second / 200),
    }
  })
}

/** A recorded hour of 3600 points without cadence, about 250 kB. */
export function recordedHour(n: number): string {
  const start = Date.UTC(2023, 0, 1, 7) + n * 24 * 3_600_000
  const points = Array.from({ length: 3600 }, (_, i) => {
    const time = new Date(start + i * 1000).toISOString().replace('.000Z', 'Z')
    return `<trkpt lat="${(44 + i * 5.2e-5).toFixed(5)}" lon="-29.4"><time>${time}</time></trkpt>`
  })
  return `<?xml version="1.0"?>\n<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>\n${points.join('\n')}\n</trkseg></trk></gpx>\n`
}
