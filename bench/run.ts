import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { cpus } from 'node:os'
import { gzipSync } from 'node:zlib'
import { demoWorld } from '../demo/world.ts'
import { seededRandom } from '../demo/random.ts'
import type { Entry } from '../src/core/log/entries.ts'
import { makeEntryId } from '../src/core/log/entry-id.ts'
import { replay } from '../src/core/log/replay.ts'
import { lengthAtElongation } from '../src/core/measure/elongation.ts'
import { usualCandidates } from '../src/core/measure/next-reading.ts'
import { posterior } from '../src/core/measure/posterior.ts'
import type { Reading } from '../src/core/measure/reading.ts'
import { bikeReport } from '../src/core/strategy/bike-report.ts'
import { forecastWear } from '../src/core/wear/forecast.ts'
import { valueNextLook, type NextLookQuestion } from '../src/core/wear/next-look-value.ts'
import { checkEntry } from '../src/formats/entry-schema.ts'
import { readGpx } from '../src/formats/rides/gpx.ts'

const RUNS = 15

interface Figure {
  readonly what: string
  readonly median: string
  readonly worst: string
  readonly goal: string
}

/** Median and worst of some runs, ms, after two that warm up. */
function time(work: () => unknown): { readonly median: number; readonly worst: number } {
  work()
  work()
  const taken = Array.from({ length: RUNS }, () => {
    const began = performance.now()
    work()
    return performance.now() - began
  }).sort((a, b) => a - b)
  return { median: taken[RUNS >> 1] ?? NaN, worst: taken.at(-1) ?? NaN }
}

function figure(what: string, goal: string, work: () => unknown): Figure {
  const { median, worst } = time(work)
  return { what, goal, median: `${median.toFixed(1)} ms`, worst: `${worst.toFixed(1)} ms` }
}

function sixtyReadings(): Reading[] {
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
function largeLog(): Entry[] {
  const random = seededRandom(2)
  const world = demoWorld('2026-11-23').filter(({ kind }) => kind !== 'ride' && kind !== 'reading')
  const start = Date.UTC(2016, 0, 1)
  const bikes = ['heron', 'kite', 'quarry', 'sparrow']
  const at = (): string => new Date(start + random.between(0, 3900) * 86_400_000).toISOString()
  const id = (n: number): string => makeEntryId(start + n, 0, random.bytes(16))
  const rides = Array.from({ length: 20_000 }, (_, n): Entry => ({
    kind: 'ride',
    id: id(n),
    at: at(),
    bike: bikes[n % 4] ?? '',
    km: 20,
    condition: 'dry-road',
  }))
  const readings = Array.from({ length: 500 }, (_, n): Entry => ({
    kind: 'reading',
    id: id(30_000 + n),
    at: at(),
    chain: `heron-chain-${1 + (n % 4)}`,
    reading: { instrument: 'rule', pitches: 24, lengthMm: 305.5 },
  }))
  return [...world, ...rides, ...readings]
}

function twoMegabytesOfGpx(): string {
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

type Manifest = Record<string, { file: string; imports?: string[] }>

/** Scripts fetched before Today draws: the entry, what it imports, and the station's own, gzipped. */
function firstLoadKb(): { readonly entry: number; readonly all: number } {
  const manifest = JSON.parse(readFileSync('dist/.vite/manifest.json', 'utf8')) as Manifest
  const wanted = new Set<string>()
  const add = (name: string): void => {
    const chunk = manifest[name]
    if (!chunk || wanted.has(chunk.file)) return
    wanted.add(chunk.file)
    for (const next of chunk.imports ?? []) add(next)
  }
  const size = (): number =>
    [...wanted].reduce((sum, file) => sum + gzipSync(readFileSync(`dist/${file}`), { level: 9 }).length, 0) /
    1000
  add('index.html')
  const entry = size()
  add('src/stations/today/Today.tsx')
  return { entry, all: size() }
}

/** A hundred readings by six instruments. */
function hundredReadings(): Reading[] {
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

const readings = sixtyReadings()
const log = largeLog()
const gpx = twoMegabytesOfGpx()
const demo = demoWorld('2026-11-23')
const garage = replay(demo)
const heron = garage.bikes.get('heron')
const question = heron && bikeReport(garage, heron, '2026-11-23T12:00:00.000Z').chain?.question
if (!question) throw new Error('the demo has lost its question')
const load = firstLoadKb()
const hundred = hundredReadings()
const eight = usualCandidates(0.75)
const ownTool = { tool: 'own', instrument: 'two-contact-scale', bias: { b: 0.12, sb: 0.03 } } as const
const nextLook: NextLookQuestion = {
  past: 'new',
  earlier: question.observations.slice(0, 8),
  look: question.observations.slice(8),
  now: question.now,
  limit: 0.5,
  candidates: [ownTool, ...eight],
}

const figures: Figure[] = [
  figure('posterior of 60 readings by five instruments', 'under 20 ms', () =>
    posterior(readings, [0.5, 0.75, 1]),
  ),
  figure(
    `posterior of ${hundred.length} readings by ${new Set(hundred.map(({ instrument }) => instrument)).size} instruments`,
    'under 50 ms',
    () => posterior(hundred, [0.5, 0.75, 1]),
  ),
  figure(
    `what one more reading would be worth, ${nextLook.candidates.length} candidates (in a worker)`,
    'under 400 ms',
    () => valueNextLook(nextLook),
  ),
  figure('replay of 20 000 rides and 500 readings', 'under 150 ms', () => replay(log)),
  figure(`a GPX of ${(gpx.length / 1e6).toFixed(1)} MB read`, 'under 250 ms', () => readGpx(gpx)),
  figure(
    `forecast of one chain from ${question.observations.length} readings (in a worker)`,
    'none set',
    () => forecastWear(question),
  ),
  figure(`${demo.length} entries checked at the door`, 'none set', () => demo.forEach(checkEntry)),
  {
    what: 'script before the first station draws, gzipped',
    median: `${load.all.toFixed(0)} kB`,
    worst: `of which the entry and what it imports: ${load.entry.toFixed(0)} kB`,
    goal: 'under 220 kB',
  },
]
const table = figures
  .map(({ what, median, worst, goal }) => `| ${what} | ${median} | ${worst} | ${goal} |`)
  .join('\n')
const text = `# Figures

Taken by \`npm run build && npm run bench\` on Node.js ${process.versions.node}, ${cpus().length} cores, one run of the whole script:
each line is the median and the worst of ${RUNS} rounds after two that warm up. The machine is shared and noisy; compare within
one run. The script size is what the browser fetches before Today is drawn: the entry chunk, everything it imports, and the
station with everything it imports, each gzipped at level 9; charts, file readers and the demo's generator are fetched when wanted.

| what | median | worst | goal |
|---|---|---|---|
${table}
`
mkdirSync('docs', { recursive: true })
writeFileSync('docs/bench.md', text)
process.stdout.write(text)
